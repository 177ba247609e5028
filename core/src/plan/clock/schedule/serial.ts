/** Serial schedule generation: ops one after another in a given order, each as early as its predecessors and all rows allow. */
import type { Network } from './instance'

export interface Row {
  cap: number
  use: Int32Array
}

/**
 * An order in which every op comes after its predecessors: the first of the list that is free, again and again.
 * @param succs the same arrows the other way round
 */
export function feasible(
  list: ArrayLike<number>,
  preds: readonly number[][],
  succs: readonly number[][],
): Int32Array {
  const size = list.length
  const waiting = new Int32Array(size)
  const place = new Int32Array(size)
  for (let i = 0; i < size; i++) {
    waiting[i] = (preds[i] as number[]).length
    place[list[i] as number] = i
  }
  // By place: free and not yet taken. The first of them is at `first` or behind it.
  const free = new Uint8Array(size)
  for (let i = 0; i < size; i++) if (waiting[i] === 0) free[place[i] as number] = 1
  const out = new Int32Array(size)
  let done = 0
  for (let first = 0; first < size;) {
    if (free[first] === 0) {
      first++
      continue
    }
    free[first] = 0
    const op = list[first] as number
    out[done++] = op
    const next = succs[op] as number[]
    for (let k = 0; k < next.length; k++) {
      const j = next[k] as number
      const still = (waiting[j] as number) - 1
      waiting[j] = still
      if (still > 0) continue
      const at = place[j] as number
      free[at] = 1
      if (at < first) first = at
    }
  }
  return done === size ? out : out.subarray(0, done)
}

/** The ops by a whole number of each, the lowest first; of equal ones the first. @param key from 0, times the size at most 2^53 */
export function sortedBy(size: number, key: (i: number) => number): Int32Array {
  const keys = new Float64Array(size)
  for (let i = 0; i < size; i++) keys[i] = key(i) * size + i
  keys.sort()
  const out = new Int32Array(size)
  for (let i = 0; i < size; i++) out[i] = (keys[i] as number) % size
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
  order: ArrayLike<number>,
): Int32Array {
  const room = roomFor(p, rows)
  const starts = new Int32Array(p.length)
  for (let i = 0; i < order.length; i++) {
    const op = order[i] as number
    let t = 0
    const before = preds[op] as number[]
    for (let k = 0; k < before.length; k++) {
      const j = before[k] as number
      const end = (starts[j] as number) + (p[j] as number)
      if (end > t) t = end
    }
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

/** Where the last op ends. */
export function lengthOf(starts: Int32Array, p: Int32Array): number {
  let end = 0
  for (let i = 0; i < p.length; i++) end = Math.max(end, (starts[i] as number) + (p[i] as number))
  return end
}

/** Pushes everything late and then early again: never longer, often shorter (forward-backward justification). */
export function justified(net: Network, rows: readonly Row[], starts: Int32Array): Int32Array {
  const { p, preds, succs, size } = net
  const whole = lengthOf(starts, p)
  // What ends last comes first.
  const late = feasible(
    sortedBy(size, (i) => whole - (starts[i] as number) - (p[i] as number)),
    succs,
    preds,
  )
  const mirrored = serial(p, succs, rows, late)
  const length = lengthOf(mirrored, p)
  const early = feasible(
    sortedBy(size, (i) => length - (mirrored[i] as number) - (p[i] as number)),
    preds,
    succs,
  )
  const left = serial(p, preds, rows, early)
  return lengthOf(left, p) <= whole ? left : starts
}
