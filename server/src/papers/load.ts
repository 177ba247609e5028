/** Everything that a paper is made from, out of the database; a plan that is not frozen yet is compiled as it stands. */
import type { Plan, PlanRequest } from '@lea/core/plan'
import { type TableEvent, replay } from '@lea/core/session'
import { listAdults, listChildren } from '../db/people'
import type { Db } from '../db/pool'
import { frozenPlan, frozenRequest, getSession, listEvents } from '../db/sessions'
import { getRecipe, getSetting } from '../db/settings'
import { notFound } from '../fault'
import { requestOf } from '../plan/request-of'
import type { Paper } from './paper'

export interface Loaded {
  paper: Paper
  events: TableEvent[]
}

export async function loadPaper(
  run: <T>(work: (db: Db) => Promise<T>) => Promise<T>,
  compile: (request: PlanRequest) => Promise<Plan>,
  id: string,
): Promise<Loaded> {
  const found = await run(async (db) => {
    const session = await getSession(db, id)
    if (!session) throw notFound('this session')
    const plan = await frozenPlan(db, id)
    // What was cooked, not what the recipe has become since.
    const frozen = await frozenRequest(db, id)
    const recipe = frozen?.recipe ?? (await getRecipe(db, session.recipe))
    if (!recipe) throw notFound('the recipe of this session')
    return {
      session,
      recipe,
      plan,
      request: plan ? null : await requestOf(db, session),
      setting: await getSetting(db),
      children: await listChildren(db),
      adults: await listAdults(db),
      events: (await listEvents(db, id)).events,
    }
  })
  const { request, plan, events, ...rest } = found
  const inForce = plan ?? (request && (await compile(request)))
  if (!inForce) throw notFound('the plan of this session')
  return { paper: { ...rest, plan: inForce, state: replay(events) }, events }
}
