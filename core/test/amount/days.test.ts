/** Days: counted and named by the Gregorian calendar, held against JavaScript's own calendar and Intl. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  dayAfter,
  daysBetween,
  daysInMonth,
  isCalendarDay,
  longDay,
  monthText,
  weekdayOf,
} from '../../src/amount/days'

const iso = (time: number): string => new Date(time).toISOString().slice(0, 10)
/** Days of 2000 to 2099. */
const day = fc.integer({ min: Date.UTC(2000, 0, 1) / 864e5, max: Date.UTC(2099, 11, 31) / 864e5 })

describe('a day', () => {
  it('is the one after so many others', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -400, max: 400 }), (at, more) => {
        expect(dayAfter(iso(at * 864e5), more)).toBe(iso((at + more) * 864e5))
        expect(daysBetween(iso(at * 864e5), iso((at + more) * 864e5))).toBe(more)
      }),
    )
  })
  it('is named as Intl names it', () => {
    const format = new Intl.DateTimeFormat('en-GB', {
      weekday: 'long',
      day: 'numeric',
      month: 'long',
      year: 'numeric',
      timeZone: 'UTC',
    })
    fc.assert(
      fc.property(day, (at) => {
        const date = new Date(at * 864e5)
        const text = iso(at * 864e5)
        expect(longDay(text, 'with year')).toBe(format.format(date).replace(',', ''))
        expect(weekdayOf(text)).toBe((date.getUTCDay() + 6) % 7)
        expect(format.format(date)).toContain(monthText(text.slice(0, 7)))
      }),
    )
    expect(longDay('2026-11-26')).toBe('Thursday 26 November')
  })
  it('is there, or it is not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2000, max: 2099 }),
        fc.integer({ min: 0, max: 14 }),
        fc.integer({ min: 0, max: 33 }),
        (y, m, d) => {
          const there = new Date(Date.UTC(y, m - 1, d))
          const same =
            there.getUTCMonth() === m - 1 && there.getUTCDate() === d && there.getUTCFullYear() === y
          expect(isCalendarDay(`${y}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`)).toBe(same)
        },
      ),
    )
    for (const none of ['', '2026-1-1', '1999-01-01', '2026-02-30 ', 'today'])
      expect(isCalendarDay(none)).toBe(false)
  })
  it('of February is the twenty-ninth every fourth year, but for most full centuries', () => {
    expect([2026, 2028, 2100, 2000].map((y) => daysInMonth(y, 2))).toEqual([28, 29, 28, 29])
  })
})
