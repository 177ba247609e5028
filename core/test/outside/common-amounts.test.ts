/** Check values of common practice: what leaders show at the table with a box of US cups and spoons. */
import { describe, expect, it } from 'vitest'
import { decompositions } from '../../src/amount/decompose'
import { ratio } from '../../src/amount/ratio'
import { type Measure, singleMeasureWays } from '../../src/amount/scoops'

const measures = (unit: string, ...sizes: string[]): Measure[] =>
  sizes.map((size) => ({ id: size, name: size, size, unit, count: 1 }))
const only = (amount: string, unit: string, size: string, most = 24): number | undefined =>
  singleMeasureWays(ratio(amount), unit, measures(unit, size), 1, most, '0').exact[0]?.n

describe('common practice', () => {
  it('2 1/3 cups by thirds is 7 scoops', () => expect(only('7/3', 'cup_us', '1/3')).toBe(7))
  it('2 tsp by eighths is 16', () => expect(only('2', 'tsp_us', '1/8')).toBe(16))
  it('1 1/2 tsp by halves is 3', () => expect(only('3/2', 'tsp_us', '1/2')).toBe(3))
  it('1/2 + 1/4 + 1/4 cup fills one cup', () => {
    const ways = decompositions(
      '1',
      [
        { id: '1/2', size: '1/2' },
        { id: '1/4', size: '1/4' },
      ],
      12,
    )
    expect(ways).toContainEqual([1, 2])
  })
  it('four cups as 1 + 2 halves + 3 thirds + 4 quarters', () => {
    const sizes = ['1', '1/2', '1/3', '1/4'].map((size) => ({ id: size, size }))
    expect(decompositions('4', sizes, 12)).toContainEqual([1, 2, 3, 4])
  })
  it('one cup has exactly five ways with 1, 1/2, 1/3 and 1/4 (measures E-table 1)', () => {
    const sizes = ['1', '1/2', '1/3', '1/4'].map((size) => ({ id: size, size }))
    const ways = decompositions('1', sizes, 12)
    expect(ways).toHaveLength(5)
    expect(ways).toEqual(
      expect.arrayContaining([
        [1, 0, 0, 0],
        [0, 2, 0, 0],
        [0, 0, 3, 0],
        [0, 0, 0, 4],
        [0, 1, 0, 2],
      ]),
    )
  })
  it.each([
    ['1/4', 1],
    ['1/2', 2],
    ['7/12', 1],
    ['5/4', 5],
    ['3/2', 8],
    ['2', 14],
    ['5/2', 20],
    ['3', 30],
  ])('%s cups has %i ways (measures E-table 1, computed there)', (amount, n) => {
    const sizes = ['1', '1/2', '1/3', '1/4'].map((size) => ({ id: size, size }))
    expect(decompositions(amount, sizes, 12)).toHaveLength(n)
  })
})
