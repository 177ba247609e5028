import { Router, type Request } from 'express'
import { MAX_CHILDREN } from '@lea/core/plan'
import { guestSchema } from '@lea/core/schema'
import { childrenNotCoveredByPlan } from '@lea/core/session'
import { type StoredGuest, type StoredSession, inputsOf } from '@lea/core/setting'
import { personOf } from '../../auth'
import type { AppContext } from '../../context'
import { noteBy } from '../../db/audit'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { Fault, read } from '../../fault'
import { tell } from '../../live/table-feed'
import { findSession } from '../find-session'

/** Somebody comes while the table is at work. */
export function arrivalRoutes({ pool }: AppContext): Router {
  const router = Router()
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const withGuests = async (
    db: Db,
    req: Request,
    session: StoredSession,
    guests: StoredGuest[],
  ): Promise<StoredSession | null> => {
    await store.saveSession(db, personOf(req).settingId, session.id, { ...inputsOf(session), guests })
    await tell(db, session.id, 'session')
    return store.getSession(db, session.id)
  }

  // The guest is kept, and every device stops until the plan has seen them.
  router.post('/:id/arrivals', async (req, res) => {
    const guest = await read(guestSchema, req.body)
    const answer = await run(req, async (db) => {
      const session = await findSession(db, req, 'lock')
      if (session.state !== 'cooking')
        throw new Fault(409, 'cooking is not under way: add the guest under Who')
      const others = session.guests.filter((g) => g.id !== guest.id)
      if (session.children.length + others.length >= MAX_CHILDREN)
        throw new Fault(400, `a session holds ${MAX_CHILDREN}`, 'children')
      await noteBy(db, personOf(req), 'sessions', 'a guest came to the table', session.id)
      return withGuests(db, req, session, [...others, guest])
    })
    res.status(201).json(answer)
  })
  // The guest only looks on, and eats nothing: the plan in force stands.
  router.delete('/:id/arrivals/:guest', async (req, res) => {
    const answer = await run(req, async (db) => {
      const session = await findSession(db, req, 'lock')
      const plan = await store.frozenPlan(db, session.id)
      const gone = req.params['guest']
      if (!plan || !childrenNotCoveredByPlan(plan, [{ id: gone }]).includes(gone))
        throw new Fault(409, 'the plan at the table knows this guest')
      await noteBy(db, personOf(req), 'sessions', 'a guest only looks on', session.id)
      return withGuests(
        db,
        req,
        session,
        session.guests.filter((g) => g.id !== gone),
      )
    })
    res.json(answer)
  })
  return router
}
