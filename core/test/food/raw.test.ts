/** Which foods are raw, and which sting: fields of the food, never a pattern over its id. */
import { describe, expect, it } from 'vitest'
import { type FoodFact, isUnknown, listedFoods, rawKindOf } from '../../src/food/foods'
import { RAW_KINDS } from '../../src/food/raw-words'
import { foodBook } from '../../src/food/own-foods'
import { concernName, dietKey, dietOfKey, DIETS } from '../../src/food/diets'
import { ALLERGENS, allergenName } from '../../src/food/allergens'

const foods = listedFoods()
const kind = (id: string) => rawKindOf(foods.of(id))

describe('raw foods', () => {
  // Kinds as the USDA FSIS and FSA tables of core temperatures part them, from memory.
  it.each([
    ['chicken-breast', 'poultry'],
    ['chicken-thigh', 'poultry'],
    ['turkey-mince', 'poultry'],
    ['chicken-nuggets', 'poultry'],
    ['beef-mince', 'mince'],
    ['sausages', 'mince'],
    ['bacon', 'meat'],
    ['chicken-sausage', 'poultry'],
    ['turkey-breast', 'poultry'],
    ['lamb-mince', 'mince'],
    ['pork-mince', 'mince'],
    ['cooking-chorizo', 'mince'],
    ['cod', 'fish'],
    ['haddock', 'fish'],
    ['mackerel', 'fish'],
    ['fish-fingers', 'fish'],
    ['rye-flour', 'flour'],
    ['semolina', 'flour'],
    ['salmon', 'fish'],
    ['prawns', 'fish'],
    ['mussels', 'fish'],
    ['squid', 'fish'],
    ['egg-hen', 'egg'],
    ['wheat-flour', 'flour'],
    ['oatmeal', 'flour'],
    // Eaten as they come, or nothing of these kinds.
    ['ham', null],
    ['pepperoni', null],
    ['surimi', null],
    ['sardines-tin', null],
    ['lard', null],
    ['tuna-tin', null],
    ['smoked-salmon', null],
    ['chicken-stock', null],
    ['gelatine', null],
    ['milk-whole', null],
    ['apple', null],
  ] as const)('%s: %s', (id, is) => expect(kind(id)).toBe(is))

  it('every shipped food of an animal that was killed says whether it comes raw', () => {
    for (const food of foods.all)
      if (food.diets['vegetarian'] === 'no' && !['seasoning', 'sweet', 'fat'].includes(food.group ?? ''))
        expect(food.raw, food.id).toBeDefined()
  })
  it('a raw kind is one of those that are known', () => {
    for (const food of foods.all) if (food.raw) expect(['ready', ...RAW_KINDS]).toContain(food.raw)
  })
  it('a food of one’s own that is not vegetarian is rather taken for raw meat; what is said of it counts', () => {
    const own = (more: Partial<FoodFact>): FoodFact => ({
      ...{
        id: 'own:pie',
        name: 'pie',
        aliases: [],
        contains: [],
        extras: [],
        mayContain: [],
        compound: true,
      },
      ...{ diets: { vegetarian: 'no' }, confidence: 'own', source: 'test' },
      ...more,
    })
    const of = (more: Partial<FoodFact>) => rawKindOf(foodBook([own(more)]).of('own:pie'))
    expect([of({}), of({ raw: 'ready' }), of({ raw: 'fish' }), of({ diets: { vegetarian: 'yes' } })]).toEqual(
      ['meat', null, 'fish', null],
    )
  })
  it('a food that nobody described is never said to be raw or not: it is asked about elsewhere', () => {
    expect(isUnknown(foods.of('no-such-food'))).toBe(true)
    expect(kind('no-such-food')).toBeNull()
  })
  it('chilli stings, and nothing else that is shipped is said to', () => {
    expect(
      foods.all
        .filter((f) => f.stings)
        .map((f) => f.id)
        .sort(),
    ).toEqual(['chilli-fresh', 'chilli-powder'])
  })
})

describe('what a check is about', () => {
  it('a diet and an allergen are told apart by one way of writing, both ways', () => {
    for (const diet of DIETS) {
      expect(dietOfKey(dietKey(diet))).toBe(diet)
      expect(concernName(dietKey(diet))).not.toContain('diet:')
    }
    for (const { id } of ALLERGENS) {
      expect(dietOfKey(id)).toBeNull()
      expect(concernName(id)).toBe(allergenName(id))
    }
  })
  it('a diet of one’s own has the name that was given to it', () => {
    const own = [{ id: 'own:no-spice' as const, name: 'nothing hot', avoid: [] }]
    expect(concernName(dietKey('own:no-spice'), own)).toBe('nothing hot')
    expect(concernName(dietKey('own:no-spice'))).toBe('no spice')
  })
})
