/**
 * Scoops: an amount as level fillings of measures that are really in the box.
 *
 * Definition. For an amount A and a measure of size s, n = A/s scoops. The measure fits exactly where n is whole.
 * Where no measure fits exactly, n is rounded half up and the error is (n·s − A)/A.
 * All comparisons run on exact rationals in mL (or in pieces), never on floats.
 */
import type Fraction from 'fraction.js'
import { isWhole, ratio, toInteger, toPlaces, type Ratio } from './ratio'
import { convert, toBase } from './units'

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

/** How often a measure comes nearest to an amount in mL, half up. */
export const timesOf = (measure: Measure, mL: Fraction): number =>
  toInteger(mL.div(toBase(measure.size, measure.unit)).add('1/2').floor())

/** How long a measure is drawn beside a cup of 250 mL, 0 to 1.3: by the edge of its volume, so that a spoon is still seen (display only). */
export const drawnLength = (m: { size: Ratio; unit: string }): number =>
  Math.min(1.3, Math.max(0.55, Math.cbrt(toBase(m.size, m.unit).valueOf() / 250)))
