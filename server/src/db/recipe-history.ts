/** What happened with each recipe so far: when it was last made, and how it tasted. Added up as each session ends. */
import type { MadeBefore } from '@lea/core/choose'
import type { Db } from './pool'

/** By the recipe's row; recipes that were never made are not in it. A taste that was taken back or changed counts as it stands. */
export async function listMade(db: Db): Promise<Map<string, MadeBefore>> {
  const { rows } = await db.query<MadeBefore & { recipe: string }>(
    `select s.recipe_id as recipe, max(s.date) as last, count(*)::int as times,
       coalesce(sum((t.body ->> 'more')::int), 0)::int as more,
       coalesce(sum((t.body ->> 'tried')::int), 0)::int as tried,
       coalesce(sum((t.body ->> 'notToday')::int), 0)::int as "notToday"
     from sessions s left join session_tastes t on t.session_id = s.id
     where s.state = 'finished' group by s.recipe_id`,
  )
  return new Map(rows.map(({ recipe, ...made }) => [recipe, made]))
}
