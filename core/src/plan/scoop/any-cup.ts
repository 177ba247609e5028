/**
 * Any one cup, in parts: for a kitchen whose measures are gone. One part stands for the largest size that makes every
 * cup-sized line of the bowl a whole number of parts, each within the tolerance of its role; spoon-sized lines keep their spoons.
 *
 * Definition. Candidates p = A_i/n for each line i and n = 1..8; a line j then takes round(A_j/p) parts. The p of the fewest
 * parts in all whose errors stay within tolerance; of two, the larger.
 */
import type Fraction from 'fraction.js'
import { amountText } from '../../amount/show'
import { ratio, toPlaces, toText } from '../../amount/ratio'
import { TOLERANCE } from '../../recipe/recipe'
import type { Demand } from './measuring'
import type { Measured } from '../model/line'

/** Below two tablespoons a part of a cup cannot be seen. */
const SMALLEST_ML = 30
const MOST_PARTS = 8

/** @returns the lines that go in parts; the others are for spoons */
export function inParts(demands: readonly Demand[], maxScoops: number): Map<string, Measured> {
  const big = demands.filter((d) => d.mL.compare(SMALLEST_ML) >= 0)
  let best: { size: Fraction; parts: number[]; sum: number } | null = null
  for (const demand of big) {
    for (let n = 1; n <= MOST_PARTS; n++) {
      const size = demand.mL.div(n)
      const parts = big.map((d) => Number(d.mL.div(size).add('1/2').floor().toFraction()))
      if (parts.some((p, i) => p < 1 || p > maxScoops || !close(big[i], size.mul(p)))) continue
      const sum = parts.reduce((a, b) => a + b, 0)
      if (!best || sum < best.sum || (sum === best.sum && size.compare(best.size) > 0))
        best = { size, parts, sum }
    }
  }
  const found = best
  if (!found) return new Map()
  return new Map(
    big.map((d, i): [string, Measured] => {
      const n = found.parts[i] ?? 1
      const error = found.size.mul(n).sub(d.mL).div(d.mL)
      return [
        d.task,
        {
          by: 'scoop',
          any: true,
          parts: [{ measure: 'any-cup', name: 'any cup', size: toText(found.size), unit: 'mL', n }],
          n,
          errPct: error.compare(0) === 0 ? '0' : toPlaces(error.mul(100), 4),
          because: `one part is ${amountText(found.size, 'mL')} for this amount; with another cup all grows alike`,
        },
      ]
    }),
  )
}

const close = (demand: Demand | undefined, made: Fraction): boolean =>
  demand !== undefined && ratio(made).sub(demand.mL).div(demand.mL).abs().compare(TOLERANCE[demand.role]) <= 0
