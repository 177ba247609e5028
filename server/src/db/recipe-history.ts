/** What happened with each recipe so far: when it was last made, and how it tasted. */
import { type MadeBefore, NEVER_MADE } from '@lea/core/choose'
import { type TableEvent, replay } from '@lea/core/session'
import type { Db } from './pool'

interface Row {
  recipe: string
  date: string
  events: TableEvent[]
}

/** By the recipe's row; recipes that were never made are not in it. A taste that was taken back or changed counts as it stands. */
export async function listMade(db: Db): Promise<Map<string, MadeBefore>> {
  const { rows } = await db.query<Row>(
    `select s.recipe_id as recipe, s.date, coalesce(json_agg(json_build_object(
       'id', e.id, 'device', e.device, 'lamport', e.lamport, 'at', e.at, 'by', e.by_adult, 'kind', e.kind, 'body', e.body
     ) order by e.number) filter (where e.id is not null), '[]') as events
     from sessions s left join events e on e.session_id = s.id and e.kind in ('taste', 'undo')
     where s.state = 'finished' group by s.id order by s.date`,
  )
  const made = new Map<string, MadeBefore>()
  for (const { recipe, date, events } of rows) {
    const tastes = Object.values(replay(events).tastes)
    const before = made.get(recipe) ?? NEVER_MADE
    const count = (taste: string): number => tastes.filter((t) => t === taste).length
    made.set(recipe, {
      last: date,
      times: before.times + 1,
      more: before.more + count('more'),
      tried: before.tried + count('tried'),
      notToday: before.notToday + count('not-today'),
    })
  }
  return made
}
