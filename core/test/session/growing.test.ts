import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dayAfter, weekdayOf } from '../../src/amount/days'
import { growingFault, LOOK_DAY_MOST, LOOKS_MOST, withLook } from '../../src/recipe/kinds/growing'
import type { Growing } from '../../src/recipe/kinds/kinds'
import { shippedOf } from '../../src/recipe/shipped'
import { recipeSchema } from '../../src/schema/recipe/recipe'
import { growsNow, heights, heightText, lookRows } from '../../src/session/growing'
import type { TableEvent } from '../../src/session/event'
import { replay } from '../../src/session/replay'

const CRESS = shippedOf('windowsill-cress')?.grows as Growing

const growing = fc
  .uniqueArray(fc.integer({ min: 1, max: LOOK_DAY_MOST }), { minLength: 1, maxLength: LOOKS_MOST })
  .map((days): Growing => ({
    what: 'cress',
    looks: [...days].sort((a, b) => a - b).map((day) => ({ day, says: `look ${day}` })),
  }))
const day = fc.integer({ min: 0, max: 800 }).map((n) => dayAfter('2026-01-05', n))
const look = (lamport: number, n: number, mm?: number): TableEvent => ({
  id: `00000000-0000-4000-8000-${String(lamport).padStart(12, '0')}`,
  device: 'd',
  lamport,
  at: '2026-11-27T09:00:00Z',
  kind: 'look',
  body: { day: n, ...(mm !== undefined && { mm }) },
})

describe('what grows on', () => {
  it('has a look on each of its days, by the calendar, in their order', () => {
    fc.assert(
      fc.property(growing, day, (grows, sown) => {
        const rows = lookRows(grows, sown)
        expect(rows.map((r) => r.date)).toEqual(grows.looks.map((l) => dayAfter(sown, l.day)))
      }),
    )
  })

  it('is looked at in a nursery on no Saturday and no Sunday, once a day, and no look is lost', () => {
    fc.assert(
      fc.property(growing, day, (grows, sown) => {
        const rows = lookRows(grows, sown, 'nursery')
        for (const r of rows) {
          expect(weekdayOf(r.date)).toBeLessThan(5)
          expect(dayAfter(sown, r.day)).toBe(r.date)
        }
        expect(new Set(rows.map((r) => r.date)).size).toBe(rows.length)
        const said = rows.map((r) => r.says).join(' ')
        for (const l of grows.looks) expect(said).toContain(l.says)
      }),
    )
  })

  it('is due today, or next, until the last look is over', () => {
    const sown = { session: 's', title: 'Cress', date: '2026-11-23', grows: CRESS }
    expect(growsNow([sown], '2026-11-23')).toEqual([])
    expect(growsNow([sown], '2026-11-24')[0]).toMatchObject({ day: 1, today: true })
    expect(growsNow([sown], '2026-11-26')[0]).toMatchObject({ day: 3, today: false, look: { day: 4 } })
    expect(growsNow([sown], '2026-12-01')[0]).toMatchObject({ today: true, look: { day: 8 } })
    expect(growsNow([sown], '2026-12-02')).toEqual([])
  })

  it('keeps what was seen and measured, the last word of a day standing, and says how much it grew', () => {
    const state = replay([look(1, 2, 4), look(2, 4, 11), look(3, 4, 13), look(4, 6)])
    const rows = lookRows(CRESS, '2026-11-23', undefined, state.looks)
    expect(heights(rows)).toEqual([
      { day: 2, mm: 4 },
      { day: 4, mm: 13 },
    ])
    expect(heightText(rows, 4)).toBe('13 mm high, 9 mm more than before')
    expect(heightText(rows, 6)).toBe('')
    expect(rows.find((r) => r.day === 6)?.seen).not.toBeNull()
  })

  it('can be written in any order of days, and never says two looks on one day', () => {
    expect(growingFault(withLook(CRESS, 4, { day: 3 }))).toBeNull()
    expect(withLook(CRESS, 9, {}).looks.at(-1)?.day).toBe(10)
    expect(growingFault({ looks: [CRESS.looks[0], CRESS.looks[0]].flatMap((l) => l ?? []) })).toMatch(/day 1/)
    expect(growingFault({ looks: [] })).not.toBeNull()
  })

  it('is refused by name where its days stand wrongly', async () => {
    const recipe = shippedOf('windowsill-cress')
    const looks = [...CRESS.looks].reverse()
    await expect(recipeSchema.validate({ ...recipe, grows: { ...CRESS, looks } })).rejects.toThrow(/days/)
    await expect(recipeSchema.validate({ ...recipe, grows: { what: 'x', looks: [] } })).rejects.toThrow(
      /[Ll]ook/,
    )
  })
})
