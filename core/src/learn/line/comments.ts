/** What is said without asking. Source: core/data/talk/comments.json. */
import data from '../../../data/talk/comments.json'
import { reachedFrom } from '../fact/answer'
import { NO_END, sentence, type Locale, type Values } from '../fact/saying'

interface Row {
  id: string
  at: string
  from: number
  to?: number
  numbers?: string[]
  parts?: string[]
  needs?: string[]
  says: string
}
/** A comment with its values, for the months from and to. */
export interface Comment {
  id: string
  says: string
  from: number
  to: number
}

const ROWS = data.comments as readonly Row[]
const BY_KEY = new Map<string, Row[]>()
for (const r of ROWS) BY_KEY.set(r.at, [...(BY_KEY.get(r.at) ?? []), r])

/** Comments under this key that these values can fill, for whatever age; of the same values they are worked out once. */
export function commentsOn(key: string, values: Values = NOTHING, locale: Locale = 'en-GB'): Comment[] {
  const known = worked.get(values) ?? new Map<string, Comment[]>()
  worked.set(values, known)
  const name = `${locale} ${key}`
  const found = known.get(name) ?? filledComments(key, values, locale)
  known.set(name, found)
  return found
}
const NOTHING: Values = {}
const worked = new WeakMap<Values, Map<string, Comment[]>>()

const filledComments = (key: string, values: Values, locale: Locale): Comment[] =>
  (BY_KEY.get(key) ?? []).flatMap((r): Comment[] => {
    if ((r.needs ?? []).some((name) => values[name] === undefined)) return []
    const says = sentence(r.says, values, locale)
    if (says === undefined) return []
    const reach = (names?: string[]): string[] => names?.flatMap((name) => values[name] ?? []) ?? []
    const from = Math.max(r.from, reachedFrom(reach(r.numbers), reach(r.parts)))
    return [{ id: r.id, says, from, to: r.to ?? NO_END }]
  })

/** Is a comment for this age? */
export const suitsAge = ({ from, to }: { from: number; to?: number }, months: number): boolean =>
  from <= months && months <= (to ?? NO_END)
