import { goesEach, turnsAndJobs } from '../model/task-kinds'
import type { RecipeStep } from '../../recipe/recipe'
import { background } from './background'
import { clockFindings } from './clock-findings'
import { UNIT_SECONDS, waveId } from './clock-ops'
import type { Clocked, WithTurns, Pass } from '../model/draft'
import { waitingJobs } from './waiting-jobs'
import { idleTimes } from './waiting-times'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { sittingsOf } from '../model/session-recipe/sittings'
import { timeline, type Timed, type Timeline } from './timeline'
import { wavesByTask } from '../split/waves'
import { clockAfter, minutesBetween } from '../../amount/clock-time'
import type { StepTime, Task, Turn } from '../model/task'

export const clock: Pass<WithTurns, Clocked> = (draft, request) => {
  const set = setClock({ ...draft, steps: draft.recipe.steps }, request)
  const timed = { ...draft, ...set }
  const { fill, clearUp } = waitingJobs(timed, request)
  const totals: Plan['totals'] = {
    ...set.totals,
    ...(clearUp && { clearUp }),
    perChild: idleTimes(set.totals.perChild, { ...timed, fill }),
  }
  const ready = background(draft.recipe, set.schedule, set.tasks, request.adults, request.session.start)
  return {
    draft: { ...timed, totals, fill, background: ready },
    findings: clockFindings({ ...timed, fill }, totals, request),
  }
}

export interface Clockable extends Timed {
  steps: readonly RecipeStep[]
  turns: readonly Turn[]
}

/** The times of everything: of a draft, or anew of a plan in force whose adults have changed. */
export function setClock(
  draft: Clockable,
  request: PlanRequest,
): { tasks: Task[]; turns: Turn[]; schedule: StepTime[]; totals: Plan['totals'] } {
  const schedule: StepTime[] = []
  const starts = new Map<string, number>()
  const lines: Timeline[] = []
  const waves = wavesByTask(draft.tasks, request)
  for (const [index, steps] of sittingsOf(draft.steps).entries()) {
    // A night in the fridge is not time at the table.
    const nights = new Set(steps.filter((s) => isNight(s, draft.steps)).map((s) => s.id))
    const line = timeline(
      steps,
      { ...draft, tasks: draft.tasks.filter((t) => !nightTask(t, nights)) },
      request,
    )
    lines.push(line)
    for (const [id, at] of line.starts) starts.set(id, at)
    for (const step of steps) {
      const times = stepSpan(step, draft, starts, waves, schedule.at(-1))
      const night = nights.has(step.id) ? nightSeconds(step) : 0
      schedule.push(stepTime(step, index + 1, times.start, times.seconds + night, request))
    }
  }
  const turns = timeTurns(draft, starts, waves)
  const tasks = draft.tasks.map((t) => timeTask(t, starts, waves))
  return { tasks, turns, schedule, totals: totalsOf(draft, turns, lines, request) }
}

const isNight = (step: RecipeStep, steps: readonly RecipeStep[]): boolean =>
  step.tasks.some((t) => t.mode === 'WAIT') && steps[steps.indexOf(step) + 1]?.nextSitting === true
const nightTask = (task: Task, nights: ReadonlySet<string>): boolean =>
  task.mode === 'WAIT' && nights.has(task.step)
const nightSeconds = (step: RecipeStep): number =>
  step.tasks.reduce((sum, t) => sum + (t.mode === 'WAIT' ? t.seconds : 0), 0)

type Waves = ReturnType<typeof wavesByTask>

/** Start and end of each op of a task; of waves that several bowls share, those in which somebody of its own is. */
function spansOf(task: Task, starts: ReadonlyMap<string, number>, waves: Waves): [number, number][] {
  const shared = waves.get(task.id)
  const own = new Set(task.forms.flatMap((f) => f.children))
  // The turns of a task are one op, one after another.
  const ops = shared
    ? shared.waves.flatMap((w, i) => (w.some((c) => own.has(c)) ? [waveId(shared, i)] : []))
    : Array.from({ length: task.rounds?.length ?? 1 }, (_, i) => waveId(task, i))
  return ops.flatMap((id): [number, number][] => {
    const at = starts.get(id)
    return at === undefined ? [] : [[at, at + opSeconds(task)]]
  })
}

