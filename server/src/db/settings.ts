/** A setting with its house rules, kit, own foods and recipes. */
import { today } from '../clock'
import type { MadeBefore } from '@lea/core/choose'
import { type FoodFact, foodBook, withNameContents } from '@lea/core/food'
import type { HouseRules, Kit } from '@lea/core/plan'
import {
  type Recipe,
  type RecipeFacts,
  type StillLife,
  recipeFacts,
  stillLife,
  upgradeRecipe,
} from '@lea/core/recipe'
import type { StoredSetting } from '@lea/core/setting'
import { listCupboard } from './cupboard'
import { listMade } from './recipe-history'
import { listWords } from './own-words'
import type { Db } from './pool'
import type { Pool } from 'pg'
import { asSignIn, inOneGo, inSetting } from './pool'

/** Asked before anybody is signed in: is there a setting at all? */
export async function anySetting(db: Pool | Db): Promise<boolean> {
  const { rows } = await db.query<{ any_setting: boolean }>('select any_setting()')
  return rows[0]?.any_setting === true
}

/**
 * Within the transaction that makes a setting: whether this is the first. Whoever asks at the same time waits until it is made, or is not.
 */
export async function isFirst(db: Db): Promise<boolean> {
  await db.query(`select pg_advisory_xact_lock(hashtext('first visit'))`)
  return !(await anySetting(db))
}

/**
 * The setting in which somebody signs in by this name; of an empty name the only one that there is.
 * @returns null where it is not known
 */
export async function settingOf(pool: Pool, signIn: string): Promise<string | null> {
  if (signIn !== '')
    return asSignIn(pool, signIn, async (db) => {
      const { rows } = await db.query<{ id: string }>('select setting_id as id from adults')
      return rows[0]?.id ?? null
    })
  const { rows } = await pool.query<{ setting_id: string }>('select setting_id from all_doors() limit 2')
  return rows.length === 1 ? (rows[0]?.setting_id ?? null) : null
}

/** Whether one of them is of the demo, whose sign-ins are known to all. */
export async function anyDemo(pool: Pool): Promise<boolean> {
  const { rows } = await pool.query<{ setting_id: string }>('select setting_id from all_doors()')
  for (const { setting_id } of rows) {
    const demo = await inSetting(pool, setting_id, (db) =>
      db.query<{ demo: boolean }>('select demo from settings'),
    )
    if (demo.rows[0]?.demo) return true
  }
  return false
}

/** Whether its operator has closed it: nobody signs in. */
export async function isClosed(pool: Pool, id: string): Promise<boolean> {
  const { rows } = await pool.query<{ closed: boolean }>('select is_closed($1) as closed', [id])
  return rows[0]?.closed === true
}

/** Its name, in one way to the database. */
export async function nameOfSetting(pool: Pool, id: string): Promise<string> {
  const { rows } = await inOneGo<{ name: string }>(pool, id, 'select name from settings')
  return rows[0]?.name ?? ''
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

/** A setting with the versions of what several people may change. */
export interface SettingRow extends StoredSetting {
  versions: { rules: number; kit: number }
}
export async function getSetting(db: Db): Promise<SettingRow> {
  const { rows } = await db.query<Pick<SettingRow, 'name' | 'rules' | 'kit' | 'demo' | 'versions'>>(
    `select name, rules, kit, demo, json_build_object('rules', rules_version, 'kit', kit_version) as versions
     from settings`,
  )
  const row = rows[0]
  if (!row) throw new Error('the setting is gone')
  return {
    ...row,
    foods: await ownFoods(db),
    cupboard: await listCupboard(db),
    words: await listWords(db),
  }
}

async function ownFoods(db: Db): Promise<FoodFact[]> {
  const { rows } = await db.query<{ body: FoodFact }>('select body from foods order by id')
  return rows.map((f) => withNameContents(f.body))
}

/** Today where the setting is, `YYYY-MM-DD`. */
export async function todayOf(db: Db): Promise<string> {
  const { rows } = await db.query<{ zone: string | null }>("select rules->>'zone' as zone from settings")
  return today(rows[0]?.zone ?? undefined)
}

export async function saveRules(db: Db, rules: HouseRules): Promise<void> {
  await db.query('update settings set rules = $1', [JSON.stringify(rules)])
}

/** @param version that was seen @returns false where it is another by now */
export async function changeRules(db: Db, version: number, rules: HouseRules): Promise<boolean> {
  const { rowCount } = await db.query(
    'update settings set rules = $1, rules_version = rules_version + 1 where rules_version = $2',
    [JSON.stringify(rules), version],
  )
  return rowCount === 1
}

/** @param version that was seen @returns false where it is another by now */
export async function changeKit(db: Db, version: number, kit: Kit): Promise<boolean> {
  const { rowCount } = await db.query(
    'update settings set kit = $1, kit_version = kit_version + 1 where kit_version = $2',
    [JSON.stringify(kit), version],
  )
  return rowCount === 1
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
  version: number
  recipe: Recipe
  /** What happened with it so far; not there where it was never made. */
  made?: MadeBefore
  /** Its picture: worked out here, so that no page needs the tables for it. */
  look?: StillLife
  /** What the shelf says and filters of it; the same. */
  facts?: RecipeFacts
}
/** A row may have been saved by an earlier version. */
const asRecipe = (body: unknown): Recipe => upgradeRecipe(body) as Recipe

export async function listRecipes(db: Db): Promise<StoredRecipeRow[]> {
  const { rows } = await db.query<StoredRecipeRow>(
    'select id, version, body as recipe from recipes order by lower(title), id',
  )
  const made = await listMade(db)
  return rows.map(({ id, version, recipe }) => {
    const before = made.get(id)
    const now = asRecipe(recipe)
    return { id, version, recipe: now, ...(before && { made: before }) }
  })
}

/** The shelf: each recipe with its picture and what is said and filtered of it. */
export async function listShelf(db: Db): Promise<StoredRecipeRow[]> {
  const foods = foodBook(await ownFoods(db))
  return (await listRecipes(db)).map((row) => ({
    ...row,
    look: stillLife(row.recipe),
    facts: recipeFacts(row.recipe, foods),
  }))
}

export async function getRecipe(db: Db, id: string): Promise<Recipe | null> {
  const { rows } = await db.query<{ body: Recipe }>('select body from recipes where id = $1', [id])
  return rows[0] ? asRecipe(rows[0].body) : null
}

/** One recipe with its version; null where there is none. */
export async function recipeRow(db: Db, id: string): Promise<StoredRecipeRow | null> {
  const { rows } = await db.query<StoredRecipeRow>(
    'select id, version, body as recipe from recipes where id = $1',
    [id],
  )
  return rows[0] ? { ...rows[0], recipe: asRecipe(rows[0].recipe) } : null
}

/** @param version that was seen @returns the new one; null where it is another by now, or the recipe is gone */
export async function changeRecipe(
  db: Db,
  id: string,
  version: number,
  recipe: Recipe,
): Promise<number | null> {
  const { rows } = await db.query<{ version: number }>(
    'update recipes set title = $2, body = $3, version = version + 1 where id = $1 and version = $4 returning version',
    [id, recipe.title, JSON.stringify(recipe), version],
  )
  return rows[0]?.version ?? null
}

export async function saveRecipe(db: Db, setting: string, id: string, recipe: Recipe): Promise<void> {
  await db.query(
    `insert into recipes (id, setting_id, title, body) values ($1, $2, $3, $4)
     on conflict (id) do update set title = excluded.title, body = excluded.body, version = recipes.version + 1`,
    [id, setting, recipe.title, JSON.stringify(recipe)],
  )
}
