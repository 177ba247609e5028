/**
 * Numbered SQL migrations, run once each in a transaction under an advisory lock, never edited after landing
 * (the file's digest is kept and compared).
 */
import { createHash } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import { join } from 'node:path'
import pg from 'pg'

/** Any number will do, as long as every Lea uses the same. */
const LOCK = 7_221_953

/**
 * Brings a database up to date.
 * @throws Error in words where a migration fails, was changed, or the database is of a newer Lea
 * @returns the names of the migrations that were run
 */
export async function migrate(ownerUrl: string, folder: string): Promise<string[]> {
  const client = new pg.Client({ connectionString: ownerUrl })
  await client.connect()
  try {
    await client.query('select pg_advisory_lock($1)', [LOCK])
    await ensureRole(client)
    await client.query(
      'create table if not exists migrations (name text primary key, sha256 text not null, run_at timestamptz not null default now())',
    )
    const done = new Map(
      (await client.query<{ name: string; sha256: string }>('select name, sha256 from migrations')).rows.map(
        (r) => [r.name, r.sha256],
      ),
    )
    const files = (await readdir(folder)).filter((f) => f.endsWith('.sql')).sort()
    const newer = [...done.keys()].filter((name) => !files.includes(name)).sort()
    // What an older program writes there may be what a newer one cannot read.
    if (newer.length > 0)
      throw new Error(
        `the database was carried forward by a newer Lea (${newer.join(', ')}): use that version, or a backup that was made before`,
      )
    const ran: string[] = []
    for (const name of files) {
      const sql = await readFile(join(folder, name), 'utf8')
      const sha256 = createHash('sha256').update(sql).digest('hex')
      const known = done.get(name)
      if (known === sha256) continue
      if (known !== undefined)
        throw new Error(`migration ${name} was changed after it ran: add a new one instead`)
      await runOne(client, name, sql, sha256)
      ran.push(name)
    }
    return ran
  } finally {
    await client.end()
  }
}

async function runOne(client: pg.Client, name: string, sql: string, sha256: string): Promise<void> {
  await client.query('begin')
  try {
    await client.query(sql)
    await client.query('insert into migrations (name, sha256) values ($1, $2)', [name, sha256])
    await client.query('commit')
  } catch (fault) {
    await client.query('rollback')
    throw new Error(`migration ${name} failed: ${fault instanceof Error ? fault.message : String(fault)}`, {
      cause: fault,
    })
  }
}

/** The role that owns nothing. On a given server it may not exist yet; the migrating user must be able to act as it. */
async function ensureRole(client: pg.Client): Promise<void> {
  const { rowCount } = await client.query("select from pg_roles where rolname = 'lea_app'")
  if (rowCount === 0) await client.query('create role lea_app nologin nosuperuser nobypassrls')
  const { rows } = await client.query<{ member: boolean }>(
    "select pg_has_role(current_user, 'lea_app', 'member') as member",
  )
  if (rows[0]?.member === false) await client.query('grant lea_app to current_user')
}
