/** Letters of a setting, as messages (RFC 5322). They stand in the database, so that every server has them and nothing outlives an erased child. */
import type { Db } from './pool'

export interface StoredLetter {
  /** Of its file: `2026-11-26T10-20-30-000Z-a1b2c3-group.eml` */
  name: string
  /** Id of the child or guest that it is about; null for the group. */
  about: string | null
  writtenAt: Date
  message: Buffer
}

/** So many are listed: the newest. */
const LISTED = 500

/** One of the same name is there already where it was taken over before. */
export async function keepLetter(db: Db, setting: string, letter: StoredLetter): Promise<void> {
  await db.query(
    `insert into letters (setting_id, name, about, written_at, message) values ($1, $2, $3, $4, $5)
     on conflict (setting_id, name) do nothing`,
    [setting, letter.name, letter.about, letter.writtenAt, letter.message],
  )
}

/** Names, the newest first. */
export async function listLetters(db: Db): Promise<string[]> {
  const { rows } = await db.query<{ name: string }>(
    'select name from letters order by written_at desc, name desc limit $1',
    [LISTED],
  )
  return rows.map((r) => r.name)
}

export async function getLetter(db: Db, name: string): Promise<Buffer | null> {
  const { rows } = await db.query<{ message: Buffer }>('select message from letters where name = $1', [name])
  return rows[0]?.message ?? null
}

/** @param about id of a child or guest that is erased */
export const forgetLetters = async (db: Db, about: string): Promise<void> => {
  await db.query('delete from letters where about = $1', [about])
}

/** @param before a day, `YYYY-MM-DD` @returns how many went */
export async function sweepLetters(db: Db, before: string): Promise<number> {
  const { rowCount } = await db.query(
    `delete from letters where written_at < ($1::date)::timestamp at time zone 'utc'`,
    [before],
  )
  return rowCount ?? 0
}
