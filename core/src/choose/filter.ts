/** The shelf narrowed down: by words, theme, heat, minutes, cost, what it holds, what is in the cupboard, what was made lately. */
import { meet } from '../food/concerns'
import { isUnknown, type FoodBook } from '../food/foods'
import { heatsOf, placesOf, searchText, takesANight, techniquesOf, type Heat } from '../recipe/features'
import type { Recipe } from '../recipe/recipe'
import { isOfTheme } from './evaluate-recipe'
import { LATELY_DAYS } from './order'
import type { Evaluation } from './selection-criteria'

export interface ShelfFilter {
  /** Every word of it is found in title, themes or foods. */
  words?: string
  theme?: string
  heat?: Heat | 'cold'
  /** Allergens that no food of it lists; of a food that Lea does not know it cannot be said, so that recipe is out. */
  without?: string[]
  technique?: string
  oneSitting?: boolean
  /** With a look only. */
  most?: { minutes?: number; cost?: number; toBuy?: number }
  fits?: boolean
  notLately?: boolean
}

/** Whether a recipe is what was asked for: by words, theme, heat, allergen, technique, time and cost. */
export function isWanted(recipe: Recipe, foods: FoodBook, f: ShelfFilter, look?: Evaluation): boolean {
  return byRecipe(recipe, foods, f) && byLook(f, look)
}

function byRecipe(recipe: Recipe, foods: FoodBook, f: ShelfFilter): boolean {
  const words = (f.words ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  if (words.length > 0) {
    const text = searchText(recipe, foods)
    if (!words.every((w) => text.includes(w))) return false
  }
  if (f.theme && !isOfTheme(recipe, f.theme)) return false
  if (f.heat && !isHeat(recipe, f.heat)) return false
  if (f.technique && !techniquesOf(recipe).includes(f.technique)) return false
  if (f.oneSitting && takesANight(recipe)) return false
  if (f.without && f.without.length > 0) {
    const all = recipe.lines.map((l) => foods.of(l.food))
    if (all.some((food) => isUnknown(food) || f.without?.some((a) => meet(a, food) === 'lists'))) return false
  }
  return true
}

const isHeat = (recipe: Recipe, heat: Heat | 'cold'): boolean =>
  heat === 'cold'
    ? placesOf(recipe).has('fridge') || placesOf(recipe).has('freezer')
    : heatsOf(recipe).includes(heat)

/** What the group decides; while a recipe has no look yet it stays. */
function byLook(f: ShelfFilter, look: Evaluation | undefined): boolean {
  if (!look) return true
  const { figures } = look
  if (f.fits && look.against.length > 0) return false
  if (f.notLately && figures.since !== null && Math.abs(figures.since) < LATELY_DAYS) return false
  if (f.most?.minutes !== undefined && figures.minutes > f.most.minutes) return false
  if (f.most?.cost !== undefined && figures.cost > f.most.cost) return false
  return f.most?.toBuy === undefined || figures.toBuy.length <= f.most.toBuy
}

/** All themes on a shelf, each with how many recipes are of it, most first. */
export function themesOn(recipes: readonly Recipe[]): { name: string; kind: string; n: number }[] {
  const all = new Map<string, { name: string; kind: string; n: number }>()
  for (const { kind, name } of recipes.flatMap((r) => r.themes)) {
    const known = all.get(name.toLowerCase())
    if (known) known.n += 1
    else all.set(name.toLowerCase(), { name, kind, n: 1 })
  }
  return [...all.values()].sort((a, b) => b.n - a.n || a.name.localeCompare(b.name))
}
