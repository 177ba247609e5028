/** The three shelves of what is left to settle: every finding on one of them, once, and Cook said to be shut just while it is. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile, openStops } from '../../../src/plan/compile'
import { settleView } from '../../../src/plan/view/settle'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, recipeOf, request } from '../../group'

const drawn = fc.record({
  recipe: fc.constantFrom(...SHIPPED_RECIPES),
  months: fc.array(fc.integer({ min: 20, max: 120 }), { minLength: 1, maxLength: 6 }),
  allergen: fc.constantFrom('milk', 'egg', 'wheat', 'sesame', 'mustard'),
  level: fc.constantFrom('allergy-strict' as const, 'intolerance' as const, 'unknown' as const),
})

describe('what is left to settle', () => {
  it('every finding stands on one shelf, once; stops on the first', () => {
    fc.assert(
      fc.property(drawn, ({ recipe, months, allergen, level }) => {
        const plan = compile(
          request(
            months.map((m, i) => child(`c${i}`, m, i === 0 ? { concerns: [{ allergen, level }] } : {})),
            { recipe, effort: 'sketch' },
          ),
        )
        const view = settleView(plan)
        const ids = [...view.mustFix, ...view.folded.flatMap((s) => s.rows)].flatMap((r) =>
          r.findings.map((f) => f.id),
        )
        expect([...ids].sort()).toEqual(plan.findings.map((f) => f.id).sort())
        expect(view.mustFix.flatMap((r) => r.findings)).toEqual(openStops(plan))
        expect(view.title).toBe(
          view.mustFix.length > 0 ? `Must fix: ${view.mustFix.length}` : 'Ready to cook',
        )
        expect(/Cook opens/.test(view.says)).toBe(view.mustFix.length > 0)
      }),
      { numRuns: 40 },
    )
  })
  it('says one and many, and asks for nothing once cooking has begun', () => {
    const kids = [child('a', 60, { concerns: [{ allergen: 'milk', level: 'allergy-strict' }] })]
    const plan = compile(request(kids, { recipe: recipeOf('herb-soda-bread') }))
    const [stop] = openStops(plan)
    if (!stop) throw new Error('milk is in the bread')
    const others = plan.findings.filter((f) => f.grade !== 'stop')
    const says = (n: number): string =>
      settleView({
        ...plan,
        findings: [...others, ...Array.from({ length: n }, (_, i) => ({ ...stop, id: `${i}` }))],
      }).says
    expect(says(1)).toBe('Then Cook opens.')
    expect(says(2)).toBe('Then Cook opens.')
    expect(says(0)).toMatch(/^Two adults read every packet/)
    expect(settleView({ ...plan, findings: others }, true).title).toBe('Nothing to fix')
    expect(settleView(plan, true).says).toBe('')
  })
})
