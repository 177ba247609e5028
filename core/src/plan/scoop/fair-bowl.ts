/**
 * One bowl's scoops: one way for each line, so that its children get the same number of turns (or, quick, the fewest scoops).
 *
 * Each line has its exact ways; where the box makes it in none, the ways of the nearest amount within the tolerance of its
 * role; where there is none of these either, it is weighed, one turn for each child who takes part. A pinned way is the only
 * one. Which of the ways, `fairScoops` decides over the whole bowl (calc.md `fair`).
 */
import { remembered } from '../../amount/memo'
import type Fraction from 'fraction.js'
import { decompositions, type Size } from '../../amount/decompose'
import { fairScoops, type FairIngredient } from '../../amount/fair'
import { nearest } from '../../amount/near'
import { amountText } from '../../amount/show'
import { ratio, toPlaces, type Ratio } from '../../amount/ratio'
import type { Measure } from '../../amount/scoops'
import { toBase, unitOf } from '../../amount/units'
import { crossTo, formWords, type OwnWeight } from '../../food/weights'
import { TOLERANCE } from '../../recipe/recipe'
import { byJug, worthCounting } from './jug'
import { weighed, type Demand } from './measuring'
import type { Measured } from '../model/line'

export interface BowlTask {
  demands: readonly Demand[]
  /** Turns that are there anyway: pieces and what is weighed. */
  otherTurns: number
  children: number
  countLimit: number
  maxScoops: number
  quick: boolean
  /** By task: measure id -> how many. */
  pins: ReadonlyMap<string, Readonly<Record<string, number>>>
  weights: readonly OwnWeight[]
  /** Bowls that are alike are worked out once. */
  known: Map<string, (number[] | undefined)[]>
}

/** The smallest scoop that counts as a turn, in mL: a teaspoon of either system. Source: measures.md E, common practice. */
const MIN_TURN = '49/10'
/** `fairScoops` takes this many kinds. */
const MOST_MEASURES = 12

interface Lot {
  demand: Demand
  counts: number[][]
  errPct: string
  pinned: boolean
}

/** The measures that can be of use here, largest first; two of one size are one. */
export function usable(box: readonly Measure[]): { measure: Measure; mL: Fraction }[] {
  const all = box
    .filter((m) => m.count > 0 && unitOf(m.unit).dimension === 'volume')
    .map((measure) => ({ measure, mL: toBase(measure.size, measure.unit) }))
    .sort((a, b) => b.mL.compare(a.mL))
  const kinds = all.filter((m, i) => i === 0 || !m.mL.equals(all[i - 1]?.mL ?? 0))
  // More kinds than the search takes: the middle sizes are the ones that others make up.
  while (kinds.length > MOST_MEASURES) kinds.splice(Math.floor(kinds.length / 2), 1)
  return kinds
}

export function scoopBowl(task: BowlTask, box: readonly Measure[]): Map<string, Measured> {
  const kinds = usable(box)
  const sizes: Size[] = kinds.map((k) => ({ id: k.measure.id, size: k.mL }))
  const out = new Map<string, Measured>()
  const lots: Lot[] = []
  for (const demand of task.demands) {
    const lot = lotOf(demand, sizes, task)
    const jug = lot?.pinned ? null : jugOf(demand, lot)
    if (jug) out.set(demand.task, jug)
    else if (lot) lots.push(countable(lot))
    else out.set(demand.task, noMeasure(demand, task.weights))
  }
  const chosen = task.quick ? fewest(lots) : fairest(lots, sizes, task, turnsOf(out, task.demands))
  lots.forEach((lot, i) => {
    const counts = chosen[i] ?? lot.counts[0] ?? []
    out.set(lot.demand.task, {
      by: 'scoop',
      parts: kinds.flatMap(({ measure }, at) => {
        const n = counts[at] ?? 0
        const { id, name, size, unit } = measure
        return n > 0 ? [{ measure: id, name, size, unit, n }] : []
      }),
      n: counts.reduce((a, b) => a + b, 0),
      errPct: lot.errPct,
      ...(lot.pinned && { pinned: true as const }),
      ...(lot.demand.because && { because: lot.demand.because }),
    })
  })
  return out
}

