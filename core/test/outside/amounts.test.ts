/**
 * Amounts against worked cases: measures.md E and H21-H47 (computed by two programs written apart; units by NIST Handbook 44
 * and the international yard and pound agreement; prices invented; from memory). Common practice: 2 1/3 cups by thirds is 7
 * scoops, 2 tsp by eighths is 16, 1 1/2 tsp by halves is 3, one cup is 1/2 + 1/4 + 1/4.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Size, bestWay, decompositions } from '../../src/amount/decompose'
import {
  batchMultiple,
  casesFor,
  choosePacks,
  compareTins,
  ovenBatches,
  priceOf,
} from '../../src/amount/packs'
import { ratio } from '../../src/amount/ratio'

const CUPS: Size[] = [
  { id: '1 cup', size: '1' },
  { id: '1/2 cup', size: '1/2' },
  { id: '1/3 cup', size: '1/3' },
  { id: '1/4 cup', size: '1/4' },
]
const ways = (amount: string, sizes: Size[] = CUPS, most = 12) =>
  decompositions(amount, sizes, most).map((w) =>
    Object.fromEntries(w.flatMap((n, i) => (n > 0 ? [[sizes[i]?.id, n]] : []))),
  )

describe('every exact way', () => {
  it('H21: one cup is made five ways, among them 1/2 + 1/4 + 1/4', () => {
    const all = ways('1')
    expect(all).toHaveLength(5)
    expect(all).toContainEqual({ '1/2 cup': 1, '1/4 cup': 2 })
  })
  it.each([
    ['H22', '2/3', 1],
    ['H23', '5/6', 2],
    ['H24', '5/12', 0],
    ['', '2', 14],
    ['', '5/2', 20],
    ['', '3', 30],
  ])('%s %s cups: %i ways', (_id, amount, n) => expect(ways(amount)).toHaveLength(n))
  it('common practice: by thirds, by eighths, by halves, four cups four ways at once', () => {
    expect(ways('7/3', [{ id: '1/3', size: '1/3' }])).toEqual([{ '1/3': 7 }])
    expect(ways('2', [{ id: '1/8', size: '1/8' }], 16)).toEqual([{ '1/8': 16 }])
    expect(ways('3/2', [{ id: '1/2', size: '1/2' }])).toEqual([{ '1/2': 3 }])
    expect(ways('4')).toContainEqual({ '1 cup': 1, '1/2 cup': 2, '1/3 cup': 3, '1/4 cup': 4 })
  })
  it('H25, E5: the best way for a group', () => {
    const spoons: Size[] = [
      { id: '1 tbsp', size: '3' },
      { id: '1 tsp', size: '1' },
    ]
    expect(bestWay(decompositions('6', spoons, 12), [3, 1], { children: 6, countLimit: 5 })).toEqual([0, 6])
    const tsp: Size[] = ['1', '1/2', '1/4', '1/8'].map((size) => ({ id: size, size }))
    expect(
      bestWay(decompositions('3/2', tsp, 24), [1, 0.5, 0.25, 0.125], { children: 3, countLimit: 5 }),
    ).toEqual([0, 3, 0, 0])
  })
  it('scoops sum exactly to the amount, whatever the box', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom('1', '1/2', '1/3', '1/4', '1/8', '2/3', '3/4'), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.integer({ min: 1, max: 60 }),
        (box, twelfths) => {
          const sizes = box.map((size) => ({ id: size, size }))
          const amount = ratio(twelfths).div(12)
          for (const way of decompositions(amount, sizes, 10)) {
            const sum = way.reduce((all, n, i) => all.add(ratio(sizes[i]?.size ?? 0).mul(n)), ratio(0))
            expect(sum.equals(amount)).toBe(true)
            expect(way.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(10)
          }
        },
      ),
    )
  })
})

describe('packs, prices, tins and batches', () => {
  const pack = (id: string, size: string, price: number) => ({ id, size, price })
  it.each([
    [
      'H37',
      '1300',
      '200',
      [pack('500', '500', 70), pack('1500', '1500', 150)],
      { toBuy: '1100', cost: 150, left: '400', packsTotal: 1, packs: { '1500': 1 } },
    ],
    [
      'H38',
      '14',
      '0',
      [pack('6', '6', 160), pack('10', '10', 240)],
      { toBuy: '14', cost: 400, left: '2', packsTotal: 2, packs: { '6': 1, '10': 1 } },
    ],
    [
      'H39',
      '180',
      '250',
      [pack('250', '250', 210)],
      { toBuy: '0', cost: 0, left: '0', packsTotal: 0, packs: {} },
    ],
    [
      'H40',
      '2400',
      '300',
      [pack('568', '568', 95), pack('1136', '1136', 130), pack('2272', '2272', 165)],
      { toBuy: '2100', cost: 165, left: '172', packsTotal: 1, packs: { '2272': 1 } },
    ],
  ])('%s', (_id, need, pantry, packs, expected) => {
    expect(choosePacks(need, pantry, packs)).toEqual(expected)
  })
  it('H41, H43: by use and by purchase, against the ready-made', () => {
    const item = (name: string, used: string, packSize: string, packPrice: number) => ({
      name,
      used,
      packSize,
      packPrice,
    })
    expect(
      priceOf(
        [item('flour', '250', '1500', 150), item('milk', '300', '1136', 130), item('egg', '2', '6', 160)],
        12,
        { price: 180, portions: 6 },
      ),
    ).toEqual({
      usedTotal: '47995/426',
      usedPerPortion: '47995/5112',
      usedPerPortionRounded: 9,
      boughtTotal: 440,
      boughtPerPortion: '110/3',
      boughtPerPortionRounded: 37,
      readyPerPortion: '30',
      cheaperByUse: 'home',
      cheaperByPurchase: 'ready',
    })
    expect(priceOf([item('apple', '5', '6', 180)], 10, { price: 300, portions: 20 })).toMatchObject({
      cheaperByUse: 'same',
      cheaperByPurchase: 'ready',
    })
  })
  it('H32-H36: tins', () => {
    expect(
      compareTins({ shape: 'round', d: '20', unit: 'cm' }, { shape: 'round', d: '23', unit: 'cm' }, 'area'),
    ).toEqual({ from: '314.16', to: '415.48', factor: '1.3225' })
    expect(
      compareTins({ shape: 'round', d: '8', unit: 'in' }, { shape: 'square', s: '8', unit: 'in' }, 'area'),
    ).toEqual({ from: '324.29', to: '412.90', factor: '1.2732' })
    expect(
      compareTins(
        { shape: 'rect', a: '9', b: '13', unit: 'in' },
        { shape: 'square', s: '9', unit: 'in' },
        'area',
      ),
    ).toEqual({ from: '754.84', to: '522.58', factor: '0.6923' })
    expect(
      compareTins(
        { shape: 'square', s: '20', unit: 'cm', h: '5' },
        { shape: 'rect', a: '30', b: '20', unit: 'cm', h: '4' },
        'volume',
      ),
    ).toEqual({ from: '2000.00', to: '2400.00', factor: '1.2000' })
    expect(casesFor('1000', '100', '2/3', 12)).toEqual({ cups: 15, tins: 2, mLPerCup: '200/3' })
  })
  it('H44-H47: oven loads and multiples', () => {
    expect(ovenBatches(40, 12, 2, '15', '3')).toEqual({
      trayloads: 4,
      batches: 2,
      lastBatchPieces: 16,
      minutes: '33',
    })
    expect(ovenBatches(18, 3, 1, '4', '1')).toEqual({
      trayloads: 6,
      batches: 6,
      lastBatchPieces: 3,
      minutes: '29',
    })
    expect(batchMultiple('12', '20', '1/2')).toEqual({ multiple: '2', made: '24', left: '4' })
    expect(batchMultiple('12', '20', '1/3', '1')).toEqual({ multiple: '2', made: '24', left: '4' })
  })
})
