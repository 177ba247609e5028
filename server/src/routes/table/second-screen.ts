import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import * as yup from 'yup'
import { personOf } from '../../auth'
import type { AppContext } from '../../context'
import { noteBy, writeAudit } from '../../db/audit'
import { inSetting } from '../../db/pool'
import { endScreens, putScreen } from '../../db/second-screens'
import { Fault, read } from '../../fault'
import { tell } from '../../live/table-feed'
import { findSession } from '../find-session'
import { hashOfCode, newCode } from '../show-door'

const bowlSchema = yup
  .object({ bowl: yup.string().max(120, 'The bowl is too long').required('The bowl is missing') })
  .noUnknown()

/** At the table: a code for a second screen, and its end. */
export function secondScreenRoutes({ pool, secrets }: AppContext): Router {
  const router = Router()
  router.post('/:id/second-screen', async (req, res) => {
    const { bowl } = await read(bowlSchema, req.body)
    const { settingId, id: by } = personOf(req)
    const code = newCode()
    await inSetting(pool, settingId, async (db) => {
      const session = await findSession(db, req, 'of-table')
      if (session.state !== 'cooking')
        throw new Fault(409, 'there is nothing to show yet: cooking is not under way')
      const screen = { id: randomUUID(), settingId, sessionId: session.id, bowl }
      await putScreen(db, screen, hashOfCode(secrets[0] ?? '', code))
      await writeAudit(db, settingId, by, 'sessions', 'opened a second screen', session.id)
      await tell(db, session.id, 'events')
    })
    res.json({ code })
  })
  router.delete('/:id/second-screen', async (req, res) => {
    await inSetting(pool, personOf(req).settingId, async (db) => {
      const session = await findSession(db, req, 'of-table')
      await endScreens(db, session.id)
      await noteBy(db, personOf(req), 'sessions', 'ended the second screen', session.id)
      await tell(db, session.id, 'events')
    })
    res.status(204).end()
  })
  return router
}
