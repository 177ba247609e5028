/** The label reader on packets written for these tests: no miss, in any language it reads, and no guess in one it does not. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readLabel } from '../../../src/food/label/read'
import { DAMAGED, ENGLISH, OTHER_LANGUAGES, UNREAD, type LabelCase } from './texts'

const sorted = (ids: string | readonly string[] | undefined): string[] =>
  [...new Set(typeof ids === 'string' ? ids.split(' ').filter(Boolean) : (ids ?? []))].sort()

function check(c: LabelCase): void {
  const found = readLabel(c.text)
  expect(sorted(found.contains)).toEqual(sorted(c.contains))
  expect(sorted(found.mayContain)).toEqual(sorted(c.may))
  if (c.free !== undefined) expect(sorted(found.freeFrom)).toEqual(sorted(c.free))
  for (const words of c.asks ?? []) expect(found.ask).toContain(words)
  for (const id of sorted(c.extras)) expect(found.extras).toContain(id)
}

describe('what a packet lists and warns of', () => {
  it.each(ENGLISH)('$text', check)
  it.each(DAMAGED)('damaged: $text', check)
  it.each(OTHER_LANGUAGES)('$text', check)
  it('covers at least 120 texts', () => {
    expect(ENGLISH.length + DAMAGED.length + OTHER_LANGUAGES.length + UNREAD.length).toBeGreaterThanOrEqual(
      120,
    )
  })
})

describe('a language that Lea does not read', () => {
  it.each(UNREAD)('is asked about as a whole: %s', (text) => {
    const found = readLabel(text)
    expect(found.read).toBe(false)
    expect(found.ask.length).toBeGreaterThan(0)
  })
})

describe('places in the text', () => {
  it('are those of the words as they stand, each with its reason', () => {
    const text = 'Sugar, skimmed MILK powder (12 %), m1lk, flavouring'
    const { words } = readLabel(text)
    expect(words.map((w) => [text.slice(w.start, w.end), w.id])).toEqual([
      ['skimmed MILK', 'milk'],
      ['m1lk', 'milk'],
      ['flavouring', 'ask'],
    ])
    expect(words[1]?.why).toContain('read as “milk”')
  })
  it('a claim that the list beats is a conflict, and counts as contained (A4.6)', () => {
    const found = readLabel('Egg free. Ingredients: rice, dried egg white')
    expect(found.contains).toEqual(['egg'])
    expect(found.conflicts).toEqual(['egg'])
  })
})

describe('properties', () => {
  const texts = [...ENGLISH, ...OTHER_LANGUAGES].map((c) => c.text)
  const same = (a: string, b: string): void => {
    const [x, y] = [readLabel(a), readLabel(b)]
    expect(sorted(y.contains)).toEqual(sorted(x.contains))
    expect(sorted(y.mayContain)).toEqual(sorted(x.mayContain))
    expect(sorted(y.extras)).toEqual(sorted(x.extras))
  }
  it('the ids found do not change with case', () => {
    // Turkish-like case pairs apart, upper case is how packets mark allergens.
    for (const text of texts) {
      same(text, text.toUpperCase())
      same(text, text.toLowerCase())
    }
  })
  it('nor with spacing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...texts),
        fc.constantFrom('  ', '\t', '\u00a0', ' \u200b'),
        (text, space) => same(text, text.replace(/ /g, space)),
      ),
      { numRuns: 60 },
    )
  })
  it('nor with the style of brackets', () => {
    for (const text of texts.filter((t) => !/[[{]/.test(t)))
      for (const [open, close] of ['[]', '{}'])
        same(text, text.replace(/\(/g, open ?? '(').replace(/\)/g, close ?? ')'))
  })
  it('an allergen added to a list is found, whatever stands before it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{2,9}$/), { maxLength: 6 }),
        fc.constantFrom<[string, string]>(
          ['milk', 'milk'],
          ['sesame seeds', 'sesame'],
          ['egg', 'egg'],
          ['cashews', 'cashew'],
          ['prawns', 'prawn'],
        ),
        (noise, [word, id]) => {
          expect(readLabel([...noise, word].join(', ')).contains).toContain(id)
        },
      ),
    )
  })
  it('a comma straight after a word of denial is no denial', () => {
    for (const word of ['no', 'sans', 'sin', 'ohne', 'without'])
      expect(readLabel(`sugar, ${word}, milk`).contains).toContain('milk')
    expect(readLabel('wheat, no milk, salt').contains).not.toContain('milk')
  })
  it('a word that nobody knows never ends in "nothing found"', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[a-z]{4,12}$/), (word) => {
        const found = readLabel(`rice, ${word}qx, salt`)
        expect(
          found.contains.length +
            found.unknown.length +
            found.ask.length +
            found.extras.filter((e) => e !== 'rice').length,
        ).toBeGreaterThan(0)
      }),
    )
  })
  it('no text breaks it', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 200 }), (text) => {
        for (const w of readLabel(text).words) {
          expect(w.start).toBeGreaterThanOrEqual(0)
          expect(w.end).toBeLessThanOrEqual(text.length)
        }
      }),
    )
  })
})
