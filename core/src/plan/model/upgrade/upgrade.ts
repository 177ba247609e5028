/** Plans that were frozen by an earlier version of Lea, in the shape of today's: a record is read as long as it is kept. */
import { PLAN_VERSION, type Plan } from '../plan'
import { from1, type Plan1 } from './from-1'
import { from2, type Plan2 } from './from-2'
import { from3, type Plan3 } from './from-3'

/** A plan as some version of Lea froze it. */
export type StoredPlan = Plan | Plan3 | Plan2 | Plan1

/** @returns the plan as today's version has it; one of today's as it is */
export function upgradePlan(plan: StoredPlan): Plan {
  switch (plan.version) {
    case PLAN_VERSION:
      return plan
    case 3:
      return from3(plan)
    case 2:
      return from3(from2(plan))
    case 1:
      return from3(from2(from1(plan)))
  }
}
