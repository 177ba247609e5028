/**
 * How many questions of one setting are worked at at once, however many it asks: the server's own thread takes up the next one of each in turn.
 * Taps and streams are apart: a table waits for nothing that its setting has asked for beside it.
 */
import type { Request, RequestHandler } from 'express'
import { personOf } from '../auth'
import { openTurns, type Turns } from './turns'

const BOUNDS = { atOnce: 64, mostEach: 300, most: 3000, patienceMs: 60_000 }

/** What waits for a thread of its own holds up nothing else of its setting. */
const AT_THE_DESK = /\/(papers|family|record|export|shopping\.csv)(\/|$)/
const APART = /\/(events|live|scale|probe|archive)$/

export function fairShare(): RequestHandler {
  const desk = openTurns({ ...BOUNDS, atOnceEach: 3 })
  const rest = openTurns({ ...BOUNDS, atOnceEach: 6 })
  const turnsOf = ({ path }: Request): Turns | null =>
    APART.test(path) ? null : AT_THE_DESK.test(path) ? desk : rest
  return (req, res, next) => {
    const turns = turnsOf(req)
    if (!turns) {
      next()
      return
    }
    const left = new AbortController()
    const closed = new Promise<void>((done) => {
      res.on('close', () => {
        left.abort()
        done()
      })
    })
    turns
      .take(
        personOf(req).settingId,
        () => {
          next()
          return closed
        },
        left.signal,
      )
      .catch(next)
  }
}
