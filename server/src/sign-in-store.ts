/**
 * Who is signed in, in PostgreSQL. A sign-in lasts as long as it is used; that it is used is written down every few minutes, not at each
 * request: one commit less for every tap.
 */
import connectPgSimple from 'connect-pg-simple'
import session from 'express-session'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { type Person, readSignIn } from './db/sign-ins'

const TOUCHED_EVERY_MS = 5 * 60_000
/** Beyond so many all are forgotten, and written down once more. */
const MOST_KNOWN = 10_000

const Store = connectPgSimple(session)

/** Who it is now, of a sign-in that was just read: found in the same way to the database. */
const found = new WeakMap<object, Person | null>()
/** @param known as the sign-in keeps it @returns undefined where it was not read from the store just now */
export const personJustRead = (known: object): Person | null | undefined => found.get(known)

class SignIns extends Store {
  private readonly touched = new Map<string, number>()

  private readonly database: Pool

  constructor(pool: Pool, options: connectPgSimple.PGStoreOptions) {
    super({ ...options, pool })
    this.database = pool
  }

  override get(sid: string, done: (fault: unknown, data?: session.SessionData | null) => void): void {
    readSignIn(this.database, sid).then((read) => {
      if (read?.kept.person) found.set(read.kept.person, read.person)
      done(null, read ? (read.kept as session.SessionData) : null)
    }, done)
  }

  override touch(sid: string, data: session.SessionData, done?: () => void): void {
    const now = Date.now()
    if (now - (this.touched.get(sid) ?? 0) < TOUCHED_EVERY_MS) {
      done?.()
      return
    }
    if (this.touched.size >= MOST_KNOWN) this.touched.clear()
    this.touched.set(sid, now)
    super.touch(sid, data, done)
  }
}

export const signInStore = (pool: Pool, log: Logger): session.Store =>
  new SignIns(pool, {
    tableName: 'sign_ins',
    pruneSessionInterval: 3600,
    errorLog: (...fault) => log.error({ fault: fault.map(String) }, 'sign-ins could not be read or written'),
  })
