/** Days that are offered for a session: today and those that come, of a nursery its weekdays. */
import { dayAfter, type IsoDate, weekdayOf } from '../amount/days'

const LOOK_AHEAD = 9
const OFFERED = 5

/** @param kind of the setting; a nursery is closed on Saturday and Sunday (common practice) */
export function nearDays(today: IsoDate, kind?: string): IsoDate[] {
  return Array.from({ length: LOOK_AHEAD }, (_, i) => dayAfter(today, i))
    .filter((d) => kind !== 'nursery' || weekdayOf(d) < 5)
    .slice(0, OFFERED)
}

/** Those of them after today that have no session yet. @param taken days of sessions */
export const freeDays = (today: IsoDate, kind: string | undefined, taken: readonly IsoDate[]): IsoDate[] =>
  nearDays(today, kind).filter((d) => d !== today && !taken.includes(d))
