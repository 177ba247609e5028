/** Bodies of requests: what is no plain data is let go before a schema looks at it. */
import type { RequestHandler } from 'express'
import { Fault } from './fault'

/** So deep is no shape of Lea's: a recipe in a plan in an archive is twelve. */
const DEEPEST = 30

/** Names that every object answers to: they are never fields of Lea, and schemas take them for their own. */
const NOT_FIELDS = new Set(['__proto__', ...Object.getOwnPropertyNames(Object.prototype)])

/** For `JSON.parse`: such a member is as if it had not been sent. */
export const plainKeys = (key: string, value: unknown): unknown => (NOT_FIELDS.has(key) ? undefined : value)

/** Lets a body through that is no deeper than anything of Lea's. @throws Fault 400 */
export const shallow: RequestHandler = (req, _res, next) => {
  if (depthOver(req.body, DEEPEST)) throw new Fault(400, 'the body is nested too deeply')
  next()
}

function depthOver(value: unknown, left: number): boolean {
  if (typeof value !== 'object' || value === null) return false
  return left === 0 || Object.values(value).some((v) => depthOver(v, left - 1))
}
