/**
 * Ops one after another, each with its children at once: as early as resources allow and enough eligible children are free.
 * Always ends without conflict where each op alone can be done: later, everybody is free. The safety net of `solve`.
 */
import { capOf, type Network, type ChildSlot } from '../plan/clock/schedule/instance'

export interface NamedSchedule {
  starts: Int32Array
  who: Int16Array
}

export function namedSerial(net: Network, order: Int32Array): NamedSchedule | null {
  const { instance, p, preds, rows, places } = net
  const horizon = 2 * p.reduce((a, b) => a + b, 0) + 8
  const used = rows.map(() => new Int32Array(horizon))
  const busy = Array.from({ length: instance.children }, () => new Uint8Array(horizon))
  const load = new Int32Array(instance.children)
  const taken = new Map<string, Int32Array>()
  const starts = new Int32Array(net.size)
  const who = new Int16Array(places.length).fill(-1)
  const own = instance.ops.map((_, i) => places.flatMap((pl, at) => (pl.op === i ? [at] : [])))
  for (const i of order) {
    const op = instance.ops[i]
    if (!op) continue
    const had = taken.get(op.task) ?? new Int32Array(instance.children)
    taken.set(op.task, had)
    const cap = capOf(instance, op.task, op.mode)
    let t = 0
    for (const j of preds[i] as number[]) t = Math.max(t, (starts[j] as number) + (p[j] as number))
    for (; ; t++) {
      if (t + op.duration + 8 > horizon) return null
      if (!fits(i, t, net, used)) continue
      const chosen = choose(own[i] as number[], places, t, op.eligible, busy, load, had, cap)
      if (!chosen) continue
      starts[i] = t
      rows.forEach((row, r) => {
        const all = used[r] as Int32Array
        for (let at = t; at < t + op.duration; at++) all[at] = (all[at] as number) + (row.use[i] as number)
      })
      chosen.forEach((c, k) => {
        const at = (own[i] as number[])[k] as number
        const pl = places[at] as ChildSlot
        who[at] = c
        load[c] = (load[c] as number) + 1
        had[c] = (had[c] as number) + 1
        ;(busy[c] as Uint8Array).fill(1, t + pl.from, t + pl.to)
      })
      break
    }
  }
  return { starts, who }
}

function fits(i: number, t: number, { rows, p }: Network, used: readonly Int32Array[]): boolean {
  return rows.every((row, r) => {
    const need = row.use[i] as number
    if (need === 0) return true
    const all = used[r] as Int32Array
    for (let at = t; at < t + (p[i] as number); at++) if ((all[at] as number) + need > row.cap) return false
    return true
  })
}

/** A child for each place, the least loaded of the free; null where one place finds nobody. */
function choose(
  own: readonly number[],
  places: readonly ChildSlot[],
  t: number,
  eligible: readonly number[],
  busy: readonly Uint8Array[],
  load: Int32Array,
  had: Int32Array,
  cap: number,
): number[] | null {
  const chosen: number[] = []
  const now = new Map<number, number>()
  for (const at of own) {
    const pl = places[at] as ChildSlot
    let best = -1
    let rank = Infinity
    for (const c of eligible) {
      const here = now.get(c) ?? 0
      if ((had[c] as number) + here >= cap) continue
      if (isBusy(busy[c] as Uint8Array, t + pl.from, t + pl.to)) continue
      if (chosen.some((o, k) => o === c && overlap(places[own[k] as number] as ChildSlot, pl))) continue
      const value = ((had[c] as number) + here) * 1000 + (load[c] as number) + here
      if (value < rank) [best, rank] = [c, value]
    }
    if (best < 0) return null
    chosen.push(best)
    now.set(best, (now.get(best) ?? 0) + 1)
  }
  return chosen
}

const isBusy = (row: Uint8Array, from: number, to: number): boolean => {
  for (let at = from; at < to; at++) if (row[at] === 1) return true
  return false
}
const overlap = (a: ChildSlot, b: ChildSlot): boolean => a.from < b.to && b.from < a.to
