import { Router } from 'express'
import { now } from '../../clock'
import { inSetting } from '../../db/pool'
import * as store from '../../db/sessions'
import { personOf } from '../../auth'
import { Fault } from '../../fault'
import type { AppContext } from '../../context'
import { findSession } from '../find-session'
import { queryText } from '../../query'

/** What happened at a table, after a number; what is tapped comes in by ./taps.ts. */
export function eventRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.get('/:id/events', async (req, res) => {
    const after = Number.parseInt(queryText(req.query['after']) || '0', 10)
    if (!Number.isSafeInteger(after) || after < 0)
      throw new Fault(400, 'after must be a whole number', 'after')
    res.json(
      await inSetting(pool, personOf(req).settingId, async (db) => {
        const session = await findSession(db, req, 'of-table')
        // Clocks of devices differ: they stamp their events by this one.
        return { ...(await store.listEvents(db, session.id, after)), now: now().toISOString() }
      }),
    )
  })
  return router
}
