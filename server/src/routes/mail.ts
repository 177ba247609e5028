import { Router, type Request } from 'express'
import { noteBy } from '../db/audit'
import { atLeast, personOf } from '../auth'
import type { AppContext } from '../context'
import { getLetter, listLetters } from '../db/letters'
import { inSetting, type Db } from '../db/pool'
import { notFound } from '../fault'

/** The outbox of the mail stand-in: letters of this setting as message files. */
export function postRoutes({ pool }: AppContext): Router {
  const router = Router()
  const run = <T>(req: Request, work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  router.use(atLeast('leader'))
  router.get('/', async (req, res) => {
    res.json({ letters: await run(req, listLetters) })
  })
  router.get('/:name', async (req, res) => {
    const { name } = req.params
    const letter = await run(req, async (db) => {
      const found = await getLetter(db, name)
      if (found) await noteBy(db, personOf(req), 'records', 'took out a letter')
      return found
    })
    if (!letter) throw notFound('this letter')
    res.attachment(name).type('message/rfc822').send(letter)
  })
  return router
}
