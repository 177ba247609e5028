/** A setting with its house rules, kit, own foods and recipes. */
import type { MadeBefore } from '@lea/core/choose'
import { type FoodFact, withNameContents } from '@lea/core/food'
import type { HouseRules, Kit } from '@lea/core/plan'
import { type Recipe, upgradeRecipe } from '@lea/core/recipe'
import type { StoredSetting } from '@lea/core/setting'
import { listCupboard } from './cupboard'
import { listMade } from './recipe-history'
import { listWords } from './own-words'
import type { Db } from './pool'
import type { Pool } from 'pg'

/** Asked before anybody is signed in: is there a setting at all? */
export async function anySetting(pool: Pool): Promise<boolean> {
  const { rows } = await pool.query<{ any_setting: boolean }>('select any_setting()')
  return rows[0]?.any_setting === true
}

export async function createSetting(
  db: Db,
  id: string,
  name: string,
  rules: HouseRules,
  kit: Kit,
  demo = false,
): Promise<void> {
  await db.query('insert into settings (id, name, rules, kit, demo) values ($1, $2, $3, $4, $5)', [
    id,
    name,
    JSON.stringify(rules),
    JSON.stringify(kit),
    demo,
  ])
  await db.query('insert into door (setting_id) values ($1)', [id])
}

export async function getSetting(db: Db): Promise<StoredSetting> {
  const { rows } = await db.query<{ name: string; rules: HouseRules; kit: Kit; demo: boolean }>(
    'select name, rules, kit, demo from settings',
  )
  const row = rows[0]
  if (!row) throw new Error('the setting is gone')
  const foods = await db.query<{ body: FoodFact }>('select body from foods order by id')
  return {
    ...row,
    foods: foods.rows.map((f) => withNameContents(f.body)),
    cupboard: await listCupboard(db),
    words: await listWords(db),
  }
}

export async function saveRules(db: Db, rules: HouseRules): Promise<void> {
  await db.query('update settings set rules = $1', [JSON.stringify(rules)])
}

export async function saveKit(db: Db, kit: Kit): Promise<void> {
  await db.query('update settings set kit = $1', [JSON.stringify(kit)])
}

export async function saveFood(db: Db, setting: string, food: FoodFact): Promise<void> {
  await db.query(
    `insert into foods (setting_id, id, body) values ($1, $2, $3)
     on conflict (setting_id, id) do update set body = excluded.body`,
    [setting, food.id, JSON.stringify(food)],
  )
}

export interface StoredRecipeRow {
  id: string
  recipe: Recipe
  /** What happened with it so far; not there where it was never made. */
  made?: MadeBefore
}
/** A row may have been saved by an earlier version. */
const asRecipe = (body: unknown): Recipe => upgradeRecipe(body) as Recipe

export async function listRecipes(db: Db): Promise<StoredRecipeRow[]> {
  const { rows } = await db.query<StoredRecipeRow>(
    'select id, body as recipe from recipes order by lower(title), id',
  )
  const made = await listMade(db)
  return rows.map(({ id, recipe }) => {
    const before = made.get(id)
    return { id, recipe: asRecipe(recipe), ...(before && { made: before }) }
  })
}

export async function getRecipe(db: Db, id: string): Promise<Recipe | null> {
  const { rows } = await db.query<{ body: Recipe }>('select body from recipes where id = $1', [id])
  return rows[0] ? asRecipe(rows[0].body) : null
}

export async function saveRecipe(db: Db, setting: string, id: string, recipe: Recipe): Promise<void> {
  await db.query(
    `insert into recipes (id, setting_id, title, body) values ($1, $2, $3, $4)
     on conflict (id) do update set title = excluded.title, body = excluded.body`,
    [id, setting, recipe.title, JSON.stringify(recipe)],
  )
}
