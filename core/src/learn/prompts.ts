/**
 * Prompts for a child: one fact, said at four levels from showing to an open question, with its answer and its targets.
 * A number that the child cannot be expected to count is not asked. Source of levels and ages: learning.md D (common practice,
 * from memory).
 */
import { ratio } from '../amount/ratio'
import { answerFact, answerTell, forAge, type FactPrompt } from './fact/answer'
import { tellValues } from './line/food-card'
import type { Locale } from './fact/saying'
import { SUPPORT_LEVELS, type SupportLevel } from './levels'
import type { Fact } from './facts'

export interface Prompt {
  level: SupportLevel
  /** Id of the question; not there in plans of an earlier version. */
  line?: string
  says: string
  answer: string
  target: string
  /** Other targets that it touches. */
  also?: string[]
}

/** All that can be said of a fact, to whatever age. */
export const sayingsOf = (fact: Fact, locale?: Locale): FactPrompt[] =>
  fact.kind === 'tell'
    ? 'about' in fact
      ? answerTell(fact.about, tellValues(fact, locale), locale)
      : []
    : answerFact(fact, undefined, locale).prompts

/**
 * What can be asked of a child of that age: question by question, each from its easiest rung to the open one. A rung that the age cannot
 * reach is left out.
 * @param all of one fact (`sayingsOf`)
 */
const suited = (all: readonly FactPrompt[], months: number): Prompt[] =>
  all
    .filter((p) => p.fromMonths <= months && months <= p.toMonths)
    .map((p) => {
      const { level, line, says, answer, target, also } = forAge(p, months)
      return { level, line, says, answer, target, ...(also && { also }) }
    })
const rank = (level: SupportLevel): number => SUPPORT_LEVELS.indexOf(level)

/** What to ask of a fact at that age. */
export const promptsFor = (fact: Fact, months: number, locale?: Locale): Prompt[] =>
  suited(sayingsOf(fact, locale), months)

/** One question in its rungs, the easiest first: the way down is always the same question made easier. */
export const rungsOf = (prompts: readonly Prompt[], line: string | undefined): Prompt[] =>
  line === undefined
    ? []
    : prompts.filter((p) => p.line === line).sort((a, b) => rank(a.level) - rank(b.level))

/** Where to begin: the rung of that level, or the next easier one there is. */
export function beginAt(rungs: readonly Prompt[], level: SupportLevel): number {
  let at = 0
  rungs.forEach((p, i) => {
    if (rank(p.level) <= rank(level)) at = i
  })
  return at
}

/** The numbers a prompt asks a child to say: none may lie above what the group counts to, below the open level. */
export const largestNumber = (fact: Fact): number => {
  switch (fact.kind) {
    case 'scoop':
      return Number(ratio(fact.target).div(fact.measure).ceil().toFraction())
    case 'count':
      return fact.n
    case 'share':
      return Math.max(fact.n, fact.people)
    case 'vessel':
      return fact.parts.reduce((n, p) => n + p.n, 0)
    case 'tin':
      return fact.rows * fact.cols
    case 'cut':
      return fact.items * fact.pieces
    case 'timer':
      return 10
    default:
      return 1
  }
}
