export { type ShelfFilter, isWanted } from './filter'
export { themesOn } from './theme'
export { evaluateRecipe } from './evaluate-recipe'
export { type ShelfRow, ranked } from './rank'
export { type Remedy, remedyFor } from './remedy'
export { seasonOf } from './season'
export { type TermPlan, type TermProblem, termDays, termRecipe, termRecipes } from './term-cost'
export { layTerm } from './term'
export {
  type Evaluation,
  type MadeBefore,
  NEVER_MADE,
  type SelectionCriteria,
  criteriaFor,
} from './selection-criteria'
export { fitWords, timeShare, lookMinutes } from './fit-words'
