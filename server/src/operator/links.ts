/** One-time links: for the first owner of a new setting, or for a new password. Who has the link needs no sign-in; it opens once, for some days. */
import { createHash, randomBytes } from 'node:crypto'
import type { Pool } from 'pg'
import { withScreenKey, type Db } from '../db/pool'

const DAYS = 7

export interface Link {
  setting: string
  /** Whose password it is for; null for a first owner. */
  adult: string | null
}

const hashOf = (word: string): string => createHash('sha256').update(word).digest('hex')

/** By whoever runs this Lea, in a transaction of the setting. @returns the word: it is kept nowhere */
export async function makeLink(db: Pick<Db, 'query'>, { setting, adult }: Link): Promise<string> {
  const word = randomBytes(24).toString('base64url')
  await db.query('delete from links where setting_id = $1 and adult_id is not distinct from $2', [
    setting,
    adult,
  ])
  await db.query(
    `insert into links (word_hash, setting_id, adult_id, ends_at) values ($1, $2, $3, now() + $4 * interval '1 day')`,
    [hashOf(word), setting, adult, DAYS],
  )
  return word
}

/** What a link is for; null where it opens nothing (any more). */
export const findLink = (pool: Pool, word: string): Promise<Link | null> =>
  withScreenKey(pool, 'app.link', hashOf(word), async (db) => {
    const { rows } = await db.query<Link>(
      'select setting_id as setting, adult_id as adult from links where ends_at > now() and not is_closed(setting_id)',
    )
    return rows[0] ?? null
  })

/** In a transaction of its setting: of two who use it at once, one does. @returns false where it was used meanwhile */
export async function useLink(db: Db, word: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from links where word_hash = $1 and ends_at > now()', [
    hashOf(word),
  ])
  return rowCount === 1
}
