import { must } from '../../amount/must'
import { isOvernight } from '../model/session-recipe/sittings'
import type { Decision } from '../model/decision'
import type { PlanLine } from '../model/line'
import type { Plan } from '../model/plan'
import { handPicture, type HandPicture } from './hand-picture'
import { halfMinutes } from './headline'
import { taskText } from './task-text'
import { clockAfter } from '../../amount/clock-time'
import { isTogether } from '../model/task-kinds'
import type { Task, Turn } from '../model/task'

export interface LaneBlock {
  id: string
  task: string
  label: string
  at: string
  /** Where it stands and how long it is, in per cent of the first sitting. */
  left: number
  width: number
  /** A turn can be handed to another child; a job that each does cannot. `meanwhile`: a job for waiting. */
  kind: 'turn' | 'each' | 'beside' | 'does' | 'meanwhile' | 'ready'
  pinned: boolean
  /** What is done, for its picture; none for a job for waiting. */
  picture?: HandPicture
  /** Which turn of its task, from 1. */
  number?: number
}
export interface Lane {
  who: string
  adult: boolean
  blocks: LaneBlock[]
  turns: number
  jobs: number
  /** The longest wait for a turn, in words: "1½ min". */
  wait: string
  /** Longest stretch with nothing to do, with the jobs for waiting counted in; minutes to the half. */
  idleMinutes?: number
}
export interface LaneChart {
  lanes: Lane[]
  /** Stretches in which all wait for the oven, the pan, the dough. */
  passive: { step: string; label: string; left: number; width: number }[]
  ticks: { at: string; left: number }[]
}

/** Every person’s jobs against the clock; places and widths in per cent of the first sitting. */
export function laneChart(plan: Plan, decisions: readonly Decision[]): LaneChart {
  const whole = Math.max(60, plan.totals.seconds)
  const share = (seconds: number): number => (100 * seconds) / whole
  const clock = (seconds: number): string => clockAfter(plan.totals.startsAt, Math.floor(seconds / 60))
  const first = new Set(plan.schedule.filter((s) => s.sitting === 1).map((s) => s.step))
  const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
  const inFirst = plan.turns.filter((t) => first.has(must(tasks.get(t.task), `the task ${t.task}`).step))
  const pinned = new Set(
    decisions.flatMap((d) =>
      d.kind === 'pin' ? [`${d.task} ${d.child}`] : d.kind === 'stands' ? [`${d.task} ${d.adult}`] : [],
    ),
  )
  const block = (turn: Turn, task: Task): LaneBlock => ({
    id: turn.id,
    task: task.id,
    label: taskText(task, plan),
    at: clock(turn.start),
    left: share(turn.start),
    width: share(turn.end - turn.start),
    kind: task.mode === 'TURNS' ? 'turn' : 'each',
    ...(task.mode === 'TURNS' && { number: turn.number }),
    pinned: pinned.has(`${task.id} ${turn.child}`),
    picture: handPicture(task, linesOf(plan, task), turn.child),
  })
  const children = plan.totals.perChild.map((p): Lane => ({
    who: p.child,
    adult: false,
    blocks: [
      ...inFirst.flatMap((t) => {
        const task = tasks.get(t.task)
        return t.child === p.child && task ? [block(t, task)] : []
      }),
      ...meanwhile(plan, p.child, share, clock),
    ],
    turns: p.turns,
    jobs: p.jobs,
    wait: halfMinutes(p.longestWait),
    ...(p.idleFilled !== undefined && { idleMinutes: Math.round(p.idleFilled / 30) / 2 }),
  }))
  const adults = plan.adults.map((id): Lane => {
    const blocks = [
      ...plan.tasks
        .filter((t) => t.adult === id && t.mode !== 'WAIT' && first.has(t.step) && isOnceForAll(t, plan))
        .flatMap((t) => adultBlock(t, inFirst, plan, share, clock))
        .map((b) => ({ ...b, pinned: withIt(b.task, plan).some((t) => pinned.has(`${t} ${id}`)) })),
      ...readyBlocks(plan, id, share, clock),
    ]
    return { who: id, adult: true, blocks, turns: 0, jobs: blocks.length, wait: '' }
  })
  return {
    lanes: [...adults, ...children],
    passive: plan.schedule
      .filter((s) => s.sitting === 1 && s.passive && !isOvernight(s.seconds))
      .map((s) => ({ step: s.step, label: s.title, left: share(s.start), width: share(s.seconds) })),
    ticks: ticks(whole, clock, share),
  }
}

const linesOf = (plan: Plan, task: Task): readonly PlanLine[] =>
  plan.bowls.find((b) => b.id === task.bowl)?.lines ?? []

