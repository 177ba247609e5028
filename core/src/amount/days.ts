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

/** `2026-11-26` -> `"26/11"`, for the foot of a chart. */
export const shortDay = (date: IsoDate): string => date.slice(5).split('-').reverse().join('/')

/** The day so many days later. */
export function dayAfter(date: IsoDate, days: number): IsoDate {
  let [y = 0, m = 1, d = 1] = date.split('-').map(Number)
  d += days
  const length = (): number =>
    m === 2
      ? y % 4 === 0 && (y % 100 !== 0 || y % 400 === 0)
        ? 29
        : 28
      : [4, 6, 9, 11].includes(m)
        ? 30
        : 31
  while (d > length()) {
    d -= length()
    m = m === 12 ? 1 : m + 1
    if (m === 1) y += 1
  }
  while (d < 1) {
    m = m === 1 ? 12 : m - 1
    if (m === 12) y -= 1
    d += length()
  }
  return `${String(y).padStart(4, '0')}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`
}

/** 0 is Monday. */
export const weekdayOf = (date: IsoDate): number => (((dayNumber(date) + 1) % 7) + 7) % 7
