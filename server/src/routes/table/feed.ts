import { Router } from 'express'
import { inSetting } from '../../db/pool'
import { personOf, signInHolds } from '../../auth'
import { queryText } from '../../query'
import type { AppContext } from '../../context'
import type { News } from '../../live/table-feed'
import { findSession } from '../find-session'

/** A sign of life, so that nothing on the way takes the stream for dead. */
const STILL_HERE_MS = 20_000

/** News of one table as a stream of server-sent events (HTML standard, text/event-stream). */
export function liveRoutes({ pool, live }: AppContext): Router {
  const router = Router()
  router.get('/:id/live', async (req, res) => {
    const person = personOf(req)
    const { id } = await inSetting(pool, person.settingId, (db) => findSession(db, req, 'of-table'))
    const page = queryText(req.query['page'] ?? '')
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      // A proxy must not hold it back.
      'x-accel-buffering': 'no',
    })
    res.write('retry: 1000\n\n')
    // A page knows its own doing.
    const hear = (news: News, from: string): void => {
      if (from === '' || from !== page) res.write(`data: ${news}\n\n`)
    }
    const leaving = [
      live.listen(id, hear),
      // After a break whatever the setting keeps may be another.
      live.listen(person.settingId, (_news, from) => hear('setting', from)),
    ]
    // Who is signed out hears nothing more, also where the word of it was lost.
    const lookAgain = (): void => {
      void signInHolds(pool, req).then((holds) => {
        if (!holds) res.end()
      })
    }
    const unwatch = live.watch(person.id, lookAgain)
    const alive = setInterval(() => {
      res.write('event: alive\ndata: \n\n')
      lookAgain()
    }, STILL_HERE_MS)
    res.on('close', () => {
      clearInterval(alive)
      for (const leave of leaving) leave()
      unwatch()
    })
  })
  return router
}
