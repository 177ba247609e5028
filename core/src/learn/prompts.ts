/**
 * Prompts for a child: one fact, said at four levels from showing to an open question, with its answer and its targets.
 * A number that the child cannot be expected to count is not asked. Source of levels and ages: learning.md D (common practice,
 * from memory).
 */
import { ratio } from '../amount/ratio'
import { answerFact, type FactPrompt } from './fact/answer'
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

/**
 * What to say of a fact to a child of that age: the levels from showing to open, and within a level from easy to hard.
 * Each stands once; what the age cannot reach is left out. Below the hardest level there is always an easier one to step down to:
 * where the age has outgrown all of a level, the last of it that is in reach stands in.
 */
export function promptsFor(fact: Fact, months: number, locale?: Locale): Prompt[] {
  const { prompts } = answerFact(fact, months, locale)
  const has = (level: SupportLevel): boolean => prompts.some((p) => p.level === level)
  const lost = SUPPORT_LEVELS.filter((level) => !has(level))
  const easier = lost.length > 0 ? supports(fact, months, lost, locale) : []
  return [...prompts, ...easier]
    .sort(
      (a, b) =>
        SUPPORT_LEVELS.indexOf(a.level) - SUPPORT_LEVELS.indexOf(b.level) || a.fromMonths - b.fromMonths,
    )
    .map(({ level, says, answer, target, also }) => ({ level, says, answer, target, ...(also && { also }) }))
}

/** Of each level that has nothing for the age: the last prompt that the age has outgrown. */
function supports(
  fact: Fact,
  months: number,
  levels: readonly SupportLevel[],
  locale?: Locale,
): FactPrompt[] {
  const outgrown = answerFact(fact, undefined, locale).prompts.filter((p) => p.toMonths < months)
  return levels.flatMap((level) => {
    const own = outgrown.filter((p) => p.level === level).sort((a, b) => a.toMonths - b.toMonths)
    return own.slice(-1)
  })
}

/** Where to begin: the level for the age, or the next easier one of which there is a prompt; the easiest where none is. */
export function beginAt(prompts: readonly Prompt[], level: SupportLevel): SupportLevel {
  const wanted = SUPPORT_LEVELS.indexOf(level)
  const easier = prompts.map((p) => SUPPORT_LEVELS.indexOf(p.level)).filter((l) => l <= wanted)
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
