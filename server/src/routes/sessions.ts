import { countText } from '@lea/core/amount'
import { Router, type Request } from 'express'
import { randomUUID } from 'node:crypto'
import { type Decision, MAX_CHILDREN, openStops } from '@lea/core/plan'
import { decisionListSchema, guestSchema, sessionSchema } from '@lea/core/schema'
import { childrenNotCoveredByPlan } from '@lea/core/session'
import { type StoredSession, atTable } from '@lea/core/setting'
import * as yup from 'yup'
import type { AppContext } from '../context'
import { listAdults, listChildren, writeAudit } from '../db/people'
import { simulatedPackets } from '../db/packets'
import { inSetting, type Db } from '../db/pool'
import { getRecipe, getSetting } from '../db/settings'
import * as store from '../db/sessions'
import { atLeast, personOf } from '../auth'
import { Fault, read } from '../fault'
import { tell } from '../live/table-feed'
import { requestOf } from '../plan/request-of'
import { today } from '../clock'
import { findSession } from './find-session'

const decisionsSchema = yup.object({
  decisions: decisionListSchema,
})
const cookSchema = yup.object({
  digest: yup.string().max(40).optional(),
  effort: yup
    .string()
    .oneOf(['draft', 'refined'] as const, 'Effort must be draft or refined')
    .optional(),
})

/** Sessions: inputs and decisions; the frozen plan once cooking starts; the events of the table. */
export function sessionRoutes({ pool, plans }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)

  const planned = (session: StoredSession): StoredSession => {
    if (session.state !== 'planned')
      throw new Fault(409, 'cooking has begun: the plan of this session is frozen')
    return session
  }

  router.get('/', async (req, res) => {
    const day = personOf(req).role === 'helper' ? today() : undefined
    res.json(await run(req, (db) => store.listSessions(db, day)))
  })
  router.post('/', leader, async (req, res) => {
    const input = await read(sessionSchema, req.body)
    const id = randomUUID()
    const session = await run(req, async (db) => {
      await mustExist(db, input)
      await store.saveSession(db, personOf(req).settingId, id, input)
      return store.getSession(db, id)
    })
    res.status(201).json(session)
  })
  router.get('/:id', async (req, res) => {
    const result = await run(req, async (db) => {
      const session = await findSession(db, req)
      return { session, plan: await store.frozenPlan(db, session.id) }
    })
    res.json(result)
  })
  router.put('/:id', leader, async (req, res) => {
    const input = await read(sessionSchema, req.body)
    const session = await run(req, async (db) => {
      const { id } = planned(await findSession(db, req, true))
      await mustExist(db, input)
      await store.saveSession(db, personOf(req).settingId, id, input)
      return store.getSession(db, id)
    })
    res.json(session)
  })
  router.put('/:id/decisions', leader, async (req, res) => {
    const { decisions } = await read(decisionsSchema, req.body)
    await run(req, async (db) => {
      const session = await findSession(db, req, true)
      // At the table decisions change only while somebody is here whom the plan in force does not know.
      if (!(await hasUnseen(db, session))) planned(session)
      await refuseSimulated(db, decisions)
      await store.saveDecisions(db, session.id, decisions)
      const cleared = decisions.filter((d) => d.kind === 'clear').length
      const before = session.decisions.filter((d) => d.kind === 'clear').length
      if (cleared > before) {
        await writeAudit(db, personOf(req).settingId, personOf(req).id, 'cleared a finding', session.id)
      }
    })
    res.json({ decisions })
  })

  // Cooking starts: the plan is compiled once more here, and frozen with the session.
  router.post('/:id/cook', async (req, res) => {
    const { digest, effort } = await read(cookSchema, req.body)
    const request = await run(req, async (db) => {
      const session = await findSession(db, req)
      return session.state === 'planned'
        ? { ...(await requestOf(db, session)), effort: effort ?? 'draft' }
        : null
    })
    if (request) {
      const plan = await plans.compile(request)
      const stops = openStops(plan)
      if (stops.length > 0) {
        throw new Fault(
          409,
          `${countText(stops.length, 'stop is', 'stops are')} still to settle`,
          'findings',
          { stops },
        )
      }
      if (digest && digest !== plan.digest) {
        throw new Fault(
          409,
          'the plan has changed since it was shown: look at it again, then start',
          'digest',
          { plan },
        )
      }
      await run(req, async (db) => {
        const session = await findSession(db, req, true)
        // Another device may have started while this one compiled; its frozen plan stands.
        if (session.state === 'planned') await store.freeze(db, session.id, plan)
      })
    }
    res.json(
      await run(req, async (db) => ({
        session: await findSession(db, req),
        plan: await store.frozenPlan(db, req.params['id']),
      })),
    )
  })

  // Somebody comes while the table is at work: the guest is kept, and every device stops until the plan has seen them.
  router.post('/:id/arrivals', async (req, res) => {
    const guest = await read(guestSchema, req.body)
    const answer = await run(req, async (db) => {
      const session = await findSession(db, req, true)
      if (session.state !== 'cooking')
        throw new Fault(409, 'cooking is not under way: add the guest under Who')
      const { date, start, until, recipe, children, guests, adults, seats } = session
      if (children.length + guests.length >= MAX_CHILDREN)
        throw new Fault(400, `a session holds ${MAX_CHILDREN}`, 'children')
      const others = guests.filter((g) => g.id !== guest.id)
      await store.saveSession(db, personOf(req).settingId, session.id, {
        date,
        start,
        until,
        recipe,
        children,
        guests: [...others, guest],
        adults,
        seats,
      })
      await tell(db, session.id, 'session')
      return store.getSession(db, session.id)
    })
    res.status(201).json(answer)
  })
  // The guest only looks on, and eats nothing: the plan in force stands.
  router.delete('/:id/arrivals/:guest', async (req, res) => {
    const answer = await run(req, async (db) => {
      const session = await findSession(db, req, true)
      const plan = await store.frozenPlan(db, session.id)
      const gone = req.params['guest']
      if (!plan || !childrenNotCoveredByPlan(plan, [{ id: gone }]).includes(gone))
        throw new Fault(409, 'the plan in force knows this guest')
      const { date, start, until, recipe, children, guests, adults, seats } = session
      await store.saveSession(db, personOf(req).settingId, session.id, {
        date,
        start,
        until,
        recipe,
        children,
        guests: guests.filter((g) => g.id !== gone),
        adults,
        seats,
      })
      await tell(db, session.id, 'session')
      return store.getSession(db, session.id)
    })
    res.json(answer)
  })
  // The plan for those who are here now. Ids hold between plans, so what was done stays done.
  router.post('/:id/replan', async (req, res) => {
    const request = await run(req, async (db) => {
      const session = await findSession(db, req)
      if (session.state !== 'cooking') throw new Fault(409, 'cooking is not under way')
      return requestOf(db, session)
    })
    const plan = await plans.compile(request)
    const stops = openStops(plan)
    if (stops.length > 0)
      throw new Fault(409, `${countText(stops.length, 'stop is', 'stops are')} still to settle`, 'findings', {
        stops,
      })
    await run(req, async (db) => {
      const session = await findSession(db, req, true)
      await store.freeze(db, session.id, plan)
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'planned anew at the table', session.id)
    })
    res.json(
      await run(req, async (db) => ({
        session: await findSession(db, req),
        plan: await store.frozenPlan(db, req.params['id']),
      })),
    )
  })
  return router
}

