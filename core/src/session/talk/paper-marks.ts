/** Boxes on paper for the children's own marks: a line of turns to cross off, guesses, and a tally of what was liked. */
import type { TalkLine } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'
import { TASTES, TASTE_WORDS } from '../event'

export interface MarkRow {
  title: string
  /** What stands over each box, in order. */
  boxes: string[]
}
/** A line of more turns than these is no line for a child. */
const TURNS_MOST = 20

/**
 * @param step null before the first and after the last: nothing is marked there
 * @param lines what is said at it, for its guesses
 */
export function markRows(plan: Plan, step: string | null, lines: readonly TalkLine[] = []): MarkRow[] {
  if (step === null) return []
  const tasks = plan.tasks.filter((t) => t.step === step)
  const rows: MarkRow[] = []
  for (const bowl of plan.bowls) {
    const own = new Set(
      tasks
        .filter((t) => t.bowl === bowl.id && t.mode === 'TURNS' && t.technique !== 'taste')
        .map((t) => t.id),
    )
    const n = plan.turns.filter((t) => own.has(t.task)).length
    if (n < 2 || n > TURNS_MOST) continue
    const title = plan.bowls.length > 1 ? `turns, ${bowl.name}` : 'turns'
    rows.push({ title, boxes: Array.from({ length: n }, (_, i) => String(i + 1)) })
  }
  for (const { guess } of lines) if (guess) rows.push({ title: 'our guesses', boxes: [...guess.options] })
  if (tasks.some((t) => t.technique === 'taste'))
    rows.push({ title: 'what we think of it', boxes: TASTES.map((t) => TASTE_WORDS[t]) })
  return rows
}
