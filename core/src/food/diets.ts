/**
 * Diets of families against a food. Source: core/data/foods.json, diet flags, groups and allergens (common practice, from
 * memory). Kosher and halal are cautions: the family's own rule and certifier come first.
 */
import { allergenName } from './allergens'
import { meet } from './concerns'
import { isUnknown, type Food, type FoodFact, type Verdict } from './foods'
import type { ExposureKind, Packet } from './concern'

/** The diets that Lea knows; a setting may add its own. */
export const DIETS = [
  'vegetarian',
  'vegan',
  'halal',
  'kosher',
  'no-pork',
  'no-alcohol',
  'no-added-sugar',
] as const
export type Diet = (typeof DIETS)[number]

/** A diet that a setting made itself: what it avoids, as allergen ids, foods or free words. */
export interface OwnDiet {
  id: OwnDietId
  name: string
  avoid: string[]
}
export type OwnDietId = `own:${string}`
export type AnyDiet = Diet | OwnDietId
const isOwnDiet = (id: string): id is OwnDietId => id.startsWith('own:')

/** The name people read: the setting's own, or Lea's word for it. */
export const dietName = (id: string, own: readonly OwnDiet[] = []): string =>
  own.find((d) => d.id === id)?.name ?? id.replace(/^own:/, '').replace(/-/g, ' ')

const DIET = 'diet:'
/** The word under which a check or a packet reading speaks of a diet: `diet:halal`. Allergens stand under their own ids. */
export const dietKey = (diet: AnyDiet): string => `${DIET}${diet}`

/** The diet that a check or a packet reading speaks of; null where it is an allergen. */
export const dietOfKey = (key: string): string | null =>
  key.startsWith(DIET) ? key.slice(DIET.length) : null

/** What a check or a packet reading is about, in words: "halal", "peanut". */
export function concernName(key: string, own: readonly OwnDiet[] = []): string {
  const diet = dietOfKey(key)
  return diet === null ? allergenName(key) : dietName(diet, own)
}

const isMeat = (food: FoodFact): boolean =>
  food.diets['vegetarian'] === 'no' && !food.contains.includes('fish')

function verdictOf(diet: Diet, food: FoodFact): Verdict {
  switch (diet) {
    case 'kosher':
      if (food.diets['kosher']) return food.diets['kosher']
      if (
        food.diets['no-pork'] === 'no' ||
        food.contains.some((c) => c === 'crustaceans' || c === 'molluscs')
      )
        return 'no'
      return isMeat(food) || food.extras.includes('gelatine') || food.diets['vegetarian'] === 'check'
        ? 'check'
        : 'yes'
    case 'no-alcohol':
      return food.alcohol ? 'no' : 'yes'
    case 'no-added-sugar':
      if (food.addedSugar !== undefined) return food.addedSugar ? 'no' : 'yes'
      if (food.group === 'sweet') return 'no'
      return food.compound ? 'check' : 'yes'
    default:
      return food.diets[diet] ?? 'check'
  }
}

/** How a food meets a diet: `lists` where it breaks it, `ask` where it depends on the make. */
export function meetDiet(
  diet: AnyDiet,
  food: Food,
  packet?: Packet,
  own: readonly OwnDiet[] = [],
): ExposureKind {
  if (packet?.lookedFor.includes(dietKey(diet)))
    return packet.lists.includes(dietKey(diet)) ? 'lists' : 'nothing'
  if (isOwnDiet(diet))
    return meetOwn(
      own.find((d) => d.id === diet),
      food,
      packet,
    )
  if (isUnknown(food)) return 'ask'
  const flag = verdictOf(diet, food)
  if (flag === 'no') return 'lists'
  if (diet === 'halal' && food.alcohol) return 'ask'
  return flag === 'yes' ? 'nothing' : 'ask'
}

/** A setting's own diet: the worst meeting of all it avoids. One that is gone from the house rules is *ask*. */
function meetOwn(diet: OwnDiet | undefined, food: Food, packet: Packet | undefined): ExposureKind {
  if (!diet) return 'ask'
  const met = diet.avoid.map((words) => meet(words, food, packet))
  return (['lists', 'ask', 'may'] as const).find((m) => met.includes(m)) ?? 'nothing'
}
