/** For how many a food of a free choice is laid out, and bought. */
import { mayHave, takersOf, type PlanChoice } from '../model/choice'
import type { Bowl } from '../model/line'

export interface Takers {
  /** Laid out for so many. */
  n: number
  /** Of so many who may have it. */
  of: number
}

/** So many more than are reckoned to take of it, where what each takes is still open. */
function spread(children: readonly string[], line: string, choice: PlanChoice): number {
  const open = choice.offers.filter((o) => children.includes(o.child) && o.lines.includes(line) && !o.settled)
  const variance = open.reduce((sum, o) => {
    const p = Math.min(1, choice.take / o.lines.length)
    return sum + p * (1 - p)
  }, 0)
  return Math.ceil(Math.sqrt(variance))
}

/**
 * Those who are reckoned to take of it, and a few more over all bowls for who changes its mind: the spread of a free draw, one standard deviation
 * upward, so that it runs out at about one table in six. What was settled is as it was said. An own pot is filled from what lies in the middle:
 * nothing more is laid into it than its child takes.
 * Source: the normal approximation of the binomial (any handbook of statistics); that one in six will do is common practice, from memory.
 * @param line id of the recipe's line
 * @returns by bowl; null where it is no line of a free choice
 */
export function takersByBowl(
  bowls: readonly Pick<Bowl, 'id' | 'children'>[],
  line: string,
  choices: readonly PlanChoice[],
): Map<string, Takers> | null {
  const choice = choices.find((c) => c.lines.some((l) => l.line === line))
  const picks = takersOf(choices, line)
  if (!choice || !picks) return null
  const by = new Map<string, Takers>(
    bowls.map((b) => [
      b.id,
      {
        n: b.children.filter((c) => picks.includes(c)).length,
        of: b.children.filter((c) => mayHave(choices, line, c)).length,
      },
    ]),
  )
  const shared = bowls.filter((b) => b.children.length > 1)
  let more = spread(
    shared.flatMap((b) => b.children),
    line,
    choice,
  )
  while (more > 0) {
    const open = shared.flatMap((b) => by.get(b.id) ?? []).filter((t) => t.n < t.of)
    if (open.length === 0) break
    for (const takers of open.slice(0, more)) takers.n += 1
    more -= Math.min(more, open.length)
  }
  return by
}

/** What lies in the middle beside own pots: so many portions more than they are reckoned to take. */
export function spareFor(
  bowls: readonly Pick<Bowl, 'children'>[],
  line: string,
  choices: readonly PlanChoice[],
): number {
  const choice = choices.find((c) => c.lines.some((l) => l.line === line))
  const alone = bowls.filter((b) => b.children.length === 1).flatMap((b) => b.children)
  if (!choice || alone.length < 2) return 0
  const may = alone.filter((c) => mayHave(choices, line, c)).length
  const picks = takersOf(choices, line)?.filter((c) => alone.includes(c)).length ?? 0
  return Math.min(may - picks, spread(alone, line, choice))
}
