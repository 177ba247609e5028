import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leftUses } from '../../../src/plan/gather/left-uses'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'

const shelf = SHIPPED_RECIPES.map((recipe) => ({ id: recipe.id, recipe }))
const foods = [...new Set(SHIPPED_RECIPES.flatMap((r) => r.lines.map((l) => l.food)))]
const row = (food: string, soon = false, left = true) => ({
  food,
  name: food,
  left: left ? { text: '100 g', keeps: 'x', soon } : null,
})

describe('what is left over', () => {
  it('is used by recipes that really hold it, never by this one, two at most, and only where something is left', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...foods), { minLength: 1, maxLength: 8 }),
        fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }),
        fc.constantFrom(...SHIPPED_RECIPES),
        (list, left, now) => {
          const rows = list.map((f, i) => row(f, i % 2 === 0, left[i]))
          const uses = leftUses(rows, shelf, now.id)
          for (const r of rows) {
            const own = uses.get(r.food) ?? []
            const could = shelf.filter(
              (s) => s.id !== now.id && s.recipe.lines.some((l) => l.food === r.food && !l.optional),
            )
            expect(own.length).toBe(r.left ? Math.min(2, could.length) : 0)
            for (const u of own) {
              expect(could.map((c) => c.id)).toContain(u.id)
              expect(u.uses).toContain(r.name)
            }
          }
        },
      ),
    )
  })

  it('is first used where it would be lost soonest, and where more of it goes', () => {
    const uses = leftUses([row('buttermilk', true), row('wheat-flour')], shelf, 'none')
    const first = uses.get('wheat-flour')?.[0]
    expect(first?.uses).toContain('buttermilk')
  })
})
