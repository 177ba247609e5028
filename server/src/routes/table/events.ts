import { Router, type Request } from 'express'
import { eventsSchema } from '@lea/core/schema'
import type { TableEvent } from '@lea/core/session'
import { now } from '../../clock'
import { inSetting, type Db } from '../../db/pool'
import * as store from '../../db/sessions'
import { writeAudit } from '../../db/audit'
import { takeTaps } from '../../db/taps'
import { isUuid } from '../../uuid'
import { markDue, settleProgress } from '../../db/child-progress'
import { pageOf, personOf } from '../../auth'
import { Fault, notFound, read } from '../../fault'
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
    const { settingId: setting, id: by, role } = personOf(req)
    const session = req.params['id']
    if (!isUuid(session)) throw notFound('this session')
    const has = (kinds: ReadonlySet<TableEvent['kind']>): boolean => events.some((e) => kinds.has(e.kind))
    const { last, due } = events.some((e) => e.kind === 'finish')
      ? await takeLast(req, events)
      : await takeTaps(pool, {
          setting,
          session,
          by,
          isHelper: role === 'helper',
          events,
          from: pageOf(req),
          // What was seen of a technique moves the next plan at once; all else does once the session is over.
          moves: { atOnce: has(SEEN), atEnd: has(NEXT_PLAN) },
        })
    res.json({ last })
    // Added up after the answer, outside the table's lock: nobody at the table waits for it.
    if (due)
      settleProgress(pool, setting).catch((fault: unknown) => {
        req.log.error({ err: fault }, 'what a session shows could not be added up yet: the next plan does it')
      })
  })
  return router

  /** Taps that end the session, with what was tapped before it. */
  async function takeLast(req: Request, events: TableEvent[]): Promise<{ last: number; due: boolean }> {
    const { settingId, id: by } = personOf(req)
    return run(req, async (db) => {
      const session = await findSession(db, req, 'taps')
      if (session.state === 'planned') throw new Fault(409, 'cooking has not begun: there is no table yet')
      refuseWild(events, await store.lastEvent(db, session.id))
      const last = await store.appendEvents(db, settingId, session.id, by, events, pageOf(req))
      await store.finish(db, session.id)
      await writeAudit(db, settingId, by, 'sessions', 'closed a session', session.id)
      await markDue(db, session.id)
      return { last, due: true }
    })
  }
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
