/**
 * Exact rationals. An amount is never a float inside Lea: it is a ratio of two integers, and travels as its
 * text in lowest terms ("7/2"), so that requests, plans and events are plain JSON.
 */
import { remembered } from './memo'
import Fraction from 'fraction.js'

/** An exact rational as text in lowest terms: `"7/2"`, `"3"`, `"-1/4"`. */
export type Ratio = string

/** An amount that cannot be read, in words that name the fault. */
export class AmountError extends Error {}

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

const SHAPE = /^-?(\d{1,12}(\.\d{1,9})?|\d{1,9}\/\d{1,9}|\d{1,9} \d{1,9}\/\d{1,9})$/

/**
 * Reads one amount as people type it: `7/2`, `2 1/3`, `0.75`, `0,75`, `1½`, or a JSON number.
 * @throws AmountError that names the fault: not a number, a zero under the line, or too many digits.
 */
export function parseRatio(input: string | number): Fraction {
  if (typeof input === 'number') {
    if (!Number.isFinite(input)) throw new AmountError('must be a finite number')
    return new Fraction(input)
  }
  const text = input
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (v) => ` ${VULGAR[v] ?? ''}`)
    .replace(/[⁄∕]/g, '/')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim()
  if (text === '') throw new AmountError('is empty: write a number such as 2, 3/4 or 1 1/2')
  if (!SHAPE.test(text)) {
    throw new AmountError(`'${input.slice(0, 40)}' is not an amount: write a number such as 2, 3/4 or 1 1/2`)
  }
  if (/\/0+$/.test(text)) throw new AmountError(`'${text}' divides by zero`)
  return new Fraction(text)
}

/** Texts that were read before: a plan asks for the same few hundred amounts again and again. A Fraction never changes. */
const readText = remembered(5000, (text: Ratio) => new Fraction(text))

/** A rational from anything that is known to be one (text in lowest terms, integer, Fraction). */
export function ratio(value: Ratio | number | Fraction): Fraction {
  if (value instanceof Fraction) return value
  if (typeof value === 'number') return new Fraction(value)
  return readText(value)
}

/** Text in lowest terms: 7/2 -> `"7/2"`. */
export const toText = (value: Fraction): Ratio => value.toFraction()

/** Text as a mixed number: 7/2 -> `"3 1/2"`. */
export const toMixed = (value: Fraction): string => value.toFraction(true)

/** Decimal text with a fixed number of places, rounded half away from zero. */
export function toPlaces(value: Fraction, places: number): string {
  const scale = 10n ** BigInt(places)
  const scaled = value.abs().mul(scale.toString())
  const whole = scaled.add('1/2').floor()
  const digits = whole.toFraction().padStart(places + 1, '0')
  const sign = value.compare(0) < 0 && /[1-9]/.test(digits) ? '-' : ''
  return places === 0 ? sign + digits : `${sign}${digits.slice(0, -places)}.${digits.slice(-places)}`
}

/** True where the value is a whole number. */
export const isWhole = (value: Fraction): boolean => value.d === 1n

/** A whole rational as a JavaScript integer. @throws AmountError where it is not whole or too large. */
export function toInteger(value: Fraction): number {
  const n = Number(value.toFraction())
  if (!isWhole(value) || !Number.isSafeInteger(n))
    throw new AmountError(`${toMixed(value)} is not a whole number`)
  return n
}
