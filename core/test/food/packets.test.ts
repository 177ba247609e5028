/** What a packet's own words do to the meeting of a food and a child; when a reading counts; which food words name. */
import { describe, expect, it } from 'vitest'
import { meet } from '../../src/food/concerns'
import { meetDiet } from '../../src/food/diets'
import { resolveFood } from '../../src/food/food-names'
import { foodBook } from '../../src/food/own-foods'
import { type StoredPacket, packetStanding, packetWords } from '../../src/food/packets'
import { digest } from '../../src/plan/model/digest'
import demo from '../../data/demo-packets.json'
import type { Packet } from '../../src/food/concern'

const foods = foodBook()
const packetOf = (food: string, label: string, settled = false): Packet => {
  const { lists, may, open } = packetWords(label)
  return {
    food,
    lists,
    may,
    lookedFor: ['milk', 'egg', 'sesame', 'wheat', 'soya', 'sesame'],
    readBy: ['a', 'b'],
    text: label,
    ...(!settled && open.length > 0 && { open }),
  }
}

describe('a packet that was read', () => {
  const stock = foods.of('stock-cube-veg')
  it('lists, may contain, or nothing found', () => {
    const packet = packetOf('stock-cube-veg', 'Salt, maize starch, MILK powder. May contain EGG.')
    expect(meet('milk', stock, packet)).toBe('lists')
    expect(meet('egg', stock, packet)).toBe('may')
    expect(meet('sesame', stock, packet)).toBe('nothing')
  })
  it('stays ask while a vague or unknown word is open, for whatever it does not list', () => {
    const label = 'Salt, flavouring, flurbinate'
    expect(meet('sesame', stock, packetOf('stock-cube-veg', label))).toBe('ask')
    expect(meet('sesame', stock, packetOf('stock-cube-veg', label, true))).toBe('nothing')
  })
  it('cannot take away what a plain food is', () => {
    expect(meet('wheat', foods.of('wheat-flour'), packetOf('wheat-flour', 'Salt'))).toBe('lists')
  })
  it('free words of a concern are looked for in its text', () => {
    const packet = { ...packetOf('jam', 'Sugar, blackcurrants, pectin'), lookedFor: ['blackcurrant'] }
    expect(meet('blackcurrant', foods.of('jam'), packet)).toBe('lists')
  })
})

describe('when a reading counts', () => {
  const packet = (label: string, read: string, at: string): StoredPacket => ({
    id: 'p',
    food: 'jam',
    name: 'Jam',
    code: null,
    label,
    simulated: false,
    changedAt: at,
    reading: { readBy: ['a', 'b'], at: `${at}T09:00:00Z`, digest: digest(read) },
  })
  it('today, earlier, changed, never', () => {
    const of = (p: StoredPacket) => packetStanding(p, digest, '2026-11-26')
    expect(of(packet('sugar', 'sugar', '2026-11-26'))).toBe('today')
    expect(of(packet('sugar', 'sugar', '2026-11-25'))).toBe('earlier')
    expect(of(packet('sugar, milk', 'sugar', '2026-11-26'))).toBe('changed')
    expect(of({ ...packet('sugar', 'sugar', '2026-11-26'), reading: null })).toBe('unread')
  })
})

describe('the invented packets of the demo', () => {
  it.each(demo.packets)('$name is of a food Lea knows, and reads', ({ food, label }) => {
    expect('unknown' in foods.of(food)).toBe(false)
    expect(packetWords(label).reading.words.length).toBeGreaterThan(0)
    expect(packetWords(label).reading.read).toBe(true)
  })
})

describe('which food words name', () => {
  it.each([
    ['all-purpose flour', 'wheat-flour'],
    ['zucchini', 'courgette'],
    ['eggs', 'egg-hen'],
    ['2 large eggs', 'egg-hen'],
    ['unsalted butter, softened', 'butter'],
    ['finely chopped fresh parsley', 'parsley'],
    ['cherry tomatoes', 'cherry-tomatoes'],
    ['vine tomatoes', 'tomato-fresh'],
    ['baking soda', 'bicarbonate'],
    ['powdered sugar', 'icing-sugar'],
    ['soy milk', 'soya-drink'],
    ['scallions', 'spring-onion'],
    ['chickpeas', 'chickpeas-tin'],
    ['peanut butter', 'peanut-butter'],
    ['coconut milk', 'coconut-milk-tin'],
  ])('%s: %s', (words, id) => {
    expect(resolveFood(words, foods)?.id).toBe(id)
  })
  it('what Lea does not know is not guessed', () => {
    expect(resolveFood('flurbinate', foods)).toBeNull()
  })
  it('at least 650 foods, each with a group, roles and how it keeps', () => {
    expect(foods.all.length).toBeGreaterThanOrEqual(650)
    for (const food of foods.all) {
      expect(food.group, food.id).toBeTruthy()
      expect(food.storage, food.id).toBeTruthy()
    }
  })
})

describe('diets', () => {
  it.each([
    ['kosher', 'prawns', 'lists'],
    ['kosher', 'bacon', 'lists'],
    ['kosher', 'chicken-breast', 'ask'],
    ['kosher', 'carrot', 'nothing'],
    ['no-alcohol', 'vanilla-extract', 'lists'],
    ['no-added-sugar', 'golden-syrup', 'lists'],
    ['no-added-sugar', 'banana', 'nothing'],
    ['halal', 'gelatine', 'ask'],
    ['vegan', 'honey', 'lists'],
  ] as const)('%s: %s %s', (diet, food, meeting) => {
    expect(meetDiet(diet, foods.of(food))).toBe(meeting)
  })
})

describe('a diet of the setting’s own', () => {
  const own = [{ id: 'own:no-beef' as const, name: 'no beef', avoid: ['beef', 'gelatine'] }]
  it.each([
    ['beef-mince', 'lists'],
    ['gelatine', 'lists'],
    ['stock-cube-veg', 'ask'],
    ['carrot', 'nothing'],
    ['flurb', 'ask'],
  ] as const)('%s: %s', (food, meeting) => {
    expect(meetDiet('own:no-beef', foods.of(food), undefined, own)).toBe(meeting)
  })
  it('one that is gone from the house rules is asked about, never cleared', () => {
    expect(meetDiet('own:gone', foods.of('carrot'), undefined, own)).toBe('ask')
  })
})
