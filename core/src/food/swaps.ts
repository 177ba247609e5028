/**
 * Swaps: what can stand in for a food in the role it plays, with exact new amounts.
 * Source: core/data/swaps.json (kitchen practice, from memory). A swap is a suggestion to check, never a clearance.
 */
import type Fraction from 'fraction.js'
import data from '../../data/swaps.json'
import { ratio, toText, type Ratio } from '../amount/ratio'
import { unitOf } from '../amount/units'
import { FAMILY_SOURCE, familyOf, kinUnit } from './family'
import { SHIPPED_BOOK, isUnknown } from './foods'
import { crossTo } from './weights'

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
  /** Grams of that amount, where the table gives them beside a count or a spoon. */
  grams?: Ratio
  parts: SwapPart[]
  /** Every id that the parts typically hold, and the ids that some makes hold. */
  brings: string[]
  mayBring: string[]
  /** What an adult does before: cooks it, soaks it. Minutes until it is ready, seconds of work. */
  ahead?: { says: string; minutes: number; seconds: number; heat?: true }
  /** So long the mix rests at the end of the step in which it goes in, minutes. */
  restMinutes?: number
  /** So long it cooks at least, minutes. */
  cookMinutes?: number
  effect: string
  method: string
  /** What an age must not have of it, and what it does not work for. */
  age: string
  notFor: string
  confidence: string
  source: string
}

const OWN = data.swaps as readonly Swap[]

/**
 * Swaps of one food for another that stands in a recipe as it does: plaice as cod. By weight or volume; a piece of the one is none of the other.
 * Source: common practice, from memory.
 */
const likeSwaps = (food: string, as: string): Swap[] =>
  OWN.filter((s) => s.food === as && s.parts.every((p) => p.food !== food)).flatMap((s) => {
    const id = `${food}~${s.id}`
    if (unitOf(s.unit).dimension !== 'count' || PIECE_FOR_PIECE.has(as)) return [{ ...s, id, food }]
    const { grams, ...rest } = s
    return grams === undefined ? [] : [{ ...rest, id, food, amount: grams, unit: 'g' }]
  })
/** A roll is a roll, a biscuit a biscuit. */
const PIECE_FOR_PIECE: ReadonlySet<string> = new Set(['bread-rolls', 'naan', 'crackers', 'digestive-biscuit'])
const SWAPS: readonly Swap[] = [
  ...OWN,
  ...Object.entries(data.like.as as Record<string, string>).flatMap(([food, as]) => likeSwaps(food, as)),
]
const BY_ID = new Map(SWAPS.map((s) => [s.id, s]))

export const swapOf = (id: string): Swap | undefined => BY_ID.get(id) ?? kinSwapOf(id)

/** The swaps for a food in a role whose ratio can be applied to an amount in `unit`. */
const BY_FOOD = new Map<string, Swap[]>()
for (const swap of SWAPS) BY_FOOD.set(swap.food, [...(BY_FOOD.get(swap.food) ?? []), swap])
/** The table does not change: what fits a food, role and unit is worked out once. */
const FITTING = new Map<string, Swap[]>()

export function swapsFor(food: string, role: string, unit: string): Swap[] {
  const key = `${food}/${role}/${unit}`
  const known = FITTING.get(key)
  if (known) return known
  const found = fittingSwaps(food, role, unit)
  FITTING.set(key, found)
  return found
}

/** The others of its family, as much of the one as of the other. */
function kinSwaps(food: string, unit: string): Swap[] {
  const family = familyOf(food)
  const by = kinUnit(food, unit)
  if (!family || by === null) return []
  return family.foods.flatMap((to) => (to === food ? [] : [kinSwap(food, to, by, family.says)]))
}

/** A swap within a family by its id; undefined where there is none of that id. */
function kinSwapOf(id: string): Swap | undefined {
  const [, from = '', unit = ''] = /^([a-z0-9-]+)=[a-z0-9-]+\/(.+)$/.exec(id) ?? []
  return kinSwaps(from, unit).find((s) => s.id === id)
}

function kinSwap(from: string, to: string, unit: string, effect: string): Swap {
  const food = SHIPPED_BOOK.of(to)
  const known = isUnknown(food) ? null : food
  return {
    id: `${from}=${to}/${unit}`,
    food: from,
    roles: [],
    amount: '1',
    unit,
    parts: [{ food: to, amount: '1', unit }],
    brings: [...(known?.contains ?? []), ...(known?.extras ?? [])],
    mayBring: [...(known?.mayContain ?? [])],
    effect,
    method: '',
    age: '',
    notFor: '',
    confidence: 'M',
    source: FAMILY_SOURCE,
  }
}

