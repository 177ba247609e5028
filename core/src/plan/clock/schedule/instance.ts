/**
 * A session as a scheduling problem: ops that take time, hold resources and need children. All times are whole units.
 * Source of the shape: scheduling.md section 8 (exchange format).
 */

export const OP_MODES = ['EACH', 'TURNS', 'STATION', 'ADULT', 'WAIT'] as const
export type OpMode = (typeof OP_MODES)[number]

export interface Op {
  id: string
  task: string
  mode: OpMode
  /** Duration. */
  duration: number
  /** One turn, for TURNS. */
  dur: number
  /** Hands are washed after: in TURNS each child stays busy two units more. */
  raw: boolean
  /** Children needed at once. */
  crew: number
  /** Turns in the block, or places. */
  slots: number
  demand: Readonly<Record<string, number>>
  eligible: readonly number[]
  /** Ops that must have ended. */
  preds: readonly string[]
}

export type Resource =
  | { name: string; cap: number }
  /** A Hall limit: ops whose eligible children all lie within may together use so many at any instant. */
  | { eligible: readonly number[]; cap: number }

export interface Instance {
  children: number
  ops: readonly Op[]
  resources: readonly Resource[]
  /** How often one child may have a task. */
  taskCaps: Readonly<Record<string, number>>
  session?: number | undefined
  seed: number
  iterations: number
}

/** Hands are washed after raw food: units a child stays busy beyond its turn. */
const WASH_UNITS = 2

/** One child's share of an op: from `from` to `to`, counted from the start of the op. */
export interface ChildSlot {
  op: number
  slot: number
  from: number
  to: number
}

/** Every place of an op that a child fills. */
export function childSlotsOf(op: Op, index: number): ChildSlot[] {
  if (op.mode === 'ADULT' || op.mode === 'WAIT') return []
  if (op.mode === 'TURNS')
    return Array.from({ length: op.slots }, (_, slot) => ({
      op: index,
      slot,
      from: slot * op.dur,
      to: (slot + 1) * op.dur + (op.raw ? WASH_UNITS : 0),
    }))
  return Array.from({ length: op.slots }, () => ({ op: index, slot: 0, from: 0, to: op.duration }))
}

/** The ops as the search wants them: predecessors by index, and every limit as one row of uses. */
export interface Network {
  instance: Instance
  size: number
  p: Int32Array
  preds: number[][]
  succs: number[][]
  /** Each row: what every op uses of it, and how much there is. */
  rows: { name: string; cap: number; use: Int32Array }[]
  places: ChildSlot[]
  /** Longest chain before an op, and from its start to the end. */
  heads: Int32Array
  tails: Int32Array
}

export interface Impossible {
  cause: string
  says: string
}

/** @returns the network, or why no plan can exist: a circle, an op that alone exceeds a limit, nobody who may do it */
export function networkOf(instance: Instance): Network | Impossible {
  const { ops, resources, children } = instance
  const index = new Map(ops.map((o, i) => [o.id, i]))
  const preds = ops.map((o) => o.preds.flatMap((id) => index.get(id) ?? []))
  const succs: number[][] = ops.map(() => [])
  preds.forEach((list, i) => list.forEach((j) => (succs[j] as number[]).push(i)))
  const rows = [
    { name: 'children', cap: children, use: Int32Array.from(ops, (o) => o.crew) },
    ...resources.map((r) =>
      'name' in r
        ? {
            name: r.name,
            cap: r.cap,
            use: Int32Array.from(ops, (o) => o.demand[r.name] ?? 0),
          }
        : {
            name: `children ${r.eligible.join(', ')}`,
            cap: r.cap,
            use: Int32Array.from(ops, (o) =>
              o.crew > 0 && o.eligible.every((c) => r.eligible.includes(c)) ? o.crew : 0,
            ),
          },
    ),
    ...hallRows(instance),
  ].filter((r) => r.use.some((u) => u > 0))
  const p = Int32Array.from(ops, (o) => o.duration)
  const order = ordered(preds, succs)
  if (!order) return { cause: 'circle', says: 'the ops wait for each other in a circle' }
  for (const [i, op] of ops.entries()) {
    if (childSlotsOf(op, i).length > 0 && op.eligible.length === 0)
      return { cause: op.id, says: `nobody may do ${op.id}` }
    const row = rows.find((r) => (r.use[i] as number) > r.cap)
    if (row)
      return {
        cause: row.name,
        says: `${op.id} alone needs ${row.use[i] ?? 0} of ${row.name}, and there is ${row.cap}`,
      }
  }
  const overfull = tooManyPlaces(instance)
  if (overfull) return overfull
  const heads = new Int32Array(ops.length)
  const tails = new Int32Array(ops.length)
  for (const i of order)
    for (const j of preds[i] as number[])
      heads[i] = Math.max(heads[i] as number, (heads[j] as number) + (p[j] as number))
  for (const i of [...order].reverse()) {
    tails[i] = p[i] as number
    for (const j of succs[i] as number[])
      tails[i] = Math.max(tails[i], (p[i] as number) + (tails[j] as number))
  }
  return {
    instance,
    size: ops.length,
    p,
    preds,
    succs,
    rows,
    places: ops.flatMap(childSlotsOf),
    heads,
    tails,
  }
}

/** One row for each distinct set of eligible children: ops within it cannot use more than there are. */
function hallRows({ ops }: Instance): Network['rows'] {
  const sets = new Map<string, readonly number[]>()
  for (const o of ops) if (o.crew > 0) sets.set([...o.eligible].sort((a, b) => a - b).join(), o.eligible)
  return [...sets.values()].map((set) => {
    const inside = new Set(set)
    return {
      name: `children ${[...set].sort((a, b) => a - b).join(', ')}`,
      cap: set.length,
      use: Int32Array.from(ops, (o) => (o.crew > 0 && o.eligible.every((c) => inside.has(c)) ? o.crew : 0)),
    }
  })
}

/** More places of a task than its children may take. */
function tooManyPlaces(instance: Instance): Impossible | null {
  const { ops } = instance
  for (const task of new Set(ops.map((o) => o.task))) {
    const own = ops.filter((o) => o.task === task && o.mode !== 'ADULT' && o.mode !== 'WAIT')
    const places = own.reduce((n, o) => n + o.slots, 0)
    const able = new Set(own.flatMap((o) => [...o.eligible])).size
    const cap = capOf(instance, task, own[0]?.mode ?? 'TURNS')
    if (places > able * cap)
      return {
        cause: task,
        says: `${task} has ${places} places for ${able} children with at most ${cap} each`,
      }
  }
  return null
}

/** How often one child may have a task: as given; a task that EACH does once, once. */
export const capOf = ({ taskCaps }: Instance, task: string, mode: OpMode): number =>
  taskCaps[task] ?? (mode === 'EACH' ? 1 : Infinity)

function ordered(preds: readonly number[][], succs: readonly number[][]): number[] | null {
  const waiting = preds.map((l) => l.length)
  const free = waiting.flatMap((n, i) => (n === 0 ? [i] : []))
  for (let at = 0; at < free.length; at++)
    for (const j of succs[free[at] as number] as number[]) if (--(waiting[j] as number) === 0) free.push(j)
  return free.length === preds.length ? free : null
}
