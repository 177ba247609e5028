/** Sessions, their decisions, frozen plans and events. */
import { type Decision, type Plan, type PlanRequest, type StoredPlan, upgradePlan } from '@lea/core/plan'
import type { TableEvent } from '@lea/core/session'
import type { SessionInputs, StoredSession } from '@lea/core/setting'
import { Fault } from '../fault'
import { newsOf, tell } from '../live/table-feed'
import { endScreens } from './second-screens'
import type { Db } from './pool'

interface SessionRow {
  id: string
  recipe: string
  date: string
  start: string
  state: StoredSession['state']
  inputs: Omit<SessionInputs, 'date' | 'start' | 'recipe'>
  decisions: Decision[]
  version: number
  last: number
}

const COLUMNS = 'id, recipe_id as recipe, date, start, state, inputs, decisions, version, last_event as last'
const toSession = ({ inputs, last: _, ...row }: SessionRow): StoredSession => ({ ...row, ...inputs })

/** @param days the first day, and the last one; all where they are not said */
export async function listSessions(
  db: Db,
  days: { from?: string; to?: string } = {},
): Promise<StoredSession[]> {
  const { rows } = await db.query<SessionRow>(
    `select ${COLUMNS} from sessions
     where ($1::date is null or date >= $1::date) and ($2::date is null or date <= $2::date)
     order by date, start, id`,
    [days.from ?? null, days.to ?? null],
  )
  return rows.map(toSession)
}

export async function getSession(db: Db, id: string, lock = false): Promise<StoredSession | null> {
  const { rows } = await db.query<SessionRow>(
    `select ${COLUMNS} from sessions where id = $1 ${lock ? 'for update' : ''}`,
    [id],
  )
  return rows[0] ? toSession(rows[0]) : null
}

export async function saveSession(db: Db, setting: string, id: string, input: SessionInputs): Promise<void> {
  const { date, start, recipe, ...inputs } = input
  await db.query(
    `insert into sessions (id, setting_id, recipe_id, date, start, inputs) values ($1, $2, $3, $4, $5, $6)
     on conflict (id) do update set
       recipe_id = excluded.recipe_id, date = excluded.date, start = excluded.start, inputs = excluded.inputs,
       version = sessions.version + 1`,
    [id, setting, recipe, date, start, JSON.stringify(inputs)],
  )
  // Who is there, beside the inputs: one child's sessions are found by it.
  await db.query('delete from attendance where session_id = $1 and not (child_id = any($2::uuid[]))', [
    id,
    inputs.children,
  ])
  await db.query(
    `insert into attendance (setting_id, session_id, child_id)
     select $1, $2, c.id from children c where c.id = any($3::uuid[]) on conflict do nothing`,
    [setting, id, inputs.children],
  )
}

export async function saveDecisions(db: Db, id: string, decisions: readonly Decision[]): Promise<void> {
  await db.query('update sessions set decisions = $2, version = version + 1 where id = $1', [
    id,
    JSON.stringify(decisions),
  ])
}

/** A plan with the request that it was made from. */
export interface InForce {
  plan: Plan
  /** Null where an archive of before it was kept has none. */
  request: PlanRequest | null
}
/**
 * The plan in force from now on, with its request. A session moves from planned to cooking, and while it cooks from plan to plan.
 * @throws Fault 409 where it is not in the state that was looked at
 */
export async function freeze(
  db: Db,
  id: string,
  { plan, request }: InForce,
  from: 'planned' | 'cooking',
): Promise<void> {
  const { rowCount } = await db.query(
    `update sessions set plan = $2, request = $3, state = 'cooking', version = version + 1
     where id = $1 and state = $4`,
    [id, JSON.stringify(plan), JSON.stringify(request), from],
  )
  if (rowCount !== 1)
    throw new Fault(409, from === 'planned' ? 'cooking has begun already' : 'cooking is not under way')
  await tell(db, id, 'session')
}

/** The request that the plan in force was made from; null where an earlier version kept none. */
export async function frozenRequest(db: Db, id: string): Promise<PlanRequest | null> {
  const { rows } = await db.query<{ request: PlanRequest | null }>(
    'select request from sessions where id = $1',
    [id],
  )
  return rows[0]?.request ?? null
}

export async function frozenPlan(db: Db, id: string): Promise<Plan | null> {
  const { rows } = await db.query<{ plan: StoredPlan | null }>('select plan from sessions where id = $1', [
    id,
  ])
  const plan = rows[0]?.plan
  return plan ? upgradePlan(plan) : null
}

/** Cooking is over: planned sessions never end so, and one that is over is over. */
export async function finish(db: Db, id: string): Promise<void> {
  const { rowCount } = await db.query(
    "update sessions set state = 'finished', version = version + 1 where id = $1 and state = 'cooking'",
    [id],
  )
  if (rowCount !== 1) return
  await endScreens(db, id)
  await tell(db, id, 'session')
}

/** A session that was ended by mistake goes on: an act of its own. @returns false where it is not over */
export async function reopen(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query(
    "update sessions set state = 'cooking', version = version + 1 where id = $1 and state = 'finished'",
    [id],
  )
  if (rowCount === 1) await tell(db, id, 'session')
  return rowCount === 1
}

/** The number of the last event. */
export async function lastEvent(db: Db, id: string): Promise<number> {
  const { rows } = await db.query<{ last: number }>('select last_event as last from sessions where id = $1', [
    id,
  ])
  return rows[0]?.last ?? 0
}

/** The highest counter of any device at this table. */
export async function lastLamport(db: Db, id: string): Promise<number> {
  const { rows } = await db.query<{ last: number | null }>(
    'select max(lamport)::int as last from events where session_id = $1',
    [id],
  )
  return rows[0]?.last ?? 0
}

/**
 * Appends events under the session's lock, so that their numbers have no gap that is filled later and 'all after n'
 * misses none. An event that is already there is left as it is. One way to the database for all (`008_append.sql`).
 * @returns the number of the last event of the session
 */
export async function appendEvents(
  db: Db,
  setting: string,
  session: string,
  by: string,
  events: readonly TableEvent[],
  from = '',
): Promise<number> {
  const { rows } = await db.query<{ last: number }>(
    'select append_events($1, $2, $3, $4) as last, pg_notify($5, $6)',
    [session, setting, by || null, JSON.stringify(events), ...newsOf(session, 'events', from)],
  )
  return rows[0]?.last ?? 0
}

export async function listEvents(
  db: Db,
  session: string,
  after = 0,
): Promise<{ events: TableEvent[]; last: number }> {
  const { rows } = await db.query<TableEvent & { number: number }>(
    `select number, id, device, lamport, at, by_adult as by, kind, body from events
     where session_id = $1 and number > $2 order by number`,
    [session, after],
  )
  return { events: rows.map(eventOf), last: rows.at(-1)?.number ?? after }
}

/** A row without its number, which is the server's own. */
function eventOf(row: TableEvent & { number?: number }): TableEvent {
  const event = { ...row }
  delete event.number
  return event
}
