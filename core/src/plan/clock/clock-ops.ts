/**
 * The tasks of one sitting as ops with their limits: each bowl's tasks one after the other, stations round by round, the next
 * step when the whole table is through with this one.
 */
import type { RecipeStep } from '../../recipe/recipe'
import type { Op } from './schedule/instance'
import type { PlanRequest } from '../model/request'
import { ADULT_SHARES, asOne, joinedWith, measuresHeld, toolsHeld, wavesOf } from '../split/waves'
import { holdsOneBatch } from '../../recipe/heat-places'
import { WITHIN_REACH, goesEach, isBlunt, isTogether, staysAt } from '../model/task-kinds'
import { handedOnBy } from '../split/going-round'
import type { Task } from '../model/task'

export const UNIT_SECONDS = 5
const units = (seconds: number): number => Math.ceil(seconds / UNIT_SECONDS)

/** The limit that an adult's own hands are, and the one that a tool is. */
export const adultLimit = (adult: string): string => `adult:${adult}`
export const measureLimit = (measure: string): string => `measure:${measure}`
export const toolLimit = (tool: string): string => `tool:${tool}`

export interface ClockOp extends Op {
  step: string
  /** The tools that are counted and held. */
  tools: string[]
  /** The measures that are held: a house has so many of each. */
  measures: string[]
  /** None where it is done once for the whole table. */
  bowl: string | null
}

/** One wave or round of a task by its number, from 0: the op's id. */
export const waveId = (task: Pick<Task, 'id'>, wave: number): string => `${task.id}~${wave + 1}`

export function opsOf(
  steps: readonly RecipeStep[],
  { bowls, tasks }: { bowls: readonly { id: string }[]; tasks: readonly Task[] },
  request: PlanRequest,
): ClockOp[] {
  const ops: ClockOp[] = []
  let before: string[] = []
  /** Stations of several bowls: an adult at the blades of one reaches no other, unless each has one of its own, or all are few. */
  const inReach = (stations: readonly Task[]): boolean =>
    new Set(stations.map((t) => t.bowl)).size <= request.adults.length ||
    new Set(stations.flatMap((t) => t.rounds?.flat() ?? [])).size <= WITHIN_REACH
  for (const step of steps) {
    const begin = before
    const parts = bowls.map((bowl) => partsOf(tasks.filter((t) => t.step === step.id && t.bowl === bowl.id)))
    const count = Math.max(0, ...parts.map((p) => p.length))
    const near = inReach(tasks.filter((t) => t.step === step.id && t.rounds))
    for (let k = 0; k < count; k++) {
      const ends = parts.flatMap((p) => {
        const made = chainOps(p[k]?.own ?? [], before, near, request)
        ops.push(...made.ops)
        return made.ops.length > 0 ? made.ends : []
      })
      const after = ends.length > 0 ? ends : before
      const first = parts.flatMap((p) => p[k]?.together ?? [])[0]
      const task = first && asOne(joinedWith(first, tasks))
      if (!task) {
        before = after
        continue
      }
      // While it cools they wash their hands.
      const beside = task.mode === 'WAIT' && parts.every((p) => washesUntil(p, k))
      const made = taskOps(task, beside ? begin : after, request)
      ops.push(...made.ops.map((o) => ({ ...o, bowl: null })))
      if (made.ops.length === 0) before = after
      else before = beside ? [...made.ends, ...after] : made.ends
    }
  }
  return ops.map((o) => afterHandingOn(o, ops, tasks, bowls))
}

/** What goes from bowl to bowl is first with the one, then with the other. */
function afterHandingOn(
  one: ClockOp,
  ops: readonly ClockOp[],
  tasks: readonly Task[],
  bowls: readonly { id: string }[],
): ClockOp {
  const task = tasks.find((t) => t.id === one.task)
  const by = task && handedOnBy(task, tasks, bowls)
  const last = by && ops.findLast((o) => o.task === by.id)
  return last && one.id === waveId(task, 0) ? { ...one, preds: [...one.preds, last.id] } : one
}

interface Part {
  own: Task[]
  /** What the whole table then waits for, goes in at once, or does in the same waves. */
  together: Task | null
}

/** The tasks of one bowl in a step, cut wherever the whole table comes together. */
function partsOf(tasks: readonly Task[]): Part[] {
  const parts: Part[] = []
  let own: Task[] = []
  for (const task of tasks) {
    if (isTogether(task) || task.joins !== undefined) {
      parts.push({ own, together: task })
      own = []
    } else own.push(task)
  }
  return own.length > 0 ? [...parts, { own, together: null }] : parts
}

/** In this step there was nothing but washing hands before its k-th meeting. */
const washesUntil = (parts: readonly Part[], k: number): boolean =>
  parts
    .slice(0, k + 1)
    .every(({ own, together }, i) => washesOnly(own) && (i === k || !together || washesOnly([together])))
const washesOnly = (tasks: readonly Task[]): boolean => tasks.every((t) => t.technique === 'wash-hands')

