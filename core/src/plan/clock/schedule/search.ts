/**
 * Short schedules for children without names: five priority rules, then small changes of the order, each schedule pushed late and
 * early again. Stops at the bound or after so many schedules; never by the clock, so that the same seed gives the same plan.
 */
import type { Network } from './instance'
import { feasible, justified, lengthOf, serial, sortedBy, type Row } from './serial'

export interface Found {
  starts: Int32Array
  length: number
  order: Int32Array
}

/** @param few only so many of the rules are tried: for an outline */
export function bestOfRules(net: Network, rows: readonly Row[], few = 5): Found {
  const { heads, tails, p, succs, size } = net
  const all = Array.from({ length: size }, (_, i) => i)
  const followers = all.map((i) => followersOf(i, succs).size)
  const work = (i: number): number =>
    rows.reduce((sum, r) => sum + ((r.use[i] as number) * (p[i] as number)) / r.cap, 0)
  const rules: ((i: number) => number)[] = [
    (i) => -(tails[i] as number),
    (i) => (heads[i] as number) - (tails[i] as number),
    (i) => heads[i] as number,
    (i) => -(followers[i] ?? 0),
    (i) => -(tails[i] as number) - work(i),
  ]
  return rules
    .slice(0, few)
    .map((rule) =>
      evaluate(
        net,
        rows,
        all.slice().sort((a, b) => rule(a) - rule(b) || a - b),
      ),
    )
    .reduce((best, f) => (f.length < best.length ? f : best))
}

function evaluate(net: Network, rows: readonly Row[], list: readonly number[]): Found {
  const order = feasible(list, net.preds, net.succs)
  const starts = justified(net, rows, serial(net.p, net.preds, rows, order))
  return { starts, length: lengthOf(starts, net.p), order: sortedBy(net.size, (i) => starts[i] as number) }
}

function followersOf(i: number, succs: readonly number[][], seen = new Set<number>()): Set<number> {
  for (const j of succs[i] as number[])
    if (!seen.has(j)) {
      seen.add(j)
      followersOf(j, succs, seen)
    }
  return seen
}

const FAILS_BEFORE_RESTART = 60

/** Better orders by shifting one op, a few, or shuffling a window; the same length is taken too. */
export function improve(
  net: Network,
  rows: readonly Row[],
  start: Found,
  bound: number,
  schedules: number,
  random: () => number,
): Found {
  let best = start
  let now = start
  let fails = 0
  for (let k = 0; k < schedules && best.length > bound; k++) {
    const list = changed(now.order, random)
    const next = evaluate(net, rows, list)
    if (next.length <= now.length) {
      fails = next.length < now.length ? 0 : fails + 1
      now = next
    } else fails += 1
    if (next.length < best.length) best = next
    if (fails > FAILS_BEFORE_RESTART) {
      now = best
      fails = 0
    }
  }
  return best
}

function changed(order: Int32Array, random: () => number): number[] {
  const list = [...order]
  const any = (n: number): number => Math.floor(random() * n)
  const kind = random()
  if (kind < 0.7 || list.length < 4) {
    for (let moves = kind < 0.5 ? 1 : 2 + any(5); moves > 0; moves--) {
      const [op] = list.splice(any(list.length), 1)
      if (op !== undefined) list.splice(any(list.length + 1), 0, op)
    }
    return list
  }
  const from = any(list.length - 3)
  const to = Math.min(list.length, from + 3 + any(5))
  for (let i = to - 1; i > from; i--) {
    const j = from + any(i - from + 1)
    const [a, b] = [list[i] as number, list[j] as number]
    list[i] = b
    list[j] = a
  }
  return list
}
