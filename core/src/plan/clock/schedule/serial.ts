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

/** What is worked out once for a set of rows: which rows an op uses, and room to count what is used when. */
interface Room {
  rowsOf: Int32Array[]
  needsOf: Int32Array[]
  caps: Int32Array
  used: Int32Array[]
  /** Nothing is counted from here on. */
  clean: number
}
const rooms = new WeakMap<readonly Row[], Room>()

function roomFor(p: Int32Array, rows: readonly Row[]): Room {
  const known = rooms.get(rows)
  if (known) {
    for (const row of known.used) row.fill(0, 0, known.clean)
    known.clean = 0
    return known
  }
  const horizon = p.reduce((a, b) => a + b, 0) + 1
  const using = Array.from(p, (_, op) => rows.flatMap((row, r) => ((row.use[op] as number) > 0 ? [r] : [])))
  const room: Room = {
    rowsOf: using.map((list) => Int32Array.from(list)),
    needsOf: using.map((list, op) => Int32Array.from(list, (r) => (rows[r] as Row).use[op] as number)),
    caps: Int32Array.from(rows, (r) => r.cap),
    used: rows.map(() => new Int32Array(horizon)),
    clean: 0,
  }
  rooms.set(rows, room)
  return room
}

/** @param order feasible; @returns the start of each op */
export function serial(
  p: Int32Array,
  preds: readonly number[][],
  rows: readonly Row[],
  order: readonly number[],
): Int32Array {
  const room = roomFor(p, rows)
  const starts = new Int32Array(p.length)
  for (const op of order) {
    let t = 0
    for (const j of preds[op] as number[]) t = Math.max(t, (starts[j] as number) + (p[j] as number))
    const length = p[op] as number
    t = earliest(op, t, length, room)
    starts[op] = t
    const end = t + length
    const own = room.rowsOf[op] as Int32Array
    const needs = room.needsOf[op] as Int32Array
    for (let k = 0; k < own.length; k++) {
      const all = room.used[own[k] as number] as Int32Array
      const need = needs[k] as number
      for (let at = t; at < end; at++) all[at] = (all[at] as number) + need
    }
    if (end > room.clean) room.clean = end
  }
  return starts
}

function earliest(op: number, from: number, length: number, room: Room): number {
  const own = room.rowsOf[op] as Int32Array
  const needs = room.needsOf[op] as Int32Array
  let t = from
  for (let again = true; again;) {
    again = false
    for (let k = 0; k < own.length; k++) {
      const row = own[k] as number
      const most = (room.caps[row] as number) - (needs[k] as number)
      const all = room.used[row] as Int32Array
      // The last moment that is too full: the op can begin only after it.
      for (let at = Math.min(t + length, room.clean) - 1; at >= t; at--) {
        if ((all[at] as number) > most) {
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
