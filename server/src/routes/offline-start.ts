import { Router } from 'express'
import { PLAN_VERSION, type Plan, seal, openStops, whatChanged } from '@lea/core/plan'
import * as yup from 'yup'
import { writeAudit } from '../db/people'
import { inSetting, type Db } from '../db/pool'
import * as store from '../db/sessions'
import { personOf } from '../auth'
import { Fault, read } from '../fault'
import type { AppContext } from '../context'
import { requestOf } from '../plan/request-of'
import { findSession } from './find-session'

const LISTS = ['children', 'bowls', 'findings', 'cleared', 'tasks', 'turns', 'schedule', 'talk'] as const

const begunSchema = yup
  .object({
    at: yup.string().max(40).required('Time is missing'),
    effort: yup
      .string()
      .oneOf(['draft', 'refined'] as const, 'Effort must be draft or refined')
      .required('Effort is missing'),
    plan: yup
      .mixed<Plan>()
      .required('Plan is missing')
      .test('whole', 'Plan must be a whole plan of this version, as it was on the screen', isWhole),
  })
  .noUnknown()

/** A plan that was changed on its way, or cut short, has another digest than the one it carries. */
function isWhole(value: unknown): boolean {
  const plan = value as Partial<Plan> | null
  if (!plan || typeof plan !== 'object' || plan.version !== PLAN_VERSION) return false
  if (!LISTS.every((key) => Array.isArray(plan[key]))) return false
  const { digest: carried, ...rest } = plan
  return carried === seal(rest)
}

/**
 * A session that was begun without a network: the device tells by which plan it cooked. That plan is the one in force, for it is the
 * one that happened; where the server would have made another, it says what stands against it.
 */
export function begunRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  router.post('/:id/begun', async (req, res) => {
    const person = personOf(req)
    const run = <T>(work: (db: Db) => Promise<T>): Promise<T> => inSetting(pool, person.settingId, work)
    const id = req.params['id']
    const { plan, effort } = await read(begunSchema, req.body)
    if (plan.session !== id) throw new Fault(400, 'the plan is of another session', 'plan')
    if (openStops(plan).length > 0)
      throw new Fault(409, 'the plan has stops that were not settled: it was never one to cook by', 'plan')
    const request = await run(async (db) => {
      const session = await findSession(db, req)
      return session.state === 'planned' ? { ...(await requestOf(db, session)), effort } : null
    })
    // Another device was quicker: its plan stands, and the taps of this one go to it.
    const own = request ? await plans.compile(request) : null
    const against = await run(async (db) => {
      const session = await findSession(db, req, true)
      if (session.state === 'planned') {
        await store.freeze(db, id, plan)
        await writeAudit(db, person.settingId, person.id, 'began without a network', id)
        if (!own || own.digest === plan.digest) return []
        const stops = openStops(own).map((f) => f.says)
        return [...stops, whatChanged(plan, own)].filter(Boolean)
      }
      const inForce = await store.frozenPlan(db, id)
      return inForce && inForce.digest !== plan.digest ? [whatChanged(plan, inForce)].filter(Boolean) : []
    })
    res.json(
      await run(async (db) => ({
        session: await findSession(db, req),
        plan: await store.frozenPlan(db, id),
        against,
      })),
    )
  })
  return router
}
