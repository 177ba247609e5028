/** The door: who is signed in, what they may do, and where writes may come from. */
import type { Request, RequestHandler } from 'express'
import type { PersonRole } from '@lea/core/schema'
import { Fault } from './fault'

export interface SignedIn {
  id: string
  settingId: string
  name: string
  role: PersonRole
}

declare module 'express-session' {
  interface SessionData {
    person: SignedIn
  }
}

/** @throws Fault 401 where nobody is signed in */
export function personOf(req: Request): SignedIn {
  const person = req.session.person
  if (!person) throw new Fault(401, 'please sign in')
  return person
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
