/** What is left over after shopping, and which other recipe uses it before it is lost. */
import type { Recipe } from '../../recipe/recipe'
import type { ShoppingRow } from '../model/shopping-list'

/** So many recipes are named beside one food. */
const NAMED = 2

/** A recipe that uses what is left. `uses`: names of the foods. */
export interface LeftUse {
  id: string
  title: string
  uses: string[]
}

/**
 * By food what else could be made of what is left of it, best first: a recipe that uses up more of what is left comes before one that uses
 * less, what keeps a few days only counts before what keeps for months.
 * @param recipes of the shelf, under the ids that the shelf has for them
 * @param now the recipe of this session
 */
export function leftUses(
  rows: readonly Pick<ShoppingRow, 'food' | 'name' | 'left'>[],
  recipes: readonly { id: string; recipe: Recipe }[],
  now: string,
): Map<string, LeftUse[]> {
  const left = rows.filter((r) => r.left !== null)
  const uses = recipes
    .filter((r) => r.id !== now)
    .map(({ id, recipe }) => {
      const foods = new Set(recipe.lines.filter((l) => l.optional !== true).map((l) => l.food))
      const here = left.filter((r) => foods.has(r.food))
      const soon = here.filter((r) => r.left?.soon === true).length
      return { id, title: recipe.title, foods: here.map((r) => r.food), uses: here.map((r) => r.name), soon }
    })
    .sort((a, b) => b.soon - a.soon || b.uses.length - a.uses.length || (a.title < b.title ? -1 : 1))
  return new Map(
    left.flatMap((row) => {
      const own = uses.filter((u) => u.foods.includes(row.food)).slice(0, NAMED)
      return own.length > 0 ? [[row.food, own.map(({ id, title, uses: u }) => ({ id, title, uses: u }))]] : []
    }),
  )
}
