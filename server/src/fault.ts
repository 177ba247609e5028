/** Faults that a client may hear of: a status and one clear line, with the field where there is one. */
import type { ErrorRequestHandler, RequestHandler } from 'express'
import { ValidationError, type ISchema } from 'yup'

export class Fault extends Error {
  readonly status: number
  readonly field: string | undefined
  readonly more: Record<string, unknown>
  constructor(status: number, says: string, field?: string, more: Record<string, unknown> = {}) {
    super(says)
    this.status = status
    this.field = field
    this.more = more
  }
}

/** Reads a body by its schema. @throws Fault 400 that names the field and says what would be right */
export async function read<T>(schema: ISchema<T>, value: unknown): Promise<T> {
  try {
    return await schema.validate(value ?? {}, { abortEarly: true, stripUnknown: true })
  } catch (fault) {
    if (fault instanceof ValidationError) throw new Fault(400, fault.message, fault.path || undefined)
    // A schema that stumbles over what it was given has been given nothing it knows.
    throw new Fault(400, 'this is not in a shape that Lea reads')
  }
}

export const notFound = (what: string): Fault => new Fault(404, `${what} is not there (any more)`)

export const unknownRoute: RequestHandler = (req) => {
  throw new Fault(404, `nothing is served at ${req.method} ${req.path.slice(0, 100)}`)
}

interface KnownError {
  status?: number
  type?: string
  code?: string
  constraint?: string
  detail?: string
  message?: string
  limit?: number
}

/** What a quota counts, as people call it. */
const KIND_WORDS: Record<string, string> = { cupboard: 'foods in the cupboard', foods: 'foods of its own' }

/** Faults of the body parser and the database in plain words. */
function inWords(fault: KnownError): Fault | null {
  if (fault.type === 'entity.too.large')
    return new Fault(413, `the request is too large: at most ${Math.round((fault.limit ?? 0) / 1e6)} MB`)
  if (fault.type === 'entity.parse.failed') return new Fault(400, 'the body is not valid JSON')
  if (fault.type === 'encoding.unsupported' || fault.type === 'charset.unsupported') {
    return new Fault(415, 'the body must be JSON in UTF-8')
  }
  if (fault.type?.startsWith('request.')) return new Fault(400, 'the request was cut off')
  if (fault.status === 400) return new Fault(400, 'the request could not be read')
  if (fault.code === '23505') {
    return new Fault(
      409,
      fault.constraint?.includes('sign_in') ? 'this sign-in name is taken' : 'this is there already',
    )
  }
  // The setting has as much as it may have (migration 018): of what, and how many, stands in the fault.
  if (fault.code === '54000' && fault.constraint)
    return new Fault(
      409,
      `this setting has ${fault.detail ?? 'as many'} ${KIND_WORDS[fault.constraint] ?? fault.constraint}, the most that it may have: ask whoever runs this Lea for more`,
    )
  // No room on a disk, for what is kept or for what is sorted.
  if (fault.code === '53100' || fault.code === '53400')
    return new Fault(
      507,
      'the disk of the database is full: nothing new can be kept until whoever runs this Lea has made room. What is on this device stays',
    )
  if (fault.code === '57014' || fault.code === '55P03')
    return new Fault(503, 'this took too long in the database: try again in a moment')
  if (fault.code === '23503') return new Fault(409, 'something still uses this, or what it names is gone')
  if (fault.code?.startsWith('22')) return new Fault(400, 'the text holds characters that cannot be stored')
  if (['ECONNREFUSED', 'ECONNRESET', '57P01', '57P03', '08006'].includes(fault.code ?? '')) {
    return new Fault(503, 'the database does not answer just now: try again in a moment')
  }
  if (/timeout exceeded when trying to connect|Connection terminated/.test(fault.message ?? '')) {
    return new Fault(503, 'the database does not answer just now: try again in a moment')
  }
  return null
}

export const onFault: ErrorRequestHandler = (fault: unknown, req, res, next) => {
  if (res.headersSent) {
    next(fault)
    return
  }
  const known = fault instanceof Fault ? fault : inWords(fault ?? {})
  if (!known) req.log.error({ err: fault }, 'unexpected fault')
  // By its number whoever runs this Lea finds it in the log.
  const number = typeof req.id === 'string' ? req.id.slice(0, 8) : ''
  const answer =
    known ?? new Fault(500, `something went wrong on the server; nothing was changed (fault ${number})`)
  res.status(answer.status).json({ error: { says: answer.message, field: answer.field, ...answer.more } })
}
