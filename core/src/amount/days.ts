/** Calendar days, without a clock: of the Gregorian calendar, as `YYYY-MM-DD`. */
export type IsoDate = string

/** Days from one calendar day to another; less than 0 where the second comes first. */
export const daysBetween = (from: IsoDate, to: IsoDate): number => dayNumber(to) - dayNumber(from)

/** Days since 1 March of the year 0. Source: the usual count with the year begun in March, so that the leap day comes last. */
function dayNumber(date: IsoDate): number {
  const [y = 0, m = 1, d = 1] = date.split('-').map(Number)
  const year = m > 2 ? y : y - 1
  const month = m > 2 ? m - 3 : m + 9
  const leaps = Math.floor(year / 4) - Math.floor(year / 100) + Math.floor(year / 400)
  return 365 * year + leaps + Math.floor((153 * month + 2) / 5) + d
}
