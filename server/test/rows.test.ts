/** Row-level security against the real database: a query without a WHERE sees one setting only. */
import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { addChild } from '../src/db/people'
import { migrate } from '../src/db/migrate'
import { inSetting } from '../src/db/pool'
import { loadDemo } from '../src/demo/load'
import { MIGRATIONS, openTestServer, type TestServer } from './test-server'

let house: TestServer
let settings: string[] = []
beforeAll(async () => {
  house = await openTestServer()
  await loadDemo(house.pool, '2026-11-24')
  const { rows } = await house.pool.query<{ setting_id: string }>('select setting_id from all_doors()')
  settings = rows.map((r) => r.setting_id)
})
afterAll(() => house.close())

const TABLES = ['settings', 'adults', 'children', 'foods', 'recipes', 'sessions', 'events', 'audit']

describe('a query without a WHERE', () => {
  it('sees just the rows of the setting that is set, in every table of a setting’s data', async () => {
    expect(settings).toHaveLength(3)
    const seen: Record<string, number[]> = {}
    for (const setting of settings) {
      await inSetting(house.pool, setting, async (db) => {
        for (const table of TABLES) {
          const key = table === 'settings' ? 'id' : 'setting_id'
          const { rows } = await db.query<{ owner: string }>(`select ${key} as owner from ${table}`)
          expect(
            rows.every((r) => r.owner === setting),
            table,
          ).toBe(true)
          seen[table] = [...(seen[table] ?? []), rows.length]
        }
      })
    }
    expect(seen['children']).toEqual(expect.arrayContaining([12, 8, 3]))
    expect(seen['events']?.every((n) => n > 0)).toBe(true)
  })
  it('sees nothing where no setting is set', async () => {
    for (const table of TABLES) {
      expect((await house.pool.query(`select * from ${table}`)).rowCount, table).toBe(0)
    }
  })
  it('covers every table: one with a setting_id and no policy does not exist', async () => {
    const { rows } = await house.pool.query<{ name: string }>(
      `select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid
       where c.relkind = 'r' and a.attname = 'setting_id' and c.relnamespace = 'public'::regnamespace
         and not (c.relrowsecurity and c.relforcerowsecurity)`,
    )
    // `door` holds ids of settings and nothing of their data, and the role may not read it.
    expect(rows.map((r) => r.name)).toEqual(['door'])
    await expect(house.pool.query('select * from door')).rejects.toThrow('permission denied')
  })
})

describe('the role that owns nothing', () => {
  it('cannot write into another setting', async () => {
    const [mine = '', other = ''] = settings
    const child = {
      id: randomUUID(),
      nickname: 'Solveig',
      birth: '2022-01',
      concerns: [],
      diets: [],
      languages: [],
      needs: [],
    }
    await expect(inSetting(house.pool, mine, (db) => addChild(db, other, child))).rejects.toMatchObject({
      code: '42501',
    })
    const changed = await inSetting(house.pool, mine, (db) =>
      db.query('update children set nickname = $1 where setting_id = $2', ['x', other]),
    )
    expect(changed.rowCount).toBe(0)
  })
  it('owns no table, is no superuser and cannot pass policies', async () => {
    const { rows } = await house.pool.query(
      `select current_user as name, rolsuper, rolbypassrls,
         (select count(*)::int from pg_class where relowner = pg_roles.oid) as owns
       from pg_roles where rolname = current_user`,
    )
    expect(rows).toEqual([{ name: 'lea_app', rolsuper: false, rolbypassrls: false, owns: 0 }])
  })
  it('leaves no setting behind on a pooled connection', async () => {
    await inSetting(house.pool, settings[0] ?? '', (db) => db.query('select 1'))
    const { rows } = await house.pool.query<{ left: string }>(
      "select coalesce(current_setting('app.setting_id', true), '') as left",
    )
    expect(rows[0]?.left).toBe('')
  })
})

describe('migrations', () => {
  it('run once, and two starts at once do not collide', async () => {
    const both = await Promise.all([migrate(house.ownerUrl, MIGRATIONS), migrate(house.ownerUrl, MIGRATIONS)])
    expect(both).toEqual([[], []])
  })
  it('refuse a database that a newer Lea has carried forward, and change nothing in it', async () => {
    const owner = new pg.Client({ connectionString: house.ownerUrl })
    await owner.connect()
    await owner.query("insert into migrations (name, sha256) values ('999_of_tomorrow.sql', 'x')")
    await expect(migrate(house.ownerUrl, MIGRATIONS)).rejects.toThrow(/newer Lea \(999_of_tomorrow\.sql\)/)
    await owner.query("delete from migrations where name like '999%'")
    expect(await migrate(house.ownerUrl, MIGRATIONS)).toEqual([])
    await owner.end()
  })
  it('notice a file that was changed after it ran', async () => {
    const owner = new pg.Client({ connectionString: house.ownerUrl })
    await owner.connect()
    await owner.query("update migrations set sha256 = 'other' where name like '001%'")
    await expect(migrate(house.ownerUrl, MIGRATIONS)).rejects.toThrow('was changed after it ran')
    await owner.end()
  })
})
