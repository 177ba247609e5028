/**
 * Any of this family: foods that stand in each other's place as they are, as much of the one as of the other, whether or not there is an
 * allergy. Source: core/data/families.json (common practice, from memory). A suggestion to check, never a clearance.
 */
import data from '../../data/families.json'
import { unitOf } from '../amount/units'

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

/** Where the families are known from. */
export const FAMILY_SOURCE: string = data.source

/**
 * In which unit a food of a family is measured against another, for an amount in `unit`; null where it has no family, or the amount is a length.
 */
export function kinUnit(food: string, unit: string): string | null {
  const family = familyOf(food)
  const { dimension } = unitOf(unit)
  if (!family || unit === '' || dimension === 'length') return null
  return dimension !== 'count' ? BY[dimension] : PIECES.has(unit) && !family.pieces ? 'g' : unit
}
