/** The door: who is signed in, what they may do, and where writes may come from. */
import type { Request, RequestHandler } from 'express'
import type { Pool } from 'pg'
import type { PersonRole } from '@lea/core/schema'
import { LIFE_MS, type Person, personOfSignIn } from './db/sign-ins'
import { Fault } from './fault'
import { personJustRead } from './sign-in-store'

export type SignedIn = Omit<Person, 'round'>

declare module 'express-session' {
  interface SessionData {
    /** Whose sign-in it is. What they may do is asked at each request, and kept nowhere. */
    person: { id: string; round: number; since: string; device: string }
  }
}
declare global {
  // eslint-disable-next-line @typescript-eslint/no-namespace -- how Express lets a request be added to
  namespace Express {
    interface Request {
      person?: SignedIn
    }
  }
}

/** A sign-in that nobody uses ends after a day. */
export const IDLE_MS = 24 * 3600_000

/**
 * Settles who is asking, before anything else of a request is read: by the id that the sign-in keeps, looked up anew each time.
 * @throws Fault 401 where nobody is signed in, or their sign-in has ended
 */
export const settleWho =
  (pool: Pool): RequestHandler =>
  async (req, _res, next) => {
    if (!req.session.person) throw new Fault(401, 'please sign in')
    const just = personJustRead(req.session.person)
    const person = just === undefined ? await whoHolds(pool, req) : holding(req.session.person, just)
    if (!person) {
      await new Promise<void>((done) => req.session.destroy(() => done()))
      throw new Fault(401, 'this sign-in has ended: please sign in again')
    }
    const { id, settingId, name, role } = person
    req.person = { id, settingId, name, role }
    next()
  }

/** Whose sign-in it is, as they are now; null where it has ended. */
async function whoHolds(pool: Pool, req: Request): Promise<Person | null> {
  const known = req.session.person
  return known ? holding(known, await personOfSignIn(pool, known.id)) : null
}

/** @param known as the sign-in keeps it @param person as they are now @returns null where it has ended */
export function holding(known: { round: number; since: string }, person: Person | null): Person | null {
  if (person?.round !== known.round) return null
  return Date.now() - Date.parse(known.since) > LIFE_MS ? null : person
}

/** Does the sign-in of a request that goes on for long still hold? Where the database does not answer, it is taken to. */
export const signInHolds = (pool: Pool, req: Request): Promise<boolean> =>
  whoHolds(pool, req).then(
    (person) => person !== null,
    () => true,
  )

/** Which page is asking, by the name it gave itself: so that it is not told of its own doing. */
export const pageOf = (req: Request): string =>
  (req.get('x-lea-page') ?? '').replace(/[^\w-]/g, '').slice(0, 60)

/** @throws Fault 401 where nobody is signed in */
export function personOf(req: Request): SignedIn {
  if (!req.person) throw new Fault(401, 'please sign in')
  return req.person
}

const RANK: Record<PersonRole, number> = { helper: 0, leader: 1, owner: 2 }

/** Lets through who has at least this role. */
export const atLeast =
  (role: PersonRole): RequestHandler =>
  (req, _res, next) => {
    if (RANK[personOf(req).role] < RANK[role]) {
      throw new Fault(403, `only ${role === 'owner' ? 'the owner' : 'a leader'} may do this`)
    }
    next()
  }

/** Writes come from this application's own pages only. */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(req.method)) {
    next()
    return
  }
  const origin = req.get('origin')
  const host = req.get('host')
  let from: string | undefined
  try {
    from = origin === undefined ? undefined : new URL(origin).host
  } catch {
    from = undefined
  }
  if (!host || from !== host) throw new Fault(403, 'writes are taken from the pages of this address only')
  next()
}
