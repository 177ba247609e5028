import type { PlanRequest } from '@lea/core/plan'
import { type StoredSession, assemble } from '@lea/core/setting'
import { listAdults, listChildren } from '../db/people'
import type { Db } from '../db/pool'
import { getRecipe, getSetting } from '../db/settings'
import { notFound } from '../fault'

/** The request of a stored session, from the same inputs that the browser has. @throws Fault 404 where its recipe is gone */
export async function requestOf(db: Db, session: StoredSession): Promise<PlanRequest> {
  const recipe = await getRecipe(db, session.recipe)
  if (!recipe) throw notFound('the recipe of this session')
  return assemble(session, {
    setting: await getSetting(db),
    recipe,
    children: await listChildren(db),
    adults: await listAdults(db),
  })
}
