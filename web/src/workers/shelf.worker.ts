/** Looks at recipes with a group, a few at a time; tries remedies; lays out a term. Beside the planner, so that nobody waits for it. */
import { expose } from 'comlink'
import {
  type Evaluation,
  type Remedy,
  type ShelfRow,
  type TermPlan,
  type TermProblem,
  type SelectionCriteria,
  layTerm,
  evaluateRecipe,
  remedyFor,
} from '@lea/core/choose'
import { techniqueOf } from '@lea/core/craft'

const shelf = {
  looks: (rows: ShelfRow[], wish: SelectionCriteria): Evaluation[] =>
    rows.map((r) => evaluateRecipe(r.id, r.recipe, wish, r.made)),
  remedy: (look: Evaluation, row: ShelfRow, wish: SelectionCriteria): Remedy | null =>
    remedyFor(look, row.recipe, wish, row.made),
  term: (problem: TermProblem): TermPlan => layTerm(problem, (t) => techniqueOf(t)?.name ?? t),
}
export type ShelfWorker = typeof shelf

expose(shelf)