/** One bowl's tasks one after the other. */
function chainOps(
  tasks: readonly Task[],
  preds: readonly string[],
  near: boolean,
  request: PlanRequest,
): Made {
  const ops: ClockOp[] = []
  let ends = [...preds]
  const stations = tasks.filter((t) => t.rounds)
  for (const task of tasks) {
    if (task.rounds && task !== stations[0]) continue
    const made = task.rounds ? stationOps(stations, ends, near, request) : taskOps(task, ends, request)
    ops.push(...made.ops)
    if (made.ops.length > 0) ends = made.ends
  }
  return { ops, ends }
}

/**
 * What a task takes of the adults: one of them wholly where they do it or stand beside, else a share for each child they oversee.
 * Shares add up as published ratios do. Source: scheduling.md 1 (supervision as one cumulative row).
 */
function watched(task: Task, children: readonly string[], adults: number): { whole: boolean; share: number } {
  if (adults === 0 || (task.mode === 'WAIT' && !staysAt(task))) return { whole: false, share: 0 }
  if (task.mode === 'ADULT' || task.mode === 'WAIT' || task.hazard)
    return { whole: true, share: ADULT_SHARES }
  let whole = false
  let share = 0
  for (const form of task.forms) {
    const n = form.children.filter((c) => children.includes(c)).length
    if (n > 0 && form.supervision === 'B') whole = true
    else share += n * Math.ceil(ADULT_SHARES / form.perAdult)
  }
  const all = share + (whole ? ADULT_SHARES : 0)
  return { whole, share: Math.min(all, adults * ADULT_SHARES) }
}

interface Made {
  ops: ClockOp[]
  /** The ops after which the next thing of this bowl begins. */
  ends: string[]
}

function op(
  task: Task,
  wave: number,
  seconds: number,
  children: readonly string[],
  request: PlanRequest,
): ClockOp {
  const demand: Record<string, number> = {}
  const watch = watched(task, children, request.adults.length)
  if (watch.whole && task.adult) demand[adultLimit(task.adult)] = 1
  if (watch.share > 0) demand['watching'] = watch.share
  if (holdsOneBatch(task.place)) demand[task.place] = 1
  if (task.place === 'sink') demand['sink'] = Math.max(1, task.mode === 'TURNS' ? 1 : children.length)
  const tools = toolsHeld(task, children, request)
  for (const [tool, n] of tools) demand[toolLimit(tool)] = n
  const measures = measuresHeld(task, children, request)
  for (const [measure, n] of measures) demand[measureLimit(measure)] = n
  return {
    id: waveId(task, wave),
    task: task.id,
    step: task.step,
    bowl: task.bowl,
    tools: [...tools.keys()],
    measures: [...measures.keys()],
    mode: 'ADULT',
    duration: units(seconds),
    dur: 0,
    raw: false,
    crew: 0,
    slots: 0,
    demand,
    eligible: [],
    preds: [],
  }
}

function taskOps(task: Task, preds: readonly string[], request: PlanRequest): Made {
  if (task.mode !== 'EACH') {
    const all = task.forms.flatMap((f) => f.children)
    const one = op(task, 0, task.mode === 'TURNS' ? task.n * task.seconds : task.seconds, all, request)
    return { ops: [{ ...one, preds }], ends: [one.id] }
  }
  const ops = wavesOf(task, request).map((children, w) => ({
    ...op(task, w, task.seconds * goesEach(task), children, request),
    preds: w === 0 ? preds : [waveId(task, w - 1)],
  }))
  return { ops, ends: ops.map((o) => o.id) }
}

/**
 * An adult who stands at the blades sees to the blunt work beside them as well, where all of them are few enough to be within reach. At heat
 * nobody has an eye for anything else. @returns ids of the tasks that need no eyes of their own in this round
 */
function withinReach(stations: readonly Task[], r: number): ReadonlySet<string> {
  const here = stations.filter((t) => (t.rounds?.[r] ?? []).length > 0)
  const children = here.reduce((n, t) => n + (t.rounds?.[r]?.length ?? 0), 0)
  const blades = here.some((t) => t.hazard === 'blade') && here.every((t) => t.hazard !== 'heat')
  if (!blades || children > WITHIN_REACH) return new Set()
  return new Set(here.filter(isBlunt).map((t) => t.id))
}

/** A round begins when every station of the round before is through. */
function stationOps(
  stations: readonly Task[],
  preds: readonly string[],
  near: boolean,
  request: PlanRequest,
): Made {
  const ops: ClockOp[] = []
  let before = preds
  for (let r = 0; r < (stations[0]?.rounds?.length ?? 0); r++) {
    const reached = near ? withinReach(stations, r) : new Set<string>()
    const round = stations.flatMap((task) => {
      const children = task.rounds?.[r] ?? []
      if (children.length === 0) return []
      const one = op(task, r, task.seconds, children, request)
      const { watching: _, ...rest } = one.demand
      return [{ ...one, ...(reached.has(task.id) && { demand: rest }), preds: before }]
    })
    ops.push(...round)
    if (round.length > 0) before = round.map((o) => o.id)
  }
  return { ops, ends: [...before] }
}
