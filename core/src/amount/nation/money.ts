/** Money for a person: minor units, rounded once, half up, where it is shown. */
import type Fraction from 'fraction.js'
import { AmountError, parseRatio, ratio, type Ratio } from '../ratio'

export type Currency = 'GBP' | 'USD' | 'EUR' | 'CAD' | 'AUD' | 'NZD'
/** The sign before, and the minor unit behind. */
const SIGNS: Record<Currency, [major: string, minor: string]> = {
  GBP: ['£', 'p'],
  USD: ['$', '¢'],
  EUR: ['€', 'c'],
  CAD: ['$', '¢'],
  AUD: ['$', 'c'],
  NZD: ['$', 'c'],
}

/** `£1.35`, `$0.09`; of less than a pound, dollar or euro the pence or cents: `85p`, `9¢`. */
export function moneyText(minor: Ratio | number | Fraction, currency: Currency): string {
  const [sign, small] = SIGNS[currency]
  const rounded = ratio(minor).add('1/2').floor().valueOf()
  if (rounded < 100) return `${rounded}${small}`
  const [whole, part] = [Math.floor(rounded / 100), String(rounded % 100).padStart(2, '0')]
  return `${sign}${whole}.${part}`
}

/**
 * Minor units from what people type: `1.35`, `£1.35`, `1,35`, `85p`, `2`.
 * @throws AmountError where it is not an amount of money, below 0 or with parts of a penny
 */
export function readMoney(text: string): number {
  const typed = text.trim()
  const minor = /^(\d+(?:[.,]\d+)?) ?(?:p|¢|c)$/i.exec(typed)
  const plain = typed.replace(/^[£$€] ?/, '')
  if (!minor && !/^\d+([.,]\d{1,2})?$/.test(plain))
    throw new AmountError(`'${typed.slice(0, 20)}' is not a price: write it such as 1.35 or 85p`)
  const value = minor?.[1] ? parseRatio(minor[1]) : parseRatio(plain).mul(100)
  if (value.d !== 1n) throw new AmountError('a price has no part of a penny')
  return value.valueOf()
}

/** As it is typed into a field: 135 is `1.35`. */
export const moneyField = (minor: number): string => (minor / 100).toFixed(2)
