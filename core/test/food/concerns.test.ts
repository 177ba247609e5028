import { describe, expect, it } from 'vitest'
import { barsHandling, gradeOf, meet } from '../../src/food/concerns'
import { meetDiet } from '../../src/food/diets'
import { type FoodFact } from '../../src/food/foods'
import { foodBook } from '../../src/food/own-foods'
import { applySwap, swapOf, swapsFor } from '../../src/food/swaps'
import { LEVELS, type Packet } from '../../src/food/concern'

const foods = foodBook()
const packet = (more: Partial<Packet>): Packet => ({
  food: 'stock-cube-veg',
  lists: [],
  may: [],
  lookedFor: ['milk', 'sesame'],
  readBy: ['petra', 'gwenda'],
  ...more,
})

describe('a food that nobody described', () => {
  it('is never "nothing found": it is ask', () => {
    expect(meet('milk', foods.of('own:grandmas-biscuits'))).toBe('ask')
    expect(meetDiet('halal', foods.of('own:grandmas-biscuits'))).toBe('ask')
  })
  it('lists what its own name says', () => {
    expect(meet('milk', foods.of('own:milk-powder-drink'))).toBe('lists')
  })
})

describe('a compound food', () => {
  it('is ask until its packet was read for this allergen', () => {
    const food = foods.of('stock-cube-veg')
    expect(meet('sesame', food)).toBe('ask')
    expect(meet('sesame', food, packet({}))).toBe('nothing')
    expect(meet('fish', food, packet({}))).toBe('ask')
  })
  it('is what the packet says', () => {
    const food = foods.of('stock-cube-veg')
    expect(meet('milk', food, packet({ lists: ['milk'] }))).toBe('lists')
    expect(meet('milk', food, packet({ may: ['milk'] }))).toBe('may')
    expect(meet('cashew', food, packet({ lists: ['tree-nuts'], lookedFor: ['cashew'] }))).toBe('lists')
  })
  it('cannot make butter free of milk', () => {
    expect(meet('milk', foods.of('butter'), packet({ food: 'butter' }))).toBe('lists')
  })
})

describe('words that are on no list', () => {
  it('are matched against names, plurals and parts', () => {
    expect(meet('kiwi', foods.of('kiwi'))).toBe('lists')
    expect(meet('beetroots', foods.of('beetroot'))).toBe('lists')
    expect(meet('beetroots', foods.of('cucumber'))).toBe('nothing')
  })
})

describe('a setting’s own food stands over Lea’s', () => {
  it('is checked by what the setting wrote', () => {
    const own: FoodFact = {
      id: 'oat-drink',
      name: 'oat drink',
      aliases: [],
      contains: ['milk'],
      extras: [],
      mayContain: [],
      compound: false,
      diets: {},
      confidence: 'own',
      source: 'test',
    }
    expect(meet('milk', foodBook([own]).of('oat-drink'))).toBe('lists')
  })
})

describe('grades', () => {
  it('lists is stop for every level but a preference', () => {
    for (const level of LEVELS) {
      expect(gradeOf('lists', { allergen: 'milk', level })).toBe(level === 'preference' ? 'know' : 'stop')
    }
  })
  it('may contain is stop, adult where the plan allows it, know for an intolerance or preference', () => {
    const grades = Object.fromEntries(
      LEVELS.map((level) => [level, gradeOf('may', { allergen: 'milk', level })]),
    )
    expect(grades).toMatchObject({
      'anaphylaxis-risk': 'stop',
      'allergy-strict': 'stop',
      unknown: 'stop',
      coeliac: 'stop',
      'allergy-ingredient': 'adult',
      intolerance: 'know',
      preference: 'know',
    })
  })
  it('ask is stop until asked', () => {
    expect(gradeOf('ask', { allergen: 'milk', level: 'allergy-strict' })).toBe('stop')
    expect(gradeOf('nothing', { allergen: 'milk', level: 'allergy-strict' })).toBeNull()
  })
  it('a dislike does not bar the hands, an allergy does', () => {
    expect(barsHandling('lists', { allergen: 'milk', level: 'preference' })).toBe(false)
    expect(barsHandling('lists', { allergen: 'tomato', level: 'contact-skin' })).toBe(true)
    expect(barsHandling('ask', { allergen: 'milk', level: 'allergy-strict' })).toBe(true)
    expect(barsHandling('may', { allergen: 'milk', level: 'allergy-ingredient' })).toBe(false)
  })
})

describe('swaps', () => {
  it('keep the line’s own unit for the first part and scale the rest exactly', () => {
    const swap = swapOf('buttermilk>oat-drink')
    expect(swap && applySwap(swap, '3/2', 'cup_m')).toEqual([
      { food: 'oat-drink', amount: '3/2', unit: 'cup_m' },
      { food: 'lemon-juice', amount: '3/2', unit: 'tbsp_m' },
    ])
    expect(swap && applySwap(swap, '250', 'mL')).toEqual([
      { food: 'oat-drink', amount: '250', unit: 'mL' },
      { food: 'lemon-juice', amount: '1', unit: 'tbsp_m' },
    ])
  })
  it('are offered for the role that the food plays', () => {
    expect(swapsFor('egg-hen', 'glaze', 'item').map((s) => s.id)).toContain('egg>oat-glaze')
    expect(swapsFor('egg-hen', 'binder', 'item').map((s) => s.id)).not.toContain('egg>oat-glaze')
    expect(swapsFor('milk-cow', 'liquid', 'item')).toEqual([])
  })
})
