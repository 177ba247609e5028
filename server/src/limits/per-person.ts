/** How much one person may ask for in a minute: one who asks for more (or whose tablet does) keeps nobody else waiting. */
import type { RequestHandler } from 'express'
import rateLimit from 'express-rate-limit'
import { personOf } from '../auth'
import { Fault } from '../fault'

const MINUTE_MS = 60_000

/** Counted by each server for itself: a line to the database for each tap would cost more than it saves. @param what in words: 'papers' */
export const perPerson = (most: number, what: string): RequestHandler =>
  rateLimit({
    windowMs: MINUTE_MS,
    limit: most,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    keyGenerator: (req) => personOf(req).id,
    handler: (_req, res) => {
      res.set('retry-after', '60')
      throw new Fault(429, `so many ${what} in one minute are too many (${most}): wait a minute`)
    },
  })

/** The same for what changes something. */
export function writesPerPerson(most: number): RequestHandler {
  const limit = perPerson(most, 'changes')
  return (req, res, next) => {
    if (req.method === 'GET') next()
    else void limit(req, res, next)
  }
}
