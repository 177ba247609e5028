/**
 * The steps of one sitting as a scheduling problem (`jobs/`): each bowl's tasks one after the other, the next step when the whole
 * table is through with this one; adults, places at the sink and the oven as limits. Times are in units of five seconds.
 */
import type { RecipeStep } from '../recipe/recipe'
import { lowerBound } from './jobs/bound'
import { networkOf, type Instance, type Op } from './jobs/instance'
import { seeded } from './jobs/random'
import { bestOfRules, improve } from './jobs/search'
import type { Task } from './plan'
import type { PlanRequest } from './request'

export const UNIT_SECONDS = 5
const units = (seconds: number): number => Math.ceil(seconds / UNIT_SECONDS)

/** What the clock needs of a draft, or of a plan in force. */
export interface Timed {
  people: readonly { id: string; age: number }[]
  bowls: readonly { id: string }[]
  tasks: readonly Task[]
}

export interface Timeline {
  /** Start of each op in seconds: a task, or one wave of it (`task~2`). */
  starts: Map<string, number>
  /** Seconds in all, and what nobody can be quicker than, with the cause. */
  seconds: number
  bound: number
  boundCause: string
}

/** Places at the sink where nobody said how many. Source: common practice. */
const SINK_PLACES = 2
/** Orders tried: a draft at once, more when there is time. */
const SCHEDULES = { draft: 20, refined: 600 } as const

/** How many children of a bowl do an EACH task at once: what the strictest form lets one adult watch, and the sink holds. */
export const reach = (task: Task, { kit }: PlanRequest): number => {
  const watched = Math.min(task.n, ...task.forms.map((f) => f.perAdult))
  return Math.max(1, task.place === 'sink' ? Math.min(watched, kit.sinkPlaces ?? SINK_PLACES) : watched)
}

/** One wave of a task by its number, from 0: the op's id. */
export const waveId = (task: Task, wave: number): string => `${task.id}~${wave + 1}`

export function timeline(steps: readonly RecipeStep[], draft: Timed, request: PlanRequest): Timeline {
  const ops = opsOf(steps, draft, request)
  const instance: Instance = {
    children: draft.people.length,
    ops,
    resources: [
      ...request.adults.map((a) => ({ name: `adult:${a.id}`, cap: 1 })),
      { name: 'sink', cap: request.kit.sinkPlaces ?? SINK_PLACES },
      { name: 'oven', cap: 1 },
    ],
    taskCaps: {},
    seed: request.seed,
    iterations: SCHEDULES[request.effort],
  }
  const net = networkOf(instance)
  // Built as it is, it cannot be impossible: no circle, no op above a limit.
  if ('cause' in net) throw new Error(`the clock cannot be set: ${net.says}`)
  const bound = lowerBound(net)
  const best = improve(
    net,
    net.rows,
    bestOfRules(net, net.rows),
    bound.units,
    instance.iterations,
    seeded(instance.seed),
  )
  return {
    starts: new Map(ops.map((o, i) => [o.id, (best.starts[i] as number) * UNIT_SECONDS])),
    seconds: best.length * UNIT_SECONDS,
    bound: bound.units * UNIT_SECONDS,
    boundCause: bound.cause,
  }
}

function opsOf(steps: readonly RecipeStep[], draft: Timed, request: PlanRequest): Op[] {
  const ops: Op[] = []
  let before: string[] = []
  for (const step of steps) {
    const ends: string[] = []
    const together: Task[] = []
    for (const bowl of draft.bowls) {
      let preds = before
      for (const task of draft.tasks.filter((t) => t.step === step.id && t.bowl === bowl.id)) {
        if (isTogether(task)) {
          // Everything goes into the oven, or waits, at once: one op for the table.
          if (bowl === draft.bowls[0]) together.push(task)
          continue
        }
        const own = taskOps(task, preds, request)
        ops.push(...own)
        if (own.length > 0) preds = own.map((o) => o.id)
      }
      if (preds !== before) ends.push(...preds)
    }
    let last = ends.length > 0 ? ends : before
    for (const task of together) {
      const own = taskOps(task, last, request)
      ops.push(...own)
      if (own.length > 0) last = own.map((o) => o.id)
    }
    before = last
  }
  return ops
}

/** What goes in together, or waits for all: done once for the whole table. */
export const isTogether = (task: Task): boolean =>
  task.mode === 'WAIT' || (task.mode === 'ADULT' && (task.place === 'oven' || task.place === 'fridge'))

function taskOps(task: Task, preds: readonly string[], request: PlanRequest): Op[] {
  const base = {
    task: task.id,
    mode: 'ADULT' as const,
    dur: 0,
    raw: false,
    q: 0,
    slots: 0,
    eligible: [],
    preds,
  }
  const req: Record<string, number> = {}
  if (task.mode !== 'WAIT' && task.adult) req[`adult:${task.adult}`] = 1
  if (task.place === 'oven') req['oven'] = 1
  if (task.mode !== 'EACH') {
    const seconds = task.mode === 'TURNS' ? task.n * task.seconds : task.seconds
    if (task.place === 'sink') req['sink'] = 1
    return [{ ...base, id: waveId(task, 0), p: units(seconds), req }]
  }
  const size = reach(task, request)
  const waves = Math.ceil(task.n / size)
  return Array.from({ length: waves }, (_, w) => ({
    ...base,
    id: waveId(task, w),
    p: units(task.seconds),
    req: { ...req, ...(task.place === 'sink' && { sink: Math.min(size, task.n - w * size) }) },
    preds: w === 0 ? preds : [waveId(task, w - 1)],
  }))
}
