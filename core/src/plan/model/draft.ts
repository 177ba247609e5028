/** What each pass receives and hands on. A pass is `(draft, request) -> draft + findings`; later fields build on earlier. */
import type { FoodBook } from '../../food/foods'
import type { OwnDiet } from '../../food/diets'
import type { Recipe } from '../../recipe/recipe'
import type { PlanChoice } from './choice'
import type { Finding } from './finding'
import type { Check, HygieneNote, Plan, SwapSet, WatchNote } from './plan'
import type { PlanChild, PlanRequest } from './request'
import type { Making } from './making'
import type { Bowl, PlanLine } from './line'
import type { Background, WaitingJob, StepTime, Task, Turn } from './task'
import type { StepTalk, Uncovered } from './step-talk'
import type { Packet } from '../../food/concern'

export interface DraftChild extends PlanChild {
  age: number
}

/** What stands before the first pass: the people with their ages, and what is known of foods. */
export interface PlanStart {
  recipe: Recipe
  people: DraftChild[]
  youngest: number
  foods: FoodBook
  packets: ReadonlyMap<string, Packet>
  /** The setting's own diets. */
  diets: readonly OwnDiet[]
}
/** A line as decided, not yet scaled. */
export type AdaptedLine = Omit<PlanLine, 'text' | 'recipeText' | 'also' | 'each'> & {
  each?: true
  sizes?: { below: number; part: string }[]
}
/** Line of the recipe, of a free choice -> who is not offered it, and why. */
export type Offers = Map<string, ReadonlyMap<string, string>>
export interface Adapted extends PlanStart {
  bowls: { id: string; name: string; children: string[] }[]
  lines: AdaptedLine[]
  checks: Check[]
  swapSet: SwapSet | null
  offers: Offers
}
export interface Shaped extends Adapted {
  watch: WatchNote[]
  hygiene: HygieneNote[]
  choices: PlanChoice[]
}
export interface Portioned extends Omit<Shaped, 'bowls'> {
  bowls: Bowl[]
  making: Making
}
export interface Split extends Portioned {
  tasks: Task[]
}
export type Scooped = Split
export interface WithTurns extends Scooped {
  turns: Turn[]
}
export interface Clocked extends WithTurns {
  schedule: StepTime[]
  fill: WaitingJob[]
  background: Background[]
  totals: Plan['totals']
}
export type Gathered = Clocked & Pick<Plan, 'kit' | 'ahead' | 'shopping' | 'cost' | 'bounds'>

export interface Talked extends Gathered {
  talk: StepTalk[]
  uncovered: Uncovered[]
}

export interface Out<D> {
  draft: D
  findings: Finding[]
}
export type Pass<A, B> = (draft: A, request: PlanRequest) => Out<B>
