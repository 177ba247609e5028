/** Second screens for the children: one code a table and bowl, for as long as that table is at work. */
import type { Pool } from 'pg'
import { withScreenKey, type Db } from './pool'

export interface SecondScreen {
  id: string
  settingId: string
  sessionId: string
  bowl: string
}

/** After so long a code opens nothing more, whatever the table does. */
const HOURS = 12
const COLUMNS = 'id, setting_id as "settingId", session_id as "sessionId", bowl'
const FRESH = `made_at > now() - interval '${HOURS} hours'`

/** A new code for a table's bowl: the one before, and what was opened by it, end. */
export async function putScreen(db: Db, screen: SecondScreen, codeHash: string): Promise<void> {
  await endScreens(db, screen.sessionId, screen.bowl)
  await db.query(
    'insert into second_screens (id, setting_id, session_id, bowl, code_hash) values ($1, $2, $3, $4, $5)',
    [screen.id, screen.settingId, screen.sessionId, screen.bowl, codeHash],
  )
}

/** @param bowl of this one alone; all of the table where it is not said */
export async function endScreens(db: Db, session: string, bowl?: string): Promise<void> {
  await db.query('delete from second_screens where session_id = $1 and ($2::text is null or bowl = $2)', [
    session,
    bowl ?? null,
  ])
}

const found = async (db: Db, where: string, value: string): Promise<SecondScreen | null> =>
  (
    await db.query<SecondScreen>(`select ${COLUMNS} from second_screens where ${where} = $1 and ${FRESH}`, [
      value,
    ])
  ).rows[0] ?? null

/** The screen that a code opens; null where it opens none. */
export const screenOfCode = (pool: Pool, codeHash: string): Promise<SecondScreen | null> =>
  withScreenKey(pool, 'app.screen_code', codeHash, (db) => found(db, 'code_hash', codeHash))

/** The screen of an id, while it lasts. */
export const screenOfId = (pool: Pool, id: string): Promise<SecondScreen | null> =>
  withScreenKey(pool, 'app.screen', id, (db) => found(db, 'id', id))
