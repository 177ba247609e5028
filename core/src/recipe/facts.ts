/** What a shelf says and filters of a recipe, worked out where the tables are, so that no page of recipes needs them. */
import { ageText } from '../craft/ages'
import { techniqueOf } from '../craft/techniques'
import { ALLERGENS, allergenName } from '../food/allergens'
import { meet } from '../food/concerns'
import { type Food, type FoodBook, isUnknown } from '../food/foods'
import { fromMonths, holdsOf, searchText } from './features'
import { techniquesOf } from './heat'
import type { Recipe } from './recipe'

/** Of one recipe. */
export interface RecipeFacts {
  /** "from 2 years": the least age from which a child may do at least half of its techniques. */
  from: string
  /** What its foods usually hold, in words; empty where they list nothing that Lea knows. */
  holds: string
  /** Allergens of the two usual lists that a food of it lists. */
  lists: string[]
  /** A food of it is not known to Lea: what it lists cannot be said. */
  open: boolean
  /** What hands learn in it. */
  techniques: { id: string; name: string }[]
  /** All words by which it is found, in small letters. */
  text: string
}

/** The fourteen of the UK and the nine of the US, without their kinds. Source: core/data/allergens.json (from memory). */
export const COMMON_ALLERGENS: readonly string[] = ALLERGENS.filter(
  (a) => (a.uk14 || a.us9) && a.parent === null,
).map((a) => a.id)

const listed = new WeakMap<Food, string[]>()
function listedBy(food: Food): string[] {
  const known = listed.get(food)
  if (known) return known
  const all = COMMON_ALLERGENS.filter((a) => meet(a, food) === 'lists')
  listed.set(food, all)
  return all
}

/** @param foods Lea's and the setting's own */
export function recipeFacts(recipe: Recipe, foods: FoodBook): RecipeFacts {
  const { lists, unknown } = holdsOf(recipe, foods)
  const all = recipe.lines.map((l) => foods.of(l.food))
  return {
    from: `from ${ageText(fromMonths(recipe))}`,
    holds: [...lists.map(allergenName), ...unknown.map((u) => `${u} (not known to Lea)`)].join(', '),
    lists: [...new Set(all.flatMap(listedBy))],
    open: all.some(isUnknown),
    techniques: techniquesOf(recipe).map((id) => ({ id, name: techniqueOf(id)?.name ?? id })),
    text: searchText(recipe, foods),
  }
}