/** From the first of its ops to the end of the last; a step without any stands where the one before ends. */
function stepSpan(
  step: RecipeStep,
  draft: Clockable,
  starts: ReadonlyMap<string, number>,
  waves: Waves,
  before: StepTime | undefined,
): { start: number; seconds: number } {
  const spans = draft.tasks.filter((t) => t.step === step.id).flatMap((t) => spansOf(t, starts, waves))
  if (spans.length === 0) {
    const at = before && !step.nextSitting ? before.start + before.seconds : 0
    return { start: at, seconds: 0 }
  }
  const start = Math.min(...spans.map(([s]) => s))
  return { start, seconds: Math.max(...spans.map(([, e]) => e)) - start }
}

/** Seconds of one op of a task: a block of turns, one wave or round, or the whole work. */
const opSeconds = (task: Task): number => {
  const seconds = task.seconds * (task.mode === 'TURNS' ? task.n : goesEach(task))
  return Math.ceil(seconds / UNIT_SECONDS) * UNIT_SECONDS
}

function timeTask(task: Task, starts: ReadonlyMap<string, number>, waves: Waves): Task {
  const spans = spansOf(task, starts, waves)
  if (spans.length === 0) return task
  return {
    ...task,
    start: Math.min(...spans.map(([s]) => s)),
    end: Math.max(...spans.map(([, e]) => e)),
  }
}

function stepTime(
  step: RecipeStep,
  sitting: number,
  start: number,
  seconds: number,
  request: PlanRequest,
): StepTime {
  const passive =
    step.tasks.every((t) => t.mode === 'WAIT' || t.mode === 'ADULT') &&
    step.tasks.some((t) => t.mode === 'WAIT')
  return {
    step: step.id,
    title: step.title,
    picture: step.picture,
    ...(step.says && { says: step.says }),
    sitting,
    start,
    seconds,
    at: clockAfter(request.session.start, Math.floor(start / 60)),
    passive,
    place: step.tasks.find((t) => t.mode === 'WAIT')?.place ?? 'table',
  }
}

function timeTurns(draft: Clockable, starts: ReadonlyMap<string, number>, waves: Waves): Turn[] {
  const tasks = new Map(draft.tasks.map((t) => [t.id, t]))
  return draft.turns.map((turn) => {
    const task = tasks.get(turn.task)
    if (!task) return turn
    const shared = waves.get(task.id)
    const wave = shared?.waves.findIndex((w) => w.includes(turn.child)) ?? turn.round ?? 0
    const before = task.mode === 'TURNS' ? turn.number - 1 : (turn.number - 1) % goesEach(task)
    const within = before * task.seconds
    const start = (starts.get(waveId(shared ?? task, Math.max(0, wave))) ?? 0) + within
    return { ...turn, start, end: start + task.seconds }
  })
}

/** A share of the time at the table for things that go slower. Source: common practice (scheduling.md 7: a tenth). */
const BUFFER = 0.1

function totalsOf(
  draft: Clockable,
  turns: readonly Turn[],
  lines: readonly Timeline[],
  request: PlanRequest,
): Plan['totals'] {
  const first = lines[0]
  const seconds = first?.seconds ?? 0
  const { start, until } = request.session
  const spare = until ? minutesBetween(clockAfter(start, Math.ceil(seconds / 60)), until) : null
  return {
    seconds,
    startsAt: start,
    endsAt: clockAfter(start, Math.ceil(seconds / 60)),
    ...(spare !== null && { spareMinutes: spare, latestStart: clockAfter(start, spare + 24 * 60) }),
    bound: { seconds: first?.bound ?? 0, cause: first?.boundCause ?? { kind: 'none' } },
    buffer: Math.ceil((seconds * BUFFER) / 60) * 60,
    standing: lines.flatMap((l) => l.standing),
    sittings: lines.length,
    perChild: draft.people.map((p) => {
      return {
        child: p.id,
        ...turnsAndJobs(p.id, draft.tasks, turns),
        longestWait: waitIn(p.id, draft.tasks, turns),
      }
    }),
  }
}

/** The longest stretch a child waits inside a shared task, from its start to the child's turn or between turns. */
function waitIn(child: string, tasks: readonly Task[], turns: readonly Turn[]): number {
  let longest = 0
  for (const task of tasks) {
    if (task.mode !== 'TURNS' || !task.forms.some((f) => f.children.includes(child))) continue
    const all = turns.filter((t) => t.task === task.id)
    let free = Math.min(...all.map((t) => t.start))
    for (const turn of all.filter((t) => t.child === child)) {
      longest = Math.max(longest, turn.start - free)
      free = turn.end
    }
    longest = Math.max(longest, Math.max(...all.map((t) => t.end)) - free)
  }
  return longest
}
