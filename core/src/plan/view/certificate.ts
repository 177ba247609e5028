import { toolName } from '../../craft/tools'
import { must } from '../../amount/must'
import type { HeldUpBy, Plan } from '../model/plan'
import { nameToken } from '../model/finding'
import { minutesText } from '../../amount/clock-time'

export interface Certificate {
  /** "Nobody can be quicker", "at most 6 % longer than the shortest possible". */
  length: string
  /** What holds it. */
  cause: string
  fairness: string
  /** The longest wait for a turn, against the least that any order of turns could have. */
  waiting: string
}

/** How good the plan is, in words: its length against the bound, what holds it up, fairness, waiting. Null where no bound is known. */
export function certificate(plan: Plan): Certificate | null {
  const { bound, seconds } = plan.totals
  if (!bound || bound.seconds <= 0) return null
  // Rounded up: a bound never promises more than it can hold.
  const percent = Math.ceil((100 * (seconds - bound.seconds)) / bound.seconds)
  const how = 'step by step, with these adults and this kitchen'
  const turns = plan.totals.perChild.map((p) => p.turns)
  return {
    length:
      percent <= 0
        ? `Nobody can be quicker, ${how}.`
        : `At most ${percent} % longer than the shortest possible, ${how}.`,
    cause: causeText(bound.cause, plan),
    fairness:
      turns.length < 2
        ? ''
        : `${Math.min(...turns)} to ${Math.max(...turns)} turns each: no other dealing is more equal, with what each child does alone counted in.`,
    waiting: waitingText(plan),
  }
}

/**
 * The least longest wait in a shared task, in seconds: of k children the last to begin waits for k - 1 turns, whatever the order;
 * where there are fewer turns than children, somebody waits through all of them.
 * Source: the wait of the last child is turns before it x time of a turn (age-skill-safety F2), common practice.
 */
export function leastWait(plan: Plan): number {
  return Math.max(
    0,
    ...plan.tasks.map((t) => {
      const k = new Set(t.forms.flatMap((f) => f.children)).size
      return t.mode === 'TURNS' && k > 0 ? Math.min(t.n, k - 1) * t.seconds : 0
    }),
  )
}

function waitingText(plan: Plan): string {
  const least = leastWait(plan)
  const longest = Math.max(0, ...plan.totals.perChild.map((p) => p.longestWait))
  if (least <= 0) return ''
  return longest <= least
    ? `Longest wait for a turn ${minutesText(longest)}: no order of turns in these bowls has a shorter one.`
    : `Longest wait for a turn ${minutesText(longest)}; in these bowls it cannot be under ${minutesText(least)}.`
}

function causeText(cause: HeldUpBy, plan: Plan): string {
  switch (cause.kind) {
    case 'none':
      return ''
    case 'sink':
    case 'oven':
      return `What holds it up is the ${cause.kind}.`
    case 'watching':
      return 'What holds it up are the adults’ eyes.'
    case 'tool':
      return `What holds it up is a tool of which there are few: ${toolName(cause.tool, 2)}.`
    case 'measure':
      return `What holds it up is a measure of which there are few: ${measureName(cause.measure, plan)}.`
    case 'adult':
      return `What holds it up is that ${nameToken(cause.adult)} is one person.`
    case 'chain':
      return `What holds it up is the order of the steps: ${stepsOf(cause.tasks, plan)}.`
    case 'clique':
      return `What holds it up are jobs that cannot go on at once: ${stepsOf(cause.tasks, plan)}.`
  }
}

/** The steps of these tasks by their titles. */
function stepsOf(tasks: readonly string[], plan: Plan): string {
  const titles = tasks.map((id) => {
    const task = must(
      plan.tasks.find((t) => t.id === id),
      `the task '${id}'`,
    )
    return must(
      plan.schedule.find((s) => s.step === task.step),
      `the step '${task.step}'`,
    ).title
  })
  return [...new Set(titles)].join(', ')
}

const measureName = (id: string, { tasks }: Plan): string =>
  tasks.flatMap((t) => (t.measured?.by === 'scoop' ? t.measured.parts : [])).find((p) => p.measure === id)
    ?.name ?? id
