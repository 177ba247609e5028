/** A packet's words in pieces for a screen: nothing of the text is lost, and what matters is marked as what it is. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { labelPieces } from '../../../src/food/label/pieces'
import { readLabel } from '../../../src/food/label/read'

describe('pieces of a label', () => {
  it('joined they are the text, whatever it is', () => {
    const words = fc.array(
      fc.constantFrom(
        'milk',
        'SESAME',
        'may contain nuts.',
        'egg-free',
        'natural flavouring',
        'flurbinate',
        ',',
        '(',
        ')',
        '  ',
        'ö',
        'wheat',
      ),
      { maxLength: 25 },
    )
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          words.map((w) => w.join(' ')),
        ),
        (text) => {
          const { pieces, reading } = labelPieces(text)
          expect(pieces.map((p) => p.text).join('')).toBe(text)
          for (const p of pieces) expect(p.mark === '').toBe(p.why === '')
          expect(reading).toEqual(readLabel(text))
        },
      ),
    )
  })
  it.each([
    ['Sugar, wheat flour, egg.', 'wheat', 'lists'],
    ['Sugar. May contain sesame.', 'sesame', 'may'],
    ['Sugar, oil. Free from milk.', 'milk', 'claim'],
    ['Sugar, flurbinate.', 'flurbinate', 'ask'],
  ] as const)('%s: %s is marked %s', (text, word, mark) => {
    const piece = labelPieces(text).pieces.find((p) => p.text.toLowerCase().includes(word))
    expect(piece?.mark).toBe(mark)
  })
  it('a mark says what a reason begins with, for every word of every reading', () => {
    const BEGINS = { lists: /^listed/, may: /^in a warning/, claim: /^(in a claim|mentioned)/, ask: /./ }
    const texts = [
      'Milk, soya. May contain egg. Gluten free. Natural flavouring, quux.',
      'Contains: NUTS; free from egg',
    ]
    for (const w of texts.flatMap((t) => readLabel(t).words)) expect(w.why).toMatch(BEGINS[w.mark])
  })
})
