/** A whole shelf ranked for a group, recipe by recipe, so that first answers stand while the rest is still being looked at. */
import type { Recipe } from '../recipe/recipe'
import { evaluateRecipe } from './evaluate-recipe'
import { byKey } from './order'
import type { Evaluation, MadeBefore, SelectionCriteria } from './selection-criteria'

export interface ShelfRow {
  id: string
  recipe: Recipe
  made?: MadeBefore | undefined
}

/** @returns looks one after another, in the order of the rows */
function* looksAt(rows: readonly ShelfRow[], wish: SelectionCriteria): Generator<Evaluation> {
  for (const { id, recipe, made } of rows) yield evaluateRecipe(id, recipe, wish, made)
}

/** The shelf in the order in which it fits, the best first; the same order for the same looks. */
export const ranked = (looks: readonly Evaluation[]): Evaluation[] => [...looks].sort(byKey)

/** @returns the shelf, what fits best first */
export const rank = (rows: readonly ShelfRow[], wish: SelectionCriteria): Evaluation[] =>
  ranked([...looksAt(rows, wish)])
