import { Router } from 'express'
import { type PlanRequest, digest, openStops, whatChanged } from '@lea/core/plan'
import { readPlanRequest } from '@lea/core/schema'
import type { StoredSession } from '@lea/core/setting'
import * as yup from 'yup'
import { settleProgress } from '../../db/child-progress'
import { writeAudit } from '../../db/audit'
import { listChildren } from '../../db/people'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { type SignedIn, personOf } from '../../auth'
import { Fault, read } from '../../fault'
import type { AppContext } from '../../context'
import { requestOf } from '../../plan/request-of'
import { findSession } from '../find-session'

const begunSchema = yup
  .object({
    at: yup.string().max(40).required('Time is missing'),
    digest: yup.string().max(64).required('Digest of the plan is missing'),
    request: yup.mixed().required('Request of the plan is missing'),
  })
  .noUnknown()

/** What the device made its plan from. @throws Fault 400 that names the field */
function requestFrom(value: unknown, session: string): PlanRequest {
  let request: PlanRequest
  try {
    request = readPlanRequest(value)
  } catch (fault) {
    if (!(fault instanceof yup.ValidationError))
      throw new Fault(400, 'this is no request of a plan', 'request')
    throw new Fault(400, fault.message, `request.${fault.path ?? ''}`)
  }
  if (request.session.id !== session) throw new Fault(400, 'the plan is of another session', 'request')
  if (request.effort === 'sketch') throw new Fault(400, 'a sketch is no plan to cook by', 'request.effort')
  return request
}

/**
 * A device hands on what it knew; it decides nothing. People must be of this setting, and what a leader has to decide was decided here.
 * @throws Fault 409
 */
async function mustBeOfThis(
  db: Db,
  person: SignedIn,
  request: PlanRequest,
  session: StoredSession,
): Promise<void> {
  const known = new Set([...(await listChildren(db)).map((c) => c.id), ...session.guests.map((g) => g.id)])
  if (request.children.some((c) => !known.has(c.id)))
    throw new Fault(409, 'the plan has somebody in it whom this session does not know', 'request')
  const here = new Set(session.decisions.map((d) => digest(d)))
  if (person.role === 'helper' && request.decisions.some((d) => !here.has(digest(d))))
    throw new Fault(409, 'the plan has decisions in it that only a leader may make', 'request')
}

/**
 * A session that was begun without a network: the device tells what it knew then, and by which plan it cooked. That plan is the one in
 * force, for it is the one that happened; where the server would have made another, it says what stands against it.
 */
export function begunRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  router.post('/:id/begun', async (req, res) => {
    const person = personOf(req)
    const by = { setting: person.settingId }
    const run = <T>(work: (db: Db) => Promise<T>): Promise<T> => inSetting(pool, person.settingId, work)
    const id = req.params['id']
    const { request: sent, digest: carried } = await read(begunSchema, req.body)
    const request = requestFrom(sent, id)
    await settleProgress(pool, person.settingId)
    const now = await run(async (db) => {
      const session = await findSession(db, req, 'of-table')
      if (session.state !== 'planned') return null
      await mustBeOfThis(db, person, request, session)
      return { ...(await requestOf(db, session)), effort: request.effort }
    })
    // Made once more from what the device knew: a plan is never taken from a device's own hand.
    const plan = await plans.compile(request, by)
    if (openStops(plan).length > 0)
      throw new Fault(409, 'the plan has stops that were not settled: it was never one to cook by', 'request')
    const own = now ? await plans.compile(now, by) : null
    const against = await run(async (db) => {
      const session = await findSession(db, req, 'taps')
      if (session.state === 'planned' && own) {
        await store.freeze(db, id, { plan, request }, 'planned')
        await writeAudit(db, person.settingId, person.id, 'sessions', 'began without a network', id)
        const other =
          carried === plan.digest ? [] : ['The device made this plan with another version of Lea.']
        if (own.digest === plan.digest) return other
        return [...other, ...openStops(own).map((f) => f.says), whatChanged(plan, own)].filter(Boolean)
      }
      // Another device was quicker: its plan stands, and the taps of this one go to it.
      const inForce = await store.frozenPlan(db, id)
      return inForce && inForce.digest !== plan.digest ? [whatChanged(plan, inForce)].filter(Boolean) : []
    })
    res.json(
      await run(async (db) => ({
        session: await findSession(db, req, 'of-table'),
        plan: await store.frozenPlan(db, id),
        against,
      })),
    )
  })
  return router
}
