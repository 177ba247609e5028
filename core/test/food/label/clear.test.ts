/**
 * Trust: a packet on which everything is named comes out with nothing to ask, or people learn to tick the question away. And no allergen is
 * lost for it: whatever is added to such a packet is seen. What packets say: common practice, from memory; the packets are invented.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isOrUnder } from '../../../src/food/allergens'
import { packetWords } from '../../../src/food/packets'
import names from './allergen-names.json'
import clear from './clear.json'

const { about: _, ...LANGUAGES } = names
const ALL = Object.values(LANGUAGES).flatMap((all) => Object.entries<string>(all))

describe('clear packets', () => {
  it('at least nine in ten end with nothing open (the goal is three in four)', () => {
    const open = clear.packets.filter((text) => packetWords(text).open.length > 0)
    expect(open.length / clear.packets.length, open.join('\n')).toBeLessThanOrEqual(0.1)
  })
  it('a word that nobody knows is open in each of them, where it stands in the list', () => {
    for (const text of clear.packets) {
      if (!/: /.test(text)) continue
      const at = text.indexOf(': ') + 2
      const { open } = packetWords(`${text.slice(0, at)}flurbinate, ${text.slice(at)}`)
      expect(open.join(' '), text).toContain('flurbinate')
    }
  })
  it('an allergen put in anywhere between two words is seen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...clear.packets),
        fc.constantFrom(...ALL),
        fc.nat(200),
        (text, [id, word], place) => {
          const gaps = [...text.matchAll(/, /g)].map((m) => m.index + 2)
          if (gaps.length === 0) return
          const at = gaps[place % gaps.length] ?? 0
          const { lists, may, open } = packetWords(`${text.slice(0, at)}${word}, ${text.slice(at)}`)
          const seen = [...lists, ...may].some((x) => isOrUnder(x, id) || isOrUnder(id, x))
          expect(seen || open.length > 0, `${word} in ${text}`).toBe(true)
        },
      ),
      { numRuns: 2000 },
    )
  })
  it('words added to a packet never take away what it listed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...clear.packets),
        fc.constantFrom(...ALL),
        fc.constantFrom(', ', '. ', '\n', ' • ', ' - '),
        (text, [, word], gap) => {
          const before = packetWords(text)
          const after = packetWords(`${text}${gap}${word}`)
          for (const id of before.lists) expect(after.lists, `${text}${gap}${word}`).toContain(id)
        },
      ),
      { numRuns: 2000 },
    )
  })
})
