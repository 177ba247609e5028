/**
 * How often a sign-in may fail. By address and name, so that one who forgot a password does not shut out a whole house behind one router; by
 * address, so that nobody tries many names; by name, so that many addresses do not try one.
 */
import type { Request, RequestHandler } from 'express'
import rateLimit, { ipKeyGenerator } from 'express-rate-limit'
import type { Pool } from 'pg'
import { Fault } from '../fault'
import { triesInDatabase } from './tries'

const WINDOW_MS = 15 * 60 * 1000
/** As many times what one name may fail from one address. */
const OF_ADDRESS = 5
const OF_NAME = 5

const nameOf = (req: Request): string => {
  const { signIn } = Object(req.body) as { signIn?: unknown }
  return typeof signIn === 'string' ? signIn.slice(0, 40).toLowerCase() : ''
}
const addressOf = (req: Request): string => ipKeyGenerator(req.ip ?? '')

/** @param most failures of one name from one address in a quarter of an hour @returns puts them around what reads the body */
export function doorLimits(pool: Pool, most: number): (...body: RequestHandler[]) => RequestHandler[] {
  const limit = (what: string, limit: number, keyGenerator: (req: Request) => string): RequestHandler =>
    rateLimit({
      windowMs: WINDOW_MS,
      store: triesInDatabase(pool, what, WINDOW_MS),
      limit,
      keyGenerator,
      skipSuccessfulRequests: true,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Fault(429, 'too many tries: wait a quarter of an hour, or ask the owner for a new password')
      },
    })
  const address = limit('the door', most * OF_ADDRESS, addressOf)
  const both = limit('a name at the door', most, (req) => `${addressOf(req)} ${nameOf(req)}`)
  const name = limit('a name', most * OF_NAME, nameOf)
  return (...body) => [address, ...body, both, name]
}
