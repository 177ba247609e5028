/** One fact of a step, and a step with its facts. */
import type { Fact } from '../../../learn/facts'
import type { RecipeStep } from '../../../recipe/recipe'
import type { DraftChild } from '../../model/draft'
import type { Ask } from '../../model/step-talk'

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
