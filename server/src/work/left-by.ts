/** What concerns every answer. */
import type { Response } from 'express'

/** Set off where whoever asked has gone before the answer was out. */
export function leftBy(res: Response): AbortSignal {
  const left = new AbortController()
  res.on('close', () => {
    if (!res.writableFinished) left.abort()
  })
  return left.signal
}
