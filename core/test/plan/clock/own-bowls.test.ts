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
  measures = 12,
): Plan => {
  const base = request(
    Array.from({ length: n }, (_, i) => child(`c${i}`, 52 + 2 * i)),
    { recipe },
  )
  const kit = { ...base.kit, measures: base.kit.measures.map((m) => ({ ...m, count: measures })) }
  return compile({ ...base, kit, rules: { ...base.rules, grouping } })
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
    '%s takes at most a quarter longer than one bowl, where there are measures enough',
    (_, recipe) => {
      const together = planOf(recipe, 'together')
      expect(planOf(recipe, 'own').totals.seconds).toBeLessThanOrEqual(1.25 * together.totals.seconds)
      expect(planOf(recipe, 'groups').totals.seconds).toBeLessThanOrEqual(1.25 * together.totals.seconds)
    },
  )
  it('one spoon is in one bowl at a time: with one of each it takes longer, and no measure is at two', () => {
    for (const id of ['overnight-oats-pear', 'cucumber-mint-raita', 'couscous-jars']) {
      const plan = planOf(recipeOf(id), 'own', 8, 1)
      expect(plan.totals.seconds).toBeGreaterThan(planOf(recipeOf(id), 'own').totals.seconds)
      const of = new Map(plan.tasks.map((t) => [t.id, t.measured]))
      for (const t of plan.turns) {
        const m = of.get(t.task)
        if (m?.by !== 'scoop') continue
        const beside = plan.turns.filter((o) => {
          const other = of.get(o.task)
          return (
            o.id !== t.id &&
            o.start <= t.start &&
            t.start < o.end &&
            other?.by === 'scoop' &&
            other.parts.some((p) => m.parts.some((q) => q.measure === p.measure))
          )
        })
        expect(beside.map((b) => b.id)).toEqual([])
      }
    }
  })
  it('an adult fries as long for eight bowls as for one, and sets up each', () => {
    const recipe = recipeOf('pea-fritters')
    const one = adultSeconds(planOf(recipe, 'together'))
    const own = adultSeconds(planOf(recipe, 'own'))
    expect(own).toBeGreaterThanOrEqual(one)
    expect(own).toBeLessThanOrEqual(one + 8 * 3 * 20)
  })
})
