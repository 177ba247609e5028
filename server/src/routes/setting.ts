import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import type { CupboardItem } from '@lea/core/plan'
import {
  adultSchema,
  childSchema,
  cupboardSchema,
  foodSchema,
  kitSchema,
  recipeSchema,
  rulesSchema,
} from '@lea/core/schema'
import { childRecord, ownPart } from '@lea/core/session'
import type { StoredChild } from '@lea/core/setting'
import type { AppContext } from '../context'
import {
  eraseChild,
  getChild,
  listAdults,
  listChildren,
  removeAdult,
  saveAdult,
  saveChild,
  writeAudit,
} from '../db/people'
import { removeCupboard, saveCupboard } from '../db/cupboard'
import { inSetting, type Db } from '../db/pool'
import { getSetting, listRecipes, saveFood, saveKit, saveRecipe, saveRules } from '../db/settings'
import { pastOfChild } from '../db/session-history'
import { atLeast, personOf } from '../auth'
import { Fault, notFound, read } from '../fault'
import { hashPassword } from '../password'
import { now, today } from '../clock'
import { isUuid } from '../uuid'

/** Lists and forms of a setting: its rules, kit, foods, adults, children and recipes. */
export function settingRoutes({ pool, post }: AppContext): Router {
  const router = Router()
  const leader = atLeast('leader')
  const owner = atLeast('owner')
  const run = <T>(req: Parameters<typeof personOf>[0], work: (db: Db) => Promise<T>): Promise<T> =>
    inSetting(pool, personOf(req).settingId, work)
  const key = (text: string | undefined): string => {
    if (!isUuid(text)) throw notFound('this')
    return text
  }

  router.get('/setting', async (req, res) => {
    const result = await run(req, async (db) => ({ ...(await getSetting(db)), adults: await listAdults(db) }))
    res.json(result)
  })
  router.put('/setting/rules', owner, async (req, res) => {
    const rules = await read(rulesSchema, req.body)
    await run(req, (db) => saveRules(db, rules))
    res.json(rules)
  })
  router.put('/setting/kit', leader, async (req, res) => {
    const kit = await read(kitSchema, req.body)
    await run(req, (db) => saveKit(db, kit))
    res.json(kit)
  })
  router.post('/setting/foods', leader, async (req, res) => {
    const food = await read(foodSchema, req.body)
    await run(req, (db) => saveFood(db, personOf(req).settingId, food))
    res.status(201).json(food)
  })

  router.put('/setting/cupboard/:food', leader, async (req, res) => {
    const item = await read<CupboardItem>(cupboardSchema, {
      ...req.body,
      food: req.params['food'],
    })
    await run(req, (db) => saveCupboard(db, personOf(req).settingId, item))
    res.json(item)
  })
  router.delete('/setting/cupboard/:food', leader, async (req, res) => {
    const gone = await run(req, (db) => removeCupboard(db, String(req.params['food'])))
    if (!gone) throw notFound('this food in the cupboard')
    res.status(204).end()
  })

  router.post('/adults', owner, async (req, res) => {
    const { password, ...adult } = await read(adultSchema, req.body)
    if (adult.signIn && !password) throw new Fault(400, 'a sign-in needs a password', 'password')
    const row = { ...adult, id: randomUUID(), role: adult.role ?? (adult.signIn ? 'helper' : undefined) }
    const hash = password ? await hashPassword(password) : undefined
    await run(req, (db) =>
      saveAdult(db, personOf(req).settingId, { ...row, hash: adult.signIn ? hash : undefined }),
    )
    res.status(201).json(row)
  })
  router.put('/adults/:id', owner, async (req, res) => {
    const id = key(String(req.params['id']))
    const { password, ...adult } = await read(adultSchema, req.body)
    const hash = password ? await hashPassword(password) : undefined
    await run(req, async (db) => {
      const known = (await listAdults(db)).find((a) => a.id === id)
      if (!known) throw notFound('this adult')
      if (known.role === 'owner' && adult.role && adult.role !== 'owner')
        throw new Fault(409, 'a setting keeps its owner', 'role')
      if (adult.signIn && !known.signIn && !hash)
        throw new Fault(400, 'a sign-in needs a password', 'password')
      await saveAdult(db, personOf(req).settingId, {
        ...adult,
        id,
        hash: known.signIn || adult.signIn ? hash : undefined,
      })
    })
    res.json({ ...adult, id })
  })
  router.delete('/adults/:id', owner, async (req, res) => {
    const gone = await run(req, (db) => removeAdult(db, key(String(req.params['id']))))
    if (!gone) throw new Fault(409, 'this adult is the owner, or is not there')
    res.status(204).end()
  })

  router.get('/children', async (req, res) => {
    res.json(await run(req, listChildren))
  })
  router.post('/children', leader, async (req, res) => {
    const child: StoredChild = { ...(await read(childSchema(today()), req.body)), id: randomUUID() }
    await run(req, async (db) => {
      child.mat = firstFree((await listChildren(db)).map((c) => c.mat))
      await saveChild(db, personOf(req).settingId, child)
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'added a child', child.id)
    })
    res.status(201).json(child)
  })
  router.put('/children/:id', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    const child: StoredChild = { ...(await read(childSchema(today()), req.body)), id }
    await run(req, async (db) => {
      const known = await getChild(db, id)
      if (!known) throw notFound('this child')
      child.mat ??= known.mat
      // What was seen is not typed: it stays.
      child.skills = known.skills
      child.lately = known.lately
      child.talk = known.talk
      child.ahead = known.ahead
      await saveChild(db, personOf(req).settingId, child)
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'changed a child', id)
    })
    res.json(child)
  })
  router.delete('/children/:id', owner, async (req, res) => {
    const id = key(String(req.params['id']))
    await run(req, async (db) => {
      if (!(await eraseChild(db, id))) throw notFound('this child')
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'erased a child', id)
    })
    await post.forget(personOf(req).settingId, id)
    res.status(204).end()
  })
  router.get('/children/:id/export', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    const all = await run(req, async (db) => {
      const child = await getChild(db, id)
      if (!child) throw notFound('this child')
      await writeAudit(db, personOf(req).settingId, personOf(req).id, 'exported a child', id)
      const past = await pastOfChild(db, id)
      return { child, sessions: past.map((p) => ownPart(p, id)), record: childRecord(id, past) }
    })
    res.attachment(`child-${id.slice(0, 8)}.json`).json({ exportedAt: now().toISOString(), ...all })
  })

  router.get('/recipes', async (req, res) => {
    res.json(await run(req, listRecipes))
  })
  router.post('/recipes', leader, async (req, res) => {
    const recipe = await read(recipeSchema, req.body)
    const id = randomUUID()
    await run(req, (db) => saveRecipe(db, personOf(req).settingId, id, recipe))
    res.status(201).json({ id, recipe })
  })
  router.put('/recipes/:id', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    const recipe = await read(recipeSchema, req.body)
    await run(req, async (db) => {
      if (!(await listRecipes(db)).some((r) => r.id === id)) throw notFound('this recipe')
      await saveRecipe(db, personOf(req).settingId, id, recipe)
    })
    res.json({ id, recipe })
  })
  return router
}

/** The least whole number that nobody has. */
function firstFree(taken: readonly (number | undefined)[]): number {
  let n = 0
  while (taken.includes(n)) n += 1
  return n
}
