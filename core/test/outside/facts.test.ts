/**
 * Facts of a step against worked cases computed apart from this code: learning.md H01-H40 (exact fractions; from memory), and
 * the gates of number and fraction by age (CCSS footnotes of grades 3 and 4; common practice; from memory).
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { answerFact, FACT_KINDS, FactError, type PlainFact } from '../../src/index'

const flour = { kind: 'scoop', food: 'flour', unit: 'cup', target: '1 3/4', measure: '1/4' }
const scoop = (unit: string, target: string, measure: string, more = {}): PlainFact => ({
  kind: 'scoop',
  unit,
  target,
  measure,
  ...more,
})
/** Case, fact, what must follow, and an answer that some prompt must give within the months of the case. */
const CASES: [string, PlainFact, Record<string, unknown>, string?, number?][] = [
  ['H01', flour, { scoops: '7', whole: true }, '7 scoops', 72],
  [
    'H02',
    { ...flour, k: 3 },
    { running: '3/4', equivalents: expect.arrayContaining(['1/2 + 1/4']) },
    '3/4 cup',
    96,
  ],
  ['H03', { ...flour, k: 5 }, { running: '1 1/4' }, '1 1/4 cups', 96],
  ['H04', { ...flour, k: 5 }, { left: '1/2', leftScoops: '2' }, '1/2 cup', 96],
  [
    'H05',
    { ...flour, measures: ['1', '1/2', '1/3', '1/4'] },
    { fewest: '1 + 1/2 + 1/4' },
    '1 + 1/2 + 1/4',
    100,
  ],
  ['H06', scoop('cup', '1 1/2', '1/2'), { scoops: '3' }, '3 scoops', 60],
  [
    'H07',
    scoop('cup', '1 1/3', '1/3', { k: 4 }),
    { scoops: '4', running: '1 1/3', left: '0' },
    '1 1/3 cups',
    96,
  ],
  ['H08', scoop('cup', '2/3', '1/3', { k: 1 }), { left: '1/3' }, '1/3 cup', 96],
  ['H09', scoop('cup', '3/4', '1/8'), { scoops: '6' }, '6 scoops', 96],
  ['H10', scoop('cup', '1/2', '1/3'), { scoops: '1 1/2', whole: false }],
  ['H11', scoop('tsp', '1 1/2', '1/2'), { scoops: '3' }, '3 scoops', 60],
  ['H12', scoop('tbsp', '2', '1 tsp'), { scoops: '6', whole: true }, '6 scoops', 96],
  [
    'H13',
    scoop('cup', '2/3', '1/4'),
    { scoops: '2 2/3', whole: false },
    'no: it would take 2 2/3; choose another measure',
    110,
  ],
  [
    'H14',
    scoop('cup', '3/4', '1/4', { k: 2 }),
    { running: '1/2', equivalents: expect.arrayContaining(['2/4', '1/4 + 1/4']) },
  ],
  ['H15', scoop('cup', '1/2', '1/4'), { scoops: '2' }, '4 instead of 2: a smaller scoop, more of them', 100],
  [
    'H16',
    { kind: 'jug', capacity: 500, amount: 250, unit: 'ml' },
    { fillWord: 'half full' },
    'half full',
    60,
  ],
  [
    'H17',
    { kind: 'jug', capacity: 500, amount: 375, unit: 'ml' },
    { fraction: '3/4', toFill: '125' },
    '125',
    100,
  ],
  ['H18', { kind: 'jug', capacity: 400, amount: 0, unit: 'ml' }, { fillWord: 'empty' }, 'empty', 30],
  [
    'H19',
    { kind: 'cut', food: 'cucumber', items: 1, pieces: 4, taken: 1 },
    { leftFraction: '3/4', leftPieces: '3' },
    '3/4',
    90,
  ],
  ['H20', { kind: 'cut', food: 'flatbread', items: 3, pieces: 6, taken: 0 }, { total: '18' }, '18', 90],
  ['H21', { kind: 'cut', food: 'carrot', items: 1, pieces: 8 }, { total: '8', onePiece: '1/8' }, '7', 100],
  [
    'H22',
    { kind: 'cut', food: 'soda bread', items: 1, pieces: 2, equal: false },
    { total: '2', onePiece: null },
    'not fair: they are not the same',
    60,
  ],
  [
    'H23',
    { kind: 'share', food: 'dumplings', n: 12, people: 4 },
    { each: '3', left: '0', needed: '0' },
    '3 each, none left',
    72,
  ],
  [
    'H24',
    { kind: 'share', food: 'dumplings', n: 14, people: 4 },
    { each: '3', left: '2' },
    '3 each, 2 left',
    84,
  ],
  [
    'H25',
    { kind: 'share', food: 'flatbreads', n: 5, people: 2, cuttable: true },
    { exactEach: '2 1/2' },
    '2 1/2',
    100,
  ],
  [
    'H26',
    { kind: 'share', food: 'flatbreads', n: 3, people: 4, cuttable: true },
    { exactEach: '3/4' },
    '3/4',
    110,
  ],
  ['H27', { kind: 'share', food: 'olives', n: 12, fraction: '1/4' }, { part: '3' }, '3', 90],
  ['H28', { kind: 'share', food: 'rolls', n: 11, people: 3 }, { needed: '1' }, '1', 100],
  [
    'H29',
    { kind: 'layer', core: 'potato/leek', repeats: 4, i: 5 },
    { item: 'potato', total: '8' },
    'potato',
    72,
  ],
  [
    'H30',
    { kind: 'layer', core: 'tomato/cheese/basil', repeats: 4, i: 11 },
    { item: 'cheese' },
    'cheese',
    90,
  ],
  ['H31', { kind: 'tin', rows: 3, cols: 4, filled: 7 }, { total: '12', empty: '5', fullRows: '1' }, '5', 90],
  ['H32', { kind: 'tin', rows: 2, cols: 6, filled: 8 }, { fraction: '2/3' }, '2/3', 110],
  ['H33', { kind: 'timer', minutes: 25, start: '10:50' }, { end: '11:15' }, '11:15', 100],
  ['H34', { kind: 'timer', minutes: 40, end: '12:15' }, { start: '11:35' }, '11:35', 100],
  [
    'H35',
    { kind: 'weigh', food: 'flour', grams: 150, division: 10, bowl: 220 },
    { withBowl: '370', steps: '15' },
    '370 g',
    100,
  ],
  ['H36', { kind: 'price', pack_pence: 80, pack_g: 500, used_g: 125 }, { cost: '20' }, '20p', 110],
  ['H37', { kind: 'price', cost_pence: 135, paid_pence: 200 }, { change: '65' }, '65p', 100],
  [
    'H38',
    { kind: 'scale', food: 'flour', amount: '3/4 cup', from: 4, to: 8 },
    { factor: '2', amount: '1 1/2 cups' },
    '1 1/2 cups',
    100,
  ],
  [
    'H39',
    { kind: 'scale', food: 'flour', amount: '1 1/2 cups', from: 6, to: 3 },
    { factor: '1/2', amount: '3/4 cup' },
    '3/4 cup',
    100,
  ],
  [
    'H40',
    { kind: 'scale', food: 'lentils', amount: '300 g', from: 4, to: 6 },
    { factor: '1 1/2', amount: '450 g' },
    '450 g',
    110,
  ],
]

