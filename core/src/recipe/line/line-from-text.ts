/** A recipe line from one printed line, or what is still missing for it. */
import { AmountError, ratio, type Ratio } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook, type FoodFact } from '../../food/foods'
import { ROLES, type ByEye, type RecipeLine, type Role } from '../recipe'
import { readLine, type ReadLine } from './read-line'

export interface LineFromText {
  line: Omit<RecipeLine, 'id'>
  /** What was read beside the line, and what Lea chose, for the person to see. */
  says: string[]
  read: ReadLine
  /** What Lea took where the line leaves it open: the lower end of a range, a spoon, an odd measure, by eye. */
  open?: 'range' | 'spoon' | 'unit' | 'amount'
}

/** What stands for an amount that nobody measures. */
function eyeful(read: ReadLine, food: FoodFact | undefined): { amount: Ratio; unit: string; byEye: ByEye } {
  const group = food?.group ?? ''
  const unit =
    read.unit !== '' && read.unit !== 'item'
      ? read.unit
      : group === 'seasoning'
        ? 'pinch'
        : group === 'fat' || group === 'water' || food?.roles?.[0] === 'liquid'
          ? 'splash'
          : group === 'fruit' || group === 'vegetable'
            ? 'item'
            : 'handful'
  return { amount: '1', unit, byEye: read.byEye ?? 'eye' }
}

/**
 * @param byEye a line without an amount is taken by eye; else it is a fault
 * @throws AmountError that says what is missing: an amount, a food
 */
export function lineFromText(
  text: string,
  system: System,
  foods: FoodBook = SHIPPED_BOOK,
  { byEye = false, serves = 1 }: { byEye?: boolean; serves?: number } = {},
): LineFromText {
  const read = readLine(text, system, undefined, foods)
  if (read.food === '') throw new AmountError('names no food: write a line such as 2 cups plain flour')
  const known = read.foodId ? foods.all.find((f) => f.id === read.foodId) : undefined
  if (read.amount === null && !byEye)
    throw new AmountError(`gives no amount of ${read.food}: write one before it`)
  if (read.amount !== null && typeof read.amount !== 'string' && !byEye)
    throw new AmountError(`gives a range, ${read.amount.from} to ${read.amount.to}: write one number`)
  if (read.amount === null && !known)
    throw new AmountError(
      `names no food that Lea knows, and no amount: write a line such as 2 cups plain flour`,
    )
  const role = known?.roles?.find((r): r is Role => (ROLES as readonly string[]).includes(r))
  const amount = typeof read.amount === 'string' ? read.amount : read.amount?.from
  const measured =
    amount === undefined
      ? eyeful(read, known)
      : {
          amount: ratio(amount)
            .mul(read.each ? serves : 1)
            .toFraction(),
          unit: read.unit,
          ...(read.byEye && { byEye: read.byEye }),
          ...(read.each && { each: true }),
        }
  const says = [
    ...(read.note ? [read.note] : []),
    ...(read.each ? [`so much for each: ${serves} times`] : []),
    ...(read.rest ? [`not taken over: ${read.rest}`] : []),
    ...(known ? [] : ['Lea does not know this food: it will ask for every concern']),
  ]
  const open =
    amount === undefined && read.byEye !== 'taste'
      ? 'amount'
      : typeof read.amount !== 'string' && amount !== undefined
        ? 'range'
        : read.spoon !== undefined
          ? 'spoon'
          : read.oddUnit !== undefined
            ? 'unit'
            : undefined
  return {
    line: {
      food: known?.id ?? ownId(read.food),
      ...measured,
      role: role ?? 'main',
      ...(read.prep && { prep: read.prep.slice(0, 120) }),
    },
    says,
    read,
    ...(open && { open }),
  }
}

const ownId = (words: string): string =>
  `own:${words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')}`.slice(0, 60)
