/**
 * Fair scoops across a whole recipe: one exact way for each ingredient, so that every child gets the same number of turns.
 *
 * Minimises in order z = (z1..z7) of calc.md `fair`: too few turns each; turns that do not come out even; numbers past what
 * the group counts; ingredients with more than one kind of measure; kinds of measures in all; turns; scoops too small to count.
 *
 * Exact, in two steps. For one box of measures a dynamic programme over the ingredients gives the best (z3, z4, z6, z7) for
 * each number of turns (past minEach*k only the rest by k matters, for z1 and z2). The whole box so gives the best z1..z4;
 * then boxes are tried from few measures to many, and the first number of measures that still reaches it is z5.
 */
import type Fraction from 'fraction.js'
import { decompositions, type Size, type Ways } from './decompose'
import { ratio, type Ratio } from './ratio'

export type FairIngredient =
  | { name: string; amount: Ratio | Fraction }
  | { name: string; pieces: number }
  /** Only these ways, as counts in the order of the measures: what a person pinned, or what was worked out before. */
  | { name: string; counts: readonly (readonly number[])[] }
export interface FairProblem {
  measures: readonly Size[]
  ingredients: readonly FairIngredient[]
  children: number
  countLimit: number
  /** The smallest scoop that counts as a turn, in the unit of the sizes. */
  minTurn: Ratio | Fraction | number
  maxScoops: number
  minEach: number
}
export interface FairAnswer {
  feasible: boolean
  objective?: number[]
  turns?: number
  perChildMin?: number
  perChildMax?: number
  example?: Record<string, Ways>
}

interface Option {
  mask: number
  turns: number
  cost: number
  /** Scoops of each measure; null for pieces. */
  way: readonly number[] | null
}
/** The least cost of each class of turns, and the way there: one choice for each ingredient and class. */
interface Table {
  cost: Float64Array
  chosen: (Option | undefined)[][]
  from: Int32Array[]
}

/** (z3, z4, z6, z7) in one number, compared in that order: 40 ingredients, 10 000 pieces and 60 scoops each fit. */
const T = 2 ** 12
const MIXED = T * 2 ** 20
const HARD = MIXED * 2 ** 6

/** @throws RangeError past 12 measures, 40 ingredients, 60 scoops or 10 000 pieces an ingredient */
export function fairScoops(problem: FairProblem): FairAnswer {
  refuseTooMuch(problem)
  const options = problem.ingredients.map((i) => optionsOf(i, problem))
  if (options.some((o) => o.length === 0)) return { feasible: false }
  const all = 2 ** problem.measures.length - 1
  const fold = foldOf(problem, options)
  const target = best(solve(inBox(options, all), problem, fold), problem)
  const ceiling = Math.floor(target.cost / MIXED)
  const lows = options.map((list) => lowest(list, all))
  let found: { box: number; cost: number; at: number; inside: Option[][] } | null = null
  for (const box of bySize(all)) {
    if (found && bits(box) > bits(found.box)) break
    const least = lows.reduce((sum, low) => sum + (low[box] as number), 0)
    if (Math.floor(least / MIXED) > ceiling || (found && least >= found.cost)) continue
    const inside = inBox(options, box)
    const here = best(solve(inside, problem, fold), problem)
    if (here.first !== target.first || Math.floor(here.cost / MIXED) !== ceiling) continue
    if (!found || here.cost < found.cost) found = { box, cost: here.cost, at: here.at, inside }
  }
  if (!found) return { feasible: false }
  const table = solve(found.inside, problem, fold, true)
  return answer(table, found.at, found.cost, bits(found.box), problem)
}

/** The least cost of one ingredient in each box: a bound that spares most boxes their programme. */
function lowest(list: readonly Option[], all: number): Float64Array {
  const low = new Float64Array(all + 1).fill(Infinity)
  for (const o of list) low[o.mask] = Math.min(low[o.mask] as number, o.cost)
  for (let bit = 1; bit <= all; bit *= 2)
    for (let box = bit; box <= all; box++)
      if (box & bit) low[box] = Math.min(low[box] as number, low[box ^ bit] as number)
  return low
}

/** In one box only the turns of a way matter: of the ways with the same turns the cheapest. */
const inBox = (options: readonly Option[][], box: number): Option[][] =>
  options.map((list) => {
    const kept: Option[] = []
    const place = new Map<number, number>()
    for (const o of list) {
      if ((o.mask & ~box) !== 0) continue
      const at = place.get(o.turns)
      if (at === undefined) place.set(o.turns, kept.push(o) - 1)
      else if (o.cost < (kept[at]?.cost ?? Infinity)) kept[at] = o
    }
    return kept
  })

/** The class of a number of turns: itself up to minEach*k, then the rest by k. */
function foldOf({ children: k, minEach }: FairProblem, options: readonly Option[][]): Int32Array {
  const cap = minEach * k
  const most = options.reduce((m, list) => list.reduce((x, o) => Math.max(x, o.turns), m), 0)
  return Int32Array.from({ length: cap + k + most + 1 }, (_, t) => (t < cap ? t : cap + ((t - cap) % k)))
}

