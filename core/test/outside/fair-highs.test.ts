/**
 * Fair scoops against HiGHS, a published general-purpose solver, on a model written from the definition alone (no list of ways):
 * the worked cases of calc.md (E8, E9, E12; computed there by brute force) and drawn problems of up to 12 lines and 8 measures.
 */
import fc from 'fast-check'
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { type FairProblem, fairScoops } from '../../src/amount/fair'
import { modelOptimum, type Solver } from './fair-model'

let highs: Solver
beforeAll(async () => {
  highs = await highsLoader()
})

const box = (...sizes: [string, string][]): FairProblem['measures'] =>
  sizes.map(([id, size]) => ({ id, size }))
const CUPS = box(['1 cup', '48'], ['1/2 cup', '24'], ['1/3 cup', '16'], ['1/4 cup', '12'], ['1 tsp', '1'])
const buns = (minEach: number): FairProblem => ({
  measures: CUPS,
  ingredients: [
    { name: 'flour', amount: '72' },
    { name: 'sugar', amount: '24' },
    { name: 'oil', amount: '16' },
    { name: 'milk', amount: '36' },
    { name: 'baking powder', amount: '2' },
    { name: 'egg', pieces: 1 },
  ],
  children: 6,
  countLimit: 10,
  minTurn: 1,
  maxScoops: 12,
  minEach,
})
const dip: FairProblem = {
  measures: box(['1/2 cup', '24'], ['1/3 cup', '16'], ['1/4 cup', '12'], ['1 T', '3'], ['1 t', '1']),
  ingredients: [
    { name: 'yogurt', amount: '48' },
    { name: 'herbs', amount: '12' },
    { name: 'lemon', amount: '3' },
  ],
  children: 7,
  countLimit: 5,
  minTurn: 1,
  maxScoops: 10,
  minEach: 1,
}

describe('fair scoops against a HiGHS model', () => {
  it.each([
    ['E8 buns', buns(1), [0, 0, 0, 0, 4, 12, 0]],
    ['E9 buns, three turns each', buns(3), [0, 0, 0, 1, 3, 18, 0]],
    ['E12 dip for seven', dip, [0, 0, 0, 0, 2, 7, 0]],
  ])('%s', (_, problem, objective) => {
    expect(modelOptimum(problem, highs)).toEqual(objective)
    expect(fairScoops(problem).objective).toEqual(objective)
  })

  it('agrees on drawn recipes, also where none is possible', () => {
    const sizes = ['48', '36', '24', '16', '12', '6', '3', '1', '1/2']
    const problems = fc.record({
      sizes: fc.subarray(sizes, { minLength: 2, maxLength: 7 }),
      amounts: fc.array(fc.constantFrom('96', '72', '48', '36', '24', '16', '12', '9', '6', '3', '2', '1'), {
        minLength: 1,
        maxLength: 9,
      }),
      pieces: fc.integer({ min: 0, max: 3 }),
      children: fc.integer({ min: 2, max: 12 }),
      countLimit: fc.constantFrom(3, 5, 10),
      maxScoops: fc.constantFrom(4, 8, 12),
      minEach: fc.constantFrom(1, 2),
    })
    fc.assert(
      fc.property(problems, (d) => {
        const problem: FairProblem = {
          measures: d.sizes.map((size) => ({ id: size, size })),
          ingredients: [
            ...d.amounts.map((amount, i) => ({ name: `line ${i}`, amount })),
            { name: 'eggs', pieces: d.pieces },
          ],
          children: d.children,
          countLimit: d.countLimit,
          minTurn: 1,
          maxScoops: d.maxScoops,
          minEach: d.minEach,
        }
        expect(fairScoops(problem).objective ?? null).toEqual(modelOptimum(problem, highs))
      }),
      { seed: 4, numRuns: 40 },
    )
  })
})
