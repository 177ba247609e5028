/**
 * Words of families on a card, in the languages that are read. The rule behind it: a word that is not understood stays open, an exception
 * never takes its group away, and a misspelling is never made another food silently.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ALLERGENS, isOrUnder } from '../../src/food/allergens'
import { parseConcern, readCard } from '../../src/food/card/parse-concern'
import { meet } from '../../src/food/concerns'
import { foodBook } from '../../src/food/own-foods'
import { languagesOf } from '../../src/food/label/label-words'
import { normaliseLabel } from '../../src/food/label/text'
import cards from './cards.json'
import names from './label/allergen-names.json'

const ids = (text: string): string[] => text.split(' ').filter(Boolean)
const { about: _, ...LANGUAGES } = names
const NAMES = Object.values(LANGUAGES).flatMap((all) => Object.entries<string>(all))

describe('what families write', () => {
  it.each(cards.rows as [string, string, string, boolean][])('“%s”: %s', (words, want, not, open) => {
    const found = readCard(words)
    expect(found.ids).toEqual(expect.arrayContaining(ids(want)))
    for (const id of ids(not)) expect(found.ids).not.toContain(id)
    expect(parseConcern(words).open, JSON.stringify(found)).toBe(open)
    expect(found.none).toBe(false)
  })
  it.each(cards.kept as [string, string][])(
    '“%s” keeps %s: a turn of the sentence excepts nothing',
    (words, want) => {
      expect(readCard(words).ids).toEqual(expect.arrayContaining(ids(want)))
    },
  )
  it.each(cards.none)('“%s” is nothing', (words) => {
    expect(readCard(words)).toMatchObject({ ids: [], none: true, ask: [] })
    expect(readCard(words.toUpperCase()).none).toBe(true)
  })
  it.each(cards.nothing)('“%s” is no food, and no food is said to be clear for it', (words) => {
    expect(readCard(words)).toMatchObject({ ids: [], none: false, ask: [] })
    for (const f of foodBook().all.slice(0, 40)) expect(meet(words, f)).not.toBe('nothing')
  })
  it.each(cards.levels as [string, string, string][])('“%s”: %s %s', (words, id, level) => {
    expect(readCard(words).levels[id]).toBe(level)
  })
  it('an allergy is not made milder by what stands beside it', () => {
    expect(readCard('allergic to eggs (hives), milk intolerance').levels['egg']).toBeUndefined()
  })
})

describe('properties', () => {
  const frames = [
    'X',
    'X allergy',
    'allergic to X',
    'severe X allergy',
    'X - rash',
    'alergia a X',
    'allergie au X',
    'uczulenie na X',
    'алергія на X',
    'X!',
    'X (hives)',
  ]
  it('a name of an allergen is understood in any frame and in capitals', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.constantFrom(...frames),
        fc.boolean(),
        ([id, name], frame, capitals) => {
          const text = frame.replace('X', capitals ? name.toUpperCase() : name)
          const found = readCard(text).ids
          expect(
            found.some((x) => isOrUnder(x, id) || isOrUnder(id, x)) || parseConcern(text).open,
            `${text} → ${found.join(' ')}`,
          ).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('of two names both are there, however they are parted', () => {
    const gaps = [', ', ' and ', ' & ', '/', ' + ', '; ', '\n', ' - ', ' • ', ' und ', ' y ', ' i ']
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(LANGUAGES)),
        fc.constantFrom(...gaps),
        fc.nat(),
        fc.nat(),
        (language, gap, a, b) => {
          const all = Object.entries<string>(language)
          const [x, y] = [all[a % all.length], all[b % all.length]]
          if (!x || !y || x[0] === y[0]) return
          const text = `${x[1]}${gap}${y[1]}`
          const { ids: found, open } = parseConcern(text)
          for (const [id] of [x, y])
            expect(
              found.some((f) => isOrUnder(f, id) || isOrUnder(id, f)) || open,
              `${text} → ${found.join(' ')}`,
            ).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('a typing fault never clears: the name is understood all the same, or the word is open', () => {
    const faulty = (word: string, at: number, kind: number): string => {
      const i = 1 + (at % Math.max(1, word.length - 1))
      if (kind === 0) return word.slice(0, i) + word.slice(i + 1)
      if (kind === 1) return word.slice(0, i) + word[i] + word.slice(i)
      return word.slice(0, i - 1) + (word[i] ?? '') + (word[i - 1] ?? '') + word.slice(i + 1)
    }
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES.filter(([, n]) => n.length > 4 && !n.includes(' '))),
        fc.nat(12),
        fc.nat(2),
        ([id, name], at, kind) => {
          const text = faulty(name, at, kind)
          // "Rogen" is roe, and no misspelt "Roggen".
          if (languagesOf(normaliseLabel(text))) return
          const { ids: found, open } = parseConcern(text)
          expect(
            open || found.some((f) => isOrUnder(f, id) || isOrUnder(id, f)),
            `${text} → ${found.join(' ')}`,
          ).toBe(true)
        },
      ),
      { numRuns: 1500 },
    )
  })
  it('words added never take away an allergen that was found before', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAMES),
        fc.constantFrom(...NAMES),
        fc.constantFrom(', ', '. ', ' and ', '\n'),
        ([, a], [, b], gap) => {
          const before = parseConcern(a)
          const after = parseConcern(`${a}${gap}${b}`)
          for (const id of before.ids)
            expect(
              after.open || after.ids.some((x) => isOrUnder(x, id) || isOrUnder(id, x)),
              `${a}${gap}${b}: ${id} of ${before.ids.join(' ')} → ${after.ids.join(' ')}`,
            ).toBe(true)
        },
      ),
      { numRuns: 3000 },
    )
  })
  it('every id is read as itself', () => {
    for (const a of ALLERGENS) expect(readCard(a.id.replaceAll('-', ' ')).ids.length, a.id).toBeGreaterThan(0)
  })
})
