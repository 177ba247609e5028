/**
 * Reading the numbers that people type and recipes print, exactly: `1 ½`, `2–3`, `1-1/2`, `0,75`, `1,000`, `half a`, `a dozen`.
 *
 * Everything stays rational: ⅔ is 2/3, never 0.667.
 */
import type Fraction from 'fraction.js'
import { AmountError, parseRatio, ratio, toText, type Ratio } from './ratio'

export interface Range {
  from: Ratio
  to: Ratio
}

const WORDS: Record<string, string> = {
  a: '1',
  an: '1',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  eleven: '11',
  twelve: '12',
  half: '1/2',
  quarter: '1/4',
  third: '1/3',
}
const COMMA_LANGUAGES = new Set('de fr es pt it nl pl uk ru cs da sv nb no fi tr ro el hu'.split(' '))

const GLYPHS = /[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g

/**
 * Numbers in one plain spelling: fraction glyphs as `1/2`, every dash as `-`, a decimal comma as a point, a thousands comma
 * gone. A comma before exactly three digits is a thousands comma, but not where the language writes decimals with it.
 * @param locale BCP 47, `en-GB` where it is not given
 */
export function plainNumbers(text: string, locale = 'en-GB'): string {
  const decimalComma = COMMA_LANGUAGES.has(locale.slice(0, 2).toLowerCase())
  return text
    .replace(GLYPHS, (g) => ` ${toText(parseRatio(g))}`)
    .replace(/[⁄∕]/g, '/')
    .replace(/[–—−‒]/g, '-')
    .replace(/(\d),(\d+)(?!\d*[.,]\d)/g, (_, whole: string, part: string) =>
      part.length === 3 && !decimalComma ? whole + part : `${whole}.${part}`,
    )
    .replace(/(\d)\.(\d{3})(?!\d)/g, (all, whole: string, part: string) =>
      decimalComma ? whole + part : all,
    )
    .replace(/\s+/g, ' ')
    .trim()
}

const NUMBER = String.raw`(?:\d+(?:\.\d+)?(?: ?\d+\/\d+|(?: and | & |-)\d+\/\d+)?|\d+\/\d+|\.\d+)`
const HEAD = new RegExp(`^(${NUMBER})(?: ?(?:-|to|or) ?(${NUMBER}))?(?![\\d/])`, 'i')
const MIXED = /^(\d+) ?(?:and |& |-)?(\d+\/\d+)$/

/** One number of `plainNumbers`; `1-1/2` is one and a half. @throws AmountError where it divides by zero */
function exact(text: string): Fraction {
  const mixed = MIXED.exec(text.trim())
  if (mixed && !/^\d+\/\d+$/.test(text.trim())) return parseRatio(`${mixed[1]} ${mixed[2]}`)
  return parseRatio(text.startsWith('.') ? `0${text}` : text)
}

export interface Leading {
  amount: Fraction
  /** The upper end of a range. */
  upTo?: Fraction
  rest: string
}

/**
 * The number that a text begins with, in digits or in English words, and what follows it.
 * @param text as `plainNumbers` leaves it
 * @returns null where it begins with no number
 * @throws AmountError where the number divides by zero or has too many digits
 */
export function leadingNumber(text: string): Leading | null {
  const head = HEAD.exec(text)
  if (head?.[1] !== undefined) {
    const rest = text.slice(head[0].length).trim()
    const [first, second] = [head[1], head[2]]
    if (second === undefined) return { amount: exact(first), rest }
    const [from, to] = [exact(first), exact(second)]
    // "1-1/2" reads as one and a half; a range goes upwards.
    if (to.compare(from) > 0) return { amount: from, upTo: to, rest }
    if (/^\d+$/.test(first) && /^\d+\/\d+$/.test(second)) return { amount: from.add(to), rest }
    throw new AmountError(`the range ${first} to ${second} goes down`)
  }
  const word =
    /^(half|quarter|third)(?: of)?(?: an?)? |^(?:a|one) (half|quarter|third)(?: of)?(?: an?)? |^(\w+) /i.exec(
      `${text} `,
    )
  const said = (word?.[1] ?? word?.[2] ?? word?.[3] ?? '').toLowerCase()
  const value = Object.hasOwn(WORDS, said) ? WORDS[said] : undefined
  if (!word || value === undefined) return null
  const rest = text.slice(word[0].trimEnd().length).trim()
  const withHalf = /^and a half /i.exec(rest)
  return withHalf
    ? { amount: ratio(value).add('1/2'), rest: rest.slice(withHalf[0].length) }
    : { amount: ratio(value), rest }
}
