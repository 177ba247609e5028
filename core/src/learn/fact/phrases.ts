/** Words that sayings share: parts, money, one or more of a thing, and an amount as it is spoken. */
import { moneyText } from '../../amount/nation/money'
import pluralize from 'pluralize'
import { ratio } from '../../amount/ratio'
import type { Derived } from './fields'
import type { Locale } from './saying'

export const text = (d: Derived, field: string): string => (typeof d[field] === 'string' ? d[field] : '')
/** The text of a field, or nothing where it has none. */
export const known = (d: Derived, field: string): string | undefined => text(d, field) || undefined
/** Stands where it is so. */
export const yes = (so: boolean): string | undefined => (so ? 'yes' : undefined)
export const when = (so: boolean, value: string): string | undefined => (so ? value : undefined)

/** "1 3/4" -> "7/4" */
export const improper = (mixed: string): string =>
  mixed.replace(/^(-?\d+) (\d+)\/(\d+)$/, (_, w, n, d) => `${Number(w) * Number(d) + Number(n)}/${d}`)

/** Part words as a sentence says them. */
export function partWord(part: string, locale: Locale): string {
  const fourth = locale === 'en-US' ? 'a fourth' : 'a quarter'
  const three = locale === 'en-US' ? 'three fourths' : 'three quarters'
  const words: Record<string, string> = {
    '1/2': 'half',
    '1/4': fourth,
    '1/3': 'a third',
    '3/4': three,
    '2/3': 'two thirds',
    '1/6': 'a sixth',
    '1/8': 'an eighth',
  }
  return words[part] ?? part
}

/** 135 is £1.35 or $1.35; below a pound the pence or cents. */
export function coins(minor: string, locale: Locale): string {
  const value = ratio(improper(minor))
  return `${value.d === 1n ? '' : 'about '}${moneyText(value, locale === 'en-US' ? 'USD' : 'GBP')}`
}

const RULES = new Intl.PluralRules('en')
/** "one carrot", "three carrots"; of "scoops of oats" the scoops are counted. Category by Intl (CLDR), the form by `pluralize`. */
export function things(name: string, n: number): string {
  const [head = '', ...rest] = name.split(/ (?=of )/)
  const form = RULES.select(n) === 'one' ? pluralize.singular(head) : pluralize.plural(head)
  return [form, ...rest].join(' ')
}
export const counted = (n: string, name: string): string => `${n} ${things(name, Number(n))}`

/** Two to choose from: which stands first goes by the words themselves, so that the right one is not always in one place. */
export function either(right: string, wrong: string): string {
  let sum = 0
  for (const c of right + wrong) sum = (sum * 31 + (c.codePointAt(0) ?? 0)) % 1009
  return sum % 2 === 0 ? `${right} or ${wrong}` : `${wrong} or ${right}`
}

/** "quarters", "thirds", "halves": so many to the whole. @param parts 2 to 12 */
export function partsWord(parts: number, locale: Locale): string | undefined {
  const names: Record<number, string> = {
    2: 'halves',
    3: 'thirds',
    4: locale === 'en-US' ? 'fourths' : 'quarters',
    6: 'sixths',
    8: 'eighths',
  }
  return names[parts]
}
