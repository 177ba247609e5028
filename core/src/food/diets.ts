/** Diets of families against a food. Source: core/data/foods.json, diet flags (common practice, from memory). */
import type { Meeting, Packet } from './concerns'
import { isUnknown, type Food } from './foods'

export const DIETS = ['vegetarian', 'vegan', 'halal', 'no-pork'] as const
export type Diet = (typeof DIETS)[number]

/** The word under which a packet reading speaks of a diet: `diet:halal`. */
export const dietKey = (diet: Diet): string => `diet:${diet}`

/** How a food meets a diet: `lists` where it breaks it, `ask` where it depends on the make. */
export function meetDiet(diet: Diet, food: Food, packet?: Packet): Meeting {
  if (packet?.lookedFor.includes(dietKey(diet)))
    return packet.lists.includes(dietKey(diet)) ? 'lists' : 'nothing'
  if (isUnknown(food)) return 'ask'
  const flag = food.diets[diet]
  if (flag === 'no') return 'lists'
  if (diet === 'halal' && food.alcohol) return 'ask'
  return flag === 'yes' ? 'nothing' : 'ask'
}
