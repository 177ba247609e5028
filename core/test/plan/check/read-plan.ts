/** Plans of recipes that are typed in, for a group of four: what each test of heat and raw food asks of them. */
import { expect } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import { readRecipe } from '../../../src/recipe/text/read-recipe'
import { child, request } from '../../group'

const AGES = { a: 44, b: 50, c: 62, d: 90 }
export const asked = (lines: string[], steps: string[], country: 'uk' | 'us' = 'uk') => {
  const text = ['Something', 'Serves 4', ...lines, ...steps.map((s, i) => `${i + 1}. ${s}`)].join('\n')
  const base = request(Object.entries(AGES).map(([id, months]) => child(id, months)))
  return { ...base, recipe: readRecipe(text).recipe, rules: { ...base.rules, country } }
}
export const planOf = (...of: Parameters<typeof asked>) => {
  const of_ = asked(...of)
  const plan = compile(of_)
  expect(breaches(plan, of_)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
/** Who has a turn at a technique, in any step or in the one that is named. */
export const hands = (plan: Plan, technique: string, step = '') =>
  [
    ...new Set(
      plan.turns
        .filter((t) =>
          plan.tasks.some((k) => k.id === t.task && k.technique === technique && k.step.includes(step)),
        )
        .map((t) => t.child),
    ),
  ]
    .sort()
    .join('')
export const rules = (plan: Plan) => plan.findings.map((f) => `${f.rule} ${f.grade}`)

export const BURGERS = ['400 g beef mince', '1 onion, finely chopped', '1 egg']
