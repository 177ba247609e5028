/** One plan, in a worker of the pool. */
import { compile, type Plan, PlanError, type PlanRequest } from '@lea/core/plan'

export type CompiledOrFault = { plan: Plan } | { field: string | null; says: string }

export default function compileOne(request: PlanRequest): CompiledOrFault {
  try {
    return { plan: compile(request) }
  } catch (fault) {
    return {
      field: fault instanceof PlanError ? fault.field : null,
      says: fault instanceof Error ? fault.message : String(fault),
    }
  }
}
