/** The shelf narrowed down: by words, theme, heat, minutes, cost, what it holds, what is in the cupboard, what was made lately. */
import type { RecipeFacts } from '../recipe/facts'
import { heatsOf, placesOf, takesANight, type Heat } from '../recipe/heat'
import type { Recipe } from '../recipe/recipe'
import { isOfTheme } from './theme'
import { LATELY_DAYS } from './order'
import type { Evaluation } from './selection-criteria'

export interface ShelfFilter {
  /** Every word of it is found in title, themes or foods. */
  words?: string
  theme?: string
  heat?: Heat | 'cold'
  /** Allergens of the usual lists that no food of it lists; of a food that Lea does not know it cannot be said, so that recipe is out. */
  without?: string[]
  technique?: string
  oneSitting?: boolean
  /** With a look only. */
  most?: { minutes?: number; cost?: number; toBuy?: number }
  fits?: boolean
  notLately?: boolean
}

/**
 * Whether a recipe is what was asked for: by words, theme, heat, allergen, technique, time and cost.
 * @param facts what the server worked out of it; without them nothing is found by words or technique, and nothing is said of an allergen
 */
export const isWanted = (
  recipe: Recipe,
  facts: RecipeFacts | undefined,
  f: ShelfFilter,
  look?: Evaluation,
): boolean => byRecipe(recipe, f) && byFacts(facts, f) && byLook(f, look)

const byRecipe = (recipe: Recipe, f: ShelfFilter): boolean =>
  !(f.theme && !isOfTheme(recipe, f.theme)) &&
  !(f.heat && !isHeat(recipe, f.heat)) &&
  !(f.oneSitting && takesANight(recipe))

function byFacts(facts: RecipeFacts | undefined, f: ShelfFilter): boolean {
  const words = (f.words ?? '').toLowerCase().split(/\s+/).filter(Boolean)
  const without = f.without ?? []
  if (!facts) return words.length === 0 && without.length === 0 && !f.technique
  if (!words.every((w) => facts.text.includes(w))) return false
  if (f.technique && !facts.techniques.some((t) => t.id === f.technique)) return false
  return without.length === 0 || !(facts.open || without.some((a) => facts.lists.includes(a)))
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
