/** Own bowls take about as long as one for all: an adult's work is parted with what is in them, and not done again for each. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { SHIPPED_RECIPES } from '../../../src/recipe/shipped'
import { child, recipeOf, request } from '../../group'

const planOf = (
  recipe: (typeof SHIPPED_RECIPES)[number],
  grouping: 'together' | 'groups' | 'own',
  n = 8,
): Plan => {
  const base = request(
    Array.from({ length: n }, (_, i) => child(`c${i}`, 52 + 2 * i)),
    { recipe },
  )
  return compile({ ...base, rules: { ...base.rules, grouping } })
}
/** By an adult's hand, without what it shows. */
const adultSeconds = (plan: Plan): number =>
  plan.tasks
    .filter((t) => t.mode === 'ADULT' && t.shows === undefined)
    .filter(
      (t, i, all) =>
        all.findIndex((o) => o.step === t.step && o.technique === t.technique && o.bowl === t.bowl) === i,
    )
    .reduce((n, t) => n + t.seconds, 0)

describe('own bowls', () => {
  it.each(SHIPPED_RECIPES.map((r) => [r.id, r] as const))(
    '%s takes at most a quarter longer than one bowl',
    (_, recipe) => {
      const together = planOf(recipe, 'together')
      expect(planOf(recipe, 'own').totals.seconds).toBeLessThanOrEqual(1.25 * together.totals.seconds)
      expect(planOf(recipe, 'groups').totals.seconds).toBeLessThanOrEqual(1.25 * together.totals.seconds)
    },
  )
  it('an adult fries as long for eight bowls as for one, and sets up each', () => {
    const recipe = recipeOf('pea-fritters')
    const one = adultSeconds(planOf(recipe, 'together'))
    const own = adultSeconds(planOf(recipe, 'own'))
    expect(own).toBeGreaterThanOrEqual(one)
    expect(own).toBeLessThanOrEqual(one + 8 * 3 * 20)
  })
})
