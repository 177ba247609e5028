/**
 * Scoops: an amount as level fillings of measures that are really in the box.
 *
 * Definition. For an amount A and a measure of size s, n = A/s scoops. The measure fits exactly where n is whole.
 * Where no measure fits exactly, n is rounded half up and the error is (n·s − A)/A.
 * All comparisons run on exact rationals in mL (or in pieces), never on floats.
 */
import type Fraction from 'fraction.js'
import { isWhole, ratio, toInteger, toPlaces, toText, type Ratio } from './ratio'
import { convert, toBase, unitOf } from './units'

/** A physical cup or spoon in the box. `count` says how many of it there are. */
export interface Measure {
  id: string
  name: string
  size: Ratio
  unit: string
  count: number
}

export interface SingleExact {
  measure: string
  n: number
  /** True where the children can share the scoops out evenly. */
  equal: boolean
}
export interface SingleApprox {
  measure: string
  n: number
  /** Signed relative error in per cent, 4 decimals. */
  errPct: string
}

/**
 * Every way to make an amount with one measure only.
 * @param amount exact amount, in `unit`
 * @param children k, the number of children who share the scoops
 * @param maxScoops the most scoops anyone wants to count
 * @param tolerance the largest relative error that is kept, inclusive (`"0.05"` is five per cent)
 * @source calc.md `scoops-single`
 */
export function singleMeasureWays(
  amount: Ratio | Fraction,
  unit: string,
  measures: readonly Measure[],
  children: number,
  maxScoops: number,
  tolerance: Ratio | Fraction,
): { exact: SingleExact[]; approx: SingleApprox[] } {
  const exact: SingleExact[] = []
  const approx: SingleApprox[] = []
  const whole = toBase(amount, unit)
  for (const measure of measures) {
    if (convert(1, unit, measure.unit) === null) continue
    const size = toBase(measure.size, measure.unit)
    const ways = whole.div(size)
    if (isWhole(ways)) {
      if (ways.compare(1) >= 0 && ways.compare(maxScoops) <= 0) {
        const n = toInteger(ways)
        exact.push({ measure: measure.id, n, equal: n % children === 0 })
      }
      continue
    }
    const rounded = ways.add('1/2').floor()
    if (rounded.compare(1) < 0 || rounded.compare(maxScoops) > 0) continue
    const error = rounded.mul(size).sub(whole).div(whole)
    if (error.abs().compare(ratio(tolerance)) <= 0) {
      approx.push({ measure: measure.id, n: toInteger(rounded), errPct: toPlaces(error.mul(100), 4) })
    }
  }
  return { exact, approx }
}

export interface ScoopChoice {
  measure: Measure
  n: number
  /** `"0"` where exact, else the signed error in per cent with 4 decimals. */
  errPct: string
}

/**
 * The best single measure for a group: exact before near; then turns that come out even, numbers that the group
 * can count, patience (at most four scoops each), few scoops, the larger measure.
 * @param countLimit c, the largest number the group counts to with ease
 * @returns null where no measure in the box makes the amount within the tolerance.
 * @source the ranking of calc.md, kept to one measure a line
 */
export function bestSingleMeasure(
  amount: Ratio | Fraction,
  unit: string,
  measures: readonly Measure[],
  options: { children: number; countLimit: number; maxScoops: number; tolerance: Ratio },
): ScoopChoice | null {
  const { children, countLimit, maxScoops, tolerance } = options
  const ways = singleMeasureWays(amount, unit, measures, children, maxScoops, tolerance)
  const byId = new Map(measures.map((m) => [m.id, m]))
  const found: ScoopChoice[] = []
  for (const way of ways.exact) {
    const measure = byId.get(way.measure)
    if (measure) found.push({ measure, n: way.n, errPct: '0' })
  }
  for (const way of ways.approx) {
    const measure = byId.get(way.measure)
    if (measure) found.push({ measure, n: way.n, errPct: way.errPct })
  }
  const rank = (c: ScoopChoice): number[] => [
    Math.abs(Number(c.errPct)),
    c.n % children === 0 ? 0 : c.n >= children ? 2 : 3,
    c.n <= countLimit ? 0 : c.n % children === 0 && c.n / children <= countLimit ? 1 : 2,
    c.n <= 4 * children ? 0 : 1,
    c.n,
  ]
  found.sort((a, b) => {
    const ra = rank(a)
    const rb = rank(b)
    for (let i = 0; i < ra.length; i++) {
      const d = (ra[i] ?? 0) - (rb[i] ?? 0)
      if (d !== 0) return d
    }
    return toBase(b.measure.size, b.measure.unit).compare(toBase(a.measure.size, a.measure.unit))
  })
  return found[0] ?? null
}

/** The running total after k scoops, in the measure's own unit: 3 scoops of 1/4 cup -> `"3/4"`. */
export const runningTotal = (measure: Measure, k: number): Ratio => toText(ratio(measure.size).mul(k))

/** Is this unit one that measures in the box can scoop? */
export const isScoopable = (unit: string): boolean => unitOf(unit).dimension === 'volume'