/** The others of the food's family that an amount in `unit` can be said of: as they are, in any role. */
export const familySwaps = (food: string, unit: string): Swap[] =>
  kinSwaps(food, unit).filter((s) => inTable(s, 1, unit) !== null)

/** Whether a swap can stand for a food in its role and unit. */
export const standsFor = (swap: Swap, food: string, role: string, unit: string): boolean =>
  [...swapsFor(food, role, unit), ...familySwaps(food, unit)].some((s) => s.id === swap.id)

/** Where no row knows a food in its role, the role that is nearest to it speaks. Source: common practice. */
const NEAR: Readonly<Record<string, readonly string[]>> = {
  fat: ['fat-melted', 'fat-rubbed', 'frying', 'topping'],
  'fat-melted': ['fat', 'frying'],
  'fat-rubbed': ['fat'],
  frying: ['fat-melted', 'fat'],
  main: ['topping', 'savour', 'structure', 'dressing'],
  topping: ['main', 'savour', 'dressing', 'sweet'],
  savour: ['main', 'topping', 'seasoning'],
  seasoning: ['savour', 'dressing'],
  dressing: ['main', 'moisture', 'seasoning', 'topping'],
  moisture: ['liquid', 'dressing', 'main'],
  liquid: ['moisture', 'acid-liquid', 'main'],
  'acid-liquid': ['liquid', 'dressing'],
  sweet: ['topping', 'main'],
  structure: ['main'],
  glaze: ['binder', 'liquid'],
}

function fittingSwaps(food: string, role: string, unit: string): Swap[] {
  const can = (BY_FOOD.get(food) ?? []).filter((s) => inTable(s, 1, unit) !== null)
  const of = (r: string): Swap[] => can.filter((s) => s.roles.includes(r))
  const nearest = [role, ...(NEAR[role] ?? [])].find((r) => of(r).length > 0)
  const fits = of(nearest ?? role)
    // A row that measures as the line does comes before one that is reached by the food's weight.
    .sort((a, b) => Number(!isPlain(a, unit)) - Number(!isPlain(b, unit)))
  // The same foods may stand in by a cup and by weight: the first row that fits speaks.
  const seen = new Set<string>()
  return fits.filter((s) => {
    const key = s.parts.map((p) => p.food).join('+')
    return !seen.has(key) && seen.add(key)
  })
}

const isPlain = (swap: Swap, unit: string): boolean => unitOf(swap.unit).dimension === unitOf(unit).dimension

/**
 * An amount as so many times the table's own amount: by the units, or by what the food weighs ("2 tbsp butter" against a row by the gram).
 * Null where the two measure different things and nobody knows the weight.
 */
function inTable(swap: Swap, amount: Ratio | number, unit: string): Fraction | null {
  const exact = ratio(amount)
  if (isPlain(swap, unit)) return crossTo(exact, unit, swap.unit, swap.food)?.amount.div(swap.amount) ?? null
  if (swap.grams !== undefined) {
    const grams = crossTo(exact, unit, 'g', swap.food)
    return grams === null ? null : grams.amount.div(swap.grams)
  }
  return crossTo(exact, unit, swap.unit, swap.food)?.amount.div(swap.amount) ?? null
}

/** To half a gram or millilitre under ten of them, else to whole ones; spoons and cups to eighths, pieces to quarters; never to nothing. */
function toNearest(amount: Fraction, unit: string): Fraction {
  const step =
    unit === 'g' || unit === 'mL' ? (amount.compare(10) < 0 ? '1/2' : '1') : unit === 'item' ? '1/4' : '1/8'
  const rounded = amount.div(step).round().mul(step)
  return rounded.compare(0) > 0 ? rounded : ratio(step)
}

/**
 * The swapped-in foods with exact amounts. A part of the same dimension as the food it replaces keeps the line's own
 * unit (1 1/2 cups of milk become 1 1/2 cups of oat drink); other parts keep the unit of the table.
 * @throws Error where the line's unit and the table's measure different things: `swapsFor` never offers such a swap.
 */
export function applySwap(swap: Swap, amount: Ratio, unit: string): SwapPart[] {
  const factor = inTable(swap, amount, unit)
  if (factor === null) throw new Error(`swap ${swap.id} cannot be applied to an amount in ${unit}`)
  const exact = isPlain(swap, unit)
  return swap.parts.map((part, index) => {
    const full = ratio(part.amount).mul(factor)
    // What was reached by a weight is no more exact than that weight.
    const scaled = exact ? full : toNearest(full, part.unit)
    const sameKind = unitOf(part.unit).dimension === unitOf(unit).dimension
    const kept = index === 0 && sameKind ? crossTo(scaled, part.unit, unit, part.food) : null
    return kept === null
      ? { food: part.food, amount: toText(scaled), unit: part.unit }
      : { food: part.food, amount: toText(kept.amount), unit }
  })
}
