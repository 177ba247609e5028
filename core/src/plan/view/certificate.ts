import type { Plan } from '../model/plan'
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

function causeText(cause: string, plan: Plan): string {
  if (cause === 'sink') return 'What holds it up is the sink.'
  if (cause === 'oven') return 'What holds it up is the oven.'
  if (cause.startsWith('adult:'))
    return `What holds it up is that ${nameToken(cause.slice(6))} is one person.`
  const [kind = '', rest = ''] = cause.split(': ')
  const steps = rest.split(/, | to /).flatMap((task) => {
    const step = plan.tasks.find((t) => t.id === task)?.step
    return plan.schedule.find((s) => s.step === step)?.title ?? []
  })
  const named = [...new Set(steps)].join(', ')
  if (kind === 'chain') return `What holds it up is the order of the steps: ${named}.`
  return named ? `What holds it up are jobs that cannot go on at once: ${named}.` : ''
}
