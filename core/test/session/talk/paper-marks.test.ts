/** The children's own marks on paper: as many boxes as turns, guesses as they are asked, a tally at the tasting. */
import { describe, expect, it } from 'vitest'
import { markRows } from '../../../src/session/talk/paper-marks'
import { tables } from './tables'

describe('marks on paper', () => {
  it('have a box a turn of a bowl, in order, and a tally wherever there is a tasting', () => {
    let lines = 0
    for (const { plan, slots, recipe } of tables())
      for (const { step } of plan.schedule) {
        const said = slots.filter((s) => s.step === step).flatMap((s) => s.lines)
        const rows = markRows(plan, step, said)
        const turns = rows.filter((r) => r.title.startsWith('turns'))
        lines += turns.length
        for (const r of turns) {
          expect(r.boxes.map(Number), recipe.id).toEqual(r.boxes.map((_, i) => i + 1))
          expect(r.boxes.length).toBeLessThanOrEqual(20)
        }
        const tasted = plan.tasks.some((t) => t.step === step && t.technique === 'taste')
        expect(
          rows.some((r) => r.boxes.includes('not today')),
          `${recipe.id} ${step}`,
        ).toBe(tasted)
        expect(rows.filter((r) => r.title === 'our guesses')).toHaveLength(said.filter((l) => l.guess).length)
      }
    expect(lines).toBeGreaterThan(100)
  })
  it('have none before the first step', () => {
    const [t] = tables()
    expect(t && markRows(t.plan, null)).toEqual([])
  })
})
