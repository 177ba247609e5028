/** One thing to say about a fact, and the words that sayings share. */
import { ratio } from '../../amount/ratio'
import type { SupportLevel } from '../levels'
import type { Derived, PlainFact } from './fields'

export interface Saying {
  target: string
  level: SupportLevel
  says: string
  answer: string
  from: number
  to: number
  /** Numbers a child has to reach, and fractions it has to name. */
  numbers?: (string | number)[]
  parts?: (string | undefined)[]
}
export const say = (
  level: SupportLevel,
  target: string,
  from: number,
  to: number,
  says: string,
  answer: string,
  gates: Pick<Saying, 'numbers' | 'parts'> = {},
): Saying => ({ target, level, says, answer, from, to, ...gates })

export type Locale = 'en-GB' | 'en-US'
/** Part words as a sentence says them. */
export function partWord(text: string, locale: Locale): string {
  const fourth = locale === 'en-US' ? 'a fourth' : 'a quarter'
  return (
    (
      {
        '1/2': 'half',
        '1/4': fourth,
        '1/3': 'a third',
        '3/4': 'three quarters',
        '2/3': 'two thirds',
      } as Record<string, string>
    )[text] ?? text
  )
}
/** 135 is £1.35 or $1.35; below a pound the pence or cents. */
export const coins = (minor: string, locale: Locale): string => {
  const value = ratio(improper(minor))
  const about = value.d === 1n ? '' : 'about '
  const whole = Math.round(value.valueOf())
  if (whole < 100) return `${about}${whole}${locale === 'en-US' ? '¢' : 'p'}`
  return `${about}${locale === 'en-US' ? '$' : '£'}${(whole / 100).toFixed(2)}`
}

export const text = (d: Derived, field: string): string =>
  typeof d[field] === 'string' ? (d[field] as string) : ''
export const plural = (n: string | number, one: string, many = `${one}s`): string =>
  `${n} ${String(n) === '1' ? one : many}`

export const given = (d: Derived, field: string): boolean => d[field] !== undefined && d[field] !== null
export const improper = (mixed: string): string =>
  mixed.replace(/^(-?\d+) (\d+)\/(\d+)$/, (_, w, n, d) => `${Number(w) * Number(d) + Number(n)}/${d}`)

export type Sayings = (f: PlainFact, d: Derived, locale: Locale) => Saying[]
