/**
 * Choosing the talk against HiGHS, a published general-purpose solver, on drawn sessions: what matters first (everybody at the edge,
 * targets of the week, targets that come back, questions asked) must be the optimum; the rest near it.
 */
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { chooseTalk } from '../../src/plan/talk/choose'
import { drawnTalk } from '../plan/talk/drawn-talk'
import type { Solver } from './fair-model'
import { talkOptimum, talkValue } from './talk-model'

let highs: Solver
beforeAll(async () => {
  highs = await highsLoader()
})

const SEEDS = Array.from({ length: 60 }, (_, i) => i + 1)

describe('the choice of talk against a HiGHS model', () => {
  it('everybody at the edge and the week are the optimum in 60 drawn sessions, what comes back but for one at most, the rest within a hundredth', () => {
    let short = 0
    let above = 0
    let whole = 0
    for (const seed of SEEDS) {
      const problem = drawnTalk(seed)
      const best = talkOptimum(problem, highs)
      const ours = talkValue(problem, chooseTalk(problem))
      // Children and targets of the week weigh ten thousand and more.
      expect(Math.round(ours.first / 1e4), `seed ${seed}`).toBe(Math.round(best.first / 1e4))
      if (ours.first !== best.first) short += 1
      else expect(ours.second, `seed ${seed}`).toBeGreaterThanOrEqual(best.second)
      above += ours.second - best.second
      whole += best.second
    }
    expect(short).toBeLessThanOrEqual(1)
    expect(above / whole).toBeLessThan(0.01)
  })
  it('keeps its rules: one question a child and step, nothing twice, no more than there may be', () => {
    for (let seed = 100; seed < 400; seed++) {
      const problem = drawnTalk(seed)
      const choice = chooseTalk(problem)
      const asks = choice.flatMap((c) => c.asks)
      expect(asks.length).toBeLessThanOrEqual(problem.most)
      expect(asks.filter((a) => a.order).length).toBeLessThanOrEqual(problem.mostOrder)
      problem.children.forEach(({ most }, i) =>
        expect(asks.filter((a) => a.child === i).length).toBeLessThanOrEqual(most),
      )
      expect(new Set(asks.map((a) => a.says)).size).toBe(asks.length)
      expect(new Set(asks.map((a) => a.text)).size).toBe(asks.length)
      expect(new Set(asks.map((a) => `${a.child} ${a.target}`)).size).toBe(asks.length)
      choice.forEach((c, i) => {
        const step = problem.steps[i]
        expect(c.asks.length).toBeLessThanOrEqual(step?.most ?? 0)
        expect(new Set(c.asks.map((a) => a.child)).size).toBe(c.asks.length)
        const offered = [...(step?.ideas[c.idea]?.options ?? []), ...(step?.tell ?? [])]
        for (const ask of c.asks) expect(offered).toContain(ask)
      })
      expect(chooseTalk(problem)).toEqual(choice)
    }
  })
})