describe('worked facts (learning.md H)', () => {
  it('holds all forty', () => {
    expect(CASES.map(([id]) => id)).toEqual(
      Array.from({ length: 40 }, (_, i) => `H${String(i + 1).padStart(2, '0')}`),
    )
  })
  for (const [id, fact, derived, answer, months] of CASES)
    it(id, () => {
      const got = answerFact(fact, months)
      expect(got.derived).toMatchObject(derived)
      if (answer !== undefined) expect(got.prompts.map((p) => p.answer)).toContain(answer)
    })
  it('H10: no child is asked for one and a half scoops as a number', () => {
    for (let months = 12; months < 108; months++)
      for (const p of answerFact(scoop('cup', '1/2', '1/3'), months).prompts)
        expect(p.answer).not.toContain('1 1/2')
  })
})

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
          expect(all).toContainEqual(p)
        }
      }),
    )
  })
  it('asks for no whole number above what the age counts (R8)', () => {
    fc.assert(
      fc.property(anyFact, fc.integer({ min: 12, max: 144 }), (fact, months) => {
        for (const p of answerFact(fact, months).prompts) {
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
  it('has something to show, and something to do together, for the smallest', () => {
    fc.assert(
      fc.property(anyFact, (fact) => {
        expect(answerFact(fact, 30).prompts.some((p) => p.level === 'model')).toBe(true)
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
      expect(said.filter((p) => p.target === 'cap-half-full')).toEqual([])
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
