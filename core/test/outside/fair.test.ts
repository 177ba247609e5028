/**
 * Fair scoops against reference optima: measures.md E7-E12, H48-H50 (a dynamic programme and a brute force written apart; from
 * memory), and against trying every choice.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Size, decompositions } from '../../src/amount/decompose'
import { type FairProblem, fairScoops } from '../../src/amount/fair'
import { ratio } from '../../src/amount/ratio'

const tsp = (id: string, size: string): Size => ({ id, size })
const US = {
  c: tsp('1 c', '48'),
  h: tsp('1/2 c', '24'),
  t: tsp('1/3 c', '16'),
  q: tsp('1/4 c', '12'),
  T: tsp('1 T', '3'),
  s: tsp('1 t', '1'),
}
const buns = [
  ['flour', '72'],
  ['sugar', '24'],
  ['oil', '16'],
  ['milk', '36'],
  ['baking powder', '2'],
].map(([name = '', amount = '']) => ({ name, amount }))
const base = { countLimit: 10, minTurn: 1, maxScoops: 12, minEach: 1 }
const CASES: [string, FairProblem, number[]][] = [
  [
    'E7/H48',
    {
      ...base,
      countLimit: 5,
      children: 4,
      measures: [US.c, US.h, US.q, US.T],
      ingredients: [
        { name: 'flour', amount: '48' },
        { name: 'milk', amount: '48' },
        { name: 'oil', amount: '3' },
        { name: 'egg', pieces: 1 },
      ],
    },
    [0, 0, 0, 0, 2, 4, 0],
  ],
  [
    'E8',
    {
      ...base,
      children: 6,
      measures: [US.c, US.h, US.t, US.q, US.s],
      ingredients: [...buns, { name: 'egg', pieces: 1 }],
    },
    [0, 0, 0, 0, 4, 12, 0],
  ],
  [
    'E9',
    {
      ...base,
      minEach: 3,
      children: 6,
      measures: [US.c, US.h, US.t, US.q, US.s],
      ingredients: [...buns, { name: 'egg', pieces: 1 }],
    },
    [0, 0, 0, 1, 3, 18, 0],
  ],
  [
    'E10',
    {
      ...base,
      children: 8,
      measures: [US.c, US.h, US.t, US.q, tsp('1/4 t', '1/4')],
      ingredients: [
        { name: 'oats', amount: '96' },
        { name: 'honey', amount: '24' },
        { name: 'seed butter', amount: '36' },
        { name: 'salt', amount: '1/4' },
      ],
    },
    [0, 0, 0, 0, 3, 8, 1],
  ],
  [
    'E11',
    {
      ...base,
      children: 5,
      minTurn: 5,
      measures: ['125', '125/2', '15', '5', '5/2'].map((s) => tsp(s, s)),
      ingredients: [
        { name: 'flour', amount: '375' },
        { name: 'milk', amount: '125' },
        { name: 'baking powder', amount: '15' },
        { name: 'salt', amount: '5/2' },
      ],
    },
    [0, 0, 0, 0, 3, 5, 1],
  ],
  [
    'E12',
    {
      ...base,
      countLimit: 5,
      maxScoops: 10,
      children: 7,
      measures: [US.h, US.t, US.q, US.T, US.s],
      ingredients: [
        { name: 'yogurt', amount: '48' },
        { name: 'herbs', amount: '12' },
        { name: 'lemon', amount: '3' },
      ],
    },
    [0, 0, 0, 0, 2, 7, 0],
  ],
  [
    'H49',
    {
      ...base,
      children: 5,
      measures: [US.h, US.t, US.q, US.s],
      ingredients: [
        { name: 'oats', amount: '96' },
        { name: 'honey', amount: '16' },
        { name: 'salt', amount: '1' },
      ],
    },
    [0, 0, 0, 0, 3, 10, 0],
  ],
]

/** The objective of one choice, from its definition, and the best by trying every one. */
function bruteForce(p: FairProblem): number[] {
  const k = p.children
  const lists = p.ingredients.map((i) =>
    'amount' in i ? decompositions(i.amount, p.measures, p.maxScoops) : [null],
  )
  let best = null as number[] | null
  const walk = (at: number, chosen: (number[] | null)[]): void => {
    if (at < lists.length) {
      for (const way of lists[at] ?? []) walk(at + 1, [...chosen, way])
      return
    }
    let turns = 0
    const z = [0, 0, 0, 0, 0, 0, 0]
    const kinds = new Set<number>()
    chosen.forEach((way, i) => {
      const ing = p.ingredients[i]
      if (!way) {
        turns += ing && 'pieces' in ing ? ing.pieces : 0
        return
      }
      const used = way.flatMap((n, m) => (n > 0 ? [m] : []))
      if (used.length > 1) z[3] = (z[3] ?? 0) + 1
      for (const m of used) {
        const n = way[m] ?? 0
        kinds.add(m)
        if (n > p.countLimit && !(n % k === 0 && n / k <= p.countLimit)) z[2] = (z[2] ?? 0) + 1
        if (ratio(p.measures[m]?.size ?? 0).compare(ratio(p.minTurn)) >= 0) turns += n
        else z[6] = (z[6] ?? 0) + n
      }
    })
    z[0] = Math.floor(turns / k) < p.minEach ? 1 : 0
    z[1] = turns % k === 0 ? 0 : 1
    z[4] = kinds.size
    z[5] = turns
    const earlier = z.map((v, i) => v - (best?.[i] ?? 0)).find((d) => d !== 0)
    if (best === null || (earlier ?? 0) < 0) best = z
  }
  walk(0, [])
  return best ?? []
}