/** By the jug, where no few scoops make it. */
const jugOf = (demand: Demand, lot: Lot | null): Measured | null =>
  lot?.counts.some((way) => total(way) <= worthCounting(demand)) ? null : byJug(demand)

/** Ways that are worth counting; all of them where there are none. */
function countable(lot: Lot): Lot {
  const few = lot.counts.filter((way) => total(way) <= worthCounting(lot.demand))
  return few.length > 0 && !lot.pinned ? { ...lot, counts: few } : lot
}

/** Turns of what goes by the jug, or is weighed: one for each who may. */
const turnsOf = (settled: ReadonlyMap<string, Measured>, demands: readonly Demand[]): number =>
  demands.reduce((n, d) => {
    const how = settled.get(d.task)
    return n + (how === undefined ? 0 : how.by === 'scoop' ? how.n : d.able)
  }, 0)

/** The ways of one line, all of one error; null where nothing comes near enough. */
function lotOf(demand: Demand, sizes: readonly Size[], task: BowlTask): Lot | null {
  if (sizes.length === 0) return null
  const pin = task.pins.get(demand.task)
  const pinned = pin && pinnedLot(demand, pin, sizes)
  if (pinned) return pinned
  const own = demand.portion && ofOneMeasure(demand, sizes)
  if (own) return own
  const found = known({ mL: demand.mL, sizes, maxScoops: task.maxScoops, tolerance: TOLERANCE[demand.role] })
  return found && { demand, counts: found.counts, errPct: found.errPct, pinned: false }
}

interface Ways {
  counts: number[][]
  errPct: string
}
/**
 * Ways of amounts, kept from bowl to bowl and from plan to plan: a teaspoon in this box is made in the same ways in every recipe. They
 * depend on nothing but the amount, the box, the most scoops and the tolerance; so many are kept at most.
 */
const known = remembered(3000, madeOf, ({ mL, sizes, maxScoops, tolerance }) => {
  const box = sizes.map((s) => `${s.id}:${ratio(s.size).toFraction()}`).join()
  return `${mL.toFraction()} ${box} ${maxScoops} ${tolerance}`
})

interface Wanted {
  mL: Fraction
  sizes: readonly Size[]
  maxScoops: number
  tolerance: Ratio
}
function madeOf({ mL, sizes, maxScoops, tolerance }: Wanted): Ways | null {
  const exact = waysOf(mL, sizes, maxScoops)
  if (exact.length > 0) return { counts: patient(exact, sizes), errPct: '0' }
  const near = nearest(mL, sizes, maxScoops, tolerance)
  if (!near) return null
  return { counts: patient(waysOf(near.amount, sizes, maxScoops), sizes), errPct: near.errPct }
}

/** A child counts so many scoops of its own. Source: common practice. */
const MOST_OWN = 4

/** A portion by one measure: exact before near, as far as is near enough for the role of the line; then the fewest scoops. */
function ofOneMeasure(demand: Demand, sizes: readonly Size[]): Lot | null {
  const ways = sizes.flatMap((s, at) => {
    const n = Number(demand.mL.div(s.size).round().toFraction())
    if (n < 1 || n > MOST_OWN) return []
    const error = ratio(s.size).mul(n).div(demand.mL).sub(1)
    return error.abs().compare(TOLERANCE[demand.role]) > 0 ? [] : [{ at, n, error }]
  })
  const near = (way: (typeof ways)[number]): number => (way.error.compare(0) === 0 ? 0 : 1)
  const best = ways.sort((a, b) => near(a) - near(b) || a.n - b.n || a.error.abs().compare(b.error.abs()))[0]
  if (!best) return null
  const errPct = best.error.compare(0) === 0 ? '0' : toPlaces(best.error.mul(100), 4)
  return { demand, counts: [sizes.map((_, i) => (i === best.at ? best.n : 0))], errPct, pinned: false }
}

