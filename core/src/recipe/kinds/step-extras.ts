/** What a step has beside its work, and the names of lines as they are told apart in a list to tick. */
import { countText } from '../../amount/show'
import { foodName, type FoodBook } from '../../food/foods'
import type { RecipeLine, RecipeStep } from '../recipe'
import { passesOf } from './passes'
import { varietyName } from './variety'

/** What few steps have, of those that this one has: "goes round", "a picture". */
export const extrasOf = (step: RecipeStep): string[] => [
  ...(step.layers || step.rows ? ['layers or a row'] : []),
  ...(passesOf(step) ? ['goes round'] : []),
  ...(step.scene ? ['a picture'] : []),
  ...(step.tasting ? ['tasted one by one'] : []),
  ...(step.ways ? [countText(step.ways.length, 'other way')] : []),
  ...(step.soon || step.rests ? ['when it goes on'] : []),
]

/** What stands over the folded part of a step. */
export const extrasText = (step: RecipeStep): string => {
  const has = extrasOf(step)
  return has.length > 0
    ? `More of it: ${has.join(', ')}`
    : 'More: layers, a round, a picture, tastes, other ways, when it goes on'
}

/** Each line by its food, and by its variety or its place in the list where two are the same. By id. */
export function lineNames(lines: readonly RecipeLine[], foods: FoodBook): Map<string, string> {
  const plain = lines.map((l) =>
    varietyName(l.variety, l.food === '' ? 'a line without food' : foodName(foods.of(l.food))),
  )
  return new Map(
    lines.map((l, i) => {
      const name = plain[i] ?? ''
      return [l.id, plain.filter((n) => n === name).length > 1 ? `${name} (line ${i + 1})` : name]
    }),
  )
}
