/** What to say now: to the child whose turn it is, of what is in the bowl at this moment, at the level for its age. */
import type { Fact } from '../learn/facts'
import { SUPPORT_LEVELS } from '../learn/levels'
import { beginAt, promptsFor, type Prompt } from '../learn/prompts'
import type { Plan, StepTalk } from '../plan/plan'
import { levelFor, scoopFact } from '../plan/talk'
import type { nextTurn, TableTask } from './table'

export interface SayNow {
  /** Changes when there is something else to say. */
  key: string
  child: string | null
  prompts: Prompt[]
  /** The one to begin with. */
  at: number
}

/**
 * The question for the turn that comes: its scoops so far, its child. Where a level has several, each turn begins with another
 * one, so that neighbours are not asked the same. A step without turns says what the plan has for it.
 */
export function sayNow(plan: Plan, talk: StepTalk | null, now: ReturnType<typeof nextTurn>): SayNow {
  if (!talk) return { key: '', child: null, prompts: [], at: 0 }
  const child = now ? now.turn.who : talk.child
  const months = plan.children.find((c) => c.id === child)?.months
  if (!talk.fact || months === undefined)
    return { key: talk.step, child, ...from(talk.prompts, talk.start, 0) }
  const fact = (now && atTheBowl(plan, talk.fact, now.task)) ?? talk.fact
  const prompts = promptsFor(fact, months)
  return {
    key: `${talk.step} ${now?.turn.id ?? ''}`,
    child,
    ...from(prompts, beginAt(prompts, levelFor(fact, months, plan.talking)), now?.turn.number ?? 0),
  }
}

/** Of the task at hand: a step may scoop several lines, and another bowl has another amount. */
function atTheBowl(plan: Plan, said: Fact, { task, count }: TableTask): Fact | null {
  const ofScoops = said.kind === 'scoop' || (said.kind === 'count' && said.food.startsWith('scoops of'))
  if (task.measured?.by !== 'scoop') {
    // Another task of a step that scoops: its scoops are not what this child has in hand.
    const i = plan.schedule.findIndex((s) => s.step === task.step)
    return ofScoops ? { kind: 'order', steps: plan.schedule.map((s) => s.title), i: i + 1 } : null
  }
  const box =
    said.kind === 'scoop' ? (said.measures ?? []).map((size) => ({ size, unit: said.unit, count: 1 })) : []
  const fact = scoopFact(task, plan.bowls, box)
  return fact?.kind === 'scoop' ? { ...fact, k: count } : fact
}

/** Of one question alone, neighbours would be asked the same: then the level below takes its turn with it. */
function from(prompts: Prompt[], level: Prompt['level'], turn: number): Pick<SayNow, 'prompts' | 'at'> {
  const places = (of: Prompt['level'] | undefined): number[] =>
    prompts.flatMap((p, i) => (p.level === of ? [i] : []))
  const own = places(level)
  const fitting =
    own.length === 1 && turn > 0
      ? [...own, ...places(SUPPORT_LEVELS[SUPPORT_LEVELS.indexOf(level) - 1])]
      : own
  return { prompts, at: fitting[Math.max(0, turn - 1) % Math.max(1, fitting.length)] ?? 0 }
}
