/**
 * What is said of a fact: gates of number and fraction by age (learning.md R7, R8; CCSS footnotes of grades 3 and 4; common
 * practice; from memory), and facts that make no sense.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerFact } from '../../src/learn/fact/answer'
import { FACT_KINDS, FactError, type PlainFact } from '../../src/learn/fact/fields'

const ANY: Record<string, fc.Arbitrary<PlainFact>> = {
  count: fc.record({ kind: fc.constant('count'), n: fc.nat(130) }),
  scoop: fc.record({
    kind: fc.constant('scoop'),
    unit: fc.constantFrom('cup', 'tsp', 'tbsp'),
    target: fc.constantFrom('1/2', '2/3', '3/4', '1', '1 1/3', '2 1/3', '7/8', '5'),
    measure: fc.constantFrom('1', '1/2', '1/3', '1/4', '1/8'),
    k: fc.nat(12),
  }),
  jug: fc
    .tuple(fc.integer({ min: 1, max: 2000 }), fc.nat(100))
    .map(([c, p]) => ({ kind: 'jug', capacity: c, amount: Math.floor((c * p) / 100) })),
  cut: fc.record({
    kind: fc.constant('cut'),
    items: fc.integer({ min: 1, max: 12 }),
    pieces: fc.integer({ min: 1, max: 16 }),
  }),
  share: fc.record({
    kind: fc.constant('share'),
    n: fc.nat(130),
    people: fc.integer({ min: 1, max: 30 }),
    cuttable: fc.boolean(),
  }),
  tin: fc.record({
    kind: fc.constant('tin'),
    rows: fc.integer({ min: 1, max: 8 }),
    cols: fc.integer({ min: 1, max: 8 }),
  }),
  weigh: fc.record({
    kind: fc.constant('weigh'),
    grams: fc.nat(900),
    bowl: fc.nat(400),
    division: fc.constantFrom(5, 10, 25),
  }),
}
const anyFact = fc.oneof(...Object.values(ANY))
/** The number gate as the pack states it (R8), read apart from the code. */
const mayCount = (months: number): number =>
  months < 24
    ? 2
    : months < 36
      ? 3
      : months < 48
        ? 5
        : months < 60
          ? 10
          : months < 84
            ? 20
            : months < 96
              ? 100
              : Infinity

