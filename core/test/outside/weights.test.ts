/**
 * Food weights against published household weights (USDA FoodData Central, SR Legacy) and the American egg-board chart, both from
 * memory; and the worked crossings that follow from them by hand.
 */
import { describe, expect, it } from 'vitest'
import { ratio, toPlaces } from '../../src/amount/ratio'
import { EGG_SIZES, crossTo, edibleShare, pieceGrams } from '../../src/food/weights'
import weights from '../../data/weights.json'

const grams = (food: string, amount: string, unit: string, prep = ''): string | null => {
  const crossed = crossTo(amount, unit, 'g', food, prep)
  return crossed && toPlaces(crossed.amount, 1)
}

describe('weights of foods', () => {
  it.each([
    ['wheat-flour', '1', 'cup_us', '125.0'],
    ['sugar-granulated', '1', 'cup_us', '200.0'],
    ['butter', '1/2', 'cup_us', '113.5'],
    ['honey', '1', 'tbsp_us', '21.0'],
    ['salt', '1', 'tsp_us', '6.0'],
    ['baking-powder', '1', 'tsp_us', '4.6'],
    ['milk-cow', '1', 'cup_us', '244.0'],
    ['oats-rolled', '1', 'cup_us', '81.0'],
  ])('SR: %s, %s %s is %s g', (food, amount, unit, g) => {
    expect(grams(food, amount, unit)).toBe(g)
  })
  it('a metric cup holds 250/236.588 of a US cup: 132 g of flour, 211 g of sugar', () => {
    expect(grams('wheat-flour', '1', 'cup_m')).toBe('132.1')
    expect(grams('sugar-granulated', '1', 'cup_m')).toBe('211.3')
  })
  it('an amount in spoons takes the spoon where it was published apart (icing sugar 8 g, not 120/16)', () => {
    expect(grams('icing-sugar', '1', 'tbsp_us')).toBe('8.0')
    expect(grams('icing-sugar', '1', 'cup_us')).toBe('120.0')
  })
  it('goes by the preparation: cheddar grated 113 g, diced 132 g a US cup', () => {
    expect(grams('cheddar', '1', 'cup_us', 'grated by an adult')).toBe('113.0')
    expect(grams('cheddar', '1', 'cup_us', 'diced small')).toBe('132.0')
  })
  it('pieces cross by their weight, and nothing crosses without one', () => {
    expect(grams('banana', '2', 'item')).toBe('236.0')
    expect(toPlaces(pieceGrams('apple')?.edible ?? ratio(0), 0)).toBe('182')
    expect(crossTo('1', 'cup_us', 'g', 'own:mystery')).toBeNull()
    expect(crossTo('1', 'item', 'g', 'wheat-flour')).toBeNull()
    expect(crossTo('1', 'tin', 'g', 'white-beans-tin')).toBeNull()
  })
  it('what the setting weighed stands over the table', () => {
    const own = [{ food: 'wheat-flour', grams: '140', unit: 'cup_m' }]
    const crossed = crossTo('2', 'cup_m', 'g', 'wheat-flour', '', own)
    expect(crossed?.amount.toFraction()).toBe('280')
    expect(crossed?.source).toBe('weighed by this setting')
  })
  it('there and back by weight is exact', () => {
    const there = crossTo('3/2', 'cup_m', 'g', 'wheat-flour')
    expect(there && crossTo(there.amount, 'g', 'cup_m', 'wheat-flour')?.amount.toFraction()).toBe('3/2')
  })
  it('every weight carries its source, and says that it is from memory', () => {
    expect(weights.source).toContain('from memory')
    for (const row of [...weights.cups, ...weights.pieces, ...weights.yields]) expect(row.source).not.toBe('')
  })
})

describe('what is used of what is bought', () => {
  it.each([
    ['banana', '64'],
    ['potato', '81'],
    ['pineapple', '51'],
    ['leek', '44'],
  ])('%s: %s %% (SR / FBG)', (food, percent) => {
    expect(edibleShare(food).share.mul(100).toFraction()).toBe(percent)
  })
  it('is all of a food that nobody peels', () => {
    expect(edibleShare('wheat-flour').share.toFraction()).toBe('1')
  })
})

describe('eggs', () => {
  it('about five large eggs fill a US cup of 243 g (egg-board chart; 4.9 by mass)', () => {
    const large = EGG_SIZES.find((e) => e.size === 'US L')?.edible ?? '0'
    expect(Math.round(243 / Number(large))).toBe(5)
  })
  it('grow with their size', () => {
    const us = EGG_SIZES.filter((e) => e.size.startsWith('US')).map((e) => Number(e.edible))
    expect(us).toEqual([...us].sort((a, b) => a - b))
  })
})
