/** Sessions, their decisions, frozen plans and events. */
import { type Decision, type Plan, type StoredPlan, upgradePlan } from '@lea/core/plan'
import type { TableEvent } from '@lea/core/session'
import type { SessionInputs, StoredSession } from '@lea/core/setting'
import { newsOf, tell } from '../live/table-feed'
import type { Db } from './pool'

interface SessionRow {
  id: string
  recipe: string
  date: string
  start: string
  state: StoredSession['state']
  inputs: Omit<SessionInputs, 'date' | 'start' | 'recipe'>
  decisions: Decision[]
}

const COLUMNS = 'id, recipe_id as recipe, date, start, state, inputs, decisions'
const toSession = ({ inputs, ...row }: SessionRow): StoredSession => ({ ...row, ...inputs })

export async function listSessions(db: Db, day?: string): Promise<StoredSession[]> {
  const { rows } = await db.query<SessionRow>(
    `select ${COLUMNS} from sessions where $1::date is null or date = $1::date order by date, start, id`,
    [day ?? null],
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
       recipe_id = excluded.recipe_id, date = excluded.date, start = excluded.start, inputs = excluded.inputs`,
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
  await db.query('update sessions set decisions = $2 where id = $1', [id, JSON.stringify(decisions)])
}

export async function freeze(db: Db, id: string, plan: Plan): Promise<void> {
  await db.query("update sessions set plan = $2, state = 'cooking' where id = $1", [id, JSON.stringify(plan)])
  await tell(db, id, 'session')
}

export async function frozenPlan(db: Db, id: string): Promise<Plan | null> {
  const { rows } = await db.query<{ plan: StoredPlan | null }>('select plan from sessions where id = $1', [
    id,
  ])
  const plan = rows[0]?.plan
  return plan ? upgradePlan(plan) : null
}

export async function setState(db: Db, id: string, state: 'cooking' | 'finished'): Promise<void> {
  await db.query('update sessions set state = $2 where id = $1', [id, state])
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
): Promise<number> {
  const { rows } = await db.query<{ last: number }>(
    'select append_events($1, $2, $3, $4) as last, pg_notify($5, $6)',
    [session, setting, by || null, JSON.stringify(events), ...newsOf(session, 'events')],
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