async function mustExist(
  db: Db,
  input: { recipe: string; children: string[]; adults: string[] },
): Promise<void> {
  if (!(await getRecipe(db, input.recipe)))
    throw new Fault(400, 'this recipe is not there (any more)', 'recipe')
  const children = new Set((await listChildren(db)).map((c) => c.id))
  if (input.children.some((id) => !children.has(id)))
    throw new Fault(400, 'a child is not there (any more)', 'children')
  const adults = new Set((await listAdults(db)).map((a) => a.id))
  if (input.adults.some((id) => !adults.has(id)))
    throw new Fault(400, 'an adult is not there (any more)', 'adults')
}

/** Is somebody at the table whom the frozen plan does not know, or not with this card? */
async function hasUnseen(db: Db, session: StoredSession): Promise<boolean> {
  const plan = session.state === 'cooking' ? await store.frozenPlan(db, session.id) : null
  if (!plan) return false
  return childrenNotCoveredByPlan(plan, atTable(session, await listChildren(db))).length > 0
}

/** A packet that the scanner stand-in made never counts as read outside the demo. */
async function refuseSimulated(db: Db, decisions: readonly Decision[]): Promise<void> {
  const used = decisions.flatMap((d) => (d.kind === 'packet' && d.packet ? [d.packet] : []))
  if (used.length === 0 || (await getSetting(db)).demo) return
  const simulated = await simulatedPackets(db)
  if (used.some((id) => simulated.has(id)))
    throw new Fault(409, 'a packet of the scanner stand-in never counts as read', 'decisions')
}
