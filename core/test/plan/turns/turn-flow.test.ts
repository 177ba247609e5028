/**
 * Dealing by flow: against trying every dealing on small cases, and against a HiGHS model (a published general-purpose solver) on
 * 48 drawn ones. The model is written from the definition of scheduling.md (b), with the squares as unit steps.
 */
import fc from 'fast-check'
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { assignTurns, summed, type DealProblem } from '../../../src/plan/turns/turn-flow'
import { seeded } from '../../../src/plan/clock/schedule/random'
import type { Solver } from '../../outside/fair-model'
import { dealtByModel } from './turn-model'

let highs: Solver
beforeAll(async () => {
  highs = await highsLoader()
})

function drawn(children: number, tasks: number, seed: number): DealProblem {
  const random = seeded(seed)
  const any = (n: number): number => Math.floor(random() * n)
  return {
    base: Array.from({ length: children }, () => any(4)),
    ...(seed % 2 === 0 && { ahead: Array.from({ length: children }, () => any(5) - 2) }),
    tasks: Array.from({ length: tasks }, () => {
      const el = Array.from({ length: children }, (_, i) => i).filter(() => random() < 0.75)
      if (el.length === 0) el.push(any(children))
      const n = 1 + any(2 * el.length)
      return {
        n,
        el,
        cap: Math.ceil(n / el.length) + any(2),
        cost: el.map(() => any(5) - 1),
        easy: el.map(() => (random() < 0.3 ? 1 : 0)),
      }
    }),
  }
}

/** Every dealing, tried. */
function tried(problem: DealProblem): [number, number, number] {
  let best: [number, number, number] = [Infinity, Infinity, Infinity]
  const places = problem.tasks.map((t) => t.el.map(() => 0))
  const walk = (task: number, at: number, left: number): void => {
    const t = problem.tasks[task]
    if (!t) {
      const { sumsq, owed, cost } = summed(problem, places)
      const at = [sumsq, owed, cost].map((n, i) => n - (best[i] as number)).find((n) => n !== 0) ?? 0
      if (at < 0 || best[0] === Infinity) best = [sumsq, owed, cost]
      return
    }
    if (at === t.el.length) {
      if (left === 0) walk(task + 1, 0, problem.tasks[task + 1]?.n ?? 0)
      return
    }
    for (let n = 0; n <= Math.min(left, t.cap); n++) {
      ;(places[task] as number[])[at] = n
      walk(task, at + 1, left - n)
    }
    ;(places[task] as number[])[at] = 0
  }
  walk(0, 0, problem.tasks[0]?.n ?? 0)
  return best
}

describe('dealing by flow', () => {
  it('is the best of all dealings, tried one by one on small cases', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 1, max: 1e6 }),
        (c, t, seed) => {
          const problem = drawn(c, t, seed)
          const answer = assignTurns(problem)
          expect('places' in answer && [answer.sumsq, answer.owed, answer.cost]).toEqual(tried(problem))
        },
      ),
      { numRuns: 80 },
    )
  })
  it.each(Array.from({ length: 48 }, (_, i) => [i + 1]))('equals the HiGHS model, case %i', (seed) => {
    const problem = drawn(3 + (seed % 10), 2 + (seed % 7), seed)
    const answer = assignTurns(problem)
    expect('places' in answer && [answer.sumsq, answer.owed, answer.cost]).toEqual(
      dealtByModel(problem, highs),
    )
  })
  it('gives every place out, to those who may, never above the cap', () => {
    const problem = drawn(30, 30, 5)
    const answer = assignTurns(problem)
    if (!('places' in answer)) throw new Error('it can be dealt')
    answer.places.forEach((row, t) => {
      expect(row.reduce((a, b) => a + b, 0)).toBe(problem.tasks[t]?.n)
      for (const n of row) expect(n).toBeLessThanOrEqual(problem.tasks[t]?.cap ?? 0)
    })
    expect(assignTurns(problem)).toEqual(answer)
  })
  it('says which task cannot give its places out, and why', () => {
    const task = { n: 5, el: [0, 1], cap: 2, cost: [0, 0], easy: [0, 0] as const }
    expect(assignTurns({ base: [0, 0, 0], tasks: [task] })).toEqual({
      infeasible: { task: 0, says: '5 places, but 2 children with at most 2 each' },
    })
    expect(assignTurns({ base: [0], tasks: [{ ...task, el: [], cost: [], easy: [] }] })).toMatchObject({
      infeasible: { says: 'nobody may take part, and there are 5 places' },
    })
  })
})
