/** A recipe line from one printed line, or what is still missing for it. */
import { AmountError, ratio } from '../amount/ratio'
import type { System } from '../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../food/foods'
import { readLine } from './read-line'
import { ROLES, type RecipeLine, type Role } from './recipe'

export interface LineFromText {
  line: Omit<RecipeLine, 'id'>
  /** What was read beside the line, and what Lea chose, for the person to see. */
  says: string[]
}

/**
 * @throws AmountError that says what is missing: an amount, one number of a range, a food
 */
export function lineFromText(text: string, system: System, foods: FoodBook = SHIPPED_BOOK): LineFromText {
  const read = readLine(text, system, undefined, foods)
  if (read.food === '') throw new AmountError('names no food: write a line such as 2 cups plain flour')
  if (read.amount === null) throw new AmountError(`gives no amount of ${read.food}: write one before it`)
  if (typeof read.amount !== 'string')
    throw new AmountError(`gives a range, ${read.amount.from} to ${read.amount.to}: write one number`)
  const known = read.foodId ? foods.all.find((f) => f.id === read.foodId) : undefined
  const role = known?.roles?.find((r): r is Role => (ROLES as readonly string[]).includes(r))
  const says = [
    ...(read.note ? [read.note] : []),
    ...(read.rest ? [`not taken over: ${read.rest}`] : []),
    ...(known ? [] : ['Lea does not know this food: it will ask for every concern']),
  ]
  return {
    line: {
      food:
        known?.id ??
        `own:${read.food
          .toLowerCase()
          .replace(/[^\p{L}\p{N}]+/gu, '-')
          .replace(/^-|-$/g, '')}`,
      amount: ratio(read.amount).toFraction(),
      unit: read.unit,
      role: role ?? 'main',
      ...(read.prep && { prep: read.prep }),
    },
    says,
  }
}
