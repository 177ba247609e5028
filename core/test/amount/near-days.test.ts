/** Days that are offered: no nursery cooks on a Sunday, and no day is offered twice. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { freeDays, nearDays } from '../../src/amount/days'

const day = fc
  .date({ min: new Date('2024-01-01'), max: new Date('2032-12-31'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10))

describe('the days that are offered', () => {
  it('are five from today on; of a nursery none is a Saturday or a Sunday', () => {
    fc.assert(
      fc.property(day, fc.constantFrom('nursery', 'library', 'home', undefined), (today, kind) => {
        const days = nearDays(today, kind)
        expect(days).toHaveLength(5)
        expect([...days].sort()).toEqual(days)
        expect(new Set(days).size).toBe(5)
        expect(days.every((d) => d >= today)).toBe(true)
        if (kind !== 'nursery') return
        for (const d of days) expect([0, 6]).not.toContain(new Date(`${d}T12:00:00Z`).getUTCDay())
      }),
    )
  })
  it('are free where nothing is planned, and not today', () => {
    expect(freeDays('2026-11-26', 'nursery', ['2026-11-27'])).toEqual([
      '2026-11-30',
      '2026-12-01',
      '2026-12-02',
    ])
    expect(freeDays('2026-11-26', 'home', [])).toEqual([
      '2026-11-27',
      '2026-11-28',
      '2026-11-29',
      '2026-11-30',
    ])
  })
})
