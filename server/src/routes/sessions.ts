import { Router, type Request } from 'express'
import { randomUUID } from 'node:crypto'
import { countText, dayAfter } from '@lea/core/amount'
import { sessionChangesSchema, sessionSchema } from '@lea/core/schema'
import { withChanges } from '@lea/core/setting'
import { atLeast, pageOf, personOf } from '../auth'
import { todayOf } from '../db/settings'
import type { AppContext } from '../context'
import { inSetting, type Db } from '../db/pool'
import * as store from '../db/sessions'
import { Fault, read } from '../fault'
import { tell } from '../live/table-feed'
import { noteBy } from '../db/audit'
import { findSession } from './find-session'
import { keepChanges, mayChange, mustExist } from './session-changes'

/** So far back does the list of sessions reach. */
const DIARY_DAYS = 120

/** Sessions: inputs and decisions; the frozen plan once cooking starts; the events of the table. */
export function sessionRoutes({ pool }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)

  router.get('/', async (req, res) => {
    res.json(
      await run(req, async (db) => {
        const day = await todayOf(db)
        // A term and its holidays back; what is older stands in the record.
        const days =
          personOf(req).role === 'helper' ? { from: day, to: day } : { from: dayAfter(day, -DIARY_DAYS) }
        return store.listSessions(db, days)
      }),
    )
  })
  router.post('/', leader, async (req, res) => {
    const input = await read(sessionSchema, req.body)
    const id = randomUUID()
    const session = await run(req, async (db) => {
      await mustExist(db, input)
      await store.saveSession(db, personOf(req).settingId, id, input)
      await noteBy(db, personOf(req), 'sessions', `planned a session for ${input.date}`, id)
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
  // What was changed, as operations: two people at one session keep what both of them did.
  router.post('/:id/changes', leader, async (req, res) => {
    const { changes } = await read(sessionChangesSchema, req.body)
    const session = await run(req, async (db) => {
      const before = await findSession(db, req, 'lock')
      await mayChange(db, before, changes)
      const { session: after, conflicts } = withChanges(before, changes)
      if (conflicts.length > 0)
        throw new Fault(
          409,
          `${countText(conflicts.length, 'change meets', 'changes meet')} what somebody else has changed meanwhile`,
          'changes',
          { conflicts, session: before },
        )
      await keepChanges(db, personOf(req), before, after)
      await tell(db, before.id, 'session', pageOf(req))
      return store.getSession(db, before.id)
    })
    res.json({ session })
  })

  return router
}
