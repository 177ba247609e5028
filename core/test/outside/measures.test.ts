/**
 * Against published definitions: NIST Handbook 44 Appendix C and SP 811 Appendix B (US customary volume and mass), 21 CFR
 * 101.9(b)(5)(viii) (label units), UK Weights and Measures Act 1985 (imperial pint), Australian standard AS 1325 (20 mL
 * spoon). Values from memory; worked cases are computed from the definitions, not from Lea.
 */
import { describe, expect, it } from 'vitest'
import { ratio, toPlaces, toText } from '../../src/amount/ratio'
import { eggCount, factorBetween, scale } from '../../src/amount/scale'
import { singleMeasureWays } from '../../src/amount/scoops'
import { convert, unitOf } from '../../src/amount/units'

const exactly = (value: string, from: string, to: string): string =>
  toText(convert(value, from, to) ?? ratio(-1))

describe('units by their legal definitions', () => {
  it('a US gallon is 231 cubic inches of 2.54 cm, and has 16 cups (HB 44)', () => {
    const cubicInch = ratio('2.54').pow(3)
    expect(toText(ratio(unitOf('cup_us').size).mul(16))).toBe(toText(cubicInch.mul(231)))
  })
  it('a US cup is 16 tablespoons or 48 teaspoons or 8 fluid ounces (HB 44)', () => {
    expect(exactly('1', 'cup_us', 'tbsp_us')).toBe('16')
    expect(exactly('1', 'cup_us', 'tsp_us')).toBe('48')
    expect(exactly('1', 'cup_us', 'floz_us')).toBe('8')
    expect(exactly('1', 'quart_us', 'pint_us')).toBe('2')
  })
  it('an avoirdupois pound is 453.59237 g and 16 ounces (SP 811)', () => {
    expect(exactly('1', 'lb', 'g')).toBe('45359237/100000')
    expect(exactly('1', 'lb', 'oz')).toBe('16')
  })
  it('an imperial pint is an eighth of 4.54609 litres (W&M Act 1985) and 20 fluid ounces', () => {
    expect(exactly('8', 'pint_imp', 'mL')).toBe('454609/100')
    expect(exactly('1', 'pint_imp', 'floz_imp')).toBe('20')
  })
  it('label and metric spoons are whole millilitres (21 CFR; AS 1325; common practice)', () => {
    expect(exactly('1', 'cup_label', 'mL')).toBe('240')
    expect(exactly('1', 'tbsp_au', 'tsp_m')).toBe('4')
    expect(exactly('1', 'tbsp_m', 'tsp_m')).toBe('3')
    expect(exactly('1', 'cup_m', 'mL')).toBe('250')
  })
  it('a spoon never turns into a weight by itself', () => {
    expect(convert('1', 'cup_m', 'g')).toBeNull()
    expect(convert('1', 'slice', 'item')).toBeNull()
  })
})

describe('worked cases (measures H, computed with exact fractions)', () => {
  it.each([
    ['2 1/3', '3/2', '7/2', '3 1/2'],
    ['3/4', '5/3', '5/4', '1 1/4'],
    ['3/2', '2/3', '1', '1'],
    ['250', '7/4', '875/2', '437 1/2'],
    ['2/3', '5/4', '5/6', '5/6'],
  ])('H01-H05: %s times %s is %s', (amount, factor, exact, mixed) => {
    expect(scale(ratio(amount), ratio(factor))).toEqual({ factor, amount: exact, mixed })
  })
  it('H02: the factor of 12 to 20 portions is 5/3', () => {
    expect(toText(factorBetween(12, 20))).toBe('5/3')
  })
  it.each([
    ['1', 'cup_us', 'mL', '236.5882'],
    ['3/4', 'cup_us', 'mL', '177.4412'],
    ['7/3', 'cup_us', 'cup_m', '2.2082'],
    ['1', 'tbsp_au', 'tbsp_us', '1.3526'],
    ['1', 'pint_imp', 'cup_us', '2.4019'],
    ['8', 'oz', 'g', '226.7962'],
  ])('H06-H12: %s %s is %s %s', (value, from, to, decimals) => {
    expect(toPlaces(convert(value, from, to) ?? ratio(0), 4)).toBe(decimals)
  })

  const cups = ['1', '1/2', '1/3', '1/4'].map((size) => ({
    id: `${size} cup`,
    name: size,
    size,
    unit: 'cup_us',
    count: 1,
  }))
  const tbsp = { id: '1 tbsp', name: '1 tbsp', size: '1', unit: 'tbsp_us', count: 1 }
  it('H16: 3/4 cup for six children is 3 of 1/4 cup or, evenly, 12 tablespoons', () => {
    expect(singleMeasureWays('3/4', 'cup_us', [...cups, tbsp], 6, 24, '0')).toEqual({
      exact: [
        { measure: '1/4 cup', n: 3, equal: false },
        { measure: '1 tbsp', n: 12, equal: true },
      ],
      approx: [],
    })
  })
  it('H18: 2 1/3 cups for seven children is 7 of 1/3 cup', () => {
    expect(singleMeasureWays('7/3', 'cup_us', cups, 7, 24, '0').exact).toEqual([
      { measure: '1/3 cup', n: 7, equal: true },
    ])
  })
  it('H19: 100 mL with spoons is near at 7, by 3.5074 and 5.0000 per cent, the limit included', () => {
    const spoons = [...cups.slice(2), tbsp, { id: '15 mL', name: '15 mL', size: '15', unit: 'mL', count: 1 }]
    expect(singleMeasureWays('100', 'mL', spoons, 7, 24, '0.05')).toEqual({
      exact: [],
      approx: [
        { measure: '1 tbsp', n: 7, errPct: '3.5074' },
        { measure: '15 mL', n: 7, errPct: '5.0000' },
      ],
    })
  })
  it.each([
    ['1', '3/2', '50', '50', { needed_g: '75', roundUp: 2, nearest: 2, suggest: 'beaten' }],
    ['3', '2/3', '50', '50', { needed_g: '100', roundUp: 2, nearest: 2, suggest: 'whole' }],
    [
      '4',
      '1',
      '50',
      '44',
      { exactEggs: '50/11', nearest: 5, suggest: 'whole', beaten: { whole: 4, extra_g: '24' } },
    ],
    ['1', '1/3', '50', '50', { nearest: 0, suggest: 'beaten', beaten: { whole: 0, extra_g: '50/3' } }],
  ])('H27-H31: %s eggs times %s', (eggs, factor, inRecipe, inBox, expected) => {
    expect(eggCount(eggs, ratio(factor), inRecipe, inBox)).toMatchObject(expected)
  })
})