/** Scoops too small to be a turn: more than this of one line only where nothing else makes it. */
const PATIENT_SMALL = 4

function patient(ways: number[][], sizes: readonly Size[]): number[][] {
  const small = sizes.map((s) => ratio(s.size).compare(MIN_TURN) < 0)
  const few = ways.filter((w) => w.reduce((n, c, i) => n + (small[i] ? c : 0), 0) <= PATIENT_SMALL)
  return few.length > 0 ? few : ways
}

/** All ways; where there are more than two million, those of at most twelve scoops. */
export function waysOf(mL: Fraction, sizes: readonly Size[], maxScoops: number): number[][] {
  try {
    return decompositions(mL, sizes, maxScoops)
  } catch (fault) {
    if (!(fault instanceof RangeError) || maxScoops <= 12) throw fault
    return decompositions(mL, sizes, 12)
  }
}

/** A pinned way holds while its measures are in the box and it makes the amount within the tolerance. */
function pinnedLot(
  demand: Demand,
  pin: Readonly<Record<string, number>>,
  sizes: readonly Size[],
): Lot | null {
  if (Object.keys(pin).some((id) => !sizes.some((s) => s.id === id))) return null
  const counts = sizes.map((s) => pin[s.id] ?? 0)
  const made = sizes.reduce((sum, s, i) => sum.add(ratio(s.size).mul(counts[i] ?? 0)), ratio(0))
  const error = made.sub(demand.mL).div(demand.mL)
  if (made.compare(0) <= 0 || error.abs().compare(TOLERANCE[demand.role]) > 0) return null
  const errPct = error.compare(0) === 0 ? '0' : toPlaces(error.mul(100), 4)
  return { demand, counts: [counts], errPct, pinned: true }
}

const total = (way: readonly number[]): number => way.reduce((a, b) => a + b, 0)
const kindsIn = (way: readonly number[]): number => way.filter((n) => n > 0).length

/** Quick: the fewest scoops, then the fewest kinds of measure, then the larger measures (the order of the ways). */
const fewest = (lots: readonly Lot[]): (number[] | undefined)[] =>
  lots.map(
    ({ counts }) =>
      [...counts].sort((a, b) => total(a) - total(b) || kindsIn(a) - kindsIn(b) || larger(a, b))[0],
  )
const larger = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((n, i) => n !== b[i])
  return at < 0 ? 0 : (b[at] ?? 0) - (a[at] ?? 0)
}

function fairest(
  lots: readonly Lot[],
  sizes: readonly Size[],
  task: BowlTask,
  settled: number,
): (number[] | undefined)[] {
  if (lots.length === 0) return []
  const ingredients: FairIngredient[] = lots.map((lot) => ({ name: lot.demand.task, counts: lot.counts }))
  const others = task.otherTurns + settled
  if (others > 0) ingredients.push({ name: '', pieces: others })
  const { children, countLimit, maxScoops, known } = task
  const key = JSON.stringify([
    lots.map((l) => [l.demand.mL.toFraction(), l.errPct, l.pinned && l.counts]),
    others,
    children,
    countLimit,
  ])
  const same = known.get(key)
  if (same) return same
  const answer = fairScoops({
    measures: sizes,
    ingredients,
    children,
    countLimit,
    minTurn: MIN_TURN,
    maxScoops,
    minEach: 1,
  })
  const chosen = lots.map((lot) => {
    const ways = answer.example?.[lot.demand.task]
    return ways && sizes.map((s) => ways[s.id] ?? 0)
  })
  known.set(key, chosen)
  return chosen
}

function noMeasure(demand: Demand, weights: readonly OwnWeight[]): Measured {
  const { line } = demand
  const grams = crossTo(demand.mL, 'mL', 'g', line.food, formWords(line.prep, line.shape), weights)
  const why = 'no measures in the box come near enough'
  return grams
    ? { ...weighed(grams.amount, why, `${line.text} by ${grams.source}`), lack: true }
    : { by: 'weight', text: amountText(demand.mL, 'mL'), why: `${why}: use a jug`, lack: true }
}
