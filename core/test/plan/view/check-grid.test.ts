/** The grid of Check: a column for whoever has something on the card, and for nobody else; no meeting is softened on the way to it. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import { checkHeads, checkKeyText, checkRows } from '../../../src/plan/view/check-grid'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, recipeOf, request } from '../../group'

const RANK = { lists: 0, may: 1, ask: 2, nothing: 3 }
const concern = fc.record({
  allergen: fc.constantFrom('milk', 'egg', 'wheat', 'sesame', 'lactose', 'our own word for it'),
  level: fc.constantFrom('allergy-strict' as const, 'intolerance' as const, 'unknown' as const),
})
const kid = fc.record({
  months: fc.integer({ min: 24, max: 110 }),
  concerns: fc.uniqueArray(concern, { maxLength: 3, selector: (c) => c.allergen }),
  diets: fc.subarray(['vegetarian', 'vegan'] as const, { maxLength: 1 }),
})

describe('the grid of Check', () => {
  it('has a column for each child with a concern or a diet, with all of them named', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES),
        fc.array(kid, { minLength: 1, maxLength: 6 }),
        (recipe, kids) => {
          const people = kids.map((k, i) =>
            child(`c${i}`, k.months, { concerns: k.concerns, diets: [...k.diets] }),
          )
          const plan = compile(request(people, { recipe, effort: 'sketch' }))
          const heads = new Map(checkHeads(plan).map((h) => [h.child, h.about]))
          for (const p of people) {
            const about = [...p.concerns.map((c) => c.allergen), ...p.diets.map((d) => `diet:${d}`)]
            expect(new Set(heads.get(p.id) ?? []), p.id).toEqual(new Set(about))
          }
          const none = people.filter((p) => p.concerns.length + p.diets.length === 0).length
          expect(checkKeyText(plan).includes('no allergy or diet')).toBe(none > 0)
          if (none > 0) expect(checkKeyText(plan)).toContain(`${none} child`)
        },
      ),
      { numRuns: 60 },
    )
  })
  it('each cell says the worst that was found of its line', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_RECIPES),
        fc.array(kid, { minLength: 1, maxLength: 4 }),
        (recipe, kids) => {
          const plan = compile(
            request(
              kids.map((k, i) => child(`c${i}`, k.months, { concerns: k.concerns, diets: [...k.diets] })),
              { recipe, effort: 'sketch' },
            ),
          )
          const rows = new Map(checkRows(plan).map((r) => [r.line, r.meetings]))
          for (const c of plan.checks)
            expect(RANK[rows.get(c.line)?.[c.child]?.meeting ?? 'nothing']).toBeLessThanOrEqual(
              RANK[c.meeting],
            )
        },
      ),
      { numRuns: 40 },
    )
  })
  it('packets are still to be read, however clear the grid is', () => {
    const plan = compile(request([child('a', 60)], { recipe: recipeOf('herb-soda-bread') }))
    expect(checkHeads(plan)).toEqual([])
    expect(checkKeyText(plan)).toMatch(/Two adults still read every packet today/)
    expect(checkKeyText(plan)).toMatch(/1 child has no allergy or diet on its card\.$/)
    expect(checkKeyText(plan)).not.toMatch(/\bsafe\b/)
  })
})
