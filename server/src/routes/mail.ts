import { Router } from 'express'
import { atLeast, personOf } from '../auth'
import { notFound } from '../fault'
import type { AppContext } from '../context'

/** The outbox of the mail stand-in: letters of this setting as message files. */
export function postRoutes({ post }: AppContext): Router {
  const router = Router()
  router.use(atLeast('leader'))
  router.get('/', async (req, res) => {
    res.json({ letters: await post.list(personOf(req).settingId) })
  })
  router.get('/:name', async (req, res) => {
    const letter = await post.read(personOf(req).settingId, req.params.name)
    if (!letter) throw notFound('this letter')
    res.attachment(req.params.name).type('message/rfc822').send(letter)
  })
  return router
}
