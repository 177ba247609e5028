/**
 * Units against a second, general-purpose library (convert-units), pair by pair; and against the tables of NIST SP 811 App. B.8
 * (from memory). The library computes in floats and rounds some factors: compared to one part in 10 000.
 */
import convertUnits from 'convert-units'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../src/amount/ratio'
import { convert } from '../../src/amount/units'

const THEIRS: Record<string, string> = {
  cup_us: 'cup',
  tbsp_us: 'Tbs',
  tsp_us: 'tsp',
  floz_us: 'fl-oz',
  pint_us: 'pnt',
  quart_us: 'qt',
  mL: 'ml',
  L: 'l',
  g: 'g',
  kg: 'kg',
  oz: 'oz',
  lb: 'lb',
  mm: 'mm',
  cm: 'cm',
  in: 'in',
}
const VOLUMES = ['cup_us', 'tbsp_us', 'tsp_us', 'floz_us', 'pint_us', 'quart_us', 'mL', 'L']
const MASSES = ['g', 'kg', 'oz', 'lb']
const LENGTHS = ['mm', 'cm', 'in']
const pairs = [VOLUMES, MASSES, LENGTHS].flatMap((units) =>
  units.flatMap((a) => units.map((b) => [a, b] as const)),
)

describe('units', () => {
  it.each(pairs)('%s in %s as the library has it', (from, to) => {
    const theirs = convertUnits(7.5)
      .from(THEIRS[from] as 'ml')
      .to(THEIRS[to] as 'ml')
    const ours = convert('15/2', from, to)?.valueOf() ?? NaN
    expect(Math.abs(ours / theirs - 1)).toBeLessThan(1e-4)
  })
  it('there and back is exact, for every pair and amount', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...pairs),
        fc.integer({ min: 1, max: 9999 }),
        fc.integer({ min: 1, max: 48 }),
        ([from, to], n, d) => {
          const there = convert(ratio(`${n}/${d}`), from, to)
          expect(there && convert(there, to, from)?.equals(`${n}/${d}`)).toBe(true)
        },
      ),
    )
  })
  it.each([
    ['1', 'cup_us', 'mL', 236.5882],
    ['1', 'floz_us', 'mL', 29.57353],
    ['1', 'oz', 'g', 28.34952],
    ['1', 'lb', 'g', 453.5924],
    ['1', 'in', 'mm', 25.4],
    ['1', 'pint_imp', 'mL', 568.2612],
  ])('SP 811: %s %s is %f', (amount, from, to, value) => {
    expect(convert(amount, from, to)?.valueOf()).toBeCloseTo(value, 3)
  })
})
