/**
 * What to say of a fact: sayings are data (core/data/sayings.json) with names of values in them; a saying stands only where the
 * fact has every value that it speaks of and needs.
 */
import data from '../../../data/sayings.json'
import type { SupportLevel } from '../levels'
import type { Derived, PlainFact } from './fields'

export interface Saying {
  level: SupportLevel
  /** The first is the main one. */
  targets: string[]
  says: string
  answer: string
  from: number
  to: number
  /** Numbers a child has to reach, and fractions it has to name: texts such as "7", "1 3/4". */
  numbers: string[]
  parts: string[]
}
interface Template extends Omit<Saying, 'numbers' | 'parts'> {
  kind: string
  numbers?: string[]
  parts?: string[]
  needs?: string[]
}

export type Locale = 'en-GB' | 'en-US'
/** What a saying may speak of, by name. Not there: nothing is said of it. */
export type Values = Record<string, string | undefined>
export type ValuesOf = (f: PlainFact, d: Derived, locale: Locale) => Values

export const TEMPLATES = data.sayings as unknown as readonly Template[]
const NAMES = /\{(\w+)\}/g

/** Templates by kind, each with the names that have to be there. */
const BY_KIND = new Map<string, (Template & { wants: string[] })[]>()
for (const t of TEMPLATES) {
  const spoken = [...`${t.says} ${t.answer}`.matchAll(NAMES)].map((m) => m[1] ?? '')
  BY_KIND.set(t.kind, [...(BY_KIND.get(t.kind) ?? []), { ...t, wants: [...spoken, ...(t.needs ?? [])] }])
}

/** The sayings of a kind that these values can fill. */
export function fill(kind: string, values: Values): Saying[] {
  return (BY_KIND.get(kind) ?? []).flatMap((t) => {
    if (t.wants.some((name) => values[name] === undefined)) return []
    const put = (text: string): string =>
      text.includes('{') ? text.replace(NAMES, (_, name: string) => values[name] ?? '') : text
    const reach = (names?: string[]): string[] => names?.flatMap((name) => values[name] ?? []) ?? []
    const { level, targets, from, to } = t
    return [
      {
        level,
        targets,
        from,
        to,
        says: put(t.says),
        answer: put(t.answer),
        numbers: reach(t.numbers),
        parts: reach(t.parts),
      },
    ]
  })
}
