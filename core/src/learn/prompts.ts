/**
 * Prompts for a child: one fact, said at four levels from showing to an open question, with its answer and its target.
 * A number that the child cannot be expected to count is not asked. Source of levels and ages: learning.md D (common practice,
 * from memory).
 */
import { ratio } from '../amount/ratio'
import { answerFact } from './fact/answer'
import { SUPPORT_LEVELS, type SupportLevel, type TalkRule } from './levels'
import type { Fact } from './facts'

export interface Prompt {
  level: SupportLevel
  says: string
  answer: string
  target: string
}

/**
 * The level to begin with at an age: comment more under 3, ask more later; a setting that asks more begins one level up, one that
 * comments more one level down.
 */
export function startLevel(months: number, rule: TalkRule = 'by-age'): SupportLevel {
  const byAge = months < 36 ? 0 : months < 48 ? 1 : months < 84 ? 2 : 3
  const moved = byAge + (rule === 'ask' ? 1 : rule === 'comment' ? -1 : 0)
  return SUPPORT_LEVELS[Math.max(0, Math.min(SUPPORT_LEVELS.length - 1, moved))] ?? 'model'
}

/**
 * What to say of a fact to a child of that age: the levels from showing to open, and within a level from easy to hard.
 * Each stands once; what the age cannot reach is left out.
 */
export function promptsFor(fact: Fact, months: number): Prompt[] {
  const { prompts } = answerFact(fact, months)
  return [...prompts].sort(
    (a, b) =>
      SUPPORT_LEVELS.indexOf(a.level) - SUPPORT_LEVELS.indexOf(b.level) || a.fromMonths - b.fromMonths,
  )
}

/** Where to begin: the level for the age, or the next easier one of which there is a prompt; the easiest where none is. */
export function beginAt(prompts: readonly Prompt[], level: SupportLevel): SupportLevel {
  const wanted = SUPPORT_LEVELS.indexOf(level)
  const easier = prompts.map((p) => SUPPORT_LEVELS.indexOf(p.level)).filter((l) => l <= wanted)
  return SUPPORT_LEVELS[Math.max(0, ...easier)] ?? 'model'
}

/** The numbers a prompt asks a child to say: none may lie above what the group counts to, below the open level. */
export const largestNumber = (fact: Fact): number => {
  if (fact.kind === 'scoop') return Number(ratio(fact.target).div(fact.measure).ceil().toFraction())
  if (fact.kind === 'count') return fact.n
  if (fact.kind === 'order') return 1
  return fact.kind === 'share' ? Math.max(fact.n, fact.people) : 10
}
