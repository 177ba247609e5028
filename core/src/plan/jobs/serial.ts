/** Serial schedule generation: ops one after another in a given order, each as early as its predecessors and all rows allow. */
import type { Network } from './instance'

export interface Row {
  cap: number
  use: Int32Array
}

/** An order in which every op comes after its predecessors: the first of the list that is free, again and again. */
export function feasible(list: readonly number[], preds: readonly number[][]): number[] {
  const waiting = preds.map((l) => l.length)
  const succs: number[][] = preds.map(() => [])
  preds.forEach((l, i) => l.forEach((j) => (succs[j] as number[]).push(i)))
  const left = [...list]
  const out: number[] = []
  while (left.length > 0) {
    const at = left.findIndex((i) => waiting[i] === 0)
    const [op] = left.splice(at, 1)
    if (op === undefined) break
    out.push(op)
    for (const j of succs[op] as number[]) waiting[j] = (waiting[j] as number) - 1
  }
  return out
}

/** @param order feasible; @returns the start of each op */
export function serial(
  p: Int32Array,
  preds: readonly number[][],
  rows: readonly Row[],
  order: readonly number[],
): Int32Array {
  const size = p.length
  const horizon = p.reduce((a, b) => a + b, 0) + 1
  const used = rows.map(() => new Int32Array(horizon))
  const starts = new Int32Array(size)
  for (const op of order) {
    let t = 0
    for (const j of preds[op] as number[]) t = Math.max(t, (starts[j] as number) + (p[j] as number))
    t = earliest(op, t, p[op] as number, rows, used)
    starts[op] = t
    rows.forEach((row, r) => {
      const u = row.use[op] as number
      const all = used[r] as Int32Array
      if (u > 0) for (let at = t; at < t + (p[op] as number); at++) all[at] = (all[at] as number) + u
    })
  }
  return starts
}

function earliest(
  op: number,
  from: number,
  length: number,
  rows: readonly Row[],
  used: readonly Int32Array[],
): number {
  let t = from
  for (let again = true; again;) {
    again = false
    for (let r = 0; r < rows.length; r++) {
      const row = rows[r] as Row
      const need = row.use[op] as number
      if (need === 0) continue
      const all = used[r] as Int32Array
      // The last moment that is too full: the op can begin only after it.
      for (let at = t + length - 1; at >= t; at--) {
        if ((all[at] ?? 0) + need > row.cap) {
          t = at + 1
          again = true
          break
        }
      }
    }
  }
  return t
}

export const lengthOf = (starts: Int32Array, p: Int32Array): number =>
  starts.reduce((end, s, i) => Math.max(end, s + (p[i] as number)), 0)

/** Pushes everything late and then early again: never longer, often shorter (forward-backward justification). */
export function justified(net: Network, rows: readonly Row[], starts: Int32Array): Int32Array {
  const { p, preds, succs, size } = net
  const ends = (i: number): number => (starts[i] as number) + (p[i] as number)
  const all = Array.from({ length: size }, (_, i) => i)
  const late = feasible(
    all.slice().sort((a, b) => ends(b) - ends(a) || a - b),
    succs,
  )
  const mirrored = serial(p, succs, rows, late)
  const length = lengthOf(mirrored, p)
  const right = Int32Array.from(all, (i) => length - (mirrored[i] as number) - (p[i] as number))
  const early = feasible(
    all.slice().sort((a, b) => (right[a] as number) - (right[b] as number) || a - b),
    preds,
  )
  const left = serial(p, preds, rows, early)
  return lengthOf(left, p) <= lengthOf(starts, p) ? left : starts
}
