/**
 * What could be asked of whom: for each step and child the questions of each idea, with how far they are from the edge of what the
 * child can do. The edge: a target that the child's age has just come to, or that is growing, or that is due to come back.
 * Source: learning.md D3, F2, F3 (common practice, from memory).
 */
import { must } from '../../amount/must'
import { remembered } from '../../amount/memo'
import type { FactPrompt } from '../../learn/fact/answer'
import { OF_A_FOOD, type Locale } from '../../learn/fact/saying'
import type { Fact } from '../../learn/facts'
import { SUPPORT_LEVELS, type SupportLevel, type TalkRule } from '../../learn/levels'
import { levelFrom, RESTING, targetState, type TalkMark, type TargetState } from '../../learn/marks'
import { largestNumber, sayingsOf } from '../../learn/prompts'
import { suits, TARGETS, type Target } from '../../learn/targets'
import type { DraftChild } from '../model/draft'
import type { TalkOption } from './problem'
import type { AskReason } from '../model/step-talk'

export interface Candidate extends TalkOption {
  prompt: FactPrompt
  /** The task in whose turns it is asked. */
  task?: string | undefined
  /** All of the fact, for the other rungs of the same question. */
  all: readonly FactSayings[]
  why: AskReason
}

/** No question under so many months. */
export const FIRST_MONTHS = 12
const SECURE_COST = 8
const SEEN_COST = 6
const FAR = 3

interface Edge {
  cost: number
  edge: boolean
  due: boolean
  why: AskReason
}

/** How near a target is to the edge of what a child can do. */
function edgeOf(target: Target, months: number, state: TargetState): Edge {
  const due = state.overdue !== null && state.overdue >= 0
  if (due) return { cost: 0, edge: true, due: true, why: 'due' }
  if (state.claim === 'secure in cooking' || state.stage === RESTING)
    return { cost: SECURE_COST, edge: false, due: false, why: 'known' }
  if (state.stage > 0) return { cost: SEEN_COST, edge: false, due: false, why: 'growing' }
  if (months < target.from) return { cost: 4, edge: false, due: false, why: 'before its time' }
  const early = months <= target.from + (2 * (target.to - target.from)) / 3
  const cost = (early ? 1 : FAR) + (target.core || target.strand === 'language' ? 0 : 1)
  return { cost, edge: true, due: false, why: 'new' }
}

/** A saying with its targets and the number of its level. */
export interface FactSayings {
  prompt: FactPrompt
  /** By number in the list of targets. */
  targets: readonly number[]
  level: number
  /** Months. */
  from: number
  to: number
}

/** All that is said of a fact, and the largest number in it. */
export interface FactSaid {
  all: readonly FactSayings[]
  largest: number
}

/**
 * Sayings of facts, kept from plan to plan: a plan is derived anew at each change, and most of its facts are as they were.
 * The same fact always gives the same; so many are kept at most.
 */
const saidBefore = remembered(
  600,
  ({ fact, locale }: { fact: Fact; locale: Locale }): FactSaid => ({
    all: sayingsOf(fact, locale).map(saidOf),
    largest: largestNumber(fact),
  }),
  ({ fact, locale }) => `${locale} ${JSON.stringify(fact)}`,
)

/** Sayings are worked out once for each fact: bowls of one size and children of one table share them. */
export class Sayings {
  private readonly ofFact = new Map<Fact, FactSaid>()
  private readonly locale: Locale
  constructor(locale: Locale) {
    this.locale = locale
  }
  of(fact: Fact): FactSaid {
    const found = this.ofFact.get(fact)
    if (found) return found
    const said = saidBefore({ fact, locale: this.locale })
    this.ofFact.set(fact, said)
    return said
  }
}
const saidOf = (prompt: FactPrompt): FactSayings => ({
  prompt,
  targets: [prompt.target, ...(prompt.also ?? [])].flatMap((id) => NUMBER.get(id) ?? []),
  level: rank(prompt.level),
  from: prompt.fromMonths,
  to: prompt.toMonths,
})
const NUMBER = new Map(TARGETS.map((t, i) => [t.id, i]))

/** A target with one child: how near it is, and the level to begin with. Null where it does not suit the age. */
type Stand = (Edge & { start: number }) | null

