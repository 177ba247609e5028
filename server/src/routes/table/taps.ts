import { randomUUID } from 'node:crypto'
import express, { Router, type Request, type RequestHandler } from 'express'
import type { Pool } from 'pg'
import { eventsSchema } from '@lea/core/schema'
import type { TableEvent } from '@lea/core/session'
import { type SignedIn, holding, pageOf, personOf, sameOrigin, settleWho } from '../../auth'
import { plainKeys, shallow } from '../../body'
import type { AppContext } from '../../context'
import { writeAudit } from '../../db/audit'
import { markDue, settleProgress } from '../../db/child-progress'
import { inSetting } from '../../db/pool'
import * as store from '../../db/sessions'
import { readSignIn } from '../../db/sign-ins'
import { openTaps, type Taken } from '../../db/taps'
import { Fault, notFound, read } from '../../fault'
import { isUuid } from '../../uuid'
import { findSession } from '../find-session'

/** Beyond so many all are forgotten, and read once more. */
const MOST_KNOWN = 10_000

/**
 * What is tapped at a table. There are more taps than of all else together: they are taken before whatever only other requests need, and whose
 * sign-in it is, is asked in the same way to the database as the taps go.
 * @param shared.signIns reads a sign-in from its cookie @param shared.writes counts the changes of a person
 */
export function tapRoutes(
  { pool, log }: AppContext,
  shared: { signIns: RequestHandler; writes: RequestHandler },
): Router {
  const router = Router()
  const take = openTaps(pool)
  const known = new Map<string, { signIn: string; person: SignedIn }>()
  const cookieOf = (req: Request): string => /(?:^|;\s*)lea=([^;]*)/.exec(req.headers.cookie ?? '')?.[1] ?? ''

  const begin: RequestHandler = (req, res, next) => {
    req.id = randomUUID()
    req.log = log
    res.setHeader('x-request-id', req.id)
    res.setHeader('cache-control', 'no-store')
    res.setHeader('x-content-type-options', 'nosniff')
    res.on('finish', () => {
      if (res.statusCode >= 500) log.error({ id: req.id, status: res.statusCode }, 'taps were not taken')
    })
    next()
  }
  // A cookie that was let through once is of this sign-in for ever: its seal need not be tried again. Whether the sign-in still holds is asked below.
  const recognise: RequestHandler = (req, _res, next) => {
    const found = known.get(cookieOf(req))
    if (found) req.person = found.person
    next()
  }
  const unlessKnown =
    (handler: RequestHandler): RequestHandler =>
    (req, res, next) =>
      req.person ? next() : handler(req, res, next)
  const remember: RequestHandler = (req, res, next) => {
    const cookie = cookieOf(req)
    const own = known.get(cookie) ?? { signIn: req.sessionID, person: personOf(req) }
    if (!known.has(cookie) && known.size >= MOST_KNOWN) known.clear()
    known.set(cookie, own)
    // Kept with the request: others may have it forgotten before this one is read.
    res.locals['signIn'] = own.signIn
    next()
  }

  router.post(
    '/:id/events',
    begin,
    sameOrigin,
    recognise,
    unlessKnown(shared.signIns),
    unlessKnown(settleWho(pool)),
    remember,
    shared.writes,
    express.json({ limit: '1mb', reviver: plainKeys }),
    shallow,
    async (req, res) => {
      const { events } = await read(eventsSchema, req.body)
      if (events.some((e) => e.kind === 'reopen'))
        throw new Fault(403, 'a session that is over is opened again from its record, with a reason')
      const session = String(req.params['id'])
      if (!isUuid(session)) throw notFound('this session')
      const { last, due } = await taken(req, String(res.locals['signIn']), session, events)
      const answer = JSON.stringify({ last })
      // In one piece: a tap's answer is the shortest there is, and there are most of it.
      res.setHeader('content-type', 'application/json; charset=utf-8')
      res.setHeader('content-length', answer.length)
      res.end(answer)
      // Added up after the answer, outside the table's lock: nobody at the table waits for it.
      if (due)
        settleProgress(pool, personOf(req).settingId).catch((fault: unknown) => {
          log.error({ err: fault }, 'what a session shows could not be added up yet: the next plan does it')
        })
    },
  )
  return router

  async function taken(req: Request, signIn: string, session: string, events: TableEvent[]): Promise<Taken> {
    const has = (kinds: ReadonlySet<TableEvent['kind']>): boolean => events.some((e) => kinds.has(e.kind))
    try {
      if (has(LAST)) return await takeLast(pool, req, signIn, events)
      return await take(session, {
        signIn,
        setting: personOf(req).settingId,
        events,
        ownerOnly: has(OF_OWNER),
        from: pageOf(req),
        // What was seen of a technique moves the next plan at once; all else does once the session is over.
        moves: { atOnce: has(SEEN), atEnd: has(NEXT_PLAN) },
      })
    } catch (fault) {
      if (fault instanceof Fault && fault.status === 401) known.delete(cookieOf(req))
      throw fault
    }
  }
}

/** Taps that end the session, with what was tapped before it. */
async function takeLast(pool: Pool, req: Request, signIn: string, events: TableEvent[]): Promise<Taken> {
  const found = await readSignIn(pool, signIn)
  const person = found?.kept.person ? holding(found.kept.person, found.person) : null
  if (!person) throw new Fault(401, 'this sign-in has ended: please sign in again')
  if (person.role !== 'owner' && events.some((e) => OF_OWNER.has(e.kind)))
    throw new Fault(403, 'only the owner may say that it was read')
  req.person = person
  const { settingId, id: by } = person
  return inSetting(pool, settingId, async (db) => {
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

type Kinds = ReadonlySet<TableEvent['kind']>
const LAST: Kinds = new Set(['finish'])
const OF_OWNER: Kinds = new Set(['incident-seen'])
/** What the next plan is made from, once a session is over. */
const NEXT_PLAN: Kinds = new Set(['finish', 'step', 'turn', 'skip', 'skill', 'talk', 'taste', 'undo'])
/** The same while it goes on. */
const SEEN: Kinds = new Set(['skill', 'undo'])

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
