/** Guesses that are taken before and looked at again after. Source: core/data/talk/guesses.json. */
import data from '../../../data/talk/guesses.json'
import { filled, sentence, type Locale, type Values } from '../fact/saying'

interface Row {
  id: string
  at: string
  kind: string
  from: number
  says: string
  options?: string[]
  after: string
}
const ROWS = data.guesses as readonly Row[]
const BY_ID = new Map(ROWS.map((r) => [r.id, r]))

/** Numbers to choose from: the truth is one of them, and not always in the middle. */
function around(n: number): string[] {
  const first = Math.max(1, n - 1 - (n % 3))
  return Array.from({ length: 5 }, (_, i) => String(first + i))
}

export interface Guess {
  id: string
  says: string
  from: number
  options: string[]
  truth?: string
  after: string
}

/** The guesses about this. @param n what is counted, where it is a number */
export const guessesOn = (at: string, values: Values, n: number | undefined, locale: Locale): Guess[] =>
  ROWS.flatMap((r): Guess[] => {
    if (r.at !== at || (r.kind === 'number' && n === undefined)) return []
    const says = sentence(r.says, values, locale)
    if (says === undefined) return []
    const options = r.kind === 'number' ? around(n ?? 1) : (r.options ?? [])
    return [
      {
        id: r.id,
        says,
        from: r.from,
        options,
        after: r.after,
        ...(r.kind === 'number' && { truth: String(n) }),
      },
    ]
  })

/** "You said pale. It is golden." @param id of the guess, before a colon */
export function guessLookedAt(id: string, guess: string, truth: string, locale: Locale = 'en-GB'): string {
  const row = BY_ID.get(id.split(':')[0] ?? id)
  return row ? (filled(row.after, { guess, truth }, locale) ?? '') : ''
}
/** What a guess was about, for the record: "how many scoops it takes". */
export const guessAsked = (id: string): string => BY_ID.get(id.split(':')[0] ?? id)?.says ?? id
