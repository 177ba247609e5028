/** Questions that somebody at this table was asked in the last weeks: they do not come again so soon. */
import { daysBetween, type IsoDate } from '../../amount/days'
import type { DraftChild } from '../model/draft'

/** Days in which no question comes again. Source: design/talk.md 5 (common practice). */
const FRESH_AFTER = 21

/** @param today day of the session */
export function recentLines(people: readonly DraftChild[], today: IsoDate): ReadonlySet<string> {
  const recent = new Set<string>()
  for (const p of people)
    for (const [line, on] of Object.entries(p.talk?.lines ?? {})) {
      const days = daysBetween(on, today)
      if (days >= 0 && days <= FRESH_AFTER) recent.add(line)
    }
  return recent
}
