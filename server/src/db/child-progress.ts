/**
 * What sessions show of each child, added up as they end: a row a child and session, and the sum that the next plan is made from. It is
 * done in transactions of its own, outside every lock of a table; what is due is marked in the transaction that makes it due, so
 * that nothing is forgotten when a server dies between the two.
 */
import {
  type DatedProgress,
  type PastSession,
  type SessionProgress,
  addUp,
  progressIn,
  replay,
} from '@lea/core/session'
import type { Pool } from 'pg'
import { inSetting, type Db } from './pool'
import { pastSession } from './session-history'

/** What was tapped moves what is carried. */
export async function markDue(db: Db, session: string): Promise<void> {
  await db.query('update sessions set progress_due = true where id = $1 and not progress_due', [session])
}

/** Adds up every session of a setting that is due, one after another. Costs one short question where none is. */
export async function settleProgress(pool: Pool, setting: string): Promise<void> {
  for (;;) {
    const found = await inSetting(pool, setting, async (db) => {
      const { rows } = await db.query<{ id: string }>(
        'select id from sessions where progress_due order by date, start, id limit 1',
      )
      return rows[0]?.id
    })
    if (found === undefined) return
    await inSetting(pool, setting, (db) => addUpSession(db, setting, found))
  }
}

/** One session at a time in a setting: two of them add up the same children. */
const oneAtATime = (db: Db, setting: string) =>
  db.query("select pg_advisory_xact_lock(hashtextextended('progress ' || $1, 0))", [setting])

/** Adds up one session for all of its children, and each of them over all of its sessions. */
export async function addUpSession(db: Db, setting: string, id: string): Promise<void> {
  await oneAtATime(db, setting)
  const { rows } = await db.query<{ state: string; last: number }>(
    'select state, last_event as last from sessions where id = $1 and progress_due',
    [id],
  )
  const session = rows[0]
  if (!session) return
  const past = await pastSession(db, id)
  const shown = past && shownIn(past, session.state === 'finished')
  if (shown) {
    await keepRows(db, setting, id, past.date, shown.progress)
    if (shown.tastes) await keepTastes(db, setting, id, shown.tastes)
  }
  // A tap that came meanwhile makes it due once more.
  await db.query('update sessions set progress_due = false where id = $1 and last_event = $2', [
    id,
    session.last,
  ])
}

/** What a session shows; null where it cannot be made out: one such session keeps no card and no plan from anybody, and is named. */
function shownIn(
  past: PastSession,
  finished: boolean,
): { progress: Map<string, SessionProgress>; tastes: string[] | null } | null {
  try {
    const state = replay(past.events)
    return {
      progress: progressIn(past, finished ? 'all' : 'seen', state),
      tastes: finished ? Object.values(state.tastes) : null,
    }
  } catch (fault) {
    process.stderr.write(`lea: what session ${past.id} shows cannot be added up: ${String(fault)}\n`)
    return null
  }
}

async function keepRows(
  db: Db,
  setting: string,
  session: string,
  date: string,
  progress: ReadonlyMap<string, SessionProgress>,
): Promise<void> {
  const { rows: gone } = await db.query<{ child: string }>(
    'delete from session_progress where session_id = $1 returning child_id as child',
    [session],
  )
  const list = [...progress].map(([child, body]) => ({ child, body }))
  // Guests, and children who were erased, have no row to keep it beside.
  const { rows: kept } = await db.query<{ child: string }>(
    `insert into session_progress (setting_id, session_id, child_id, date, body)
     select $1, $2, c.id, $3, t.body
     from jsonb_to_recordset($4) as t (child text, body jsonb) join children c on c.id::text = t.child
     returning child_id as child`,
    [setting, session, date, JSON.stringify(list)],
  )
  await sumUp(db, setting, [...new Set([...gone, ...kept].map((r) => r.child))])
}

/** @param children whose rows have changed */
export async function sumUp(db: Db, setting: string, children: readonly string[]): Promise<void> {
  const { rows } = await db.query<{ child: string; list: DatedProgress[] | null }>(
    `select c.id as child, (
       select json_agg(json_build_object('date', p.date, 'progress', p.body) order by p.date, s.start, s.id)
       from session_progress p join sessions s on s.id = p.session_id where p.child_id = c.id
     ) as list
     from children c where c.id = any($1::uuid[])`,
    [children],
  )
  const sums = rows.map(({ child, list }) => ({ child, body: addUp(list ?? []) }))
  await db.query(
    `insert into child_progress (setting_id, child_id, body)
     select $1, t.child, t.body from jsonb_to_recordset($2) as t (child uuid, body jsonb)
     on conflict (child_id) do update set body = excluded.body`,
    [setting, JSON.stringify(sums)],
  )
}

async function keepTastes(
  db: Db,
  setting: string,
  session: string,
  tastes: readonly string[],
): Promise<void> {
  const count = (taste: string): number => tastes.filter((t) => t === taste).length
  const body = { more: count('more'), tried: count('tried'), notToday: count('not-today') }
  await db.query(
    `insert into session_tastes (setting_id, session_id, body) values ($1, $2, $3)
     on conflict (session_id) do update set body = excluded.body`,
    [setting, session, JSON.stringify(body)],
  )
}
