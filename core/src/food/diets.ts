/**
 * Diets of families against a food. Source: core/data/foods.json, diet flags, groups and allergens (common practice, from
 * memory). Kosher and halal are cautions: the family's own rule and certifier come first.
 */
import type { Meeting, Packet } from './concerns'
import { isUnknown, type Food, type FoodFact, type Verdict } from './foods'

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

/** The word under which a packet reading speaks of a diet: `diet:halal`. */
export const dietKey = (diet: Diet): string => `diet:${diet}`

const isMeat = (food: FoodFact): boolean =>
  food.diets['vegetarian'] === 'no' && !food.contains.includes('fish')

function verdictOf(diet: Diet, food: FoodFact): Verdict {
  switch (diet) {
    case 'kosher':
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
      if (food.group === 'sweet')
        return food.id === 'cocoa-powder' || food.id === 'carob-powder' ? 'yes' : 'no'
      return food.compound ? 'check' : 'yes'
    default:
      return food.diets[diet] ?? 'check'
  }
}

/** How a food meets a diet: `lists` where it breaks it, `ask` where it depends on the make. */
export function meetDiet(diet: Diet, food: Food, packet?: Packet): Meeting {
  if (packet?.lookedFor.includes(dietKey(diet)))
    return packet.lists.includes(dietKey(diet)) ? 'lists' : 'nothing'
  if (isUnknown(food)) return 'ask'
  const flag = verdictOf(diet, food)
  if (flag === 'no') return 'lists'
  if (diet === 'halal' && food.alcohol) return 'ask'
  return flag === 'yes' ? 'nothing' : 'ask'
}
