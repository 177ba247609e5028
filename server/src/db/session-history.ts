/** Sessions that were cooked, with their plans and events: all of a period, one, or those of one child. Never more than is asked for. */
import { type StoredPlan, hasPlanShape, upgradePlan } from '@lea/core/plan'
import type { PastSession, TableEvent } from '@lea/core/session'
import type { Db } from './pool'

interface Row {
  id: string
  date: string
  plan: StoredPlan
  events: TableEvent[]
}

const EVENTS = `coalesce(json_agg(json_build_object(
   'id', e.id, 'device', e.device, 'lamport', e.lamport, 'at', e.at, 'by', e.by_adult, 'kind', e.kind, 'body', e.body
 ) order by e.number) filter (where e.id is not null), '[]') as events`

const toPast = (r: Row): PastSession => ({ ...r, plan: upgradePlan(r.plan), title: r.plan.recipe.title })
/** One row that cannot be read breaks no record: it is passed over, and the log names it. */
const readable = (rows: readonly Row[]): PastSession[] =>
  rows.flatMap((row) => {
    try {
      const past = toPast(row)
      if (!hasPlanShape(past.plan)) throw new Error('it is no plan')
      return [past]
    } catch (fault) {
      process.stderr.write(`lea: the plan of session ${row.id} cannot be read: ${String(fault)}\n`)
      return []
    }
  })

/** The newest first. @param from first day, @param to last day, @param most so many at most */
export async function pastOfPeriod(db: Db, from: string, to: string, most: number): Promise<PastSession[]> {
  const { rows } = await db.query<Row>(
    `select s.id, s.date, s.plan, ev.events
     from (
       select * from sessions where plan is not null and date between $1 and $2
       order by date desc, start desc limit $3
     ) s
     cross join lateral (select ${EVENTS} from events e where e.session_id = s.id) ev
     order by s.date desc, s.start desc`,
    [from, to, most],
  )
  return readable(rows)
}

export const ONE_PAST = `select s.id, s.date, s.plan, ${EVENTS}
   from sessions s left join events e on e.session_id = s.id
   where s.plan is not null and s.id = $1 group by s.id`
export async function pastSession(db: Db, id: string): Promise<PastSession | null> {
  const { rows } = await db.query<Row>(ONE_PAST, [id])
  return readable(rows)[0] ?? null
}

/** The sessions are found first: of all others no event is looked at. */
export const CHILD_PAST = `select s.id, s.date, s.plan, ev.events
   from (
     select s.id, s.date, s.start, s.plan from attendance a
     join sessions s on s.id = a.session_id
     where a.child_id = $1 and s.plan is not null
     order by s.date desc, s.start desc limit $2
   ) s
   cross join lateral (select ${EVENTS} from events e where e.session_id = s.id) ev
   order by s.date desc, s.start desc`
/** The newest first. @param most so many at most; all where it is not said */
export async function pastOfChild(db: Db, child: string, most?: number): Promise<PastSession[]> {
  const { rows } = await db.query<Row>(CHILD_PAST, [child, most ?? null])
  return readable(rows)
}
