/** Calendar days, without a clock: of the Gregorian calendar, as `YYYY-MM-DD`. */
import { must } from './must'

export type IsoDate = string

/** Days of a month, 1 to 12, of the Gregorian calendar. */
export function daysInMonth(year: number, month: number): number {
  if (month === 2) return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28
  return [4, 6, 9, 11].includes(month) ? 30 : 31
}

/** Is it a time zone that is known here: `Europe/London` (IANA)? */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** Is there such a day, of this century, written `YYYY-MM-DD`? */
export function isCalendarDay(text: string): boolean {
  const m = /^(20\d\d)-(\d\d)-(\d\d)$/.exec(text)
  if (!m) return false
  const [year, month, day] = [Number(m[1]), Number(m[2]), Number(m[3])]
  return month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)
}

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
  const length = (): number => daysInMonth(y, m)
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

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
)
const monthName = (date: string): string => must(MONTHS[Number(date.slice(5, 7)) - 1], 'a month')

/** A day in words: "Thursday 26 November", with the year where it may be another one. */
export const longDay = (date: IsoDate, year?: 'with year'): string =>
  [
    must(WEEKDAYS[weekdayOf(date)], 'a day of the week'),
    Number(date.slice(8, 10)),
    monthName(date),
    ...(year ? [date.slice(0, 4)] : []),
  ].join(' ')

/** A month in words, from `YYYY-MM`: "April 2022". */
export const monthText = (month: string): string => `${monthName(month)} ${month.slice(0, 4)}`

const LOOK_AHEAD = 9
const OFFERED = 5

/** The days that are offered for a session, today first. @param kind of the setting; a nursery is closed on Saturday and Sunday (common practice) */
export function nearDays(today: IsoDate, kind?: string): IsoDate[] {
  return Array.from({ length: LOOK_AHEAD }, (_, i) => dayAfter(today, i))
    .filter((d) => kind !== 'nursery' || weekdayOf(d) < 5)
    .slice(0, OFFERED)
}

/** Those of them after today that have no session yet. @param taken days of sessions */
export const freeDays = (today: IsoDate, kind: string | undefined, taken: readonly IsoDate[]): IsoDate[] =>
  nearDays(today, kind).filter((d) => d !== today && !taken.includes(d))
