/**
 * What must not stand: a dough with soda in it, a hot soup. The work before such a step is moved as late as the adults, the sink
 * and the tools allow, without moving anything else; what then still stands too long is said.
 */
import type { RecipeStep } from '../../recipe/recipe'
import { UNIT_SECONDS, type ClockOp } from './clock-ops'
import type { Network } from './schedule/instance'

export interface TooLongStand {
  step: string
  bowl: string
  /** So long it stands, and so long it may. */
  seconds: number
  most: number
}

/** @returns the starts with less standing, and what stands longer than it may */
export function keepMaxLags(
  steps: readonly RecipeStep[],
  ops: readonly ClockOp[],
  net: Network,
  starts: Int32Array,
): { starts: Int32Array; standing: TooLongStand[] } {
  const now = Int32Array.from(starts)
  const standing: TooLongStand[] = []
  steps.forEach((step, i) => {
    const before = steps[i - 1]
    const since = steps.find((s) => s.id === step.soon?.since) ?? before
    if (!step.soon || !before || !since) return
    const moving = ops
      .flatMap((o, k) => (o.step === before.id ? [k] : []))
      .sort((a, b) => (now[b] as number) - (now[a] as number) || b - a)
    for (const k of moving) now[k] = latest(k, now, net)
    for (const bowl of new Set(ops.flatMap((o) => (o.step === since.id && o.bowl ? [o.bowl] : [])))) {
      const ends = ops.flatMap((o, k) =>
        o.step === since.id && o.bowl === bowl ? [(now[k] as number) + o.duration] : [],
      )
      const begins = ops.flatMap((o, k) =>
        o.step === step.id && (o.bowl === bowl || o.bowl === null) ? [now[k] as number] : [],
      )
      if (begins.length === 0) continue
      const seconds = (Math.min(...begins) - Math.max(...ends)) * UNIT_SECONDS
      if (seconds > step.soon.seconds)
        standing.push({ step: step.id, bowl, seconds, most: step.soon.seconds })
    }
  })
  return { starts: now, standing }
}

/** The latest start of one op that leaves all others where they are. */
function latest(op: number, starts: Int32Array, net: Network): number {
  const p = net.p[op] as number
  const now = starts[op] as number
  const followers = net.succs[op] as number[]
  if (followers.length === 0) return now
  const last = Math.min(...followers.map((s) => starts[s] as number)) - p
  for (let t = last; t > now; t--) if (fits(op, t, starts, net)) return t
  return now
}

function fits(op: number, t: number, starts: Int32Array, net: Network): boolean {
  const end = t + (net.p[op] as number)
  return net.rows.every((row) => {
    const need = row.use[op] as number
    if (need === 0) return true
    // Uses change only where an op begins: at the start and at every start within.
    const others = Array.from(starts, (_, k) => k).filter(
      (k) =>
        k !== op &&
        (row.use[k] as number) > 0 &&
        (starts[k] as number) < end &&
        (starts[k] as number) + (net.p[k] as number) > t,
    )
    return [t, ...others.map((k) => Math.max(t, starts[k] as number))].every(
      (at) =>
        others.reduce(
          (sum, k) =>
            (starts[k] as number) <= at && at < (starts[k] as number) + (net.p[k] as number)
              ? sum + (row.use[k] as number)
              : sum,
          need,
        ) <= row.cap,
    )
  })
}
