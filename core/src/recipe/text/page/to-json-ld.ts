/**
 * A recipe of Lea as schema.org Recipe, for any program that reads it; with Lea's own data beside it as a JSON literal of JSON-LD 1.1, so that
 * the way back is whole. Vocabulary: schema.org/Recipe; W3C JSON-LD 1.1, 4.2.2; from memory.
 */
import { SHIPPED_BOOK, type FoodBook } from '../../../food/foods'
import { ratio } from '../../../amount/ratio'
import { lineAmount } from '../../by-eye'
import { varietyName } from '../../kinds/variety'
import type { Recipe, RecipeLine } from '../../recipe'

/** The term that Lea's own data stands under. */
export const OWN_TERM = 'lea:recipe'

/** ISO 8601: 5400 seconds are `PT1H30M`. @param seconds whole, 0 or more */
export function isoDuration(seconds: number): string {
  const minutes = Math.round(seconds / 60)
  const [h, m] = [Math.floor(minutes / 60), minutes % 60]
  return h === 0 && m === 0 ? 'PT0M' : `PT${h > 0 ? `${h}H` : ''}${m > 0 ? `${m}M` : ''}`
}

/** @param serves what a line for each child is parted by */
export function lineText(line: RecipeLine, foods: FoodBook, serves: number): string {
  const food = foods.all.find((f) => f.id === line.food)
  const name = varietyName(line.variety, food?.name ?? line.food.replace(/^own:/, '').replaceAll('-', ' '))
  const prep = line.prep ? `, ${line.prep}` : ''
  const optional = line.optional ? ' (optional)' : ''
  const amount = lineAmount(line, line.each ? ratio(line.amount).div(serves) : line.amount)
  const each = line.each ? ' for each child' : ''
  // "salt, to taste": what nobody measures stands behind its food.
  return line.byEye !== undefined && /^(?:to|by) /.test(amount)
    ? `${name}${prep}${optional}, ${amount}`
    : `${amount} ${name}${prep}${optional}${each}`
}

/** @returns plain JSON-LD; waits count as cooking, the rest as preparation */
export function toJsonLd(recipe: Recipe, foods: FoodBook = SHIPPED_BOOK): Record<string, unknown> {
  const tasks = recipe.steps.flatMap((s) => s.tasks)
  const seconds = (wait: boolean): number =>
    tasks.filter((t) => (t.mode === 'WAIT') === wait).reduce((sum, t) => sum + t.seconds, 0)
  return {
    '@context': ['https://schema.org', { lea: 'urn:lea:', [OWN_TERM]: { '@type': '@json' } }],
    '@type': 'Recipe',
    name: recipe.title,
    ...(recipe.about && { description: recipe.about }),
    recipeYield: [
      `${recipe.serves} servings`,
      ...(recipe.pieces ? [`${recipe.pieces.n} ${recipe.pieces.what}`] : []),
    ],
    prepTime: isoDuration(seconds(false)),
    cookTime: isoDuration(seconds(true)),
    totalTime: isoDuration(seconds(false) + seconds(true)),
    ...(recipe.themes.length > 0 && { keywords: recipe.themes.map((t) => t.name).join(', ') }),
    recipeIngredient: recipe.lines.map((l) => lineText(l, foods, recipe.serves)),
    recipeInstructions: recipe.steps.map((s) => ({
      '@type': 'HowToStep',
      name: s.title,
      text: s.says ?? s.title,
    })),
    [OWN_TERM]: recipe,
  }
}
