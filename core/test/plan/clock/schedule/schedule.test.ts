/** Schedules with names: an independent checker, a bound nobody beats, the best on cases small enough to try every order. */
import { describe, expect, it } from 'vitest'
import { lowerBound } from '../../../../src/plan/clock/schedule/bound'
import { scheduleBreaches } from '../../../../src/lab/check-schedule'
import { networkOf, type Instance, type Op } from '../../../../src/plan/clock/schedule/instance'
import { feasible, lengthOf, serial } from '../../../../src/plan/clock/schedule/serial'
import { solve, type Schedule } from '../../../../src/lab/solve'
import { drawn, SIZES, type SizeName } from './generate'

const solved = (instance: Instance): Schedule => {
  const answer = solve(instance)
  if ('infeasible' in answer) throw new Error(answer.infeasible.says)
  return answer
}
const op = (id: string, more: Partial<Op> = {}): Op => ({
  id,
  task: id,
  mode: 'ADULT',
  duration: 2,
  dur: 0,
  raw: false,
  crew: 0,
  slots: 0,
  demand: {},
  eligible: [],
  preds: [],
  ...more,
})
const instance = (ops: Op[], more: Partial<Instance> = {}): Instance => ({
  children: 3,
  ops,
  resources: [],
  taskCaps: {},
  seed: 1,
  iterations: 200,
  ...more,
})

describe('drawn sessions', () => {
  it.each(Object.keys(SIZES) as SizeName[])(
    '%s: no rule is broken, and no plan is shorter than the bound',
    (size) => {
      for (let seed = 100; seed < 112; seed++) {
        const one = drawn(size, seed, 120)
        const answer = solved(one)
        expect(scheduleBreaches(one, answer.starts, answer.children)).toEqual([])
        expect(answer.makespan).toBeGreaterThanOrEqual(answer.bound)
        expect(answer.conflicts).toBe(0)
      }
    },
  )
  it('same input and seed: the same bytes', () => {
    const one = drawn('L', 3, 150)
    expect(JSON.stringify(solve(one))).toBe(
      JSON.stringify(solve(JSON.parse(JSON.stringify(one)) as Instance)),
    )
  })
  it('another adult or another bowl never makes the bound longer', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const one = drawn('M', seed)
      const more = { ...one, resources: one.resources.map((r) => ({ ...r, cap: r.cap + 1 })) }
      const [a, b] = [networkOf(one), networkOf(more)]
      if ('cause' in a || 'cause' in b) throw new Error('drawn sessions can be planned')
      expect(lowerBound(b).units).toBeLessThanOrEqual(lowerBound(a).units)
    }
  })
})

describe('small sessions, every order tried', () => {
  // Serial schedules over all orders contain an optimal one (Kolisch 1996): the shortest of them is the optimum without names.
  it('is as short as the best of all orders, where names do not matter', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const all = drawn('S', seed, 600)
      const ops = all.ops
        .slice(0, 6)
        .map((o) => ({ ...o, mode: 'ADULT' as const, q: 0, slots: 0, eligible: [] }))
      const kept = new Set(ops.map((o) => o.id))
      const one = instance(
        ops.map((o) => ({ ...o, preds: o.preds.filter((p) => kept.has(p)) })),
        {
          children: 4,
          resources: all.resources,
          iterations: 600,
        },
      )
      const net = networkOf(one)
      if ('cause' in net) continue
      let best = Infinity
      const permute = (list: number[], rest: number[]): void => {
        if (rest.length === 0) {
          best = Math.min(
            best,
            lengthOf(serial(net.p, net.preds, net.rows, feasible(list, net.preds, net.succs)), net.p),
          )
          return
        }
        rest.forEach((x, i) => permute([...list, x], [...rest.slice(0, i), ...rest.slice(i + 1)]))
      }
      permute(
        [],
        ops.map((_, i) => i),
      )
      expect(solved(one).makespan).toBe(best)
      expect(lowerBound(net).units).toBeLessThanOrEqual(best)
    }
  })
})

describe('what it keeps', () => {
  it('one sink: hand-washing of two groups goes one after the other, and the bound names the sink', () => {
    const wash = (id: string) => op(id, { duration: 4, demand: { sink: 1 } })
    const answer = solved(
      instance([wash('a'), wash('b'), wash('c')], { resources: [{ name: 'sink', cap: 1 }] }),
    )
    expect(answer.makespan).toBe(12)
    expect(answer.bound).toBe(12)
    expect(answer.boundCause).toBe('sink')
  })
  it('a chain is a bound, and is named', () => {
    const answer = solved(
      instance([op('rise', { duration: 90 }), op('bake', { duration: 40, preds: ['rise'] })]),
    )
    expect([answer.makespan, answer.bound, answer.boundCause]).toEqual([130, 130, 'chain: rise to bake'])
  })
  it('turns go round evenly, and never to a child who may not', () => {
    const turns = op('flour', { mode: 'TURNS', duration: 6, dur: 1, crew: 1, slots: 6, eligible: [0, 1] })
    const other = op('stir', {
      mode: 'TURNS',
      duration: 3,
      dur: 1,
      crew: 1,
      slots: 3,
      eligible: [0, 1, 2],
      preds: ['flour'],
    })
    const answer = solved(instance([turns, other], { taskCaps: { flour: 3, stir: 3 } }))
    const loads = [0, 1, 2].map((c) => answer.children.filter((a) => a.child === c).length)
    expect(loads).toEqual([3, 3, 3])
    expect(answer.children.filter((a) => a.op === 'flour' && a.child === 2)).toEqual([])
  })
  it('after raw food a child is at the sink two units more', () => {
    const raw = op('egg', {
      mode: 'TURNS',
      duration: 6,
      dur: 1,
      crew: 2,
      slots: 4,
      raw: true,
      eligible: [0, 1, 2],
    })
    const one = instance([raw], { taskCaps: { egg: 2 } })
    const answer = solved(one)
    expect(scheduleBreaches(one, answer.starts, answer.children)).toEqual([])
  })
  it.each([
    ['a circle', [op('a', { preds: ['b'] }), op('b', { preds: ['a'] })], 'circle'],
    ['too much at once', [op('a', { demand: { oven: 2 } })], 'oven'],
    ['nobody', [op('a', { mode: 'EACH', crew: 1, slots: 1 })], 'a'],
    [
      'too many places',
      [op('a', { mode: 'TURNS', duration: 5, dur: 1, crew: 1, slots: 5, eligible: [0] })],
      'a',
    ],
  ])('%s is refused with its cause', (_, ops, cause) => {
    const answer = solve(instance(ops, { resources: [{ name: 'oven', cap: 1 }], taskCaps: { a: 2 } }))
    expect('infeasible' in answer && answer.infeasible.cause).toBe(cause)
  })
})

describe('the checker', () => {
  const one = drawn('M', 7, 120)
  const good = solved(one)
  it.each([
    [
      'an op that begins too early',
      (s: Schedule) => ({ ...s, starts: Object.fromEntries(Object.keys(s.starts).map((k) => [k, 0])) }),
    ],
    ['a place without a child', (s: Schedule) => ({ ...s, children: s.children.slice(1) })],
    [
      'one child everywhere',
      (s: Schedule) => ({ ...s, children: s.children.map((c) => ({ ...c, child: 0 })) }),
    ],
  ])('finds %s', (_, spoil) => {
    const bad = spoil(good)
    expect(scheduleBreaches(one, bad.starts, bad.children).length).toBeGreaterThan(0)
  })
})
