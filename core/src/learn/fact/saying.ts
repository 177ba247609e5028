/**
 * What to say of a fact: questions are data (core/data/talk/ladders.json), each one and the same question on four rungs, with names of
 * values in them; a ladder stands only where what it needs and its answer are known, a rung only where all that it speaks of is.
 */
import data from '../../../data/talk/ladders.json'
import { usWords } from '../line/us-words'
import { SUPPORT_LEVELS, type SupportLevel } from '../levels'
import type { Derived, PlainFact } from './fields'

/** One rung of a question, filled. */
export interface Saying {
  /** Id of the ladder. */
  line: string
  level: SupportLevel
  /** The first is the main one. */
  targets: string[]
  says: string
  answer: string
  /** Months. */
  from: number
  to: number
  /** Numbers a child has to reach, and fractions it has to name: texts such as "7", "1 3/4". */
  numbers: string[]
  parts: string[]
}
interface Ladder {
  id: string
  of: string
  targets: string[]
  from: number
  to?: number
  numbers?: string[]
  parts?: string[]
  needs?: string[]
  says: Record<SupportLevel, string>
  answer: string
}

export type Locale = 'en-GB' | 'en-US'
/** UK or US words, by a setting's country; UK where none is said. */
export const localeFor = (country: string | undefined): Locale => (country === 'us' ? 'en-US' : 'en-GB')
/** What a saying may speak of, by name. Not there: nothing is said of it. */
export type Values = Record<string, string | undefined>
export type ValuesOf = (f: PlainFact, d: Derived, locale: Locale) => Values

/** The last band is open: twelve-year-olds, and adults who help. Months. */
export const NO_END = 1200

/** All questions, by what they are about. */
export const LADDERS = data.ladders as readonly Ladder[]
const NAMES = /\{(\w+)\}/g
const namesIn = (text: string): string[] => [...text.matchAll(NAMES)].map((m) => m[1] ?? '')

const BY_KIND = new Map<string, (Ladder & { wants: string[] })[]>()
for (const l of LADDERS)
  BY_KIND.set(l.of, [
    ...(BY_KIND.get(l.of) ?? []),
    { ...l, wants: [...namesIn(l.answer), ...(l.needs ?? [])] },
  ])

/** Ids of questions that speak of their food: of another food it is another question. */
export const OF_A_FOOD: ReadonlySet<string> = new Set(
  LADDERS.filter((l) =>
    /\{(food|Food|one|one_food|a|more|measure|target)\}/.test(`${l.says.open} ${l.says.focused}`),
  ).map((l) => l.id),
)

/** A text with its values; undefined where one of them is not known. The first letter is a capital. */
export function filled(text: string, values: Values, locale: Locale): string | undefined {
  if (namesIn(text).some((name) => values[name] === undefined)) return undefined
  const put = text.replace(NAMES, (_, name: string) => values[name] ?? '')
  return locale === 'en-US' ? usWords(put) : put
}
const capital = (text: string): string => text.replace(/^[“(]?\p{Ll}/u, (c) => c.toUpperCase())
/** The same as a sentence. */
export const sentence = (text: string, values: Values, locale: Locale): string | undefined => {
  const put = filled(text, values, locale)
  return put === undefined
    ? undefined
    : capital(put).replace(/([.!?…] )(\p{Ll})/gu, (_, a: string, b: string) =>
        a === '… ' ? a + b : a + b.toUpperCase(),
      )
}

/** The rungs of all questions about this that these values can fill. */
export function fill(of: string, values: Values, locale: Locale = 'en-GB'): Saying[] {
  return (BY_KIND.get(of) ?? []).flatMap((ladder): Saying[] => {
    if (ladder.wants.some((name) => values[name] === undefined)) return []
    // Without its easiest rung there would be no way down.
    if (namesIn(ladder.says.model).some((name) => values[name] === undefined)) return []
    const reach = (names?: string[]): string[] => names?.flatMap((name) => values[name] ?? []) ?? []
    const [numbers, parts] = [reach(ladder.numbers), reach(ladder.parts)]
    const answer = filled(ladder.answer, values, locale) ?? ''
    return SUPPORT_LEVELS.flatMap((level) => {
      const says = sentence(ladder.says[level], values, locale)
      if (says === undefined) return []
      const { id: line, targets, from, to = NO_END } = ladder
      // Done together nothing has to be reached.
      const together = level === 'model'
      return [{ line, level, targets, from, to, says, answer, numbers: together ? [] : numbers, parts }]
    })
  })
}
