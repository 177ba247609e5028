/**
 * The facts of a step: all that there is to count, compare, share, cut, lay, time, weigh or talk of in it, from the plan's own amounts.
 * A fact whose numbers would not be true for this group (a tray that is not full, a price that is not known) is not made.
 * Source: learning.md B0, B3.
 */
import type { Measure } from '../../../amount/scoops'
import type { Fact } from '../../../learn/facts'
import type { RecipeStep } from '../../../recipe/recipe'
import type { Gathered, DraftChild } from '../../model/draft'
import type { Bowl } from '../../model/line'
import type { Ask } from '../../model/step-talk'
import { madeFacts } from './made-facts'
import { measuredFacts } from './measured-facts'
import { tellFacts } from './tell-facts'
import { worldFacts } from './world-facts'

export interface StepFact {
  /** From what it is about: it holds between compiles. */
  id: string
  fact: Fact
  /** The task whose turns it is about: only there is it in view. */
  task?: string
}

/** A step with its facts by bowl, and who takes part in it. */
export interface TalkedStep {
  step: RecipeStep
  /** Of the first bowl. */
  facts: StepFact[]
  byBowl: Map<string, StepFact[]>
  here: DraftChild[]
  own: Ask[]
}

export const isTell = (f: StepFact): boolean => f.fact.kind === 'tell'

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
