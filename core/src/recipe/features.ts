/** What a recipe is like, for finding it on the shelf: heat, the age it begins at, foods by group, techniques, words to search. */
import { formFor, techniqueOf } from '../craft/techniques'
import { foodName, isUnknown, type FoodBook } from '../food/foods'
import { isByChildren, type Place, type Recipe } from './recipe'

export const HEATS = ['none', 'hob', 'oven', 'fire'] as const
export type Heat = (typeof HEATS)[number]

/** Where it gets hot; `none` where nothing does. */
export function heatsOf(recipe: Recipe): Heat[] {
  const places = placesOf(recipe)
  const hot = HEATS.filter((h) => places.has(h as Place))
  return hot.length > 0 ? hot : ['none']
}

export const placesOf = (recipe: Recipe): Set<Place> =>
  new Set(recipe.steps.flatMap((s) => s.tasks.flatMap((t) => t.place ?? [])))

/** Some of it waits a night: in the fridge, the freezer, under a cloth. */
export const takesANight = (recipe: Recipe): boolean => recipe.steps.some((s) => s.nextSitting === true)

const EVERYDAY = new Set(['wash-hands', 'taste', 'serve-self'])
/** What hands learn in it: techniques of children's jobs, without washing and eating. */
export const techniquesOf = (recipe: Recipe): string[] => [
  ...new Set(
    recipe.steps
      .flatMap((s) => s.tasks)
      .filter((t) => isByChildren(t.mode) && !EVERYDAY.has(t.technique))
      .map((t) => t.technique),
  ),
]

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
