import express, { Router } from 'express'
import { nationOf } from '@lea/core/amount'
import { randomUUID } from 'node:crypto'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { firstVisitSchema, signInSchema } from '@lea/core/schema'
import type { AppContext } from '../context'
import { noteBy, noteOnceAnHour, writeAudit } from '../db/audit'
import { accountAtDoor, addAdult } from '../db/people'
import { asSignIn, inSetting } from '../db/pool'
import { anySetting, createSetting, getSetting, isClosed, isFirst, saveRecipe } from '../db/settings'
import type { SignedIn } from '../auth'
import { plainKeys, shallow } from '../body'
import { enter } from '../enter'
import { Fault, read } from '../fault'
import { hashPassword, passwordFits } from '../password'
import { personJustRead } from '../sign-in-store'
import { startingKit, startingRules } from '../starting'
import { doorLimits } from '../limits/door-limits'

/** The only routes that need no sign-in: the first visit, signing in, signing out. Their bodies are small. */
export function doorRoutes({ pool, limits, log }: AppContext): Router {
  const router = Router()
  const body = express.json({ limit: '10kb', reviver: plainKeys })
  const limit = doorLimits(pool, limits.signIns)

  router.get('/first-visit', async (_req, res) => {
    res.json({ needed: !(await anySetting(pool)) })
  })

  router.post('/first-visit', ...limit(body, shallow), async (req, res) => {
    const input = await read(firstVisitSchema, req.body)
    if (await anySetting(pool)) throw new Fault(409, 'this house has a setting already: sign in')
    const setting = randomUUID()
    const owner: SignedIn = { id: randomUUID(), settingId: setting, name: input.owner, role: 'owner' }
    const hash = await hashPassword(input.password)
    await inSetting(pool, setting, async (db) => {
      // Several may stand before an empty house at once, at several servers: the first makes it.
      if (!(await isFirst(db))) throw new Fault(409, 'this house has a setting already: sign in')
      await createSetting(
        db,
        setting,
        input.setting,
        startingRules(input.kind, nationOf({ country: input.country ?? 'uk', nation: input.nation }).id),
        startingKit(input.kind),
      )
      await addAdult(db, setting, { ...owner, leads: ['knives', 'heat'], signIn: input.signIn, hash })
      if (input.recipes)
        for (const recipe of SHIPPED_RECIPES) await saveRecipe(db, setting, randomUUID(), recipe)
      await writeAudit(db, setting, owner.id, 'setting', 'made the setting', setting)
    })
    await enter(req, owner.id, 0)
    res.status(201).json({ person: owner, setting: { name: input.setting } })
  })

  router.post('/sign-in', ...limit(body, shallow), async (req, res) => {
    const { signIn, password } = await read(signInSchema, req.body)
    const account = await asSignIn(pool, signIn, (db) => accountAtDoor(db, signIn))
    if (!(await passwordFits(account?.hash, password)) || !account) {
      // Written down once the answer is out: it takes no longer for a name that is known than for one that is not.
      if (account)
        res.on('finish', () => {
          inSetting(pool, account.settingId, (db) =>
            noteOnceAnHour(db, account.settingId, account.id, 'sign-in', 'a wrong password was tried'),
          ).catch((fault: unknown) => {
            log.error(fault, 'a wrong password could not be written down')
          })
        })
      throw new Fault(401, 'this name and password do not go together')
    }
    const { id, settingId, name, role, round } = account
    if (await isClosed(pool, settingId))
      throw new Fault(403, 'this setting is closed: ask whoever runs this Lea')
    const person: SignedIn = { id, settingId, name, role }
    await enter(req, id, round)
    const setting = await inSetting(pool, settingId, async (db) => {
      await writeAudit(db, settingId, id, 'sign-in', 'signed in', id)
      return getSetting(db)
    })
    res.json({ person, setting: { name: setting.name } })
  })

  router.post('/sign-out', async (req, res) => {
    const person = req.session.person && personJustRead(req.session.person)
    if (person)
      await inSetting(pool, person.settingId, (db) => noteBy(db, person, 'sign-in', 'signed out', person.id))
    await new Promise<void>((done) => req.session.destroy(() => done()))
    res.clearCookie('lea').status(204).end()
  })

  return router
}
