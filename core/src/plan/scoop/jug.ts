/**
 * A liquid that is more than a few scoops goes by the jug: to the same line for each child, once round the table, or as often as a child can
 * lift it. Counting is worth it up to so many; twenty-four quarter cups of water are ten minutes of waiting.
 * Source of the figures: common practice, from memory.
 */
import type Fraction from 'fraction.js'
import { amountText } from '../../amount/show'
import { ratio, toPlaces, toText, type Ratio } from '../../amount/ratio'
import { toBase, unitOf } from '../../amount/units'
import { TOLERANCE } from '../../recipe/recipe'
import type { Measured } from '../model/line'
import type { Demand } from './measuring'

/** Below this many mL it is no jug. */
const JUG_FROM_ML = 300
/** What a small child lifts and pours; and what a line of a jug can be seen from. */
const LIFTS_ML = 500
const LEAST_ML = 100
/** So many pours are worth counting, however few the children. */
const FEW = 6
/** Lines of a jug: by quarters of its cup, else by so many mL, the coarser first. */
const LINES_ML = [100, 50, 25, 10]

const isLiquid = ({ role, portion }: Demand): boolean =>
  !portion && (role === 'liquid' || role === 'acid-liquid')

/** So many scoops of a line are worth counting: of a liquid one for each child, of all else two. */
export const worthCounting = (demand: Demand): number =>
  isLiquid(demand) && demand.mL.compare(JUG_FROM_ML) >= 0
    ? Math.max(FEW, demand.able)
    : Math.max(2 * FEW, 2 * demand.able)

/** @returns how a liquid goes by the jug; null where it is none, too little, or no line of a jug comes near enough */
export function byJug(demand: Demand): Measured | null {
  if (!isLiquid(demand) || demand.mL.compare(JUG_FROM_ML) < 0) return null
  for (const n of pours(demand)) {
    const one = lineFor(demand, n)
    if (one) return jugs(demand, n, one)
  }
  return null
}

/** How many pours, the best first: each child once or as often as is even, then what a child lifts, then fewer. */
function pours({ able, mL }: Demand): number[] {
  const least = Math.ceil(mL.div(LIFTS_ML).valueOf())
  const most = Math.max(1, Math.floor(mL.div(LEAST_ML).valueOf()))
  const even = able * Math.ceil(least / able)
  const all = [even, ...Array.from({ length: Math.max(0, even - least) }, (_, i) => even - 1 - i), least]
  return [...new Set(all)].filter((n) => n >= Math.max(1, least) && n <= most)
}

/** To which line each is poured, as near as can be seen: exact before near, the coarser line before the finer. */
function lineFor({ line, mL, role }: Demand, n: number): { size: Ratio; unit: string } | null {
  const each = mL.div(n)
  const { dimension } = unitOf(line.unit)
  const cup = /^cup_/.test(line.unit) && dimension === 'volume' ? toBase('1/4', line.unit) : null
  const marks = [
    ...(cup ? [{ step: cup, unit: line.unit }] : []),
    ...LINES_ML.map((s) => ({ step: ratio(s), unit: 'mL' })),
  ].map(({ step, unit }) => ({ unit, made: step.mul(each.div(step).add('1/2').floor()) }))
  const isNear = (made: Fraction): boolean =>
    made.compare(0) > 0 &&
    made.compare(LIFTS_ML) <= 0 &&
    made.mul(n).div(mL).sub(1).abs().compare(TOLERANCE[role]) <= 0
  const best = marks.find((m) => m.made.equals(each) && isNear(m.made)) ?? marks.find((m) => isNear(m.made))
  if (!best) return null
  const size = best.unit === 'mL' ? best.made : best.made.div(toBase('1', best.unit))
  return { size: toText(size), unit: best.unit }
}

function jugs(demand: Demand, n: number, { size, unit }: { size: Ratio; unit: string }): Measured {
  const error = toBase(size, unit).mul(n).div(demand.mL).sub(1)
  const name = `a jug to the ${amountText(ratio(size), unit)} line`
  return {
    by: 'scoop',
    jug: true,
    parts: [{ measure: 'jug', name, size, unit, n }],
    n,
    errPct: error.compare(0) === 0 ? '0' : toPlaces(error.mul(100), 4),
    because: `${demand.line.text} in scoops is long to count and long to wait for`,
  }
}
