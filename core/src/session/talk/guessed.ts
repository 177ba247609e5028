/** Guesses and what they came to, and what was said looking back. */
import { guessAsked, guessLookedAt } from '../../learn/line/guesses'
import type { GuessAsk } from '../../learn/line/line'
import { LOOK_BACK_LINES } from '../../learn/line/looking-back'
import type { Locale } from '../../learn/fact/saying'
import type { Plan } from '../../plan/model/plan'
import type { TableState } from '../replay'
import { scriptOf } from './script'

export interface GuessedRow {
  guess: string
  /** What was asked, as it was said. */
  asked: string
  truth?: string
  by: { child: string; says: string; line: string }[]
}

/** What a guess was asked with, of this plan; the plain words where the plan has it no more. */
function askedIn(plan: Plan, guess: string): { says: string; truth?: string } {
  for (const slot of scriptOf(plan))
    for (const l of slot.lines)
      if (l.guess?.id === guess)
        return { says: l.says, ...(l.guess.truth !== undefined && { truth: l.guess.truth }) }
  return { says: guessAsked(guess) }
}

/** Every guess that this plan asks, by its id. */
export const guessAsks = (plan: Plan): Map<string, GuessAsk> =>
  new Map(
    scriptOf(plan).flatMap((s) => s.lines.flatMap((l) => (l.guess ? [[l.guess.id, l.guess] as const] : []))),
  )

/** Every guess of a session with who said what; "You said 6. It was 5." where it is known. */
export const guessedRows = (plan: Plan, state: Pick<TableState, 'guesses'>): GuessedRow[] =>
  Object.entries(state.guesses).map(([guess, { by, truth: seen }]) => {
    const { says: asked, truth: counted } = askedIn(plan, guess)
    const truth = seen ?? counted
    const locale: Locale = plan.locale ?? 'en-GB'
    return {
      guess,
      asked,
      ...(truth !== undefined && { truth }),
      by: Object.entries(by).map(([child, says]) => ({
        child,
        says,
        line: truth === undefined ? `You said ${says}.` : guessLookedAt(guess, says, truth, locale),
      })),
    }
  })

/** What was asked looking back. */
export const lookBackAsked = (line: string): string =>
  LOOK_BACK_LINES.find((l) => l.id === line)?.says ?? line
