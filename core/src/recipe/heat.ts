/** Where a recipe gets hot or cold, and how it is said. Without tables: for pages. */
import { isByChildren, type Place, type Recipe } from './recipe'

/** How a recipe is heated. */
export const HEATS = [
  ...(['none', 'hob', 'oven', 'fire', 'grill', 'microwave'] as const),
  ...(['toaster-oven', 'griddle', 'kettle', 'air-fryer'] as const),
] as const
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

const PLAIN_PICTURES = new Set(['soap', 'bowl', 'yum', 'oven', 'pot', 'fridge', 'alarm', 'jug', 'milk'])
/** The picture that says most of it: of the first step that has one of its own. */
export const pictureOf = (recipe: Recipe): string =>
  (recipe.steps.find((s) => !PLAIN_PICTURES.has(s.picture)) ?? recipe.steps.find((s) => s.picture !== 'soap'))
    ?.picture ?? 'bowl'

/** A theme as it is said: one letter alone is "letter S". */
export const themeWords = ({ name }: { name: string }): string =>
  /^\p{L}$/u.test(name) ? `letter ${name}` : name

const HEAT_WORDS: Record<Heat, string> = {
  none: 'nothing gets hot',
  hob: 'hob',
  oven: 'oven',
  fire: 'open fire',
  grill: 'grill',
  microwave: 'microwave',
  'toaster-oven': 'toaster oven',
  griddle: 'griddle',
  kettle: 'kettle',
  'air-fryer': 'air fryer',
}
/** "hob and oven", "nothing gets hot, a night in the fridge". */
export function heatWords(recipe: Recipe): string {
  const heats = heatsOf(recipe)
    .map((h) => HEAT_WORDS[h])
    .join(' and ')
  const places = placesOf(recipe)
  const cold = (['fridge', 'freezer'] as const).filter((p) => places.has(p))
  const night = takesANight(recipe) ? 'a night in the ' : ''
  return cold.length > 0 ? `${heats}, ${night}${cold.join(' and ')}` : heats
}
/** The same in a word. */
export const heatWord = (heat: Heat): string => HEAT_WORDS[heat]
