import { createHmac } from 'node:crypto'
import { Router } from 'express'
import { ownPasswordSchema, passwordFault } from '@lea/core/schema'
import { IDLE_MS, personOf } from '../auth'
import type { AppContext } from '../context'
import * as yup from 'yup'
import { writeAudit } from '../db/audit'
import { changeAdult, lockAdult } from '../db/people'
import { inSetting } from '../db/pool'
import { nameOfSetting } from '../db/settings'
import { endSignIns, listSignIns } from '../db/sign-ins'
import { enter } from '../enter'
import { Fault, read } from '../fault'
import { queryText } from '../query'
import { hashPassword, passwordFits } from '../password'

const deviceSchema = yup
  .object({ device: yup.string().max(60, 'Device is too long').required('Device is missing') })
  .noUnknown()

/** One's own sign-in: who I am, my password, where I am signed in. */
export function ownSignInRoutes({ pool, secrets }: AppContext): Router {
  const router = Router()

  router.get('/me', async (req, res) => {
    const person = personOf(req)
    res.json({ person, setting: { name: await nameOfSetting(pool, person.settingId) } })
  })

  // By what a device seals what it keeps for a table without a network: the same for all who sign in to this setting on it, and for none
  // who does not. Derived, not kept, from the oldest secret that holds: what was sealed before a new one came is opened as long as the old one is
  // still named beside it.
  router.get('/me/device-key', async (req, res) => {
    const { device } = await read(deviceSchema, { device: queryText(req.query['device']) })
    const { settingId } = personOf(req)
    res.json({
      key: createHmac('sha256', secrets.at(-1) ?? '')
        .update(JSON.stringify(['device', settingId, device]))
        .digest('base64'),
    })
  })

  // The old one is asked, so that a tablet left lying about changes nothing; all other sign-ins end.
  router.put('/me/password', async (req, res) => {
    const { old, password } = await read(ownPasswordSchema, req.body)
    const { id, settingId, name } = personOf(req)
    const guessed = passwordFault(password, [name])
    if (guessed) throw new Fault(400, guessed, 'password')
    const hash = await hashPassword(password)
    const known = await inSetting(pool, settingId, (db) => lockAdult(db, id))
    if (!(await passwordFits(known?.hash ?? undefined, old)))
      throw new Fault(400, 'the old password is not right', 'old')
    const round = await inSetting(pool, settingId, async (db) => {
      const now = await lockAdult(db, id)
      if (now?.hash !== known?.hash) throw new Fault(409, 'the password was changed meanwhile', 'old')
      await changeAdult(db, id, { hash })
      await writeAudit(db, settingId, id, 'sign-in', 'changed their password', id)
      return endSignIns(db, id)
    })
    await enter(req, id, round)
    res.status(204).end()
  })

  router.get('/me/sign-ins', async (req, res) => {
    const open = await listSignIns(pool, personOf(req).id, IDLE_MS)
    res.json({ signIns: open.map(({ sid, ...one }) => ({ ...one, here: sid === req.sessionID })) })
  })
  // Everywhere, here as well.
  router.delete('/me/sign-ins', async (req, res) => {
    const { id, settingId } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      await endSignIns(db, id)
      await writeAudit(db, settingId, id, 'sign-in', 'signed out everywhere', id)
    })
    await new Promise<void>((done) => req.session.destroy(() => done()))
    res.clearCookie('lea').status(204).end()
  })
  return router
}
