/**
 * Pass 7, clock: start and end of everything, forward from the session's start.
 *
 * Does little yet: steps follow one another; bowls that have an adult each run side by side, the others after them; what
 * goes into the oven or fridge goes in together. Nothing is moved to shorten a wait; waits are said.
 */
import { longestWait } from '../craft/ages'
import { clockAfter } from '../learn/facts'
import type { RecipeStep } from '../recipe/recipe'
import type { Clocked, Dealt, Pass } from './draft'
import { finding, nameToken, type Finding } from './finding'
import type { Plan, StepTime, Task, Turn } from './plan'
import type { PlanRequest } from './request'

/** Minutes an oven takes to heat up. Source: common practice (measures.md G), from memory. */
export const PREHEAT_MINUTES = 15

export const clock: Pass<Dealt, Clocked> = (draft, request) => {
  const atOnce = Math.max(1, Math.min(draft.bowls.length, request.adults.length))
  const schedule: StepTime[] = []
  const starts = new Map<string, number>()
  let sitting = 1
  let now = 0
  for (const step of draft.recipe.steps) {
    if (step.nextSitting) {
      sitting += 1
      now = 0
    }
    const seconds = stepSeconds(step, draft, atOnce, now, starts)
    schedule.push(stepTime(step, sitting, now, seconds, request))
    const overnight =
      step.tasks.some((t) => t.mode === 'WAIT') && followedByNextSitting(step, draft.recipe.steps)
    if (!overnight) now += seconds
  }
  const timed = draft.turns.map((t) => timeTurn(t, draft.tasks, starts))
  const totals = totalsOf(draft, timed, schedule, request)
  return {
    draft: { ...draft, turns: timed, schedule, totals },
    findings: clockFindings(draft, totals, request),
  }
}

const followedByNextSitting = (step: RecipeStep, steps: readonly RecipeStep[]): boolean =>
  steps[steps.indexOf(step) + 1]?.nextSitting === true

/** How many children of a bowl do an EACH task at once: what the strictest form lets one adult watch. */
const reach = (task: Task): number => Math.max(1, Math.min(task.n, ...task.forms.map((f) => f.perAdult)))

/** Seconds that a task keeps its bowl busy. */
export function taskSeconds(task: Task): number {
  if (task.mode === 'TURNS') return task.n * task.seconds
  if (task.mode === 'EACH') return Math.ceil(task.n / reach(task)) * task.seconds
  return task.seconds
}

function stepSeconds(
  step: RecipeStep,
  draft: Dealt,
  atOnce: number,
  now: number,
  starts: Map<string, number>,
): number {
  let end = now
  for (let wave = 0; wave < draft.bowls.length; wave += atOnce) {
    const from = end
    for (const bowl of draft.bowls.slice(wave, wave + atOnce)) {
      let at = from
      for (const task of draft.tasks.filter((t) => t.step === step.id && t.bowl === bowl.id)) {
        const together = task.mode === 'WAIT' || task.place === 'oven' || task.place === 'fridge'
        if (together && wave > 0) continue
        starts.set(task.id, at)
        at += taskSeconds(task)
      }
      end = Math.max(end, at)
    }
  }
  return end - now
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

function timeTurn(turn: Turn, tasks: readonly Task[], starts: ReadonlyMap<string, number>): Turn {
  const task = tasks.find((t) => t.id === turn.task)
  if (!task) return turn
  const slot = task.mode === 'EACH' ? Math.floor((turn.number - 1) / reach(task)) : turn.number - 1
  const start = (starts.get(task.id) ?? 0) + slot * task.seconds
  return { ...turn, start, end: start + task.seconds }
}

function totalsOf(
  draft: Dealt,
  turns: readonly Turn[],
  schedule: readonly StepTime[],
  request: PlanRequest,
): Plan['totals'] {
  const first = schedule.filter((s) => s.sitting === 1)
  const lastActive = first.filter((s) => !(s.passive && schedule.some((o) => o.sitting > 1)))
  const seconds = Math.max(0, ...lastActive.map((s) => s.start + s.seconds))
  return {
    seconds,
    startsAt: request.session.start,
    endsAt: clockAfter(request.session.start, Math.ceil(seconds / 60)),
    sittings: Math.max(1, ...schedule.map((s) => s.sitting)),
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