describe('what is said of a fact', () => {
  it('suits the months that are given, and stands in the whole list', () => {
    fc.assert(
      fc.property(anyFact, fc.integer({ min: 12, max: 144 }), (fact, months) => {
        const all = answerFact(fact).prompts
        for (const p of answerFact(fact, months).prompts) {
          expect(p.fromMonths).toBeLessThanOrEqual(months)
          expect(p.toMonths).toBeGreaterThanOrEqual(months)
          const same = all.find((a) => a.line === p.line && a.level === p.level)
          expect(same).toMatchObject({ answer: p.answer, fromMonths: p.fromMonths, toMonths: p.toMonths })
          // Of the targets that it touches, those that the age can meet.
          expect([same?.target, ...(same?.also ?? [])]).toEqual(
            expect.arrayContaining([p.target, ...(p.also ?? [])]),
          )
        }
      }),
    )
  })
  it('asks for no whole number above what the age counts (R8)', () => {
    fc.assert(
      fc.property(anyFact, fc.integer({ min: 12, max: 144 }), (fact, months) => {
        // Counted together nothing has to be reached.
        for (const p of answerFact(fact, months).prompts.filter((x) => x.level !== 'model')) {
          const n = /^(\d+)(?: scoops?| g| each.*)?$/.exec(p.answer)?.[1]
          if (n !== undefined) expect(Number(n), p.says).toBeLessThanOrEqual(mayCount(months))
        }
      }),
      { numRuns: 500 },
    )
  })
  it('names no third under 72 months and no eighth under 96 (R7)', () => {
    fc.assert(
      fc.property(anyFact, fc.integer({ min: 12, max: 95 }), (fact, months) => {
        for (const { answer } of answerFact(fact, months).prompts) {
          expect(answer).not.toMatch(/\/(?:[5-9]|1\d)\b/)
          if (months < 72) expect(answer).not.toMatch(/\/3\b/)
        }
      }),
      { numRuns: 500 },
    )
  })
  it('can be narrowed: where a question is asked there is an easier rung of the same, down to doing it together', () => {
    fc.assert(
      fc.property(anyFact, fc.integer({ min: 12, max: 144 }), (fact, months) => {
        const { prompts } = answerFact(fact, months)
        for (const p of prompts)
          expect(prompts.some((x) => x.line === p.line && x.level === 'model')).toBe(true)
      }),
    )
  })
  it('shares what is shared: each times people and what is left make the whole', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.integer({ min: 1, max: 40 }), (n, people) => {
        const d = answerFact({ kind: 'share', n, people }).derived as Record<string, string>
        expect(Number(d['each']) * people + Number(d['left'])).toBe(n)
        expect((n + Number(d['needed'])) % people).toBe(0)
      }),
    )
  })
  it('does not ask for a fill word near a border (within 3 %)', () => {
    for (const amount of [1, 10, 245, 255, 490, 499]) {
      const said = answerFact({ kind: 'jug', capacity: 500, amount }, 60).prompts
      expect(said.filter((p) => /half full$/.test(p.answer))).toEqual([])
    }
    expect(
      answerFact({ kind: 'jug', capacity: 500, amount: 300 }, 60).prompts.map((p) => p.answer),
    ).toContain('more than half full')
  })
  it('says money in the reader’s coins, and that an amount is rounded', () => {
    const price = { kind: 'price', pack_pence: 100, pack_g: 300, used_g: 400 }
    expect(answerFact(price, 120, 'en-GB').prompts.map((p) => p.answer)).toContain('about £1.33')
    expect(answerFact(price, 120, 'en-US').prompts.map((p) => p.answer)).toContain('about $1.33')
  })
  it('finds what departs from a pattern, and the row that comes next', () => {
    const wrong = answerFact({ kind: 'layer', core: ['a', 'b'], repeats: 3, sequence: ['a', 'b', 'b', 'b'] })
    expect(wrong.derived['error']).toEqual({ at: '3', belongs: 'a' })
    expect(answerFact({ kind: 'layer', growing: [1, 3, 5] }).derived).toMatchObject({ next: '7', by: '2' })
  })
  it('180 °C is 356 °F (exact; cards print 350)', () => {
    expect(answerFact({ kind: 'temp', value: 180, unit: 'C' }).derived).toEqual({ fahrenheit: '356' })
  })
  it('goes through an hour and a day', () => {
    expect(answerFact({ kind: 'timer', minutes: 90, start: '23:10' }).derived['end']).toBe('00:40')
    expect(answerFact({ kind: 'timer', minutes: 90, end: '00:40' }).derived['start']).toBe('23:10')
  })
})

describe('a fact that makes no sense', () => {
  const BAD: [PlainFact, string][] = [
    [{ kind: 'dance' }, 'kind'],
    [{ kind: 'scoop', target: 1 }, 'measure'],
    [{ kind: 'scoop', target: 1, measure: 0 }, 'measure'],
    [{ kind: 'scoop', target: 1, measure: '1 g', unit: 'cup' }, 'measure'],
    [{ kind: 'scoop', target: 1, measure: '1/4', k: '1/2' }, 'k'],
    [{ kind: 'jug', capacity: 5, amount: 6 }, 'amount'],
    [{ kind: 'cut', items: 1, pieces: 2, taken: 3 }, 'taken'],
    [{ kind: 'share', n: 3, people: 0 }, 'people'],
    [{ kind: 'share', n: 3, people: '1/2' }, 'people'],
    [{ kind: 'tin', rows: 0, cols: 3 }, 'rows'],
    [{ kind: 'tin', rows: 2, cols: 3, filled: 7 }, 'filled'],
    [{ kind: 'timer', minutes: 5, start: '25:00' }, 'start'],
    [{ kind: 'count', n: 3, removed: 4 }, 'removed'],
    [{ kind: 'compare', a: 1 }, 'b'],
    [{ kind: 'shape', shape: 'blob' }, 'shape'],
    [{ kind: 'vote', options: [] }, 'options'],
    [{ kind: 'order', steps: ['wash', 'cut'], i: 3 }, 'i'],
    [{ kind: 'scale', amount: 'a lot', from: 1, to: 2 }, 'amount'],
    [{ kind: 'layer', core: [] }, 'core'],
  ]
  for (const [fact, field] of BAD)
    it(`names ${field} of ${JSON.stringify(fact)}`, () => {
      try {
        answerFact(fact)
      } catch (fault) {
        expect(fault).toBeInstanceOf(FactError)
        expect((fault as FactError).field).toBe(field)
        return
      }
      expect.unreachable('it was taken')
    })
  it('every kind refuses an empty fact, but never throws anything else', () => {
    for (const kind of FACT_KINDS) expect(() => answerFact({ kind }), kind).toThrow(FactError)
  })
})
