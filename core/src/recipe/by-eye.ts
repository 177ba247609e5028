/** Amounts that nobody measures, in words: "to taste", "by eye"; a glug and a pinch keep their word. */
import type Fraction from 'fraction.js'
import { amountText } from '../amount/show'
import type { Ratio } from '../amount/ratio'
import type { ByEye } from './recipe'

const WORDS: Record<ByEye, string> = { taste: 'to taste', here: 'to the mark', eye: 'by eye' }
/** Units that Lea takes where a line gives none. */
const STANDS_IN = new Set(['item', 'handful', 'splash', 'pinch'])

/** The amount of a line for a person. @param line whose amount `amount` is, scaled or not */
export function lineAmount(
  line: { unit: string; byEye?: ByEye | undefined },
  amount: Ratio | Fraction,
): string {
  if (line.byEye === undefined) return amountText(amount, line.unit)
  return line.byEye === 'eye' && !STANDS_IN.has(line.unit) ? amountText(amount, line.unit) : WORDS[line.byEye]
}
