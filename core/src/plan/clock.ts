/**
 * Pass 7, clock: start and end of everything, with adults, places at the sink and the oven as limits (`timeline`); how long that
 * is against the shortest that can be; how late it may begin for the families to come on time; waits are said.
 */
import { longestWait } from '../craft/ages'
import { clockAfter } from '../learn/facts'
import type { RecipeStep } from '../recipe/recipe'
import type { Clocked, Dealt, Pass } from './draft'
import { finding, nameToken, type Finding } from './finding'
import type { Plan, StepTime, Task, Turn } from './plan'
import type { PlanRequest } from './request'
import { reach, timeline, UNIT_SECONDS, waveId, type Timed, type Timeline } from './timeline'

/** Minutes an oven takes to heat up. Source: common practice (measures.md G), from memory. */
export const PREHEAT_MINUTES = 15

export const clock: Pass<Dealt, Clocked> = (draft, request) => {
  const set = setClock({ ...draft, steps: draft.recipe.steps }, request)
  return {
    draft: { ...draft, ...set },
    findings: clockFindings(draft, set.totals, request),
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
): { turns: Turn[]; schedule: StepTime[]; totals: Plan['totals'] } {
  const schedule: StepTime[] = []
  const starts = new Map<string, number>()
  const lines: Timeline[] = []
  for (const [index, steps] of sittings(draft.steps).entries()) {
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
      const times = stepSpan(step, draft, starts, schedule.at(-1))
      const night = nights.has(step.id) ? nightSeconds(step) : 0
      schedule.push(stepTime(step, index + 1, times.start, times.seconds + night, request))
    }
  }
  const timed = draft.turns.map((t) => timeTurn(t, draft.tasks, starts, request))
  return { turns: timed, schedule, totals: totalsOf(draft, timed, lines, request) }
}

/** The steps of each sitting. */
function sittings(steps: readonly RecipeStep[]): RecipeStep[][] {
  const out: RecipeStep[][] = [[]]
  for (const step of steps) {
    if (step.nextSitting) out.push([])
    out.at(-1)?.push(step)
  }
  return out
}

const isNight = (step: RecipeStep, steps: readonly RecipeStep[]): boolean =>
  step.tasks.some((t) => t.mode === 'WAIT') && steps[steps.indexOf(step) + 1]?.nextSitting === true
const nightTask = (task: Task, nights: ReadonlySet<string>): boolean =>
  task.mode === 'WAIT' && nights.has(task.step)
const nightSeconds = (step: RecipeStep): number =>
  step.tasks.reduce((sum, t) => sum + (t.mode === 'WAIT' ? t.seconds : 0), 0)

/** From the first of its ops to the end of the last; a step without any stands where the one before ends. */
function stepSpan(
  step: RecipeStep,
  draft: Clockable,
  starts: ReadonlyMap<string, number>,
  before: StepTime | undefined,
): { start: number; seconds: number } {
  const spans = draft.tasks
    .filter((t) => t.step === step.id)
    .flatMap((t) => {
      const own: [number, number][] = []
      for (let w = 0; starts.has(waveId(t, w)); w++) {
        const at = starts.get(waveId(t, w)) ?? 0
        own.push([at, at + opSeconds(t)])
      }
      return own
    })
  if (spans.length === 0) {
    const at = before && !step.nextSitting ? before.start + before.seconds : 0
    return { start: at, seconds: 0 }
  }
  const start = Math.min(...spans.map(([s]) => s))
  return { start, seconds: Math.max(...spans.map(([, e]) => e)) - start }
}

/** Seconds of one op of a task: a block of turns, one wave, or the whole work. */
const opSeconds = (task: Task): number => {
  const seconds = task.mode === 'TURNS' ? task.n * task.seconds : task.seconds
  return Math.ceil(seconds / UNIT_SECONDS) * UNIT_SECONDS
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

function timeTurn(
  turn: Turn,
  tasks: readonly Task[],
  starts: ReadonlyMap<string, number>,
  request: PlanRequest,
): Turn {
  const task = tasks.find((t) => t.id === turn.task)
  if (!task) return turn
  const wave = task.mode === 'EACH' ? Math.floor((turn.number - 1) / reach(task, request)) : 0
  const within = task.mode === 'EACH' ? 0 : (turn.number - 1) * task.seconds
  const start = (starts.get(waveId(task, wave)) ?? 0) + within
  return { ...turn, start, end: start + task.seconds }
}

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
    bound: { seconds: first?.bound ?? 0, cause: first?.boundCause ?? '' },
    sittings: lines.length,
    perChild: draft.people.map((p) => {
      const own = turns.filter((t) => t.child === p.id)
      const shared = own.filter((t) => draft.tasks.some((k) => k.id === t.task && k.mode === 'TURNS'))
      return {
        child: p.id,
        turns: shared.length,
        jobs: own.length,
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

function clockFindings(draft: Dealt, totals: Plan['totals'], request: PlanRequest): Finding[] {
  const found: Finding[] = []
  const { start, until } = request.session
  const late = until ? minutesBetween(until, totals.endsAt) : 0
  if (until && late > 0) {
    const earlier = clockAfter(start, 24 * 60 - late)
    found.push(
      finding({
        rule: 'late',
        pass: 'clock',
        grade: 'know',
        subject: { tool: 'clock' },
        touches: [],
        says: `It ends at ${totals.endsAt}, ${minutes(late)} after the families come at ${until}.`,
        because: `${Math.round(totals.seconds / 60)} minutes of steps from ${start}.`,
        source: 'computed',
        fixes: [
          {
            label: `Start at ${earlier}`,
            cost: `${minutes(late)} earlier`,
            action: { do: 'start-at', start: earlier },
          },
        ],
        restsOn: [until, totals.endsAt],
      }),
    )
  }
  const waiting = draft.people.flatMap((p) => {
    const wait = totals.perChild.find((t) => t.child === p.id)?.longestWait ?? 0
    return wait > longestWait(p.age) ? [{ id: p.id, wait }] : []
  })
  if (waiting.length > 0) {
    const worstWait = Math.max(...waiting.map((w) => w.wait))
    found.push(
      finding({
        rule: 'waits',
        pass: 'clock',
        grade: 'know',
        subject: { tool: 'waits' },
        touches: waiting.map((w) => ({ child: w.id, about: 'waits' })),
        says: `Long waits for a turn, up to ${minutesText(worstWait)}: ${waiting.map((w) => nameToken(w.id)).join(', ')}. Have a second job ready.`,
        because: 'Longer than children of that age usually wait.',
        source: 'common practice (attention by age), from memory',
        fixes: [],
        restsOn: waiting,
      }),
    )
  }
  return found
}

const minutes = (n: number): string => `${n} ${n === 1 ? 'minute' : 'minutes'}`

const minutesText = (seconds: number): string => {
  const half = Math.round(seconds / 30) / 2
  return `${half} ${half === 1 ? 'minute' : 'minutes'}`
}

const minutesBetween = (from: string, to: string): number => {
  const at = (hhmm: string): number => {
    const [h, m] = hhmm.split(':').map(Number)
    return (h ?? 0) * 60 + (m ?? 0)
  }
  return at(to) - at(from)
}
