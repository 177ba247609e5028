/**
 * What the words on a card mean. Groups: EU Regulation 1169/2011 Annex II (from memory); what families say: common practice, from
 * memory. The rule behind it: a word that is not understood is asked about, and never 'nothing found'.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLERGENS, allergenFromField, allergenInField, allergenName } from '../../src/food/allergens'
import { meet } from '../../src/food/concerns'
import { resolveFood } from '../../src/food/food-names'
import type { FoodFact } from '../../src/food/foods'
import { foodBook } from '../../src/food/own-foods'
import {
  allergenOfWords,
  parseConcern,
  parsedConcernText,
  isNoAllergyAnswer,
} from '../../src/food/card/parse-concern'
import { swapsFor } from '../../src/food/swaps'
import { compile, openStops } from '../../src/plan/compile'
import { concernSchema } from '../../src/schema/people'
import { four, request } from '../group'
import { foodSchema } from '../../src/schema/own-food'
import type { Packet } from '../../src/food/concern'

const book = foodBook()
const food = (name: string) => {
  const found = resolveFood(name, book)
  if (!found) throw new Error(`no food ${name}`)
  return found
}
const FOODS = book.all.filter((f) => f.id !== 'water')
const WORSE = ['nothing', 'may', 'ask', 'lists']

describe('the name of an allergen', () => {
  it.each(ALLERGENS.map((a) => [a.id]))('%s stands in a field in words, and is itself again', (id) => {
    const words = allergenInField(id)
    expect(allergenFromField(words)).toBe(id)
    expect(allergenFromField(` ${words.toUpperCase()} `)).toBe(id)
    // The same as what is read where somebody writes them.
    if (id !== 'coeliac') expect(parseConcern(words)).toMatchObject({ ids: [id], open: false })
  })
  it('a field keeps words that are no name, and gluten is not made coeliac disease', () => {
    for (const words of ['gluten', 'nuts, not almond', 'red sweets', ''])
      expect(allergenFromField(words)).toBe(words)
  })
  it.each(ALLERGENS.map((a) => [a.id]))('%s is understood however it is written', (id) => {
    const name = allergenName(id)
    const spaced = id.replaceAll('-', ' ')
    for (const words of [
      spaced,
      spaced.toUpperCase(),
      ` ${spaced} `,
      `${spaced} allergy`,
      name,
      name.toUpperCase(),
    ])
      for (const f of FOODS)
        expect(
          WORSE.indexOf(meet(words, f)),
          `${words} in ${f.name}: ${meet(words, f)}, and ${meet(id, f)} for ${id}`,
        ).toBeGreaterThanOrEqual(WORSE.indexOf(meet(id, f)))
  })
  it('is written down as its id where it is no more than that', () => {
    for (const [words, id] of [
      ['Milk', 'milk'],
      ['EGG ', 'egg'],
      ['dairy', 'milk'],
      ['Tree nuts', 'tree-nuts'],
      ['Celiac', 'coeliac'],
      ['Gluten', 'gluten-cereals'],
      ['Sesame', 'sesame'],
    ] as const)
      expect(concernSchema.validateSync({ allergen: words, level: 'allergy-strict' }).allergen).toBe(id)
    // What means several, or is more than a name, stays as the family said it.
    for (const words of ['nuts', 'shellfish', 'baked egg', 'galactose'])
      expect(allergenOfWords(words)).toBe(words)
  })
})

describe('what families say', () => {
  it.each([
    ['gluten', 'plain flour'],
    ['Gluten', 'plain flour'],
    ['wheat flour', 'plain flour'],
    ['Dairy', 'buttermilk'],
    ['cow’s milk', 'butter'],
    ['cows milk protein', 'buttermilk'],
    ['lactose', 'milk'],
    ['casein', 'cream'],
    ['whey', 'plain yoghurt'],
    ['Milk products', 'ghee'],
    ['nuts', 'peanut butter'],
    ['Nut allergy', 'almonds'],
    ['egg white', 'egg'],
    ['baked egg', 'egg'],
    ['soy', 'soya yoghurt-style'],
    ['citrus', 'lemon juice'],
    ['tahini', 'tahini'],
    ['sesame seeds', 'tahini'],
    ['laktoza', 'milk'],
    ['mleko', 'milk'],
    ['lait', 'butter'],
    ['jajka', 'egg'],
    ['butter', 'butter'],
    ['Butter', 'buttermilk'],
    ['cheese', 'cheddar'],
    ['yoghurt', 'plain yoghurt'],
    ['bread flour', 'plain flour'],
  ])('“%s” meets %s', (words, name) => expect(meet(words, food(name))).toBe('lists'))
  it('“nuts” is peanut and tree nuts, “shellfish” crustaceans and molluscs, “seafood” fish too', () => {
    expect(parseConcern('Nuts').ids.sort()).toEqual(['peanut', 'tree-nuts'])
    expect(parseConcern('shellfish').ids.sort()).toEqual(['crustaceans', 'molluscs'])
    expect(parseConcern('Seafood').ids.sort()).toEqual(['crustaceans', 'fish', 'molluscs'])
  })
  it.each([
    ['nuts and sesame', 'peanut tree-nuts sesame'],
    ['sesame, shellfish', 'sesame crustaceans molluscs'],
    ['pine nuts', 'pine-nut'],
    ['egg; lactose', 'egg lactose-intolerance milk'],
    ['tree nuts', 'tree-nuts'],
  ])('“%s” is %s', (words, ids) => expect([...parseConcern(words).ids].sort()).toEqual(ids.split(' ').sort()))
  it('the name of every food, and every other name of it, is met by that food', () => {
    for (const f of FOODS)
      for (const name of [f.name, f.plural ?? f.name, ...f.aliases])
        for (const words of [name, name.toUpperCase()])
          expect(meet(words, f), `${words} in ${f.name}`).toBe('lists')
  })
  it('every allergen has a name that is understood as itself, or as what it is', () => {
    for (const a of ALLERGENS) {
      const { ids, open } = parseConcern(allergenName(a.id))
      expect(open, a.id).toBe(false)
      expect(ids, a.id).toContain(a.id === 'coeliac' ? 'gluten-cereals' : a.id)
    }
  })
  it('several in one field are all looked for', () => {
    const words = 'egg, milk and kiwi'
    expect(parseConcern(words).ids.sort()).toEqual(['egg', 'kiwi', 'milk'])
    expect(meet(words, food('butter'))).toBe('lists')
  })
  it('that it is no allergy to something does not take it away', () => {
    expect(parseConcern('milk free').ids).toContain('milk')
    expect(parseConcern('may contain nuts').ids).toContain('tree-nuts')
  })
})

describe('nothing to say', () => {
  it.each(['', '-', 'None', 'no', 'n/a', 'No known allergies.', 'nil', 'no allergies', 'none known'])(
    '“%s” is no allergy',
    (words) => expect(isNoAllergyAnswer(words)).toBe(true),
  )
  it.each(['nuts', 'no nuts', 'none but egg', 'not sure', 'no idea', 'noodles', 'nothing with milk'])(
    '“%s” is one, or is asked about',
    (words) => expect(isNoAllergyAnswer(words)).toBe(false),
  )
})

describe('a word that Lea does not know', () => {
  it.each(['galactose', 'nightshades', 'red berries', 'fruit', 'qwertz', 'E-numbers', 'Histamine'])(
    '“%s” is asked about at every food, whatever the food is',
    (words) => {
      for (const f of FOODS) expect(meet(words, f), f.name).not.toBe('nothing')
      expect(meet(words, food('water'))).toBe('nothing')
      expect(parsedConcernText(words)).toMatch(/asked about at every food/)
    },
  )
  it('two adults who looked for it on the packet may say that it is not there', () => {
    const packet: Packet = {
      food: 'plain-flour',
      lists: [],
      may: [],
      lookedFor: ['galactose'],
      readBy: ['a', 'b'],
    }
    expect(meet('galactose', food('plain flour'), packet)).toBe('nothing')
    expect(meet('galactose', food('plain flour'), { ...packet, lookedFor: ['milk'] })).toBe('ask')
    // Who looked for "dairy" looked for milk, and what the flour itself is they cannot read away.
    expect(meet('gluten', food('plain flour'), { ...packet, lookedFor: ['gluten'] })).toBe('lists')
  })
  it('nothing written at random is ever passed over', () => {
    fc.assert(
      fc.property(fc.string({ minLength: 1, maxLength: 40 }), fc.nat(FOODS.length - 1), (words, at) => {
        const f = FOODS[at]
        if (!f) return
        const meeting = meet(words, f)
        const { ids, open } = parseConcern(words)
        if (meeting === 'nothing') expect(open).toBe(false)
        for (const id of ids)
          expect(WORSE.indexOf(meeting)).toBeGreaterThanOrEqual(WORSE.indexOf(meet(id, f)))
      }),
      { numRuns: 2000 },
    )
  })
})

describe('a plan', () => {
  it.each(['gluten', 'Gluten', 'Milk', 'dairy', 'Wheat flour', 'something new'])('stops at “%s”', (words) => {
    const group = four().map((c, i) =>
      i === 0 ? { ...c, concerns: [{ allergen: words, level: 'allergy-strict' as const }] } : c,
    )
    const stops = openStops(compile(request(group)))
    expect(stops.length).toBeGreaterThan(0)
    expect(stops.some((f) => f.touches.some((t) => t.child === 'wren'))).toBe(true)
  })
})

describe('instead of flour in a dough', () => {
  it('no thickener of sauces is offered, for it gives no dough', () => {
    for (const unit of ['g', 'cup_m', 'tbsp_m'])
      for (const swap of swapsFor('wheat-flour', 'structure', unit))
        expect(swap.parts.map((p) => p.food)).not.toEqual(['cornflour', 'water'])
    expect(swapsFor('wheat-flour', 'binder', 'g').some((s) => s.id === 'wheat-flour>cornflour')).toBe(true)
  })
})

describe('a food of the setting’s own', () => {
  const own = (name: string, more: Partial<FoodFact> = {}): FoodFact => ({
    id: `own:${name.replaceAll(' ', '-')}`,
    name,
    aliases: [],
    contains: [],
    extras: [],
    mayContain: [],
    compound: false,
    diets: {},
    confidence: 'own',
    source: 'test',
    ...more,
  })
  it.each([
    ['Almond flakes', 'almond'],
    ['Grandma’s hazelnut spread', 'hazelnut'],
    ['Sesame sticks', 'sesame'],
    ['Kiwi jam', 'kiwi'],
    ['Egg noodles', 'egg'],
  ])('holds what its name says, where nothing was filled in: %s', (name, id) => {
    const food = own(name)
    expect(meet(id, foodBook([food]).of(food.id))).toBe('lists')
    expect(meet(id.toUpperCase(), foodBook([food]).of(food.id))).toBe('lists')
  })
  it.each([
    ['Coconut milk', 'milk'],
    ['Butter beans', 'milk'],
    ['Peanut-free bar', 'peanut'],
  ])('and not what its name only looks like: %s', (name, id) => {
    const food = own(name)
    expect(meet(id, foodBook([food]).of(food.id))).toBe('nothing')
  })
  it('is in one book as long as its list is the same, and in a new one when it changes', () => {
    const list = [own('Almond flakes')]
    const first = foodBook(list)
    expect(foodBook(list)).toBe(first)
    list.push(own('Sesame sticks'))
    expect(foodBook(list)).not.toBe(first)
    expect(foodBook(list).of('own:Sesame-sticks')).toMatchObject({ contains: ['sesame'] })
  })
  it('written in words is kept as ids', () => {
    const diets = { vegetarian: 'check', vegan: 'check', halal: 'check', 'no-pork': 'check' }
    const kept = foodSchema.validateSync({
      ...own('Mix'),
      diets,
      contains: ['Milk', 'Gluten'],
      mayContain: ['EGG'],
    })
    expect(kept).toMatchObject({ contains: ['milk', 'gluten-cereals'], mayContain: ['egg'] })
  })
})
