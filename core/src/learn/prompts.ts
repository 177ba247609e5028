/**
 * Prompts for a child: one fact, said at four levels from showing to an open question, with its answer and its targets.
 * A number that the child cannot be expected to count is not asked. Source of levels and ages: learning.md D (common practice,
 * from memory).
 */
import { ratio } from '../amount/ratio'
import { answerFact, answerTell, forAge, type FactPrompt } from './fact/answer'
import type { Locale } from './fact/saying'
import { SUPPORT_LEVELS, type SupportLevel } from './levels'
import type { Fact } from './facts'

export interface Prompt {
  level: SupportLevel
  says: string
  answer: string
  target: string
  /** Other targets that it touches. */
  also?: string[]
}

/** All that can be said of a fact, to whatever age. */
export const sayingsOf = (fact: Fact, locale?: Locale): FactPrompt[] =>
  fact.kind === 'tell' ? answerTell(fact.topic, fact.food) : answerFact(fact, undefined, locale).prompts

/**
 * What to say to a child of that age: the levels from showing to open, and within a level from easy to hard.
 * Each stands once; what the age cannot reach is left out. Below the hardest level there is always an easier one to step down to:
 * where the age has outgrown all of a level, the last of it that is in reach stands in.
 * @param all of one fact (`sayingsOf`)
 */
export function suited(all: readonly FactPrompt[], months: number): Prompt[] {
  const now = all.filter((p) => p.fromMonths <= months && months <= p.toMonths)
  const lost = SUPPORT_LEVELS.filter((level) => !now.some((p) => p.level === level))
  const easier = lost.flatMap((level) =>
    all
      .filter((p) => p.level === level && p.toMonths < months)
      .sort((a, b) => a.toMonths - b.toMonths)
      .slice(-1),
  )
  return [...now, ...easier]
    .sort((a, b) => rank(a.level) - rank(b.level) || a.fromMonths - b.fromMonths)
    .map((p) => {
      const { level, says, answer, target, also } = forAge(p, months)
      return { level, says, answer, target, ...(also && { also }) }
    })
}
const rank = (level: SupportLevel): number => SUPPORT_LEVELS.indexOf(level)

/** What to say of a fact to a child of that age. */
export const promptsFor = (fact: Fact, months: number, locale?: Locale): Prompt[] =>
  suited(sayingsOf(fact, locale), months)

/** Where to begin: the level for the age, or the next easier one of which there is a prompt; the easiest where none is. */
export function beginAt(prompts: readonly Prompt[], level: SupportLevel): SupportLevel {
  const easier = prompts.map((p) => rank(p.level)).filter((l) => l <= rank(level))
  return SUPPORT_LEVELS[Math.max(0, ...easier)] ?? 'model'
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
