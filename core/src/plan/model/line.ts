/** A line of a bowl and how it is measured. */
import type { Ratio } from '../../amount/ratio'
import type { ByEye, Role } from '../../recipe/recipe'

/** So many level scoops of one measure. */
export interface ScoopPart {
  measure: string
  name: string
  size: Ratio
  unit: string
  n: number
}

/** How a line is measured. Scoops stand in the order in which they are done: the largest measure first. */
export type Measured =
  | {
      by: 'scoop'
      parts: ScoopPart[]
      /** Scoops in all. */
      n: number
      /** `"0"` where exact, else signed, in per cent with 4 decimals. */
      errPct: string
      /** Any cup will do: `parts` then says what one part stands for. */
      any?: true
      /** A jug, filled to a line each time: no measure of the box. */
      jug?: true
      /** A person chose this way. */
      pinned?: true
      /** How an amount that the recipe weighs came to be scooped. */
      because?: string
    }
  | { by: 'pieces'; n: number }
  /** `lack`: not by choice, the box makes it in no way. */
  | { by: 'weight'; text: string; why: string; because?: string; lack?: true }

export interface PlanLine {
  /** The recipe line, or `line>food` for a food that a swap brought in. */
  id: string
  line: string
  food: string
  name: string
  role: Role
  amount: Ratio
  unit: string
  /** The amount with its unit, for a person. */
  text: string
  swappedFrom?: string
  method?: string
  prep?: string
  shape?: string
  /** Nobody measures it. */
  byEye?: ByEye
  /** One child's own portion of it, where everybody measures the own: `amount` is that of all. */
  each?: { amount: Ratio; text: string }
  /** Of a free choice: laid out for so many of those in this bowl who may have it. `amount` is what they take. */
  takers?: { n: number; of: number }
  /** In which bowls it stands, where an own bowl is apart: `apart`, or all the `rest`. */
  only?: 'apart' | 'rest'
  /** Seen from the recipe: what one batch as written holds. */
  recipeText: string
  /** The same by weight, or by volume; not there where the food's weight is not known. */
  also?: { text: string; source: string }
}

/** Id of the bowl that is apart. It comes first: allergen-free before the rest, on a clean table. */
export const APART = 'apart'

/** One vessel's share of the recipe and the children it is for. */
export interface Bowl {
  id: string
  name: string
  children: string[]
  /** Its share of the recipe as written. */
  factor: Ratio
  lines: PlanLine[]
}
