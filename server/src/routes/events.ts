import { Router, type Request } from 'express'
import { eventsSchema } from '@lea/core/schema'
import type { TableEvent } from '@lea/core/session'
import { now } from '../clock'
import { inSetting, type Db } from '../db/pool'
import * as store from '../db/sessions'
import { refreshSeen, refreshSkills } from '../db/child-progress'
import { personOf } from '../auth'
import { Fault, read } from '../fault'
import type { AppContext } from '../context'
import { isUuid } from '../uuid'
import { findSession } from './find-session'
import { queryText } from '../query'

/** What happens at a table: all after a number, and what a device has to add. */
export function eventRoutes({ pool }: AppContext): Router {
  const router = Router()
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)

  router.get('/:id/events', async (req, res) => {
    const after = Number.parseInt(queryText(req.query['after']) || '0', 10)
    if (!Number.isSafeInteger(after) || after < 0)
      throw new Fault(400, 'after must be a whole number', 'after')
    res.json(
      await run(req, async (db) => {
        const session = await findSession(db, req)
        // Clocks of devices differ: they stamp their events by this one.
        return { ...(await store.listEvents(db, session.id, after)), now: now().toISOString() }
      }),
    )
  })
  router.post('/:id/events', async (req, res) => {
    const { events } = await read(eventsSchema, req.body)
    if (events.some((e) => e.kind === 'incident-seen') && personOf(req).role !== 'owner')
      throw new Fault(403, 'only the owner may say that it was read')
    const last = await run(req, async (db) => {
      const session = await findSession(db, req, true)
      if (session.state === 'planned') throw new Fault(409, 'cooking has not begun: there is no table yet')
      const list = events
      const number = await store.appendEvents(db, personOf(req).settingId, session.id, personOf(req).id, list)
      if (list.some((e) => e.kind === 'finish')) await store.setState(db, session.id, 'finished')
      // What was seen of a technique moves the next plan; a tap taken back may have been such a one. What was said moves it from
      // the end of the session on.
      const ends = session.state === 'finished' || list.some((e) => e.kind === 'finish')
      const touched = seenIn(list)
      if (ends && list.some((e) => NEXT_PLAN.has(e.kind)))
        await refreshSkills(db, personOf(req).settingId, session.children)
      else if (touched)
        await refreshSeen(db, personOf(req).settingId, touched === 'all' ? session.children : touched)
      return number
    })
    res.json({ last })
  })
  return router
}

/** What the next plan is made from, once a session is over. */
const NEXT_PLAN = new Set<TableEvent['kind']>(['finish', 'step', 'turn', 'skip', 'skill', 'talk', 'undo'])

/** Whose techniques these events touch; a tap taken back may have been of anybody. */
function seenIn(events: readonly TableEvent[]): string[] | 'all' | null {
  if (events.some((e) => e.kind === 'undo')) return 'all'
  const of = events.flatMap((e) => (e.kind === 'skill' ? [e.body.child] : []))
  return of.length > 0 ? of.filter(isUuid) : null
}
