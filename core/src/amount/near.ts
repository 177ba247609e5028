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

/** @returns null where nothing lies within the tolerance (inclusive) */
export function nearest(
  amount: Ratio | Fraction,
  sizes: readonly Size[],
  maxScoops: number,
  tolerance: Ratio | Fraction,
): Near | null {
  const [whole = 0, ...parts] = onLattice([amount, ...sizes.map((s) => s.size)])
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
  const made = ratio(amount).mul(best).div(whole)
  const error = made.sub(amount).div(amount)
  if (error.abs().compare(ratio(tolerance)) > 0) return null
  return { amount: made, errPct: toPlaces(error.mul(100), 4) }
}
