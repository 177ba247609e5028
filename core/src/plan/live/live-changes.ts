/** What every change in the middle gives, and the one way in which a changed plan is put together. */
import { withDigest } from '../model/digest'
import type { Plan } from '../model/plan'
import { turnsAndJobs } from '../model/task-kinds'

export interface Changed {
  plan: Plan
  /** One line for each child or adult whom it touches. Names as tokens. */
  says: string[]
}
export type LiveChange = Changed | { refused: string }

/**
 * A plan in force that was changed: what each child has is counted anew, and the whole is sealed under a digest of its own.
 * @param changed with the tasks and turns as they are now
 */
export function rebuildPlan(changed: Plan): Plan {
  const { tasks, turns, children, totals } = changed
  const there = new Set(children.map((c) => c.id))
  const perChild = totals.perChild
    .filter((p) => there.has(p.child))
    .map((p) => ({ ...p, ...turnsAndJobs(p.child, tasks, turns) }))
  return withDigest({ ...changed, totals: { ...totals, perChild } })
}
