/** What a session sowed, day by day: when one looks at it, what was seen, and how high it stood. */
import { type IsoDate, dayAfter, daysBetween, weekdayOf } from '../amount/days'
import type { Growing } from '../recipe/kinds/kinds'
import type { TableState } from './replay'

/** One look: on its day, and what was seen then. */
export interface LookRow {
  day: number
  date: IsoDate
  says: string
  seen: { at: string; says?: string; mm?: number } | null
}

/**
 * The looks with their dates. In a nursery one that falls on a Saturday or Sunday is taken on the Monday after it; two on one day are one.
 * @param sown day of the session
 * @param kind of the setting
 */
export function lookRows(
  { looks }: Pick<Growing, 'looks'>,
  sown: IsoDate,
  kind?: string,
  seen: TableState['looks'] = {},
): LookRow[] {
  const rows = looks.map(({ day, says }): LookRow => {
    const date = dayAfter(sown, day)
    const closed = kind === 'nursery' ? Math.max(0, weekdayOf(date) - 4) : 0
    const shift = closed === 0 ? 0 : 3 - closed
    return { day: day + shift, date: dayAfter(date, shift), says, seen: seen[day + shift] ?? null }
  })
  const days = [...new Set(rows.map((r) => r.day))]
  return days.flatMap((day) => {
    const here = rows.filter((r) => r.day === day)
    const [first] = here
    return first ? [{ ...first, says: here.map((r) => r.says).join(' ') }] : []
  })
}

/** The look that is due, or the last that was passed over; null where none is. */
export const dueLook = (rows: readonly LookRow[], today: IsoDate): LookRow | null =>
  rows.findLast((l) => l.date <= today && l.seen === null) ?? null

/** What grows in a setting today. */
export interface GrowsNow {
  session: string
  title: string
  what: string
  /** Days since it was sown. */
  day: number
  /** The look of today, or the next one. */
  look: LookRow
  today: boolean
}
/** Sessions whose sowing is still looked at, those of today first. @param sown sessions that were cooked, with what grows */
export function growsNow(
  sown: readonly { session: string; title: string; date: IsoDate; grows: Growing }[],
  today: IsoDate,
  kind?: string,
): GrowsNow[] {
  const rows = sown.flatMap(({ session, title, date, grows }): GrowsNow[] => {
    const look = lookRows(grows, date, kind).find((r) => r.date >= today)
    if (!look || date >= today) return []
    return [
      { session, title, what: grows.what, day: daysBetween(date, today), look, today: look.date === today },
    ]
  })
  return rows.sort((a, b) => (a.look.date < b.look.date ? -1 : a.look.date > b.look.date ? 1 : 0))
}

/** How high it stood, look by look, for a chart; millimetres. */
export const heights = (rows: readonly LookRow[]): { day: number; mm: number }[] =>
  rows.flatMap((r) => (r.seen?.mm === undefined ? [] : [{ day: r.day, mm: r.seen.mm }]))

/** "28 mm high, 9 mm more than before"; '' where it was not measured. */
export function heightText(rows: readonly LookRow[], day: number): string {
  const list = heights(rows).filter((h) => h.day <= day)
  const now = list.at(-1)
  if (now?.day !== day) return ''
  const before = list.at(-2)
  const more = before ? now.mm - before.mm : 0
  const grown = !before ? '' : more > 0 ? `, ${more} mm more than before` : ', no higher than before'
  return `${now.mm} mm high${grown}`
}
