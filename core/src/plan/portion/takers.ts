/** For how many a food of a free choice is laid out, and bought. */
import { mayHave, takersOf, type PlanChoice } from '../model/choice'

export interface Takers {
  /** Laid out for so many. */
  n: number
  /** Of so many who may have it. */
  of: number
}

/**
 * Those who are reckoned to take of it, and a few more for who changes its mind: the spread of a free draw, one standard deviation upward, so that
 * it runs out at about one table in six. What was settled is as it was said.
 * Source: the normal approximation of the binomial (any handbook of statistics); that one in six will do is common practice, from memory.
 * @param line id of the recipe's line
 * @returns null where it is no line of a free choice
 */
export function takersIn(
  children: readonly string[],
  line: string,
  choices: readonly PlanChoice[],
): Takers | null {
  const choice = choices.find((c) => c.lines.some((l) => l.line === line))
  const picks = takersOf(choices, line)?.filter((c) => children.includes(c))
  if (!choice || !picks) return null
  const may = children.filter((c) => mayHave(choices, line, c))
  const open = choice.offers.filter((o) => may.includes(o.child) && !o.settled)
  const spread = open.reduce((sum, o) => {
    const p = Math.min(1, choice.take / Math.max(1, o.lines.length))
    return sum + p * (1 - p)
  }, 0)
  // An own pot is filled from what lies in the middle: nothing more is laid into it than its child takes.
  const more = children.length > 1 ? Math.ceil(Math.sqrt(spread)) : 0
  return { n: Math.min(may.length, picks.length + more), of: may.length }
}

/** What lies in the middle beside own pots, for the children of these: so many portions more than they are reckoned to take. */
export function spareFor(children: readonly string[], line: string, choices: readonly PlanChoice[]): number {
  const together = takersIn(children, line, choices)
  const each = children.reduce((n, c) => n + (takersIn([c], line, choices)?.n ?? 0), 0)
  return children.length > 1 && together ? Math.max(0, together.n - each) : 0
}
