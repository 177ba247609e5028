/** The same work as told to a child of 2, 4, 6 and 9 years. Source: core/data/tellings.json (common practice, from memory). */
import data from '../../data/tellings.json'

const TELLINGS = data.tellings as Record<string, string[]>
/** Whole months of the four ages. */
export const TELLING_AGES = data.ages as readonly number[]

/** What a telling may speak of; one whose value is not known falls back to the plain words. */
export interface Told {
  food?: string | undefined
  measure?: string | undefined
  amount?: string | undefined
  minutes?: number | undefined
  at?: string | undefined
}

const PLAIN: Record<keyof Told, string> = {
  food: 'it',
  measure: 'cup',
  amount: 'what the card says',
  minutes: 'some',
  at: 'now',
}

/** @returns four tellings, youngest first; null where Lea has none for the technique */
export function tellingsOf(technique: string, told: Told): string[] | null {
  const lines = TELLINGS[technique]
  if (!lines) return null
  return lines.map((line) =>
    line.replace(/\{(\w+)\}/g, (_, name: keyof Told) => String(told[name] ?? PLAIN[name])),
  )
}

/** The telling for an age: the last that begins at or below it. */
export const tellingFor = (lines: readonly string[], months: number): string =>
  lines[Math.max(0, TELLING_AGES.filter((age) => months >= age).length - 1)] ?? ''
