/**
 * A lower bound on the length of a session, with its cause: the longest chain, the energy of a resource between heads and tails,
 * or ops that exclude one another. Source: textbook bounds of the resource-constrained project scheduling problem.
 */
import { must } from '../../../amount/must'
import type { Network } from './instance'

/** What nobody can be quicker than: one limit, a chain of tasks, or tasks that exclude one another. */
export type BoundCause =
  | { kind: 'none' }
  | { kind: 'limit'; name: string }
  | { kind: 'chain'; tasks: string[] }
  | { kind: 'clique'; tasks: string[] }
export interface Bound {
  units: number
  cause: BoundCause
}

/** The cause in one line: "sink", "chain: rise to bake". Source: scheduling.md (exchange format). */
export const boundCauseText = (cause: BoundCause): string => {
  switch (cause.kind) {
    case 'none':
      return 'nothing to do'
    case 'limit':
      return cause.name
    case 'chain':
      return `chain: ${cause.tasks.join(' to ')}`
    case 'clique':
      return `clique: ${cause.tasks.join(', ')}`
  }
}

/** Nobody can be quicker than this: the greatest of all bounds, in units of the network, with its cause. */
export function lowerBound(net: Network): Bound {
  const all = [chain(net), ...net.rows.map((row) => energy(net, row)), clique(net)]
  return all.reduce((best, b) => (b.units > best.units ? b : best))
}

function chain({ instance, heads, tails, size, preds }: Network): Bound {
  let last = 0
  const whole = (i: number): number => (heads[i] as number) + (tails[i] as number)
  // The end of a longest chain: of the ops on one, the last to begin.
  for (let i = 0; i < size; i++)
    if (
      whole(i) > whole(last) ||
      (whole(i) === whole(last) && (heads[i] as number) > (heads[last] as number))
    )
      last = i
  if (size === 0) return { units: 0, cause: { kind: 'none' } }
  const units = whole(last)
  // The chain by its tasks, from the first op on.
  let at = last
  while ((preds[at] as number[]).length > 0)
    at = (preds[at] as number[]).reduce((a, b) =>
      (heads[b] as number) + (instance.ops[b]?.duration ?? 0) >
      (heads[a] as number) + (instance.ops[a]?.duration ?? 0)
        ? b
        : a,
    )
  const [first, end] = [at, last].map((i) => must(instance.ops[i], `op ${i}`).task) as [string, string]
  return { units, cause: { kind: 'chain', tasks: first === end ? [first] : [first, end] } }
}

/**
 * Of the ops with a head of at least h and a tail (after themselves) of at least t: none begins before h, all is followed by t,
 * and between lies at least their energy over the capacity.
 */
function energy({ heads, tails, p, size }: Network, row: Network['rows'][number]): Bound {
  const using = Array.from({ length: size }, (_, i) => i).filter(
    (i) => (row.use[i] as number) > 0 && (p[i] as number) > 0,
  )
  const after = (i: number): number => (tails[i] as number) - (p[i] as number)
  const starts = [...new Set(using.map((i) => heads[i] as number))]
  const ends = [...new Set(using.map(after))].sort((a, b) => b - a)
  let best = 0
  for (const h of starts) {
    const here = using.filter((i) => (heads[i] as number) >= h).sort((a, b) => after(b) - after(a))
    let sum = 0
    let at = 0
    for (const t of ends) {
      for (; at < here.length && after(here[at] as number) >= t; at++)
        sum += (p[here[at] as number] as number) * (row.use[here[at] as number] as number)
      if (sum > 0) best = Math.max(best, h + Math.ceil(sum / row.cap) + t)
    }
  }
  return { units: best, cause: { kind: 'limit', name: row.name } }
}

/** Ops that cannot overlap, two by two: one after the other they take at least their sum. Grown greedily from each op. */
function clique({ instance, rows, p, heads, tails, size, preds }: Network): Bound {
  const before = reach(preds)
  const apart = (a: number, b: number): boolean =>
    (before[a] as Uint8Array)[b] === 1 ||
    (before[b] as Uint8Array)[a] === 1 ||
    rows.some((r) => (r.use[a] as number) + (r.use[b] as number) > r.cap)
  /** A table of pairs: each is asked many times. */
  const pairs = new Uint8Array(size * size)
  for (let a = 0; a < size; a++)
    for (let b = a + 1; b < size; b++)
      if (apart(a, b)) {
        pairs[a * size + b] = 1
        pairs[b * size + a] = 1
      }
  /** Those that are apart from all who are in it so far. */
  const may = new Uint8Array(size)
  let best: Bound = { units: 0, cause: { kind: 'none' } }
  const byLength = Array.from({ length: size }, (_, i) => i).sort(
    (a, b) => (p[b] as number) - (p[a] as number),
  )
  for (const seed of byLength) {
    const members = [seed]
    may.set(pairs.subarray(seed * size, (seed + 1) * size))
    for (const i of byLength)
      if (may[i] === 1) {
        members.push(i)
        const row = i * size
        for (let k = 0; k < size; k++) may[k] = (may[k] as number) & (pairs[row + k] as number)
      }
    const h = Math.min(...members.map((i) => heads[i] as number))
    const t = Math.min(...members.map((i) => (tails[i] as number) - (p[i] as number)))
    const units = h + t + members.reduce((sum, i) => sum + (p[i] as number), 0)
    if (units > best.units) {
      const tasks = [...new Set(members.map((i) => must(instance.ops[i], `op ${i}`).task))]
      best = { units, cause: { kind: 'clique', tasks: tasks.slice(0, 4) } }
    }
  }
  return best
}

/** reach[i][j] = 1 where j comes before i on some chain. */
function reach(preds: readonly number[][]): Uint8Array[] {
  const size = preds.length
  const known: (Uint8Array | undefined)[] = []
  const of = (i: number): Uint8Array => {
    const done = known[i]
    if (done) return done
    const row = new Uint8Array(size)
    known[i] = row
    for (const j of preds[i] as number[]) {
      row[j] = 1
      const more = of(j)
      for (let k = 0; k < size; k++) if (more[k]) row[k] = 1
    }
    return row
  }
  return preds.map((_, i) => of(i))
}
