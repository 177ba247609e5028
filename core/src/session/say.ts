/** What to say now: to the child whose turn it is, of what is in the bowl at this moment, at the level for its age. */
import type { Fact } from '../learn/facts'
import { SUPPORT_LEVELS, type SupportLevel } from '../learn/levels'
import { beginAt, promptsFor, type Prompt } from '../learn/prompts'
import type { Plan } from '../plan/model/plan'
import { levelFor } from '../plan/talk/talk'
import { scoopFact } from '../plan/talk/step-facts'
import type { nextTurn, TableTask } from './table'
import type { Ask, StepTalk } from '../plan/model/step-talk'

export interface SayNow {
  /** Changes when there is something else to say. */
  key: string
  child: string | null
  prompts: Prompt[]
  /** The one to begin with. */
  at: number
  /** This child was chosen to be asked here; else it begins with a comment. */
  asked: boolean
  /** What it is about, for the note. */
  food?: string
  /** To count together up to here: the scoop at hand, or all there is to count; 0 where nothing is counted. */
  countTo: number
  /** While nobody has a turn: the others who are asked something in this step. */
  others: Ask[]
}

/**
 * The question for the turn that comes: its scoops so far, its child. A child that was chosen to be asked in this step begins with
 * that question; another begins one level lower, so that comments are more than questions. Where a level has several, each turn
 * begins with another one, so that neighbours are not asked the same. A step without turns says what the plan has for it.
 */
export function sayNow(plan: Plan, talk: StepTalk | null, now: ReturnType<typeof nextTurn>): SayNow {
  if (!talk) return { key: '', child: null, prompts: [], at: 0, asked: false, countTo: 0, others: [] }
  const child = now ? now.turn.who : (talk.asks?.find((a) => a.child !== null)?.child ?? talk.child)
  const months = plan.children.find((c) => c.id === child)?.months
  const own = talk.asks?.filter((a) => a.why === 'own' && (a.child === null || a.child === child)) ?? []
  const key = `${talk.step} ${now?.turn.id ?? ''}`
  if (!talk.fact || months === undefined) {
    const prompts = withOwn(talk.prompts, own)
    const at = places(prompts, talk.start)[0] ?? 0
    return { key, child, prompts, at, asked: own.length > 0, countTo: 0, others: [] }
  }
  const fact = factNow(plan, talk, now)
  const ask = talk.asks?.find((a) => a.child === child && a.why !== 'own')
  // Of words alone: the question is not of the step's idea.
  const asksTell = ask !== undefined && !promptsFor(fact, months, plan.locale).some((p) => touches(p, ask))
  const told = asksTell ? tellOf(talk) : null
  const prompts = withOwn(promptsFor(told ?? fact, months, plan.locale), own)
  const level = ask ? ask.level : lower(levelFor(fact, months, plan.talking))
  const first = ask && best(prompts, ask)
  const food = 'food' in fact ? fact.food : undefined
  const at =
    own.length > 0
      ? prompts.findIndex((p) => p.says === own[0]?.says)
      : (first ?? alternate(prompts, beginAt(prompts, level), now?.turn.number ?? 0))
  return {
    key,
    child,
    prompts,
    at: Math.max(0, at),
    asked: ask !== undefined || own.length > 0,
    ...(food !== undefined && { food }),
    countTo: countTo(now),
    others: now ? [] : (talk.asks ?? []).filter((a) => a.child !== null && a.child !== child),
  }
}

/** Common practice: together to twenty at most. */
const COUNT_MOST = 20
function countTo(now: ReturnType<typeof nextTurn>): number {
  if (!now) return 0
  const { task, count } = now.task
  const n = task.measured?.by === 'scoop' ? count + 1 : (task.counts?.n ?? 0)
  return Math.min(COUNT_MOST, n)
}

const touches = (p: Prompt, ask: Ask): boolean =>
  p.target === ask.target || (p.also ?? []).includes(ask.target)
const rank = (level: SupportLevel): number => SUPPORT_LEVELS.indexOf(level)
const lower = (level: SupportLevel): SupportLevel => SUPPORT_LEVELS[Math.max(0, rank(level) - 1)] ?? 'model'

/** Of the prompts that meet the target of the question: the one nearest to its level, rather below. */
function best(prompts: readonly Prompt[], ask: Ask): number | undefined {
  const far = (p: Prompt): number => {
    const above = rank(p.level) - rank(ask.level)
    return above > 0 ? 10 * above : -above
  }
  return [...prompts.keys()]
    .filter((i) => touches(prompts[i] as Prompt, ask))
    .sort((a, b) => far(prompts[a] as Prompt) - far(prompts[b] as Prompt))[0]
}

/** One's own words stand with the open questions, at the end. */
const withOwn = (prompts: readonly Prompt[], own: readonly Ask[]): Prompt[] => [
  ...prompts,
  ...own.map(({ says, answer }): Prompt => ({ level: 'open', says, answer, target: '' })),
]

/** What there is to tell of the step, from the plan's own words. */
const tellOf = (talk: StepTalk): Fact | null => talk.tell ?? talk.fact

/** The idea of the step for the bowl and the task at hand. */
function factNow(plan: Plan, talk: StepTalk, now: ReturnType<typeof nextTurn>): Fact {
  const own = now && talk.facts?.find((f) => f.bowl === now.task.task.bowl)
  const fact = own?.fact ?? (talk.fact as Fact)
  if (!now) return fact
  const ofTask = own?.task === undefined || own.task === now.task.task.id
  return atTheBowl(plan, talk, fact, now.task, ofTask)
}

/** Of the task at hand: a step may scoop several lines, and another bowl has another amount. */
function atTheBowl(
  plan: Plan,
  talk: StepTalk,
  said: Fact,
  { task, count }: TableTask,
  ofTask: boolean,
): Fact {
  const ofScoops = said.kind === 'scoop' || (said.kind === 'count' && said.food.startsWith('scoops of'))
  if (!ofScoops) return ofTask ? said : (talk.tell ?? said)
  if (task.measured?.by !== 'scoop') {
    // Another task of a step that scoops: its scoops are not what this child has in hand.
    const i = plan.schedule.findIndex((s) => s.step === task.step)
    return talk.tell ?? { kind: 'order', steps: plan.schedule.map((s) => s.title), i: i + 1 }
  }
  const box =
    said.kind === 'scoop' ? (said.measures ?? []).map((size) => ({ size, unit: said.unit, count: 1 })) : []
  const fact = scoopFact(task, plan.bowls, box)
  return fact?.kind === 'scoop' ? { ...fact, k: count } : (fact ?? said)
}

const places = (prompts: readonly Prompt[], of: SupportLevel | undefined): number[] =>
  prompts.flatMap((p, i) => (p.level === of ? [i] : []))

/** Of one question alone, neighbours would be asked the same: then the level below takes its turn with it. */
function alternate(prompts: readonly Prompt[], level: SupportLevel, turn: number): number {
  const own = places(prompts, level)
  const fitting =
    own.length === 1 && turn > 0 ? [...own, ...places(prompts, SUPPORT_LEVELS[rank(level) - 1])] : own
  return fitting[Math.max(0, turn - 1) % Math.max(1, fitting.length)] ?? 0
}
