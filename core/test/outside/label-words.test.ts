/**
 * Words of labels against the published classes: EU 1169/2011 Annex II (and its language versions), US law, and common
 * practice, as noted row by row in allergens.md B1, B2 and B7. All from memory.
 */
import { describe, expect, it } from 'vitest'
import { readLabel } from '../../src/food/label/read'
import rows from './label-words.json'

type Row = [number, string, string, string]
const ids = (text: string): string[] => text.split(' ').filter(Boolean)

describe('synonyms (B1): the word means the allergen', () => {
  it.each(rows.synonyms as Row[])('%i %s → %s', (_row, word, want, ask) => {
    const found = readLabel(word)
    expect([...found.contains, ...found.extras]).toEqual(expect.arrayContaining(ids(want)))
    if (ask && !want) expect(found.ask.join('; ')).toBe(ask)
  })
})

describe('false friends and reverse traps (B2)', () => {
  it.each(rows.friends as Row[])('%i %s → [%s]', (_row, word, want, ask) => {
    const found = readLabel(word)
    expect([...found.contains].sort()).toEqual(ids(want).sort())
    expect(found.ask.join('; ')).toBe(ask)
    // A friend does not swallow a true hit beside it.
    expect(readLabel(`${word}, skimmed milk powder`).contains).toContain('milk')
  })
})

describe('other languages (B7)', () => {
  it.each(rows.languages as [string, string][])('%s: %s', (id, word) => {
    const found = readLabel(word)
    if (id === 'ask words') expect(found.ask.length).toBeGreaterThan(0)
    else if (id === 'false friends') expect(found.contains).toEqual([])
    else expect(id.split(' / ').some((one) => found.contains.includes(one))).toBe(true)
  })
})

describe('reporting rules (A4)', () => {
  it.each([
    ['cod, spelt, hake', 'cod fish gluten-cereals wheat'],
    ['triticale', 'gluten-cereals rye wheat'],
    ['enriched flour, malt extract, breadcrumbs, couscous', 'barley gluten-cereals wheat'],
    ['goat milk', 'goat-milk milk'],
    ['peanut oil', 'peanut'],
    ['gluten-free oats, gluten-free wheat starch', 'gluten-cereals oats wheat'],
  ])('1, 2, 4, 7: %s', (text, want) => {
    expect([...readLabel(text).contains].sort()).toEqual(ids(want))
  })
  it('3: another member keeps the group in the warning', () => {
    expect(readLabel('Contains almond. May contain other nuts.').mayContain).toEqual(['tree-nuts'])
    expect(readLabel('Contains milk. May contain milk.').mayContain).toEqual([])
  })
  it('4: a source or a full breakdown is no ask; an exempt derivative is; what is listed already is not asked', () => {
    expect(
      readLabel('spices (coriander, cumin), modified maize starch, beef gelatine, sunflower lecithin').ask,
    ).toEqual([])
    expect(readLabel('spices including mustard').ask).toEqual(['spices'])
    expect(readLabel('wheat glucose syrup, refined soya oil')).toMatchObject({
      contains: [],
      ask: ['wheat glucose syrup', 'refined soya oil'],
    })
    expect(readLabel('soybean oil, soya flour').ask).toEqual([])
    expect(readLabel('vanilla flavouring, flavouring (almond)')).toMatchObject({
      contains: [],
      ask: ['flavouring (almond)'],
    })
    expect(readLabel('spirit vinegar, glucose syrup, maltodextrin').ask).toEqual([])
  })
  it('5: bare nuts and shellfish are asked about', () => {
    expect(readLabel('nuts')).toMatchObject({ contains: ['tree-nuts'], ask: ['nuts'] })
    expect(readLabel('nuts, peanuts').ask).toEqual([])
    expect(readLabel('tree nuts').ask).toEqual([])
    expect(readLabel('shellfish')).toMatchObject({
      contains: ['crustaceans', 'molluscs'],
      ask: ['shellfish'],
    })
  })
  it('8: coconut named as a tree nut is an extra and an ask', () => {
    expect(readLabel('Contains: tree nuts (coconut)')).toMatchObject({
      contains: [],
      extras: ['coconut'],
      ask: ['tree nuts (coconut)'],
    })
    expect(readLabel('citric acid, natural lemon flavouring').extras).toEqual([])
  })
})
