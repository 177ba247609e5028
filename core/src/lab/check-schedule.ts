/** The independent checker of a schedule: asks every rule again of the instance, without the search. */
import { capOf, childSlotsOf, type Instance } from '../plan/clock/schedule/instance'

export interface Assigned {
  op: string
  slot: number
  child: number
}

/** Every breach in words; an empty list where the schedule keeps all rules. */
export function scheduleBreaches(
  instance: Instance,
  starts: Readonly<Record<string, number>>,
  children: readonly Assigned[],
): string[] {
  const out: string[] = []
  const start = (id: string): number => starts[id] ?? NaN
  for (const op of instance.ops) {
    if (!Number.isInteger(start(op.id)) || start(op.id) < 0) out.push(`${op.id} has no start`)
    for (const before of op.preds) {
      const one = instance.ops.find((o) => o.id === before)
      if (one && start(op.id) < start(before) + one.duration)
        out.push(`${op.id} begins before ${before} has ended`)
    }
  }
  const end = Math.max(0, ...instance.ops.map((o) => start(o.id) + o.duration))
  for (let t = 0; t < end; t++) {
    const running = instance.ops.filter((o) => start(o.id) <= t && t < start(o.id) + o.duration)
    const need = (list: typeof running): number => list.reduce((n, o) => n + o.crew, 0)
    if (need(running) > instance.children) out.push(`at ${t} more children are needed than there are`)
    for (const r of instance.resources) {
      const inUse =
        'name' in r
          ? running.reduce((n, o) => n + (o.demand[r.name] ?? 0), 0)
          : need(running.filter((o) => o.crew > 0 && o.eligible.every((c) => r.eligible.includes(c))))
      if (inUse > r.cap) out.push(`at ${t} ${'name' in r ? r.name : 'a group of children'} is over its limit`)
    }
  }
  out.push(...childBreaches(instance, start, children))
  return out
}

function childBreaches(
  instance: Instance,
  start: (id: string) => number,
  children: readonly Assigned[],
): string[] {
  const out: string[] = []
  const busy: { from: number; to: number; op: string }[][] = Array.from(
    { length: instance.children },
    () => [],
  )
  const counts = new Map<string, number>()
  for (const op of instance.ops) {
    const own = children.filter((a) => a.op === op.id)
    const places = childSlotsOf(op, 0)
    if (own.length !== places.length)
      out.push(`${op.id}: ${own.length} of ${places.length} places are filled`)
    own.forEach((a, k) => {
      const place = op.mode === 'TURNS' ? places.find((p) => p.slot === a.slot) : places[k]
      if (!place) out.push(`${op.id} has no slot ${a.slot}`)
      else busy[a.child]?.push({ from: start(op.id) + place.from, to: start(op.id) + place.to, op: op.id })
      if (!op.eligible.includes(a.child)) out.push(`${op.id}: child ${a.child} may not do it`)
      const key = `${op.task}/${a.child}`
      counts.set(key, (counts.get(key) ?? 0) + 1)
      if ((counts.get(key) ?? 0) > capOf(instance, op.task, op.mode))
        out.push(`child ${a.child} has ${op.task} too often`)
    })
  }
  busy.forEach((list, child) => {
    const sorted = [...list].sort((a, b) => a.from - b.from)
    sorted.forEach((b, i) => {
      const before = sorted[i - 1]
      if (before && b.from < before.to) out.push(`child ${child} is at ${before.op} and ${b.op} at once`)
    })
  })
  return out
}
