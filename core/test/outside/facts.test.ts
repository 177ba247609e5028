/**
 * Facts of a step against worked cases computed apart from this code: learning.md H01-H40 (exact fractions; from memory).
 */
import { describe, expect, it } from 'vitest'
import { answerFact } from '../../src/learn/fact/answer'
import type { PlainFact } from '../../src/learn/fact/fields'

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