describe('fair scoops across a recipe', () => {
  it.each(CASES)('%s', (_id, problem, objective) => {
    const answer = fairScoops(problem)
    expect(answer.objective).toEqual(objective)
    for (const i of problem.ingredients) {
      if (!('amount' in i)) continue
      const sum = Object.entries(answer.example?.[i.name] ?? {}).reduce(
        (all, [id, n]) => all.add(ratio(problem.measures.find((m) => m.id === id)?.size ?? 0).mul(n)),
        ratio(0),
      )
      expect(sum.equals(ratio(i.amount))).toBe(true)
    }
  })
  it('H50: an amount that no measures make is not feasible', () => {
    expect(
      fairScoops({
        ...base,
        children: 2,
        measures: [US.c, US.h],
        ingredients: [{ name: 'flour', amount: '16' }],
      }),
    ).toEqual({ feasible: false })
  })
  it('equals the best of all choices on small cases', () => {
    fc.assert(
      fc.property(
        fc.record({
          children: fc.integer({ min: 2, max: 7 }),
          countLimit: fc.integer({ min: 2, max: 8 }),
          minEach: fc.integer({ min: 1, max: 3 }),
          amounts: fc.array(fc.constantFrom('48', '24', '12', '16', '36', '72', '6', '3'), {
            minLength: 1,
            maxLength: 3,
          }),
          pieces: fc.integer({ min: 0, max: 4 }),
        }),
        ({ amounts, pieces, ...rest }) => {
          const problem: FairProblem = {
            ...rest,
            minTurn: 3,
            maxScoops: 8,
            measures: [US.c, US.h, US.t, US.q, US.T, US.s],
            ingredients: [
              ...amounts.map((amount, i) => ({ name: `line ${i}`, amount })),
              { name: 'egg', pieces },
            ],
          }
          const answer = fairScoops(problem)
          if (answer.feasible) expect(answer.objective).toEqual(bruteForce(problem))
          else
            expect(
              problem.ingredients.some(
                (i) => 'amount' in i && decompositions(i.amount, problem.measures, 8).length === 0,
              ),
            ).toBe(true)
        },
      ),
      { numRuns: 60 },
    )
  })
})