/** Jobs for waiting, in the first sitting. */
const meanwhile = (
  plan: Plan,
  child: string,
  share: (s: number) => number,
  clock: (s: number) => string,
): LaneBlock[] =>
  (plan.waitingJobs ?? [])
    .filter((f) => f.child === child && f.sitting === 1 && f.start < plan.totals.seconds)
    .map((f) => ({
      id: `${f.job}/${f.child}/${f.start}`,
      task: f.step,
      label: f.says,
      at: clock(f.start),
      left: share(f.start),
      width: share(Math.min(f.end, plan.totals.seconds) - f.start),
      kind: 'meanwhile' as const,
      pinned: false,
    }))

/** What an adult gets ready within the session. */
const readyBlocks = (
  plan: Plan,
  adult: string,
  share: (s: number) => number,
  clock: (s: number) => string,
): LaneBlock[] =>
  (plan.background ?? [])
    .filter((b) => b.adult === adult && b.sitting === 1 && b.start >= 0)
    .map((b) => ({
      id: `${b.says}/${b.step}`,
      task: b.step,
      label: b.says,
      at: clock(b.start),
      left: share(b.start),
      width: share(b.seconds),
      kind: 'ready' as const,
      pinned: false,
    }))

/** What an adult does once for several bowls stands once. */
function isOnceForAll(task: Task, plan: Plan): boolean {
  if (task.joins !== undefined) return withIt(task.id, plan)[0] === task.id
  // Done with that of another bowl: it has no time of its own.
  return !isTogether(task) || task.start !== undefined || plan.bowls[0]?.id === task.bowl
}
/** Ids of the tasks that an adult oversees together with this one, in their order. */
function withIt(task: string, plan: Plan): string[] {
  const joins = plan.tasks.find((t) => t.id === task)?.joins
  return joins === undefined ? [task] : plan.tasks.flatMap((t) => (t.joins === joins ? [t.id] : []))
}

/** From the first to the last turn of the task, or what the adult does alone. */
function adultBlock(
  task: Task,
  turns: readonly Turn[],
  plan: Plan,
  share: (s: number) => number,
  clock: (s: number) => string,
): LaneBlock[] {
  const all = new Set(withIt(task.id, plan))
  const own = turns.filter((t) => all.has(t.task))
  const step = plan.schedule.find((s) => s.step === task.step)
  const from = own.length > 0 ? Math.min(...own.map((t) => t.start)) : (task.start ?? step?.start ?? 0)
  const to = own.length > 0 ? Math.max(...own.map((t) => t.end)) : (task.end ?? from + task.seconds)
  return [
    {
      id: task.id,
      task: task.id,
      label: taskText(task, plan),
      at: clock(from),
      left: share(from),
      width: share(to - from),
      kind: task.mode === 'ADULT' ? 'does' : 'beside',
      pinned: false,
      picture: handPicture(task, linesOf(plan, task)),
    },
  ]
}

/** A mark every five minutes, or every ten or fifteen where the session is long. */
function ticks(
  whole: number,
  clock: (s: number) => string,
  share: (s: number) => number,
): LaneChart['ticks'] {
  const every = whole > 5400 ? 900 : whole > 2700 ? 600 : 300
  const all = Array.from({ length: Math.floor(whole / every) + 1 }, (_, i) => ({
    at: clock(i * every),
    left: share(i * every),
  }))
  // The last has to leave room for its own figures.
  return all.filter((t) => t.left <= 94)
}

/**
 * The turn of a task that stands where something is set down.
 * @param left in per cent of the first sitting, as blocks are
 * @returns its number from 1, or why nothing of this task is there
 */
export function turnAt(plan: Plan, taskId: string, left: number): number | { refused: string } {
  const at = (left / 100) * Math.max(60, plan.totals.seconds)
  const own = plan.turns.filter((t) => t.task === taskId).sort((a, b) => a.start - b.start)
  const [first, last] = [own[0], own.at(-1)]
  if (!first || !last) return { refused: 'This job is not in the plan any more.' }
  const clock = (s: number): string => clockAfter(plan.totals.startsAt, Math.floor(s / 60))
  if (at < first.start - 30 || at > last.end + 30)
    return {
      refused: `This job is done from ${clock(first.start)} to ${clock(last.end)}: the steps before and after it stand.`,
    }
  return own.find((t) => at < t.end)?.number ?? last.number
}

/** Why a turn of a task cannot go to a child, or null where it can. `{{id}}` stands for the name. */
export function whyNotTo(plan: Plan, taskId: string, child: string): string | null {
  const task = plan.tasks.find((t) => t.id === taskId)
  const bowl = plan.bowls.find((b) => b.id === task?.bowl)
  if (!task || !bowl) return 'This job is not in the plan any more.'
  if (task.mode !== 'TURNS') return 'Everybody does this job once: there is no turn to hand over.'
  const barred = task.barred.find((b) => b.child === child)
  if (barred) return `{{${child}}}: ${barred.why}.`
  if (!bowl.children.includes(child)) return `{{${child}}} works at another bowl.`
  return null
}
