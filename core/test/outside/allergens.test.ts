/**
 * Against the law and clinical guidance: EU Regulation 1169/2011 Annex II (14 groups), US FALCPA 2004 with the FASTER Act
 * 2021 (9), WHO/IUIS cross-reactivity, NHS and EU 828/2014 on coeliac disease; from memory.
 */
import { describe, expect, it } from 'vitest'
import { ALLERGENS, listHolds } from '../../src/food/allergens'
import { meet } from '../../src/food/concerns'
import { foodBook } from '../../src/food/own-foods'

const foods = foodBook()
const top = (flag: 'uk14' | 'us9'): string[] =>
  ALLERGENS.filter((a) => a[flag] && a.parent === null).map((a) => a.id)

describe('the regulated lists', () => {
  it('the EU and UK name fourteen groups (1169/2011 Annex II)', () => {
    expect(top('uk14').sort()).toEqual(
      [
        'celery',
        'crustaceans',
        'egg',
        'fish',
        'gluten-cereals',
        'lupin',
        'milk',
        'molluscs',
        'mustard',
        'peanut',
        'sesame',
        'soya',
        'sulphites',
        'tree-nuts',
      ].sort(),
    )
  })
  it('the US names nine since 2023 (FALCPA, FASTER): wheat stands for the cereals', () => {
    const nine = ALLERGENS.filter((a) => a.us9 && (a.parent === null || a.id === 'wheat')).map((a) => a.id)
    expect(nine.sort()).toEqual(
      ['crustaceans', 'egg', 'fish', 'milk', 'peanut', 'sesame', 'soya', 'tree-nuts', 'wheat'].sort(),
    )
  })
  it('a peanut is not a tree nut, and buckwheat is not wheat', () => {
    expect(listHolds(['peanut'], 'tree-nuts')).toBe('no')
    expect(listHolds(['buckwheat'], 'wheat')).toBe('no')
  })
})

describe('what meets what', () => {
  it.each([
    ['goat milk meets a milk allergy (CLIN)', ['milk', 'goat-milk'], 'milk', 'yes'],
    ['spelt is wheat (EU)', ['gluten-cereals', 'wheat'], 'wheat', 'yes'],
    ['rye does not meet a wheat allergy', ['gluten-cereals', 'rye'], 'wheat', 'no'],
    ['rye meets coeliac disease (GF)', ['gluten-cereals', 'rye'], 'coeliac', 'yes'],
    ['gluten, kind not named, meets coeliac disease', ['gluten-cereals'], 'coeliac', 'yes'],
    [
      'oats in coeliac disease are a question for the clinic (CLIN)',
      ['gluten-cereals', 'oats'],
      'coeliac',
      'unsure',
    ],
    ['pistachio meets a cashew allergy (IUIS)', ['tree-nuts', 'pistachio'], 'cashew', 'yes'],
    ['pecan meets a walnut allergy (IUIS)', ['tree-nuts', 'pecan'], 'walnut', 'yes'],
    ['almond in a hazelnut allergy is a question', ['tree-nuts', 'almond'], 'hazelnut', 'unsure'],
    ['nuts, kind not named, meet an almond allergy', ['tree-nuts'], 'almond', 'yes'],
    ['pine nut meets tree nuts until the family says otherwise', ['pine-nut'], 'tree-nuts', 'yes'],
    ['lupin does not meet a peanut allergy by itself', ['lupin'], 'peanut', 'no'],
    ['milk meets lactose intolerance (NHS)', ['milk'], 'lactose-intolerance', 'yes'],
    ['cod meets a fish allergy', ['fish', 'cod'], 'fish', 'yes'],
    ['salmon in a cod allergy is a question (IUIS)', ['fish', 'salmon'], 'cod', 'unsure'],
  ])('%s', (_, list, allergen, expected) => {
    expect(listHolds(list, allergen)).toBe(expected)
  })
})

describe('false friends and hidden ones in the food list', () => {
  it.each([
    ['buckwheat-flour', 'wheat', 'may'],
    ['cream-of-tartar', 'milk', 'nothing'],
    ['coconut-milk-tin', 'milk', 'may'],
    ['ghee', 'milk', 'lists'],
    ['oats-gf', 'coeliac', 'ask'],
    ['couscous', 'wheat', 'lists'],
    ['worcester-sauce', 'fish', 'lists'],
    ['hummus', 'sesame', 'lists'],
    ['surimi', 'egg', 'lists'],
    ['stock-cube-veg', 'celery', 'lists'],
    ['stock-cube-veg', 'sesame', 'ask'],
    ['pesto-green', 'cashew', 'lists'],
  ])('%s against %s: %s', (food, allergen, expected) => {
    expect(meet(allergen, foods.of(food))).toBe(expected)
  })
})
