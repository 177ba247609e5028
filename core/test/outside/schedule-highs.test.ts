/** Schedules against HiGHS, a published general-purpose solver, on the time-indexed model of drawn small sessions. */
import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { lowerBound } from '../../src/plan/clock/schedule/bound'
import { networkOf, type Network } from '../../src/plan/clock/schedule/instance'
import { seeded } from '../../src/plan/clock/schedule/random'
import { bestOfRules, improve } from '../../src/plan/clock/schedule/search'
import { solve } from '../../src/lab/solve'
import { drawn } from '../plan/clock/schedule/generate'
import { timeIndexed } from '../plan/clock/schedule/time-indexed'

interface Solver {
  solve: (model: string, options?: object) => { Status: string; ObjectiveValue: number }
}
let highs: Solver
beforeAll(async () => {
  highs = await highsLoader()
})

const small = (seed: number) => {
  const one = drawn('S', seed, 400)
  // Six or seven ops are proven in a moment; more would hold up the tests.
  const ops = one.ops.slice(0, 8)
  const ids = new Set(ops.map((o) => o.id))
  return { ...one, ops: ops.map((o) => ({ ...o, preds: o.preds.filter((p) => ids.has(p)) })) }
}
const network = (seed: number): Network => {
  const net = networkOf(small(seed))
  if ('cause' in net) throw new Error(net.says)
  return net
}

describe('drawn small sessions', () => {
  it('the search finds the proven optimum, and no bound lies above it', () => {
    for (let seed = 1; seed <= 16; seed++) {
      const net = network(seed)
      const bound = lowerBound(net)
      const found = improve(net, net.rows, bestOfRules(net, net.rows), bound.units, 400, seeded(seed))
      const answer = highs.solve(timeIndexed(net, found.length), { time_limit: 20 })
      expect(answer.Status, `seed ${seed}`).toBe('Optimal')
      const optimum = Math.round(answer.ObjectiveValue)
      expect(found.length, `seed ${seed}`).toBe(optimum)
      expect(bound.units).toBeLessThanOrEqual(optimum)
      const named = solve(small(seed))
      if ('infeasible' in named) throw new Error(named.infeasible.says)
      // With names it can only be longer.
      expect(named.makespan).toBeGreaterThanOrEqual(optimum)
      expect(named.bound).toBeLessThanOrEqual(optimum)
    }
  })
})
