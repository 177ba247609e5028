/** The problem of the fair-scoops row: 20 lines, 10 measures, at most 12 scoops a line. Invented amounts, each made exactly. */
import type { FairProblem } from '@lea/core/amount'

const BOX = {
  '1 cup': '48',
  '3/4 cup': '36',
  '1/2 cup': '24',
  '1/3 cup': '16',
  '1/4 cup': '12',
  '1/8 cup': '6',
  '1 tbsp': '3',
  '1 tsp': '1',
  '1/2 tsp': '1/2',
  '1/4 tsp': '1/4',
}
const AMOUNTS = '48 72 24 16 36 96 12 6 3 2 1 1/2 1/4 9 32 64 60 18 4 3/4'.split(' ')

export const fairProblem = (children: number): FairProblem => ({
  measures: Object.entries(BOX).map(([id, size]) => ({ id, size })),
  ingredients: AMOUNTS.map((amount, i) => ({ name: `line ${i}`, amount })),
  children,
  countLimit: 10,
  minTurn: 1,
  maxScoops: 12,
  minEach: 2,
})
