/**
 * A session once more, for another day or another group. What was decided about the recipe goes along; what holds for one day or one
 * child only does not: packets are read again, written reasons are given again, pins and questions are for those who were there.
 */
import { inputsOf, type SessionInputs, type StoredSession } from './assemble'
import type { Decision } from '../plan/model/decision'

const OF_THE_RECIPE = new Set<Decision['kind']>([
  'swap',
  'leave-out',
  'shape',
  'measure',
  'scooping',
  'measuring',
  'make',
  'two-sittings',
  'rounds',
  'open-eyes',
  'idea',
  'quiet',
])

export interface CopyTo {
  date: string
  start: string
  until?: string | undefined
  children: string[]
  adults: string[]
}

/** @param to the other day and group; guests stay with the session they came to */
export function copySession(
  session: StoredSession,
  to: CopyTo,
): { inputs: SessionInputs; decisions: Decision[] } {
  const { recipe, seats } = inputsOf(session)
  return {
    inputs: {
      recipe,
      date: to.date,
      start: to.start,
      ...(to.until && { until: to.until }),
      children: [...to.children],
      guests: [],
      adults: [...to.adults],
      seats: seats.filter((id) => to.children.includes(id)),
    },
    decisions: session.decisions.filter((d) => OF_THE_RECIPE.has(d.kind)),
  }
}
