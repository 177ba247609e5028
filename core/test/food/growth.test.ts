/**
 * Readers of words take time with the length of what they read, not with its square or cube: otherwise one small text stops a server. The
 * limits are wide, for they are no measure of speed: each of these took minutes, or never ended, where reading was cubic.
 */
import { describe, expect, it } from 'vitest'
import { readLabel } from '../../src/food/label/read'
import { parseConcern } from '../../src/food/card/parse-concern'
import { readRecipe } from '../../src/recipe/text/read-recipe'
import { childSchema } from '../../src/schema/people'

const BITS = [
  'a ',
  'é ',
  'serves ',
  '<',
  '(',
  '[',
  '1 ',
  '1/2 cup ',
  'milk, ',
  'm1lk ',
  'contains ',
  ' and ',
  '&amp;',
  '½',
  'x',
]
const text = (bit: string, size: number): string => bit.repeat(Math.ceil(size / bit.length)).slice(0, size)
const spent = (work: () => unknown): number => {
  const start = Date.now()
  try {
    work()
  } catch {
    // A refusal is an answer.
  }
  return Date.now() - start
}

describe('64 kB of', () => {
  it.each(BITS)('%j are read as a label, as a card and as a recipe before anybody gives up', (bit) => {
    const long = text(bit, 64_000)
    for (const read of [() => readLabel(long), () => parseConcern(long), () => readRecipe(long)])
      expect(spent(read)).toBeLessThan(40_000)
  })
  it.each(['a ', 'milk ', 'm1lk '])(
    '%j as an allergy on a card are refused before they are read',
    async (bit) => {
      const card = {
        nickname: 'Wren',
        birth: '2022-04',
        diets: [],
        languages: [],
        needs: [],
        concerns: Array.from({ length: 2000 }, () => ({ allergen: text(bit, 500), level: 'unknown' })),
      }
      const start = Date.now()
      await expect(childSchema('2026-11-26').validate(card)).rejects.toThrow(/at most/)
      await expect(
        childSchema('2026-11-26').validate({ ...card, concerns: card.concerns.slice(0, 1) }),
      ).rejects.toThrow(/at most 60/)
      expect(Date.now() - start).toBeLessThan(2000)
    },
  )
})

describe('letters that stand apart', () => {
  it.each([
    ['M I L K', 'milk'],
    ['contains: P E A N U T', 'peanut'],
    ['s o y a, w a t e r', 'soya'],
    ['s u g a r, e g g', 'egg'],
    ['x y z M I L K q', 'milk'],
  ])('%s is %s', (words, allergen) => {
    expect(readLabel(words).words.map((w) => w.id)).toContain(allergen)
  })
})
