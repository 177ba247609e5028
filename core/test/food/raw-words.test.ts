/** Foods that nobody described: raw by their words, and trust where the words say that they are not. Common practice, from memory. */
import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOK, rawKindOf } from '../../src/food/foods'
import { rawKindByName } from '../../src/food/raw-words'

describe('by its words', () => {
  it.each([
    ['raw prawns', 'fish'],
    ['king prawns', 'fish'],
    ['tilapia loins', 'fish'],
    ['pigeon breasts', 'poultry'],
    ['chicken mini fillets', 'poultry'],
    ['free range chicken', 'poultry'],
    ['chicken in a garlic sauce', 'poultry'],
    ['smoked bacon', 'meat'],
    ['undyed smoked haddock', 'fish'],
    ['beef for roasting', 'meat'],
    ['egg-free mayonnaise', null],
    ['gluten-free sausages', 'mince'],
    ['antibiotic free chicken thighs', 'poultry'],
    ['soy marinated salmon', 'fish'],
    ['soya mince', null],
    ['mince with kidney beans', 'mince'],
    ['chicken parma', 'poultry'],
    ['raw chicken mini fillets', 'poultry'],
    ['turkey thigh strips', 'poultry'],
    ['minced beef', 'mince'],
    ['lamb neck', 'meat'],
    ['pork shoulder', 'meat'],
    ['ox liver', 'meat'],
    ['merguez', 'mince'],
    ['goose eggs', 'egg'],
    ['pullet eggs', 'egg'],
    ['cooked prawns', null],
    ['chicken stock pot', null],
    ['fish sauce', null],
    ['vegan burger', null],
    ['oyster mushrooms', null],
    ['beef tomatoes', null],
    ['kidney beans', null],
    ['chocolate eggs', null],
    ['egg noodles', null],
    ['smoked mackerel', null],
    ['plain flour', null],
    ['apple', null],
  ])('%s: %s', (name, kind) => {
    expect(rawKindByName(name)).toBe(kind)
  })
  it('finds the raw meat, fish and shellfish of the list by name alone', () => {
    const missed = SHIPPED_BOOK.all
      .filter((f) => ['poultry', 'mince', 'meat', 'fish'].includes(rawKindOf(f) ?? '') && f.raw !== undefined)
      .filter((f) => rawKindByName(f.name) === null && rawKindByName(`raw ${f.name}`) === null)
    expect(missed.map((f) => f.name)).toEqual([])
  })
  it('takes nothing of the list for raw that is plainly no animal', () => {
    const wrong = SHIPPED_BOOK.all.filter((f) => f.diets['vegan'] === 'yes' && rawKindByName(f.name) !== null)
    expect(wrong.map((f) => f.name)).toEqual([])
  })
})
