/**
 * The nearest amount that a box of measures makes where it makes none exactly.
 *
 * Definition. Over all n with at most two kinds of measure and 1 <= sum n_i <= X: the n whose sum n_i*s_i is nearest to A,
 * kept where |sum - A| <= tau*A. Of two as near, the smaller amount. Three kinds of measure for one line would be nearer by
 * a hair and are more work than the hair is worth (common practice).
 */
import type Fraction from 'fraction.js'
import { onLattice, type Size } from './decompose'
import { ratio, toPlaces, type Ratio } from './ratio'

export interface Near {
  /** What the measures make, in the unit of the amount. */
  amount: Fraction
  /** Signed relative error in per cent, 4 decimals. */
  errPct: string
}

/**
 * In whole parts that the measures share with the amount; where there are none that are coarse enough, in those of the measures, and the
 * amount beside them as near as a number is (a part in 10^15).
 */
function inParts(amount: Fraction, sizes: readonly Size[]): { whole: number; parts: number[] } {
  try {
    const [whole = 0, ...parts] = onLattice([amount, ...sizes.map((s) => s.size)])
    return { whole, parts }
  } catch (fault) {
    if (!(fault instanceof RangeError)) throw fault
    const parts = onLattice(sizes.map((s) => s.size))
    return {
      whole: amount
        .div(ratio(sizes[0]?.size ?? 1))
        .mul(parts[0] ?? 1)
        .valueOf(),
      parts,
    }
  }
}

/** @returns null where nothing lies within the tolerance (inclusive) */
export function nearest(
  amount: Ratio | Fraction,
  sizes: readonly Size[],
  maxScoops: number,
  tolerance: Ratio | Fraction,
): Near | null {
  const { whole, parts } = inParts(ratio(amount), sizes)
  let best = null as number | null
  const offer = (sum: number): void => {
    if (sum <= 0) return
    const [d, known] = [Math.abs(sum - whole), best === null ? Infinity : Math.abs(best - whole)]
    if (d < known || (d === known && best !== null && sum < best)) best = sum
  }
  for (const a of parts) {
    for (const b of parts) {
      for (let n = 0; n <= Math.min(maxScoops, Math.ceil(whole / a)); n++) {
        const more = Math.floor((whole - n * a) / b)
        for (const m of [more, more + 1]) offer(n * a + Math.max(0, Math.min(m, maxScoops - n)) * b)
      }
    }
  }
  if (best === null) return null
  const [size = null, part = 1] = [sizes[0], parts[0]]
  if (size === null) return null
  const made = ratio(size.size).mul(best).div(part)
  const error = made.sub(amount).div(amount)
  if (error.abs().compare(ratio(tolerance)) > 0) return null
  return { amount: made, errPct: toPlaces(error.mul(100), 4) }
}
