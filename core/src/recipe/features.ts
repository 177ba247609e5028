/** What a recipe is like, for finding it on the shelf: heat, the age it begins at, foods by group, techniques, words to search. */
import { countText } from '../amount/show'
import { ratio } from '../amount/ratio'
import { formFor } from '../craft/form'
import { techniqueOf } from '../craft/techniques'
import { foodName, isUnknown, type FoodBook } from '../food/foods'
import { lineAmount } from './by-eye'
import { sizesText } from './each'
import { varietyName } from './kinds/variety'
import { techniquesOf } from './heat'
import type { Place, Recipe, RecipeStep } from './recipe'

const AGES = [18, 24, 30, 36, 42, 48, 54, 60, 72, 84, 96, 120]
/**
 * The least age, in completed months, from which a child may do at least half of its techniques.
 * Source: core/data/techniques.json by `formFor`, from memory.
 */
export function fromMonths(recipe: Recipe): number {
  const techniques = techniquesOf(recipe).flatMap((id) => techniqueOf(id) ?? [])
  const can = (months: number): number => techniques.filter((t) => formFor(t, months).kind === 'do').length
  return AGES.find((a) => 2 * can(a) >= techniques.length) ?? (AGES.at(-1) as number)
}

/** Allergens that its foods list or may hold, as the typical packet has them; foods nobody knows by their own word. */
export function holdsOf(recipe: Recipe, foods: FoodBook): { lists: string[]; unknown: string[] } {
  const lists = new Set<string>()
  const unknown: string[] = []
  for (const line of recipe.lines) {
    const food = foods.of(line.food)
    if (isUnknown(food)) unknown.push(line.food.replace(/^own:/, '').replaceAll('-', ' '))
    else [...food.contains, ...food.extras].forEach((a) => lists.add(a))
  }
  return { lists: [...lists], unknown }
}

/** All words by which it is found, in small letters. */
export function searchText(recipe: Recipe, foods: FoodBook): string {
  const names = recipe.lines.map((l) => foodName(foods.of(l.food)))
  const themes = recipe.themes.map((t) => t.name)
  return [recipe.title, recipe.about, ...themes, ...names].join(' · ').toLowerCase()
}

/** The ingredient list at another size, each line in words; what is written stays exact. */
export function linesFor(
  recipe: Recipe,
  serves: number,
  foods: FoodBook,
): { id: string; amount: string; name: string; prep: string; optional: boolean }[] {
  const factor = ratio(serves).div(recipe.serves)
  return recipe.lines.map((l) => {
    // For each child it stays what it is, however many there are.
    const amount = ratio(l.amount).mul(l.each ? ratio(1).div(recipe.serves) : factor)
    const many = l.unit === 'item' && amount.compare(1) > 0
    return {
      id: l.id,
      amount: lineAmount(l, amount) + (l.each ? ` each${sizesText(l)}` : ''),
      name: varietyName(l.variety, foodName(foods.of(l.food), many)),
      prep: l.prep ?? '',
      optional: l.optional ?? false,
    }
  })
}

export interface StepWork {
  says: string
  /** What the picture of the technique does not say: "20 counts at the tap"; empty where it says all. */
  beside: string
  by: 'children' | 'adult' | 'wait'
  /** What is done, and the tool that it is usually begun with; for its picture. Not of a wait. */
  technique?: string
  tool?: string
}

/** What hands do in a step, and for how long it waits: "tear · stir · an adult at the oven · 25 minutes". */
export function stepWork(step: RecipeStep): StepWork[] {
  return step.tasks.map((t) => {
    const technique = techniqueOf(t.technique)
    if (t.mode === 'WAIT') return { says: waitWords(t.seconds, t.place, t.celsius), by: 'wait', beside: '' }
    const count = t.counts ? `${t.counts.n} ${t.counts.what}` : ''
    return {
      says: [technique?.name ?? t.technique, ...(count ? [count] : [])].join(', '),
      beside: count,
      by: t.mode === 'ADULT' ? 'adult' : 'children',
      technique: t.technique,
      tool: technique?.ladder.find((r) => r.tool)?.tool ?? '',
    }
  })
}
function waitWords(seconds: number, place: Place | undefined, celsius: number | undefined): string {
  const minutes = Math.round(seconds / 60)
  const hours = Math.round(minutes / 60)
  const time = minutes >= 180 ? `${hours} hours` : countText(minutes, 'minute')
  const at = place && place !== 'table' ? ` in or on the ${place}` : ''
  return `${time}${at.replace('in or on the oven', 'in the oven').replace('in or on the hob', 'on the hob').replace('in or on the f', 'in the f')}${celsius !== undefined ? `, ${celsius} °C` : ''}`
}
