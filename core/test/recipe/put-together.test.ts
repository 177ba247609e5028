/** Several small things as one recipe: it plans, buys and checks what its parts do, and washes once. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ratio } from '../../src/amount/ratio'
import { breaches } from '../../src/plan/check/check'
import { planFault } from '../../src/plan/check/fields/plan-fields'
import { compile } from '../../src/plan/compile'
import { MOST_TOGETHER, putTogether } from '../../src/recipe/put-together'
import type { Recipe } from '../../src/recipe/recipe'
import { SHIPPED_RECIPES } from '../../src/recipe/shipped'
import { recipeSchema } from '../../src/schema/index'
import { child, recipeOf, request } from '../group'

const EVERYWHERE = ['oven', 'hob', 'fridge', 'freezer', 'sink', 'scale', 'fire', 'grill', 'microwave']
const planned = (recipe: Recipe, n = 4, more: object = {}) => {
  const kids = Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + 4 * i))
  const base = request(kids, { recipe, ...more })
  const of = { ...base, kit: { ...base.kit, equipment: EVERYWHERE } }
  const plan = compile(of)
  expect(breaches(plan, of)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
const small = SHIPPED_RECIPES.filter(
  (r) => !('refused' in putTogether([r, recipeOf('cucumber-mint-raita')], 'x')),
)
const whole = (parts: readonly Recipe[]): Recipe => {
  const made = putTogether(parts, 'own:together')
  if ('refused' in made) throw new Error(made.refused)
  return made
}
const foodsOf = (recipe: Recipe): Map<string, string> => {
  const all = new Map<string, string>()
  for (const l of recipe.lines) {
    const key = `${l.food} ${l.unit}`
    const each = ratio(l.amount).div(recipe.serves)
    all.set(key, each.add(all.get(key) ?? 0).toFraction())
  }
  return all
}

describe('several recipes as one', () => {
  it('keep the schema, plan without a breach, and each child has of each food what it has in the parts', async () => {
    expect(small.length).toBeGreaterThan(8)
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.constantFrom(...small), { minLength: 2, maxLength: 3, selector: (r) => r.id }),
        fc.constantFrom('together', 'groups', 'own'),
        async (parts, grouping) => {
          const made = whole(parts)
          expect(await recipeSchema.validate(made, { stripUnknown: true })).toEqual(made)
          const sum = new Map<string, string>()
          for (const p of parts)
            for (const [food, each] of foodsOf(p))
              sum.set(
                food,
                ratio(each)
                  .add(sum.get(food) ?? 0)
                  .toFraction(),
              )
          expect(foodsOf(made)).toEqual(sum)
          planned(made, 4, { rules: { ...request([]).rules, grouping } })
        },
      ),
      { numRuns: 25 },
    )
  })
  it('are refused in words where they are more than one recipe may hold, never made into one that cannot be kept', () => {
    const raita = recipeOf('cucumber-mint-raita')
    const long = {
      ...raita,
      equipment: Array.from({ length: 29 }, (_, i) => `thing ${i}`),
      themes: Array.from({ length: 12 }, (_, i) => ({ kind: 'other' as const, name: `theme ${i}` })),
    }
    expect(putTogether([long, recipeOf('beetroot-bean-dip')], 'own:x')).toEqual({
      refused: 'Together they have more things than one recipe may: 30 at most.',
    })
    const made = putTogether([{ ...long, equipment: [] }, recipeOf('beetroot-bean-dip')], 'own:x')
    expect('refused' in made ? made.refused : recipeSchema.isValidSync(made)).toBe(true)
  })
  it('wash once at the beginning, and taste once at the end', () => {
    const made = whole([
      recipeOf('cucumber-mint-raita'),
      recipeOf('beetroot-bean-dip'),
      recipeOf('rice-balls-seed-coat'),
    ])
    const washes = made.steps.map((s) => s.tasks.every((t) => t.technique === 'wash-hands'))
    expect(washes.filter(Boolean).length).toBe(1)
    expect(washes[0]).toBe(true)
    const tasting = made.steps.flatMap((s, i) => (s.tasks.some((t) => t.technique === 'taste') ? [i] : []))
    expect(tasting.at(-1)).toBe(made.steps.length - 1)
    expect(tasting.filter((i) => i < made.steps.length - 1 && made.steps[i]?.uses.length === 0)).toEqual([])
  })
  it('one allergy is found whichever part it is in', () => {
    const made = whole([recipeOf('beetroot-bean-dip'), recipeOf('cucumber-mint-raita')])
    const kids = [
      child('a', 60, { concerns: [{ allergen: 'milk', level: 'allergy-strict' as const }] }),
      child('b', 62),
    ]
    const base = request(kids, { recipe: made })
    const plan = compile({ ...base, kit: { ...base.kit, equipment: EVERYWHERE } })
    expect(plan.findings.some((f) => f.grade === 'stop' && f.touches.some((t) => t.child === 'a'))).toBe(true)
  })
  it('are refused with the reason', () => {
    const says = (parts: readonly Recipe[]): string => {
      const made = putTogether(parts, 'x')
      return 'refused' in made ? made.refused : ''
    }
    expect(says([recipeOf('cucumber-mint-raita')])).toContain('two recipes')
    expect(says(small.slice(0, MOST_TOGETHER + 1))).toContain(`at most ${MOST_TOGETHER}`)
    expect(says([recipeOf('overnight-oats-pear'), recipeOf('beetroot-bean-dip')])).toContain('two sittings')
    expect(says([recipeOf('cornbread-squares'), recipeOf('beetroot-bean-dip')])).toContain('tin')
    expect(
      says([{ ...recipeOf('beetroot-bean-dip'), steps: [] }, recipeOf('cucumber-mint-raita')]),
    ).toContain('no steps')
  })
})
