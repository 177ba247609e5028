/** A soup into which each child chooses: a group for it, and its plan as the checker and the fields of a plan let it stand. */
import { expect } from 'vitest'
import { breaches } from '../../../src/plan/check/check'
import { planFault } from '../../../src/plan/check/fields/plan-fields'
import { compile } from '../../../src/plan/compile'
import type { Plan } from '../../../src/plan/model/plan'
import type { PlanChild, PlanRequest } from '../../../src/plan/model/request'
import { child, recipeOf, request } from '../../group'

export const SOUP = recipeOf('soup-of-my-own')
export const LEVELS = ['allergy-strict', 'anaphylaxis-risk', 'intolerance', 'preference'] as const

export function soundPlan(r: PlanRequest): Plan {
  const plan = compile(r)
  expect(breaches(plan, r)).toEqual([])
  expect(planFault(plan)).toBeNull()
  return plan
}
/** @param more of the first of them */
export const soupKids = (n: number, more: Partial<PlanChild> = {}): PlanChild[] =>
  Array.from({ length: n }, (_, i) => child(`c${i}`, 50 + i, i === 0 ? more : {}))
export const soupFor = (people: PlanChild[], more: Partial<PlanRequest> = {}): PlanRequest =>
  request(people, { recipe: SOUP, ...more })
export const offerTo = (plan: Plan, who: string) => plan.choices?.[0]?.offers.find((o) => o.child === who)
export const milkCard = (level: (typeof LEVELS)[number]): Partial<PlanChild> => ({
  concerns: [{ allergen: 'milk', level }],
})
