import { expose } from 'comlink'
import {
  alternatives,
  compile,
  PlanError,
  shorter,
  type Alternatives,
  type Plan,
  type PlanRequest,
  type Shorter,
} from '@lea/core'

export type Compiled = { plan: Plan; took: number } | { error: { field: string; says: string } }

const planner = {
  compile(request: PlanRequest): Compiled {
    const start = performance.now()
    try {
      return { plan: compile(request), took: performance.now() - start }
    } catch (fault) {
      const says = fault instanceof Error ? fault.message : String(fault)
      return { error: { field: fault instanceof PlanError ? fault.field : '', says } }
    }
  },
  /** What would make the session shorter. */
  shorter: (plan: Plan, request: PlanRequest): Shorter[] => shorter(request, plan),
  /** Other ways to measure one task. */
  alternatives: (plan: Plan, request: PlanRequest, task: string): Alternatives | null =>
    alternatives(plan, request, task),
}
export type Planner = typeof planner

expose(planner)
