import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Size } from '../../src/amount/decompose'
import { nearest } from '../../src/amount/near'
import { ratio } from '../../src/amount/ratio'

const box = (...sizes: string[]): Size[] => sizes.map((size) => ({ id: size, size }))

describe('the nearest amount of a box', () => {
  it('100 mL with US cups and a tablespoon: 7 tablespoons, 3.5 % more (E6, measures E-table 2)', () => {
    // 1/3 cup, 1/4 cup and 1 tbsp in US tablespoons; 100 mL are 6.7628 of them.
    const target = ratio('100').div('473176473/32000000')
    const near = nearest(target, box('16/3', '4', '1'), 12, '1/20')
    expect(near?.amount.toFraction()).toBe('7')
    expect(near?.errPct).toBe('3.5074')
  })
  it('is null where nothing lies within the tolerance', () => {
    expect(nearest('100', box('250'), 12, '1/20')).toBeNull()
    expect(nearest('100', [], 12, '1/20')).toBeNull()
  })
  it('of two as near takes the smaller amount', () => {
    expect(nearest('10', box('9', '11'), 1, '1/5')?.amount.toFraction()).toBe('9')
  })
  it('is as near as trying every pair of measures and every count', () => {
    const sizes = fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 4 })
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        sizes,
        fc.integer({ min: 1, max: 8 }),
        (amount, list, most) => {
          let best = Infinity
          for (const a of list)
            for (const b of list)
              for (let n = 0; n <= most; n++)
                for (let m = 0; n + m <= most; m++)
                  if (n + m > 0) best = Math.min(best, Math.abs(n * a + m * b - amount))
          const found = nearest(String(amount), box(...list.map(String)), most, '1000')
          expect(found && Math.abs(found.amount.valueOf() - amount)).toBe(best)
        },
      ),
    )
  })
})
