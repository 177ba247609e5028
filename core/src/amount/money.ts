/** Money for a person: minor units, rounded once, half up, where it is shown. */
import type Fraction from 'fraction.js'
import { ratio, type Ratio } from './ratio'

/** `£1.35`, `$0.09`; of less than a pound or dollar the pence or cents: `85p`, `9¢`. */
export function moneyText(minor: Ratio | number | Fraction, currency: 'GBP' | 'USD'): string {
  const rounded = Number(ratio(minor).add('1/2').floor().valueOf())
  if (rounded < 100) return currency === 'GBP' ? `${rounded}p` : `${rounded}¢`
  const [whole, part] = [Math.floor(rounded / 100), String(rounded % 100).padStart(2, '0')]
  return `${currency === 'GBP' ? '£' : '$'}${whole}.${part}`
}
