/** What the fixes of a line are worked out from. */
import type Fraction from 'fraction.js'
import type { Swap } from '../../food/swaps'
import type { RecipeLine } from '../../recipe/recipe'
import type { PlanStart } from '../model/draft'
import type { PlanRequest } from '../model/request'
import type { Exposure } from './exposure'

export interface Around {
  start: PlanStart
  request: PlanRequest
  meetings: (food: string) => Exposure[]
  /** Swaps of an own bowl, by its children, worked out once. */
  apart: Map<string, { line: string; swap: string }[] | null>
  /** The swap would be eaten without a heat that it needs. */
  raw: (line: RecipeLine, swap: Swap) => boolean
  /** So many times the recipe as written is made. */
  factor: Fraction
}
