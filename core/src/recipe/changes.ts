/** What a setting changed in one of Lea's recipes, in words: its own stands over the shipped one, and nothing is hidden. */
import { amountText } from '../amount/show'
import { foodName, type FoodBook } from '../food/foods'
import { shippedOf } from './shipped'
import { sizesText } from './each'
import type { Recipe, RecipeLine, RecipeStep } from './recipe'

/** @returns empty where it is as Lea ships it; null where Lea ships none of that id */
export function changesIn(recipe: Recipe, foods: FoodBook): string[] | null {
  const shipped = shippedOf(recipe.id)
  return shipped ? differences(shipped, recipe, foods) : null
}

/** What was changed between two recipes, line by line, in words. */
export function differences(before: Recipe, after: Recipe, foods: FoodBook): string[] {
  const said: string[] = []
  if (before.title !== after.title) said.push(`title: ${after.title}`)
  if (before.serves !== after.serves) said.push(`serves ${after.serves} instead of ${before.serves}`)
  if (!same(before.pieces, after.pieces) && after.pieces)
    said.push(`makes ${after.pieces.n} ${after.pieces.what}`)
  said.push(...ofLines(before.lines, after.lines, foods), ...ofSteps(before.steps, after.steps))
  for (const [name, a, b] of [
    ['about', before.about, after.about],
    ['how it keeps', before.storage, after.storage],
    ['themes', before.themes, after.themes],
    ['equipment', before.equipment, after.equipment],
    ['free choices', before.choices, after.choices],
    ['notes', before.notes, after.notes],
    ['what grows on', before.grows, after.grows],
    ['work ahead', before.ahead, after.ahead],
    ['the tin', before.tin, after.tin],
  ] as const)
    if (!same(a, b)) said.push(`${name} changed`)
  return said
}

/** The same whatever order its fields stand in; what is empty is as good as not there. */
function same(a: unknown, b: unknown): boolean {
  return canonical(a) === canonical(b)
}
function canonical(value: unknown): string {
  if (Array.isArray(value)) return value.length === 0 ? '' : `[${value.map(canonical).join()}]`
  if (typeof value === 'object' && value !== null) {
    const parts = Object.entries(value)
      .filter(([, v]) => v !== undefined && v !== null)
      .map(([k, v]) => `${k}:${canonical(v)}`)
      .sort()
    return `{${parts.join()}}`
  }
  return value === undefined || value === null || value === '' ? '' : JSON.stringify(value)
}

function ofLines(before: readonly RecipeLine[], after: readonly RecipeLine[], foods: FoodBook): string[] {
  const name = (l: RecipeLine): string => foodName(foods.of(l.food))
  const amount = (l: RecipeLine): string => amountText(l.amount, l.unit)
  const gone = before.filter((b) => !after.some((a) => a.id === b.id)).map((l) => `without ${name(l)}`)
  const there = after.flatMap((a) => {
    const b = before.find((l) => l.id === a.id)
    if (!b) return [`with ${amount(a)} ${name(a)}`]
    const said: string[] = []
    if (a.food !== b.food) said.push(`${name(a)} instead of ${name(b)}`)
    if (amount(a) !== amount(b)) said.push(`${name(a)}: ${amount(a)} instead of ${amount(b)}`)
    if (!same(a.variety, b.variety)) said.push(`${name(a)}: ${a.variety ?? 'any variety'}`)
    if (!same(a.prep, b.prep) || !same(a.shape, b.shape)) said.push(`${name(a)}: ${a.prep ?? 'as it is'}`)
    if (a.role !== b.role) said.push(`${name(a)}: its part is ${a.role}`)
    if (!same(a.each || undefined, b.each) || !same(a.sizes, b.sizes))
      said.push(`${name(a)}: ${a.each ? `for each child${sizesText(a)}` : 'for all together'}`)
    if ((a.optional ?? false) !== (b.optional ?? false))
      said.push(`${name(a)} ${a.optional ? 'may be left out' : 'must go in'}`)
    return said
  })
  return [...gone, ...there]
}

function ofSteps(before: readonly RecipeStep[], after: readonly RecipeStep[]): string[] {
  const gone = before
    .filter((b) => !after.some((a) => a.id === b.id))
    .map((s) => `without the step '${s.title}'`)
  const there = after.flatMap((a) => {
    const b = before.find((s) => s.id === a.id)
    if (!b) return [`with the step '${a.title}'`]
    return same(a, b) ? [] : [`the step '${a.title}' changed`]
  })
  const kept = (list: readonly RecipeStep[], other: readonly RecipeStep[]): string =>
    list
      .filter((s) => other.some((o) => o.id === s.id))
      .map((s) => s.id)
      .join()
  return [
    ...gone,
    ...there,
    ...(kept(before, after) === kept(after, before) ? [] : ['steps in another order']),
  ]
}
