/** Lines that are for each child: kept as the amount of all that the recipe serves, written and read as that of one. */
import { AmountError, parseRatio, ratio, toMixed, toText, type Ratio } from '../amount/ratio'
import { numberText } from '../amount/show'
import { ageText } from '../craft/ages'
import type { RecipeLine } from './recipe'

/** What is written in the field of a line: one child's amount where it is for each; what cannot be read stays as it was typed. */
export function amountInField(line: Pick<RecipeLine, 'amount' | 'each'>, serves: number): string {
  if (!line.each) return line.amount
  const all = read(line.amount)
  return all ? toMixed(all.div(Math.max(1, serves))) : line.amount
}

/** The amount that is kept, of what was typed. */
export function amountFromField(typed: string, each: boolean | undefined, serves: number): string {
  const one = each ? read(typed) : null
  return one ? toText(one.mul(Math.max(1, serves))) : typed
}

/** The recipe serves more or fewer: what each child has stays what it was. */
export const servesChanged = (lines: readonly RecipeLine[], was: number, now: number): RecipeLine[] =>
  lines.map((l) => {
    const all = l.each && was >= 1 && now >= 1 ? read(l.amount) : null
    return all ? { ...l, amount: toText(all.div(was).mul(now)) } : l
  })

function read(text: string): ReturnType<typeof ratio> | null {
  try {
    return parseRatio(text)
  } catch (fault) {
    if (fault instanceof AmountError) return null
    throw fault
  }
}

/** ", under 4 years 1/2 of it"; '' where all have the same. */
export const sizesText = ({ sizes }: Pick<RecipeLine, 'sizes'>): string =>
  (sizes ?? []).map((s) => `, under ${ageText(s.below)} ${numberText(s.part)} of it`).join('')

/** What is offered for the small: parts that a measure or a cut makes. */
export const SMALL_PARTS: readonly Ratio[] = ['1/2', '1/3', '2/3', '3/4']
/** The line with a part of its portion for those below an age; no age: all have the same. */
export const withSize = (line: RecipeLine, below: number | null, part: Ratio): RecipeLine => {
  const { sizes: _, ...rest } = line
  return below === null || !line.each ? rest : { ...rest, sizes: [{ below, part }] }
}