function refuseTooMuch({ measures, ingredients, maxScoops }: FairProblem): void {
  if (measures.length > 12) throw new RangeError('measures may be at most 12')
  if (ingredients.length > 40) throw new RangeError('ingredients may be at most 40')
  if (maxScoops > 60) throw new RangeError('maxScoops may be at most 60')
  if (ingredients.some((i) => 'pieces' in i && i.pieces > 10_000))
    throw new RangeError('pieces may be at most 10000')
}

const bits = (mask: number): number => {
  let n = 0
  for (let m = mask; m > 0; m &= m - 1) n += 1
  return n
}
const bySize = (all: number): number[] =>
  Array.from({ length: all + 1 }, (_, mask) => mask).sort((a, b) => bits(a) - bits(b) || a - b)

/** The dynamic programme for one box. */
function solve(
  inside: readonly Option[][],
  { children: k, minEach }: FairProblem,
  fold: Int32Array,
  trace = false,
): Table {
  const width = minEach * k + k
  let cost = new Float64Array(width).fill(Infinity)
  cost[0] = 0
  const table: Table = { cost, chosen: [], from: [] }
  for (const list of inside) {
    const next = new Float64Array(width).fill(Infinity)
    const how: (Option | undefined)[] = []
    const where = new Int32Array(width)
    for (const o of list) {
      for (let t = 0; t < width; t++) {
        const sum = (cost[t] as number) + o.cost
        const to = fold[t + o.turns] as number
        if (sum >= (next[to] as number)) continue
        next[to] = sum
        if (!trace) continue
        how[to] = o
        where[to] = t
      }
    }
    cost = next
    table.chosen.push(how)
    table.from.push(where)
  }
  return { ...table, cost }
}

/** The class of turns with the least (z1, z2, cost); `first` is 2*z1 + z2. */
function best(
  table: Table,
  { children: k, minEach }: FairProblem,
): { at: number; first: number; cost: number } {
  let found = { at: -1, first: Infinity, cost: Infinity }
  table.cost.forEach((cost, at) => {
    if (cost === Infinity) return
    const first = (at < minEach * k ? 2 : 0) + (at % k === 0 ? 0 : 1)
    if (first < found.first || (first === found.first && cost < found.cost)) found = { at, first, cost }
  })
  return found
}

const waysOf = ({ way, turns }: Option, { measures }: FairProblem): Ways =>
  way === null
    ? { pieces: turns }
    : Object.fromEntries(way.flatMap((n, i) => (n > 0 ? [[measures[i]?.id ?? '', n]] : [])))

function answer(table: Table, end: number, cost: number, kinds: number, problem: FairProblem): FairAnswer {
  const { children: k, minEach, ingredients } = problem
  const turns = Math.floor(cost / T) % 2 ** 20
  const example: Record<string, Ways> = {}
  for (let i = ingredients.length - 1, at = end; i >= 0; i--) {
    const o = table.chosen[i]?.[at]
    if (o) example[ingredients[i]?.name ?? ''] = waysOf(o, problem)
    at = table.from[i]?.[at] ?? 0
  }
  return {
    feasible: true,
    objective: [
      Math.floor(turns / k) < minEach ? 1 : 0,
      turns % k === 0 ? 0 : 1,
      Math.floor(cost / HARD),
      Math.floor(cost / MIXED) % 64,
      kinds,
      turns,
      cost % T,
    ],
    turns,
    perChildMin: Math.floor(turns / k),
    perChildMax: Math.ceil(turns / k),
    example: Object.fromEntries(ingredients.map((i) => [i.name, example[i.name] ?? {}])),
  }
}

/** The ways of one ingredient; of ways alike in measures and turns only the cheapest is kept. */
function optionsOf(ingredient: FairIngredient, problem: FairProblem): Option[] {
  if ('pieces' in ingredient) {
    const { pieces } = ingredient
    return [{ mask: 0, turns: pieces, cost: pieces * T, way: null }]
  }
  const { measures, children: k, countLimit: c, maxScoops } = problem
  const ways =
    'counts' in ingredient ? ingredient.counts : decompositions(ingredient.amount, measures, maxScoops)
  const counts = measures.map((m) => ratio(m.size).compare(ratio(problem.minTurn)) >= 0)
  const kept = new Map<number, Option>()
  for (const way of ways) {
    let [mask, turns, hard, small] = [0, 0, 0, 0]
    for (const [i, n] of way.entries()) {
      if (n === 0) continue
      mask |= 1 << i
      if (counts[i]) turns += n
      else small += n
      if (n > c && !(n % k === 0 && n / k <= c)) hard += 1
    }
    const cost = hard * HARD + (bits(mask) > 1 ? MIXED : 0) + turns * T + small
    const key = mask * 64 + turns
    if (cost < (kept.get(key)?.cost ?? Infinity)) kept.set(key, { cost, mask, turns, way })
  }
  return [...kept.values()]
}
