import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../src/amount/ratio'
import { type Measure, singleMeasureWays } from '../../src/amount/scoops'

const SIZES = ['1', '1/2', '1/3', '1/4', '1/8', '2/3', '3/4']
const box = (sizes: string[]): Measure[] =>
  sizes.map((size) => ({ id: size, name: size, size, unit: 'cup_us', count: 1 }))
const amounts = fc.tuple(fc.integer({ min: 1, max: 96 }), fc.constantFrom(1, 2, 3, 4, 6, 8, 12, 24))
const boxes = fc.subarray(SIZES, { minLength: 1 })

describe('one measure for a line', () => {
  it('finds just the measures that divide the amount, as trying every count does', () => {
    fc.assert(
      fc.property(amounts, boxes, fc.integer({ min: 1, max: 12 }), ([n, d], sizes, children) => {
        const found = singleMeasureWays(ratio(`${n}/${d}`), 'cup_us', box(sizes), children, 24, '0').exact
        const tried = sizes.flatMap((size) => {
          for (let k = 1; k <= 24; k++) {
            if (ratio(size).mul(k).equals(`${n}/${d}`))
              return [{ measure: size, n: k, equal: k % children === 0 }]
          }
          return []
        })
        expect(found).toEqual(tried)
      }),
    )
  })

  it('keeps a near measure just where no other count of it is nearer and the error is within the tolerance', () => {
    fc.assert(
      fc.property(amounts, boxes, ([n, d], sizes) => {
        const amount = ratio(`${n}/${d}`)
        for (const way of singleMeasureWays(amount, 'cup_us', box(sizes), 3, 24, '1/10').approx) {
          const off = ratio(way.measure).mul(way.n).sub(amount).abs()
          expect(off.div(amount).compare('1/10')).toBeLessThanOrEqual(0)
          for (const other of [way.n - 1, way.n + 1]) {
            expect(ratio(way.measure).mul(other).sub(amount).abs().compare(off)).toBeGreaterThanOrEqual(0)
          }
        }
      }),
    )
  })
})
