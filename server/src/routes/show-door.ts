import { createHmac, randomInt } from 'node:crypto'
import express, { Router, type Request } from 'express'
import rateLimit from 'express-rate-limit'
import * as yup from 'yup'
import { plainKeys, shallow } from '../body'
import { now } from '../clock'
import type { AppContext } from '../context'
import { screenOfCode, screenOfId, type SecondScreen } from '../db/second-screens'
import { Fault, read } from '../fault'
import { frameOf } from '../live/screen-frame'

declare module 'express-session' {
  interface SessionData {
    /** Id of the second screen that this browser is. It opens pictures and nothing else. */
    screen: string
  }
}

/** Letters and digits that nobody mistakes for one another; six of them. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'
const LENGTH = 6
/** A code as it is read out: three and three. */
export const newCode = (): string =>
  Array.from({ length: LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')

/** What is kept of a code. */
export const hashOfCode = (secret: string, code: string): string =>
  createHmac('sha256', secret)
    .update(JSON.stringify(['second screen', code]))
    .digest('base64')

const codeSchema = yup
  .object({
    code: yup
      .string()
      .transform((text: unknown) =>
        String(text)
          .toUpperCase()
          .replace(/[^A-Z0-9]/g, ''),
      )
      .matches(new RegExp(`^[${LETTERS}]{${LENGTH}}$`), 'A code has six letters or digits')
      .required('The code is missing'),
  })
  .noUnknown()
import { triesInDatabase } from '../limits/tries'

/** So many codes that open nothing may be tried from one address in a quarter of an hour. */
const MOST_TRIES = 20
const WINDOW_MS = 15 * 60_000
/** A sign of life on the stream, and a look whether the screen still lasts. */
const STILL_HERE_MS = 20_000
const ENDED = 'this code opens nothing (any more): ask at the table for a new one'

/** The children's screen on a second device: a code instead of a sign-in, pictures instead of data. */
export function showDoorRoutes({ pool, live, secrets }: AppContext): Router {
  const router = Router()
  const limit = rateLimit({
    windowMs: WINDOW_MS,
    store: triesInDatabase(pool, 'a code', WINDOW_MS),
    limit: MOST_TRIES,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new Fault(429, 'too many codes were tried: wait a quarter of an hour')
    },
  })
  const screenOf = async (req: Request): Promise<SecondScreen> => {
    const id = req.session.screen
    const screen = id === undefined ? null : await screenOfId(pool, id)
    if (!screen) throw new Fault(410, ENDED)
    return screen
  }

  router.post(
    '/show',
    limit,
    express.json({ limit: '1kb', reviver: plainKeys }),
    shallow,
    async (req, res) => {
      const { code } = await read(codeSchema, req.body)
      const screen = await screenOfCode(pool, hashOfCode(secrets[0] ?? '', code))
      if (!screen || !(await frameOf(pool, screen))) throw new Fault(404, ENDED)
      req.session.screen = screen.id
      res.status(204).end()
    },
  )

  router.get('/show/frame', async (req, res) => {
    const frame = await frameOf(pool, await screenOf(req))
    if (!frame) throw new Fault(410, ENDED)
    res.json({ frame, now: now().toISOString() })
  })

  router.get('/show/live', async (req, res) => {
    const screen = await screenOf(req)
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    })
    res.write('retry: 1000\n\n')
    // What there is to see is asked for; the stream itself says nothing.
    const leave = live.listen(screen.sessionId, () => res.write('data: look\n\n'))
    const alive = setInterval(() => {
      res.write('event: alive\ndata: \n\n')
      screenOfId(pool, screen.id).then(
        (still) => {
          if (!still) res.end()
        },
        () => undefined,
      )
    }, STILL_HERE_MS)
    res.on('close', () => {
      clearInterval(alive)
      leave()
    })
  })
  return router
}
