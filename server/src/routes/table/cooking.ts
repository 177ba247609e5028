import { randomUUID } from 'node:crypto'
import { Router, type Request } from 'express'
import { countText } from '@lea/core/amount'
import { type Plan, type PlanRequest, openStops, seal } from '@lea/core/plan'
import type { TableEvent } from '@lea/core/session'
import { partsThatDiffer, type RequestParts, requestParts } from '@lea/core/setting'
import * as yup from 'yup'
import { atLeast, personOf } from '../../auth'
import { now } from '../../clock'
import type { AppContext } from '../../context'
import { settleProgress } from '../../db/child-progress'
import { noteBy, writeAudit } from '../../db/audit'
import { lockCards } from '../../db/people'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { Fault, read } from '../../fault'
import { requestOf } from '../../plan/request-of'
import { findSession } from '../find-session'

/** Each part of a request by its digest, as `requestParts` gives it. */
const partsSchema = yup
  .mixed<RequestParts>()
  .test(
    'parts',
    'Parts is no list of digests',
    (v) =>
      v === undefined ||
      (typeof v === 'object' &&
        Object.entries(v).length <= 30 &&
        Object.values(v).every((d) => typeof d === 'string')),
  )
const cookSchema = yup.object({
  parts: partsSchema.optional(),
  digest: yup.string().max(40).optional(),
  effort: yup
    .string()
    .oneOf(['draft', 'refined'] as const, 'Effort must be draft or refined')
    .optional(),
})

const reopenSchema = yup
  .object({
    reason: yup
      .string()
      .trim()
      .max(400, 'Reason may hold at most 400 characters')
      .required('Reason is missing'),
  })
  .noUnknown()
/** So often a plan is made anew while others change the session. */
const MOST_TRIES = 4

/** From a planned session to one that is cooked: the plan is frozen here, made anew while cooking, and opened again after the end. */
export function cookingRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const asItIs = (req: Request): Promise<object> =>
    run(req, async (db) => {
      const session = await findSession(db, req)
      return { session, plan: await store.frozenPlan(db, session.id) }
    })

  /**
   * Compiles outside any lock, and freezes under it only what was made from what is there then: cards, recipe, box and decisions.
   * @param mayStart throws where the plan is not the one that was asked for
   * @throws Fault 409 where a stop is open, or it keeps changing
   */
  async function putInForce(
    req: Request,
    from: 'planned' | 'cooking',
    effort: 'draft' | 'refined',
    mayStart: (plan: Plan, request: PlanRequest) => void,
  ): Promise<void> {
    const wanted = async (db: Db, lock: boolean): Promise<PlanRequest> => {
      const session = await findSession(db, req, lock ? 'lock' : 'read')
      if (session.state !== from)
        throw new Fault(409, from === 'planned' ? 'cooking has begun already' : 'cooking is not under way')
      if (lock) await lockCards(db, session.children)
      return { ...(await requestOf(db, session)), effort }
    }
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const request = await run(req, (db) => wanted(db, false))
      const plan = await plans.compile(request, { setting: personOf(req).settingId })
      const stops = openStops(plan)
      if (stops.length > 0)
        throw new Fault(
          409,
          `${countText(stops.length, 'stop is', 'stops are')} still to settle`,
          'findings',
          {
            stops,
          },
        )
      mayStart(plan, request)
      const kept = await run(req, async (db) => {
        if (seal(await wanted(db, true)) !== seal(request)) return false
        const id = String(req.params['id'])
        await store.freeze(db, id, { plan, request }, from)
        const did = from === 'planned' ? 'began cooking' : 'planned anew at the table'
        await noteBy(db, personOf(req), 'sessions', did, id)
        return true
      })
      if (kept) return
    }
    throw new Fault(409, 'this session is being changed just now: try again')
  }

  // Cooking starts: the plan is compiled once more here, and frozen with the request that it was made from.
  router.post('/:id/cook', async (req, res) => {
    const { digest, effort, parts } = await read(cookSchema, req.body)
    await settleProgress(pool, personOf(req).settingId)
    const found = await run(req, (db) => findSession(db, req))
    // Another device may have started meanwhile; its frozen plan stands.
    if (found.state === 'planned')
      await putInForce(req, 'planned', effort ?? 'draft', (plan, request) => {
        if (!digest || digest === plan.digest) return
        const what = parts ? partsThatDiffer(parts, requestParts(request)) : []
        throw new Fault(
          409,
          `the plan has changed since it was shown${what.length > 0 ? ` (${what.join(', ')})` : ''}: look at it again, then start`,
          'digest',
          { plan },
        )
      })
    res.json(await asItIs(req))
  })

  // The plan for those who are here now. Ids hold between plans, so what was done stays done.
  router.post('/:id/replan', async (req, res) => {
    await settleProgress(pool, personOf(req).settingId)
    await putInForce(req, 'cooking', 'draft', () => undefined)
    res.json(await asItIs(req))
  })
  // Ended by mistake: it goes on, and who said so is written down.
  router.post('/:id/reopen', leader, async (req, res) => {
    const { reason } = await read(reopenSchema, req.body)
    await run(req, async (db) => {
      const { id } = await findSession(db, req, 'lock')
      if (!(await store.reopen(db, id))) throw new Fault(409, 'this session is not over')
      const { settingId, id: by } = personOf(req)
      // The log says it as well: every table goes on from here, and can be ended once more.
      const event: TableEvent = {
        id: randomUUID(),
        device: 'server',
        lamport: (await store.lastLamport(db, id)) + 1,
        at: now().toISOString(),
        kind: 'reopen',
        body: { reason },
      }
      await store.appendEvents(db, settingId, id, by, [event])
      await writeAudit(db, settingId, by, 'sessions', `opened it again: ${reason}`, id)
    })
    res.json(await asItIs(req))
  })
  return router
}
