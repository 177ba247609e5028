/**
 * A schedule with names: short, without conflict, turns as equal as can be, waits as short as can be; with a bound that nobody
 * can beat. In order: late over the session, sum of squares of the loads, longest wait, length.
 *
 * Search over anonymous schedules (`search`), names at the times found (`naming`); ops that quarrel over children get a limit of
 * their own and all is tried anew; where a conflict stays, ops are placed with their children at once (`named-serial`).
 */
import { boundCauseText, lowerBound, type Bound } from '../plan/clock/schedule/bound'
import { networkOf, type Impossible, type Instance, type Network } from '../plan/clock/schedule/instance'
import { namedSerial } from './named-serial'
import { ChildAssignment, type Named } from './child-assignment'
import { seeded } from '../plan/clock/schedule/random'
import { bestOfRules, improve } from '../plan/clock/schedule/search'
import { feasible, lengthOf, type Row } from '../plan/clock/schedule/serial'

export interface Schedule {
  starts: Record<string, number>
  children: { op: string; slot: number; child: number }[]
  makespan: number
  bound: number
  boundCause: string
  sumsq: number
  longestWait: number
  conflicts: 0
}
export type Solved = Schedule | { infeasible: Impossible }

interface Candidate {
  starts: Int32Array
  named: Named
  length: number
}

/** Rounds of new limits for ops that quarrel. */
const ROUNDS = 14
const NEW_LIMITS = 3

/** A named schedule of an instance, or why there is none. Contract: scheduling.md (exchange format). */
export function solve(instance: Instance): Solved {
  const net = networkOf(instance)
  if ('cause' in net) return { infeasible: net }
  const bound = lowerBound(net)
  const random = seeded(instance.seed)
  const goal = instance.session ?? 0
  let best = null as Candidate | null
  const offer = (c: Candidate | null): void => {
    if (c && c.named.conflicts === 0 && (!best || better(c, best, goal))) best = c
  }
  // Half of the budget for one long run, the rest for runs from other seeds.
  const runs = Math.max(1, Math.min(4, Math.floor(instance.iterations / 400)))
  for (let run = 0; run < runs; run++)
    offer(attempt(net, bound, Math.ceil(instance.iterations / runs), random))
  const order = feasible(
    Array.from({ length: net.size }, (_, i) => i).sort(
      (a, b) => (net.tails[b] as number) - (net.tails[a] as number) || a - b,
    ),
    net.preds,
    net.succs,
  )
  if (!best) offer(fallback(net, order, instance.iterations, random))
  if (!best)
    return { infeasible: { cause: 'search', says: 'no plan was found: the places do not go together' } }
  return answer(net, best, bound)
}

function attempt(net: Network, bound: Bound, budget: number, random: () => number): Candidate | null {
  const extra: Row[] = []
  let found = bestOfRules(net, net.rows)
  for (let round = 0; round < ROUNDS; round++) {
    const rows = [...net.rows, ...extra]
    if (extra.length > 0) found = bestOfRules(net, rows)
    found = improve(net, rows, found, bound.units, Math.ceil(budget / (round === 0 ? 2 : 8)), random)
    const naming = new ChildAssignment(net, found.starts, random).fill().polish(budget * 4)
    const named = naming.result()
    if (named.conflicts === 0) {
      const better = new ChildAssignment(net, found.starts, random)
        .adopt(named.who)
        .polish(budget * 4)
        .result()
      return { starts: found.starts, named: better, length: found.length }
    }
    const quarrels = naming.quarrels().slice(0, NEW_LIMITS)
    if (quarrels.length === 0) break
    for (const [a, b] of quarrels) {
      const use = new Int32Array(net.size)
      use[a] = 1
      use[b] = 1
      extra.push({ cap: 1, use })
    }
  }
  return fallback(net, found.order, budget, random)
}

function fallback(net: Network, order: Int32Array, budget: number, random: () => number): Candidate | null {
  const one = namedSerial(net, feasible(order, net.preds, net.succs))
  if (!one) return null
  const named = new ChildAssignment(net, one.starts, random)
    .adopt(one.who)
    .polish(budget * 4)
    .result()
  return { starts: one.starts, named, length: lengthOf(one.starts, net.p) }
}

function better(a: Candidate, b: Candidate, session: number): boolean {
  const figures = (c: Candidate): number[] => [
    Math.max(0, c.length - session),
    c.named.sumsq,
    c.named.longestWait,
    c.length,
    c.named.gaps,
  ]
  const [x, y] = [figures(a), figures(b)]
  for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return (x[i] as number) < (y[i] as number)
  return false
}

function answer(net: Network, { starts, named, length }: Candidate, bound: Bound): Schedule {
  const { ops } = net.instance
  return {
    starts: Object.fromEntries(ops.map((o, i) => [o.id, starts[i] as number])),
    children: net.places.map((pl, at) => ({
      op: ops[pl.op]?.id ?? '',
      slot: pl.slot,
      child: named.who[at] as number,
    })),
    makespan: length,
    bound: bound.units,
    boundCause: boundCauseText(bound.cause),
    sumsq: named.sumsq,
    longestWait: named.longestWait,
    conflicts: 0,
  }
}
