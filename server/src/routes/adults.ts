import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import { adultChangeSchema, adultSchema, passwordFault } from '@lea/core/schema'
import { atLeast, personOf } from '../auth'
import type { AppContext } from '../context'
import { writeAudit } from '../db/audit'
import { addAdult, changeAdult, lockAdult, removeAdult } from '../db/people'
import { inSetting } from '../db/pool'
import { endSignIns } from '../db/sign-ins'
import { Fault, notFound, read } from '../fault'
import { hashPassword } from '../password'
import { isUuid } from '../uuid'

/** The adults of a setting: what they lead, and whether and as whom they sign in. The owner's. */
export function adultRoutes({ pool }: AppContext): Router {
  const router = Router()
  router.use('/adults', atLeast('owner'))

  router.post('/adults', async (req, res) => {
    const { password, ...adult } = await read(adultSchema, req.body)
    if (adult.signIn && !password) throw new Fault(400, 'a sign-in needs a password', 'password')
    refuseGuessable(password, adult)
    const row = { ...adult, id: randomUUID(), role: adult.role ?? (adult.signIn ? 'helper' : undefined) }
    const hash = password && adult.signIn ? await hashPassword(password) : undefined
    const { settingId, id: by } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      await addAdult(db, settingId, { ...row, hash })
      await writeAudit(
        db,
        settingId,
        by,
        'people',
        `added an adult${row.signIn ? ` (${String(row.role)})` : ''}`,
        row.id,
      )
    })
    res.status(201).json(row)
  })

  // In parts: a new role, password or sign-in name ends every sign-in of before.
  router.put('/adults/:id', async (req, res) => {
    const id = req.params.id
    if (!isUuid(id)) throw notFound('this adult')
    const { password, ...adult } = await read(adultChangeSchema, req.body)
    refuseGuessable(password, adult)
    const hash = password ? await hashPassword(password) : undefined
    const { settingId, id: by } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      const known = await lockAdult(db, id)
      if (!known) throw notFound('this adult')
      if (
        known.role === 'owner' &&
        known.signIn &&
        adult.role &&
        adult.role !== 'owner' &&
        known.owners === 1
      )
        throw new Fault(409, 'a setting keeps an owner who can sign in: make somebody else one first', 'role')
      if (adult.signIn && !known.hash && !hash) throw new Fault(400, 'a sign-in needs a password', 'password')
      const signsIn = Boolean(adult.signIn ?? known.signIn)
      if (hash && !signsIn) throw new Fault(400, 'a password needs a sign-in name', 'signIn')
      // Who signs in has a role; the least, where none is said.
      const role = adult.role ?? (signsIn && !known.role ? 'helper' : undefined)
      await changeAdult(db, id, { ...adult, role, hash })
      const other = (to: string | undefined, from: string | null): boolean => to !== undefined && to !== from
      const moved = [
        other(role, known.role) && `role ${String(role)}`,
        other(adult.signIn, known.signIn) && 'sign-in name',
        hash !== undefined && 'password',
      ].filter((m) => m !== false)
      if (moved.length > 0) await endSignIns(db, id)
      await writeAudit(
        db,
        settingId,
        by,
        'people',
        `changed an adult${moved.length > 0 ? `: ${moved.join(', ')}` : ''}`,
        id,
      )
    })
    res.json({ ...adult, id })
  })

  router.delete('/adults/:id', async (req, res) => {
    const id = req.params.id
    const { settingId, id: by } = personOf(req)
    await inSetting(pool, settingId, async (db) => {
      const known = isUuid(id) ? await lockAdult(db, id) : null
      if (!known) throw notFound('this adult')
      if (known.role === 'owner' && known.signIn && known.owners === 1)
        throw new Fault(409, 'a setting keeps an owner who can sign in')
      await endSignIns(db, id)
      await removeAdult(db, id)
      await writeAudit(db, settingId, by, 'people', 'removed an adult', id)
    })
    res.status(204).end()
  })
  return router
}

/** @throws Fault 400 where the password is the name, or almost */
function refuseGuessable(
  password: string | undefined,
  { name, signIn }: { name?: string; signIn?: string },
): void {
  const says = password ? passwordFault(password, [name ?? '', signIn ?? '']) : null
  if (says) throw new Fault(400, says, 'password')
}