/** What is known of a child's talk, by target. */
export class TalkHistory {
  private readonly marks = new Map<string, TalkMark[]>()
  private readonly stands: (Stand | undefined)[] = []
  private readonly months: number
  private readonly today: string
  private readonly rule: TalkRule | undefined
  constructor(person: DraftChild, today: string, rule?: TalkRule) {
    this.months = person.age
    this.today = today
    this.rule = rule
    for (const m of person.talk?.marks ?? [])
      this.marks.set(m.target, [...(this.marks.get(m.target) ?? []), m])
  }
  /** @param n of the list of targets */
  stand(n: number): Stand {
    const found = this.stands[n]
    if (found !== undefined) return found
    const made = this.read(TARGETS[n])
    this.stands[n] = made
    return made
  }
  private read(target: Target | undefined): Stand {
    if (!target || !suits(target, this.months)) return null
    const marks = this.marks.get(target.id) ?? []
    const start = rank(levelFrom(this.months, marks, this.rule))
    // A target before its time is met by showing, or by a choice.
    const held = this.months < target.from ? Math.min(start, 1) : start
    return { ...edgeOf(target, this.months, targetState(marks, this.today)), start: held }
  }
  /** Targets that are due to come back. */
  due(): string[] {
    return [...this.marks].flatMap(([id, marks]) =>
      (targetState(marks, this.today).overdue ?? -1) >= 0 ? [id] : [],
    )
  }
}

const rank = (level: SupportLevel): number => SUPPORT_LEVELS.indexOf(level)
/** Of one idea a child has so many options at most, beside what is due or of the week: the nearest to its edge. */
const OPTIONS_KEPT = 3

/** One question of one food: the same of another food is another question. */
const askKey = (line: string, food: string): string =>
  food === '' || !OF_A_FOOD.has(line) ? line : `${line} ${food}`

export interface AskedOf {
  /** No question above this level: where the numbers are out of the child's reach. */
  most: SupportLevel
  /** Targets of the week, by number in the list of targets. */
  week: ReadonlySet<number>
  /** Questions that were asked in the last weeks: only what is due comes back so soon. */
  recent: ReadonlySet<string>
  /** The food that it is about, or ''. */
  about: string
  task: string | undefined
  /** What the question costs more than others as near. */
  dear: number
}

/** Targets by number in the list of targets. */
export const targetNumbers = (ids: readonly string[]): Set<number> =>
  new Set(ids.flatMap((id) => NUMBER.get(id) ?? []))

/**
 * The questions of a fact for one child, one for each target that it touches.
 * @param said all sayings of the fact
 */
export function candidates(
  said: readonly FactSayings[],
  child: { index: number; months: number; heard: TalkHistory },
  { most, week, recent, about, task, dear }: AskedOf,
): Candidate[] {
  const { index, months, heard } = child
  const found: { n: number; cost: number; said: FactSayings; stand: NonNullable<Stand> }[] = []
  const highest = rank(most)
  for (const one of said) {
    if (months < one.from || months > one.to) continue
    const again = recent.size > 0 && recent.has(askKey(one.prompt.line, about))
    for (const n of one.targets) {
      const stand = heard.stand(n)
      if (stand === null || (again && !stand.due)) continue
      const top = Math.min(stand.start, highest)
      const above = one.level - top
      if (above > 1 || (above > 0 && top === highest)) continue
      const cost = 4 * stand.cost + (above > 0 ? 3 : -above)
      const known = found[(PLACE[n] ?? 0) - 1]
      if (!known) PLACE[n] = found.push({ n, cost, said: one, stand })
      else if (cost < known.cost) {
        known.cost = cost
        known.said = one
      }
    }
  }
  for (const { n } of found) PLACE[n] = 0
  const costs = found.map((b) => b.cost).sort((a, b) => a - b)
  const far = costs[OPTIONS_KEPT - 1] ?? Infinity
  const list: Candidate[] = []
  for (const { n, cost, said: of, stand } of found) {
    const { prompt, targets } = of
    // Most are too far from the edge: their words are not worked out.
    const wanted = (t: number): boolean => week.has(t) && heard.stand(t) !== null
    if (cost > far && !stand.due && !(week.size > 0 && targets.some(wanted))) continue
    const touches: string[] = []
    for (const t of targets) if (heard.stand(t) !== null) touches.push(targetId(t))
    const { edge, due, why } = stand
    list.push({
      child: index,
      target: targetId(n),
      touches,
      says: askKey(prompt.line, about),
      text: prompt.says,
      order: prompt.line.startsWith('order-'),
      prompt,
      task,
      all: said,
      why,
      cost: cost + dear,
      edge,
      due,
    })
  }
  return list
}
const targetId = (n: number): string => must(TARGETS[n], `target ${n}`).id
/** Where a target stands among those that were found, from 1; 0 where it is not. Cleared after each use. */
const PLACE = new Uint16Array(TARGETS.length)
