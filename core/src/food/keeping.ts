/**
 * How foods keep, by what they are, in what state and in which country. Sources, from memory: FSA "chilling" and "use-by" guidance and the
 * 48-hour rule for leftovers (UK); FoodSafety.gov cold storage chart, 40 °F or below (US). The date on the pack comes first.
 */
import type { Food } from './foods'
import { isUnknown } from './foods'

export type KeepCountry = 'uk' | 'us'
/** How it comes, once the pack is open or it is cut, and once it is cooked. */
export type FoodState = 'closed' | 'opened' | 'cooked'

type Rows = Partial<Record<FoodState, Record<KeepCountry, string>>>
const same = (text: string): Record<KeepCountry, string> => ({ uk: text, us: text })
const FRIDGE: Record<KeepCountry, string> = {
  uk: 'fridge, 5 °C or below',
  us: 'fridge, 40 °F (4 °C) or below',
}
const fridge = (uk: string, us: string): Record<KeepCountry, string> => ({
  uk: `${FRIDGE.uk}: ${uk}`,
  us: `${FRIDGE.us}: ${us}`,
})
const COOKED = fridge('2 days', '3 to 4 days')

const KEEPING: Record<string, Rows> = {
  dry: { closed: same('dry and closed, by the date on the pack'), opened: same('in a closed box, dry') },
  // Cooked rice and grains breed fast: cooled within the hour. Source: FSA, from memory.
  grain: {
    closed: same('dry and closed, by the date on the pack'),
    opened: same('in a closed box, dry'),
    cooked: {
      uk: 'cool within 1 hour, fridge, eat within 24 hours',
      us: 'cool within 2 hours, fridge, 3 to 4 days',
    },
  },
  flour: {
    closed: same('dry and closed, by the date on the pack'),
    opened: same('in a closed box, dry; never eaten raw'),
  },
  nuts: {
    closed: same('cool, dry and closed, by the date on the pack'),
    opened: same('in an airtight box, cool'),
  },
  oil: { closed: same('cool and dark, by the date on the pack'), opened: same('cool and dark, closed') },
  fat: {
    closed: fridge('by the date on the pack', 'by the date on the pack'),
    opened: fridge('as the pack says', 'as the pack says'),
  },
  bread: {
    closed: same('room temperature, by the date on the pack, or frozen'),
    opened: same('closed bag, a few days, or frozen'),
  },
  dairy: {
    closed: fridge('by the use-by date', 'by the date on the pack'),
    opened: fridge('as the pack says, about 3 days', 'as the pack says, about 5 to 7 days'),
  },
  egg: {
    closed: {
      uk: 'fridge or a cool place of even temperature, by the best-before date',
      us: `${FRIDGE.us}: 3 to 5 weeks`,
    },
    opened: fridge('raw and out of the shell: 2 days', 'raw and out of the shell: 2 to 4 days'),
    cooked: fridge('hard-boiled: 3 days', 'hard-boiled: 1 week'),
  },
  meat: {
    closed: fridge('lowest shelf, by the use-by date', 'lowest shelf, 3 to 5 days'),
    opened: fridge('lowest shelf, closed, 1 to 2 days', 'lowest shelf, closed, 3 to 5 days'),
    cooked: COOKED,
  },
  poultry: {
    closed: fridge('lowest shelf, by the use-by date, 1 to 2 days', 'lowest shelf, 1 to 2 days'),
    opened: fridge('lowest shelf, closed, 1 day', 'lowest shelf, closed, 1 to 2 days'),
    cooked: COOKED,
  },
  fish: {
    closed: fridge('lowest shelf, by the use-by date, 1 to 2 days', 'lowest shelf, 1 to 2 days'),
    opened: fridge('lowest shelf, closed, 1 day', 'lowest shelf, closed, 1 to 2 days'),
    cooked: COOKED,
  },
  cooked: { closed: fridge('by the use-by date', 'by the date on the pack'), opened: COOKED, cooked: COOKED },
  fridge: {
    closed: fridge('by the use-by date', 'by the date on the pack'),
    opened: fridge('as the pack says, about 2 to 3 days', 'as the pack says, about 3 to 5 days'),
    cooked: COOKED,
  },
  frozen: {
    closed: {
      uk: 'freezer, -18 °C or below, by the date on the pack',
      us: 'freezer, 0 °F (-18 °C) or below, by the date on the pack',
    },
    opened: same('closed, in the freezer; once thawed in the fridge within a day'),
    cooked: COOKED,
  },
  tin: {
    closed: same('dry, by the date on the tin'),
    opened: fridge('out of the tin, closed, 2 days', 'out of the tin, closed, 3 to 4 days'),
  },
  sauce: {
    closed: same('as the pack says'),
    opened: fridge('as the label says, often 3 to 5 days', 'as the label says'),
  },
  stock: {
    closed: fridge('2 days, or frozen', '3 to 4 days, or frozen'),
    opened: fridge('2 days', '3 to 4 days'),
  },
  herb: {
    closed: same('fridge, in a damp cloth or a glass of water, a few days'),
    opened: fridge('cut: today', 'cut: today'),
  },
  veg: {
    closed: same('cool and dark'),
    opened: fridge('cut: closed, today', 'cut: closed, today'),
    cooked: COOKED,
  },
  vegfridge: {
    closed: same('fridge, washed before it is eaten'),
    opened: fridge('cut: closed, today', 'cut: closed, today'),
    cooked: COOKED,
  },
  drink: {
    closed: same('cool, by the date on the pack'),
    opened: same('closed, in the fridge, as the pack says'),
  },
  water: { closed: same('fresh each time') },
  dough: { closed: same('closed box, one week; no food') },
}
/** @returns how a food keeps in a state, in words; a setting's own words for a food of its own; empty where nothing useful is known */
export function keepsHow(food: Food, state: FoodState, country: KeepCountry): string {
  if (isUnknown(food) || food.storage === undefined) return ''
  const rows = KEEPING[food.storage]
  if (!rows) return state === 'closed' ? food.storage : ''
  return rows[state]?.[country] ?? ''
}
