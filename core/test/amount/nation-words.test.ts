/** The words of the US: every food of the list as they say it there, spelling, dates; and nothing that stands in a name is touched. */
import { describe, expect, it } from 'vitest'
import { isBritish, wordsOf } from '../../src/amount/nation/words'
import { type FoodFact, SHIPPED_BOOK } from '../../src/food/foods'
import { resolveExactly } from '../../src/food/food-names'

const us = (text: string): string => wordsOf(text, 'us')

const FOODS = SHIPPED_BOOK.all

describe('the words of a country', () => {
  it.each([
    ['soya yoghurt-style', 'soy yogurt-style'],
    ['Plain flour, 1 1/2 cups', 'All-purpose flour, 1 1/2 cups'],
    ['cooked beetroot and courgettes', 'cooked beets and zucchini'],
    ['2 tins of white beans in a round tin', '2 cans of white beans in a round pan'],
    ['tinned tomatoes', 'canned tomatoes'],
    ['Sulphites are listed.', 'Sulfites are listed.'],
    ['Wednesday 2 December, 10:15', 'Wednesday, December 2, 10:15'],
    ['eaten until 2 December 2026', 'eaten until December 2, 2026'],
    ['fresh coriander, ground coriander', 'cilantro, ground coriander'],
    ['wheat biscuit cereal', 'wheat biscuit cereal'],
    ['Contains SOYA.', 'Contains SOY.'],
  ])('%s: %s', (uk, wanted) => expect(us(uk)).toBe(wanted))
  it('leaves British words as they are in a British setting', () => {
    for (const { name } of FOODS) expect(wordsOf(name, 'uk')).toBe(name)
  })
  it('leaves what may be a name, and what is part of another word', () => {
    for (const text of ['Rocket', 'Swede', 'Curlew House Nursery', 'Hobson', 'a rocketship', 'soyabella'])
      expect(us(text), text).toBe(text)
  })
  it('says each thing once: what is said for the US is not turned again', () => {
    for (const { name } of FOODS) expect(isBritish(us(name)), name).toBe(false)
  })
  it('what a US setting reads of a food is read in a recipe as that food, or as one that lists the same', () => {
    const lost = FOODS.filter((food) => {
      if (!isBritish(food.name)) return false
      const read = resolveExactly(us(food.name))
      const lists = (f: Pick<FoodFact, 'contains' | 'mayContain'> | null): string =>
        JSON.stringify([f?.contains, f?.mayContain])
      return read?.id !== food.id && lists(read) !== lists(food)
    })
    expect(lost.map((f) => `${f.name}: ${us(f.name)}`)).toEqual([])
  })
})
