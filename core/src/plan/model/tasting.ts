/** What is tasted in a step of a session. */
import { tastingId } from '../../recipe/kinds/tasting'
import type { PlanChoice } from './choice'

/** From so many months on eyes may be covered; the smaller are frightened by it. Source: common practice, from memory. */
export const COVERED_FROM = 36

/** What is tasted, by whom and in which order. */
export interface PlanTasting {
  step: string
  /** Eyes are covered, of those who are old enough. */
  covered: boolean
  tasters: { child: string; tastes: Taste[]; covered?: true }[]
}
/** One food that a child tastes, with the line of the recipe that it is. */
export interface Taste {
  line: string
  food: string
  name: string
}

/** The choices that are asked and taken as such: a tasting is none of them. */
export const askedChoices = (choices: readonly PlanChoice[]): PlanChoice[] =>
  choices.filter((c) => c.id !== tastingId(c.step))
