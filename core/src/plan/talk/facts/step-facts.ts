/**
 * The facts of a step: all that there is to count, compare, share, cut, lay, time, weigh or talk of in it, from the plan's own amounts.
 * A fact whose numbers would not be true for this group (a tray that is not full, a price that is not known) is not made.
 * Source: learning.md B0, B3.
 */
import type { Measure } from '../../../amount/scoops'
import type { RecipeStep } from '../../../recipe/recipe'
import type { Gathered } from '../../model/draft'
import type { Bowl } from '../../model/line'
import type { StepFact } from './step-fact'
import { madeFacts } from './made-facts'
import { measuredFacts } from './measured-facts'
import { tellFacts } from './tell-facts'
import { worldFacts } from './world-facts'

/** The facts of a step for one bowl; the one that the step is most about comes first, what there is to talk of last. */
export function factsOf(step: RecipeStep, draft: Gathered, bowl: Bowl, box: readonly Measure[]): StepFact[] {
  const own = draft.tasks.filter((t) => t.step === step.id && t.bowl === bowl.id)
  return [
    ...measuredFacts(own, bowl, box),
    ...madeFacts(step, own, bowl, draft),
    ...worldFacts(step, own, bowl, draft),
    ...tellFacts(step, own, bowl, draft),
  ]
}
