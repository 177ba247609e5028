import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import type { CupboardItem } from '@lea/core/plan'
import {
  cupboardSchema,
  foodSchema,
  kitChangeSchema,
  recipeChangeSchema,
  recipeSchema,
  rulesChangeSchema,
} from '@lea/core/schema'
import type { AppContext } from '../context'
import { differing, noteBy } from '../db/audit'
import { listAdults } from '../db/people'
import { removeCupboard, saveCupboard } from '../db/cupboard'
import { inSetting, type Db } from '../db/pool'
import {
  changeKit,
  changeRecipe,
  changeRules,
  getSetting,
  listShelf,
  recipeRow,
  saveFood,
  saveRecipe,
} from '../db/settings'
import { atLeast, personOf } from '../auth'
import { Fault, notFound, read } from '../fault'
import { mustBePlannable } from '../plan/trial'
import { isUuid } from '../uuid'

/** House rules that are chosen from a list, or are numbers. */
const SAID = ['kind', 'country', 'nation', 'grouping', 'groupSize', 'knives', 'maxScoops', 'zone']

/** Lists and forms of a setting: its rules, kit, foods, adults, children and recipes. */
export function settingRoutes({ pool, plans }: AppContext): Router {
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
    const { version, rules } = await read(rulesChangeSchema, req.body)
    const changed = await run(req, async (db) => {
      const before = (await getSetting(db)).rules
      if (!(await changeRules(db, version, rules))) return false
      await noteBy(db, personOf(req), 'rules', `changed the house rules: ${differing(before, rules, SAID)}`)
      return true
    })
    if (!changed)
      throw new Fault(409, 'somebody has changed the rules meanwhile', 'version', {
        now: (await run(req, getSetting)).rules,
      })
    res.json({ rules, version: version + 1 })
  })
  router.put('/setting/kit', leader, async (req, res) => {
    const { version, kit } = await read(kitChangeSchema, req.body)
    const changed = await run(req, async (db) => {
      const before = (await getSetting(db)).kit
      if (!(await changeKit(db, version, kit))) return false
      await noteBy(db, personOf(req), 'rules', `changed measures and tools: ${differing(before, kit)}`)
      return true
    })
    if (!changed)
      throw new Fault(409, 'somebody has changed the measures and tools meanwhile', 'version', {
        now: (await run(req, getSetting)).kit,
      })
    res.json({ kit, version: version + 1 })
  })
  router.post('/setting/foods', leader, async (req, res) => {
    const food = await read(foodSchema, req.body)
    await run(req, async (db) => {
      await saveFood(db, personOf(req).settingId, food)
      await noteBy(db, personOf(req), 'lists', 'wrote down a food of its own')
    })
    res.status(201).json(food)
  })

  router.put('/setting/cupboard/:food', leader, async (req, res) => {
    const item = await read<CupboardItem>(cupboardSchema, {
      ...req.body,
      food: req.params['food'],
    })
    await run(req, async (db) => {
      await saveCupboard(db, personOf(req).settingId, item)
      await noteBy(db, personOf(req), 'lists', `changed the cupboard: ${item.food}`)
    })
    res.json(item)
  })
  router.delete('/setting/cupboard/:food', leader, async (req, res) => {
    const food = String(req.params['food'])
    const gone = await run(req, async (db) => {
      const found = await removeCupboard(db, food)
      if (found) await noteBy(db, personOf(req), 'lists', `took out of the cupboard: ${food}`)
      return found
    })
    if (!gone) throw notFound('this food in the cupboard')
    res.status(204).end()
  })

  router.get('/recipes', async (req, res) => {
    res.json(await run(req, listShelf))
  })
  router.post('/recipes', leader, async (req, res) => {
    const recipe = await read(recipeSchema, req.body)
    await mustBePlannable(plans, recipe, await run(req, getSetting), { setting: personOf(req).settingId })
    const id = randomUUID()
    await run(req, async (db) => {
      await saveRecipe(db, personOf(req).settingId, id, recipe)
      await noteBy(db, personOf(req), 'recipes', 'added a recipe', id)
    })
    res.status(201).json({ id, recipe, version: 1 })
  })
  router.put('/recipes/:id', leader, async (req, res) => {
    const id = key(String(req.params['id']))
    const { version, recipe } = await read(recipeChangeSchema, req.body)
    await mustBePlannable(plans, recipe, await run(req, getSetting), { setting: personOf(req).settingId })
    const saved = await run(req, async (db) => {
      const before = await recipeRow(db, id)
      const next = await changeRecipe(db, id, version, recipe)
      if (next && before)
        await noteBy(
          db,
          personOf(req),
          'recipes',
          `changed a recipe: ${differing(before.recipe, recipe)}`,
          id,
        )
      return next
    })
    if (!saved) {
      const now = await run(req, (db) => recipeRow(db, id))
      if (!now) throw notFound('this recipe')
      throw new Fault(409, 'somebody has changed this recipe meanwhile', 'version', { now })
    }
    res.json({ id, recipe, version: saved })
  })
  return router
}
