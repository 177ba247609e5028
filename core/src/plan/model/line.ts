/** A line of a bowl and how it is measured. */
import { ratio, toText, type Ratio } from '../../amount/ratio'
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
  /** `text`: a part of one, for the small. */
  | { by: 'pieces'; n: number; text?: string }
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
  /** Which one of its food. */
  variety?: string
  shape?: string
  /** Nobody measures it. */
  byEye?: ByEye
  /** One child's own portion of it, where everybody measures the own: `amount` is that of all. */
  each?: { amount: Ratio; text: string; sizes?: EachSize[] }
  /** Of a free choice: laid out for so many of those in this bowl who may have it. `amount` is what they take. */
  takers?: { n: number; of: number }
  /** In which bowls it stands, where an own bowl is apart: `apart`, or all the `rest`. */
  only?: 'apart' | 'rest'
  /** Seen from the recipe: what one batch as written holds. */
  recipeText: string
  /** The same by weight, or by volume; not there where the food's weight is not known. */
  also?: { text: string; source: string }
}

/** What the small have of a line that is for each child. */
export interface EachSize {
  children: string[]
  amount: Ratio
  text: string
}

/** What one child has of a line that everybody has a portion of: of a size by age where the task is for those. */
export const ownShare = (
  line: PlanLine,
  size: number | undefined,
): { amount: Ratio; text: string } | undefined =>
  size === undefined
    ? line.each && { amount: line.each.amount, text: line.each.text }
    : line.each?.sizes?.[size]

/** What an adult measures for those of one size by age, or for those who have the whole; undefined where all have the same. */
export function sizeTotal(line: PlanLine, size: number | undefined, children: number): Ratio | undefined {
  const sizes = line.each?.sizes
  if (!sizes) return undefined
  const small = sizes.reduce((n, s) => n + s.children.length, 0)
  const n = size === undefined ? children - small : (sizes[size]?.children.length ?? 0)
  return toText(ratio(ownShare(line, size)?.amount ?? '0').mul(n))
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
