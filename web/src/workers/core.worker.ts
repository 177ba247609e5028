/** All that is computed beside the page, in one script: plans, and the shelf looked at with a group. Held by few workers (`pool.ts`). */
import { expose } from 'comlink'
import {
  type Evaluation,
  type Remedy,
  type SelectionCriteria,
  type ShelfRow,
  type TermPlan,
  type TermProblem,
  evaluateRecipe,
  layTerm,
  remedyFor,
} from '@lea/core/choose'
import { techniqueOf } from '@lea/core/craft'
import { type SessionCard, sessionCard } from '@lea/core/session'
import {
  type Alternatives,
  type InsteadOf,
  type Plan,
  PlanError,
  type PlanRequest,
  type RestOffer,
  type Rotation,
  type Shorter,
  alternatives,
  compile,
  insteadOf,
  restOffers,
  rotation,
  shorter,
} from '@lea/core/plan'

export type CardAnswer = { card: SessionCard } | { fault: string }
export type Compiled = { plan: Plan; took: number } | { error: { field: string; says: string } }

const faultText = (fault: unknown): string => (fault instanceof Error ? fault.message : String(fault))

const core = {
  compile(request: PlanRequest): Compiled {
    const start = performance.now()
    try {
      return { plan: compile(request), took: performance.now() - start }
    } catch (fault) {
      return {
        error: { field: fault instanceof PlanError ? fault.field : '', says: faultText(fault) },
      }
    }
  },
  /** A session to come at a glance: of a request, or of the plan that is in force. */
  card(request: PlanRequest): CardAnswer {
    try {
      return { card: sessionCard(compile(request)) }
    } catch (fault) {
      return { fault: faultText(fault) }
    }
  },
  cardOf: (plan: Plan): SessionCard => sessionCard(plan),
  /** What would make the session shorter. */
  shorter: (plan: Plan, request: PlanRequest): Shorter[] => shorter(request, plan),
  /** Small groups one after another. */
  rotation(request: PlanRequest, size: number): Rotation | { fault: string } {
    try {
      return rotation(request, size)
    } catch (fault) {
      return { fault: faultText(fault) }
    }
  },
  /** What would shorten the rest of a session that is under way. */
  restOffers: (plan: Plan, request: PlanRequest, step: string, done: string[]): RestOffer[] =>
    restOffers(plan, request, { step, done: new Set(done) }),
  /** Other ways to measure one task. */
  alternatives: (plan: Plan, request: PlanRequest, task: string): Alternatives | null =>
    alternatives(plan, request, task),
  /** Another food for a line, each looked at with this group. */
  instead: (request: PlanRequest, line: string): InsteadOf | null => insteadOf(request, line),
  /** A few recipes with a group. */
  looks: (rows: ShelfRow[], wish: SelectionCriteria): Evaluation[] =>
    rows.map((r) => evaluateRecipe(r.id, r.recipe, wish, r.made)),
  remedy: (look: Evaluation, row: ShelfRow, wish: SelectionCriteria): Remedy | null =>
    remedyFor(look, row.recipe, wish, row.made),
  term: (problem: TermProblem): TermPlan => layTerm(problem, (t) => techniqueOf(t)?.name ?? t),
}
export type CoreWorker = typeof core

expose(core)
