/**
 * Any of this family: foods that stand in each other's place as they are, as much of the one as of the other, whether or not there is an
 * allergy. Source: core/data/families.json (common practice, from memory). A suggestion to check, never a clearance.
 */
import data from '../../data/families.json'
import { unitOf } from '../amount/units'
import { SHIPPED_BOOK, isUnknown } from './foods'
import type { Swap } from './swaps'

export interface FoodFamily {
  id: string
  /** "syrup" */
  name: string
  /** How one stands in for another. */
  says: string
  foods: readonly string[]
  /** One piece for one piece; else by weight or volume alone. */
  pieces?: true
}
const FAMILIES = data.families as readonly FoodFamily[]
const BY_FOOD = new Map(FAMILIES.flatMap((f) => f.foods.map((food): [string, FoodFamily] => [food, f])))

/** The family of a food; undefined where it has none. */
export const familyOf = (food: string): FoodFamily | undefined => BY_FOOD.get(food)

const BY = { volume: 'mL', mass: 'g' } as const
/** Pieces of two foods are alike only where the family says so; a tin is a tin, and a bunch a bunch. */
const PIECES: ReadonlySet<string> = new Set(['item', 'slice', 'piece'])
const kinId = (from: string, to: string, unit: string): string => `${from}=${to}/${unit}`

/** The others of its family, for an amount in `unit`: piece for piece, or as much of the one as of the other. */
export function kinSwaps(food: string, unit: string): Swap[] {
  const family = familyOf(food)
  const { dimension } = unitOf(unit)
  if (!family || unit === '' || dimension === 'length') return []
  const by = dimension !== 'count' ? BY[dimension] : PIECES.has(unit) && !family.pieces ? 'g' : unit
  return family.foods.flatMap((to) => (to === food ? [] : [kinSwap(family, food, to, by)]))
}

/** A swap within a family by its id; undefined where there is none of that id. */
export function kinSwapOf(id: string): Swap | undefined {
  const [, from = '', to = '', unit = ''] = /^([a-z0-9-]+)=([a-z0-9-]+)\/(.+)$/.exec(id) ?? []
  return kinSwaps(from, unit).find((s) => s.id === id)
}

function kinSwap(family: FoodFamily, from: string, to: string, unit: string): Swap {
  const food = SHIPPED_BOOK.of(to)
  const known = isUnknown(food) ? null : food
  return {
    id: kinId(from, to, unit),
    food: from,
    roles: [],
    amount: '1',
    unit,
    parts: [{ food: to, amount: '1', unit }],
    brings: [...(known?.contains ?? []), ...(known?.extras ?? [])],
    mayBring: [...(known?.mayContain ?? [])],
    effect: family.says,
    method: '',
    age: '',
    notFor: '',
    confidence: 'M',
    source: data.source,
  }
}
