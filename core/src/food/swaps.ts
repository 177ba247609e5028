/**
 * Swaps: what can stand in for a food in the role it plays, with exact new amounts.
 * Source: core/data/swaps.json (kitchen practice, from memory). A swap is a suggestion to check, never a clearance.
 */
import data from '../../data/swaps.json'
import { ratio, toText, type Ratio } from '../amount/ratio'
import { convert, unitOf } from '../amount/units'

export interface SwapPart {
  food: string
  amount: Ratio
  unit: string
}
export interface Swap {
  id: string
  food: string
  roles: string[]
  /** The ratio: `amount unit` of the food becomes `parts`. */
  amount: Ratio
  unit: string
  parts: SwapPart[]
  effect: string
  method: string
  confidence: string
  source: string
}

const SWAPS: readonly Swap[] = data.swaps
const BY_ID = new Map(SWAPS.map((s) => [s.id, s]))

export const swapOf = (id: string): Swap | undefined => BY_ID.get(id)

/** The swaps for a food in a role whose ratio can be applied to an amount in `unit`. */
export const swapsFor = (food: string, role: string, unit: string): Swap[] =>
  SWAPS.filter((s) => s.food === food && s.roles.includes(role) && convert(1, unit, s.unit) !== null)

/**
 * The swapped-in foods with exact amounts. A part of the same dimension as the food it replaces keeps the line's own
 * unit (1 1/2 cups of milk become 1 1/2 cups of oat drink); other parts keep the unit of the table.
 * @throws Error where the line's unit and the table's measure different things: `swapsFor` never offers such a swap.
 */
export function applySwap(swap: Swap, amount: Ratio, unit: string): SwapPart[] {
  const inTableUnit = convert(amount, unit, swap.unit)
  if (inTableUnit === null) throw new Error(`swap ${swap.id} cannot be applied to an amount in ${unit}`)
  const factor = inTableUnit.div(swap.amount)
  return swap.parts.map((part, index) => {
    const scaled = ratio(part.amount).mul(factor)
    const sameKind = unitOf(part.unit).dimension === unitOf(unit).dimension
    const kept = index === 0 && sameKind ? convert(scaled, part.unit, unit) : null
    return kept === null
      ? { food: part.food, amount: toText(scaled), unit: part.unit }
      : { food: part.food, amount: toText(kept), unit }
  })
}
