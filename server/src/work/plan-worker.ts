/** One plan, in a worker of the pool. */
import { compile, type Plan, type PlanRequest } from '@lea/core/plan'
import { type ToldBack, toldBack } from './told-back'

export default function compileOne(request: PlanRequest): Promise<ToldBack<Plan>> {
  return toldBack(() => compile(request))
}
