import type { PlanRequest } from '@lea/core/plan'
import { type StoredSession, assemble } from '@lea/core/setting'
import { listAdults, listChildren } from '../db/people'
import type { Db } from '../db/pool'
import { frozenRequest } from '../db/sessions'
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

/**
 * The request that the plan in force was made from, of those who are still here: neither a recipe that was edited since, nor a box or a
 * rule, moves what is being cooked.
 */
export async function requestInForce(db: Db, session: StoredSession): Promise<PlanRequest> {
  const frozen = await frozenRequest(db, session.id)
  if (!frozen) return requestOf(db, session)
  const here = new Set([...session.children, ...session.guests.map((g) => g.id)])
  return {
    ...frozen,
    children: frozen.children.filter((c) => here.has(c.id)),
    adults: frozen.adults.filter((a) => session.adults.includes(a.id)),
    decisions: session.decisions,
  }
}
