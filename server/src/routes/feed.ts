import { Router } from 'express'
import { inSetting } from '../db/pool'
import { personOf } from '../auth'
import type { AppContext } from '../context'
import { findSession } from './find-session'

/** A sign of life, so that nothing on the way takes the stream for dead. */
const STILL_HERE_MS = 20_000

/** News of one table as a stream of server-sent events (HTML standard, text/event-stream). */
export function liveRoutes({ pool, live }: AppContext): Router {
  const router = Router()
  router.get('/:id/live', async (req, res) => {
    const { id } = await inSetting(pool, personOf(req).settingId, (db) => findSession(db, req))
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      // A proxy must not hold it back.
      'x-accel-buffering': 'no',
    })
    res.write('retry: 1000\n\n')
    const leave = live.listen(id, (news) => res.write(`data: ${news}\n\n`))
    const alive = setInterval(() => res.write(': still here\n\n'), STILL_HERE_MS)
    res.on('close', () => {
      clearInterval(alive)
      leave()
    })
  })
  return router
}
