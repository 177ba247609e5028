/**
 * How a server goes: it takes no new connection and says that it is not ready, so that a balancer turns to others; streams end at once (a page
 * opens them again, at another server); whoever waits for an answer gets it, for so long as there is patience.
 */
import type { Server } from 'node:http'
import type { RequestHandler, Response } from 'express'

/** What an answer may take at most: a paper of thirty children on a busy machine. */
const PATIENCE_MS = 20_000

/** What is on its way when the server is told to stop is still heard. */
const STILL_HEARD_MS = 500

/** Rounds of the event loop without a knock, after which nothing lies unread at the door of a server that was held up. */
const CALM_ROUNDS = 3
/** Whoever goes on knocking does not keep it from going. */
const MOST_ROUNDS = 60

export interface Stopping {
  /** Before all routes: knows every answer that is under way. */
  watch: RequestHandler
  /** How many wait for an answer; streams are none. */
  waiting: () => number
  hasBegun: () => boolean
  /** From now on it is not ready, and streams end. */
  begin: () => void
  /** The same, and takes no more. Resolves when the last answer is out, or patience is at its end: what is left is cut. */
  end: (server: Server, patience?: number) => Promise<void>
}

const isStream = (res: Response): boolean =>
  String(res.getHeader('content-type')).startsWith('text/event-stream')

export function openStopping(): Stopping {
  const open = new Set<Response>()
  let begun = false
  let knocks = 0
  const knock = (): void => {
    knocks += 1
  }
  /** Time alone says nothing: what was sent in time may still lie with the system while the server was at work. */
  const calm = async (): Promise<void> => {
    for (let quiet = 0, rounds = 0; quiet < CALM_ROUNDS && rounds < MOST_ROUNDS; rounds++) {
      const before = knocks
      await new Promise((done) => setImmediate(done))
      quiet = knocks === before ? quiet + 1 : 0
    }
  }
  const begin = (): void => {
    begun = true
    for (const res of open) if (isStream(res)) res.end()
  }
  return {
    watch: (_req, res, next) => {
      knock()
      open.add(res)
      res.on('close', () => open.delete(res))
      // A connection that is kept would hold the server up.
      if (begun) res.set('connection', 'close')
      next()
    },
    waiting: () => [...open].filter((res) => !isStream(res)).length,
    hasBegun: () => begun,
    begin,
    end: async (server, patience = PATIENCE_MS) => {
      begin()
      server.on('connection', knock)
      const cut = setTimeout(() => server.closeAllConnections(), patience)
      await new Promise((done) => setTimeout(done, STILL_HEARD_MS))
      await calm()
      const closed = new Promise((done) => server.close(done))
      server.closeIdleConnections()
      // An answer that ends leaves its connection idle.
      const sweep = setInterval(() => {
        for (const res of open) if (isStream(res)) res.end()
        server.closeIdleConnections()
      }, 50)
      await closed
      clearInterval(sweep)
      clearTimeout(cut)
    },
  }
}
