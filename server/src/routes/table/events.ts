import { Router, type Request } from 'express'
import { eventsSchema } from '@lea/core/schema'
import type { TableEvent } from '@lea/core/session'
import { now } from '../../clock'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { markDue, settleProgress } from '../../db/child-progress'
import { pageOf, personOf } from '../../auth'
import { Fault, read } from '../../fault'
import type { AppContext } from '../../context'
import { findSession } from '../find-session'
import { queryText } from '../../query'

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
        const session = await findSession(db, req, 'of-table')
        // Clocks of devices differ: they stamp their events by this one.
        return { ...(await store.listEvents(db, session.id, after)), now: now().toISOString() }
      }),
    )
  })
  router.post('/:id/events', async (req, res) => {
    const { events } = await read(eventsSchema, req.body)
    if (events.some((e) => e.kind === 'incident-seen') && personOf(req).role !== 'owner')
      throw new Fault(403, 'only the owner may say that it was read')
    if (events.some((e) => e.kind === 'reopen'))
      throw new Fault(403, 'a session that is over is opened again from its record, with a reason')
    const { settingId, id: by } = personOf(req)
    const { last, due } = await run(req, async (db) => {
      const session = await findSession(db, req, 'taps')
      if (session.state === 'planned') throw new Fault(409, 'cooking has not begun: there is no table yet')
      refuseWild(events, await store.lastEvent(db, session.id))
      const number = await store.appendEvents(db, settingId, session.id, by, events, pageOf(req))
      const ends = events.some((e) => e.kind === 'finish')
      if (ends) await store.finish(db, session.id)
      // What was seen of a technique moves the next plan at once; all else does once the session is over.
      const moves = ends || session.state === 'finished' ? NEXT_PLAN : SEEN
      const moved = ends || events.some((e) => moves.has(e.kind))
      if (moved) await markDue(db, session.id)
      return { last: number, due: moved }
    })
    res.json({ last })
    // Added up after the answer, outside the table's lock: nobody at the table waits for it.
    if (due)
      settleProgress(pool, settingId).catch((fault: unknown) => {
        req.log.error({ err: fault }, 'what a session shows could not be added up yet: the next plan does it')
      })
  })
  return router
}

/** What the next plan is made from, once a session is over. */
const NEXT_PLAN = new Set<TableEvent['kind']>([
  'finish',
  'step',
  'turn',
  'skip',
  'skill',
  'talk',
  'taste',
  'undo',
])
/** The same while it goes on. */
const SEEN = new Set<TableEvent['kind']>(['skill', 'undo'])

/** So far ahead of what is known may a device that was long without a network be. */
const MOST_AHEAD = 100_000

/**
 * A device's counter goes up by one with each tap of anybody: one that leaps would drag every other device along.
 * @throws Fault 400
 */
function refuseWild(events: readonly TableEvent[], last: number): void {
  const wild = events.find((e) => e.lamport > last + MOST_AHEAD)
  if (wild) throw new Fault(400, `the counter of this device has leapt to ${wild.lamport}`, 'events')
}
