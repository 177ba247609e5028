import type { Phrase } from './meaning'
import type { Scope } from './scope'

/** A phrase found in the words `[from, to)`. */
export interface Hit extends Phrase {
  from: number
  to: number
  scope: Scope
  why: string
  /** Not counted: a claim beside it or a named source says so. */
  dropped: boolean
  /** Why it is asked about, though something beside it would take it away. */
  open?: string
  /** Letters of its word are left that nothing explains. */
  rest?: boolean
}

/** What stands at its beginning. */
export const hitOf = (phrase: Phrase, from: number, more: Partial<Hit> = {}): Hit => ({
  ...phrase,
  from,
  to: from + phrase.length,
  scope: 'contains',
  why: '',
  dropped: false,
  ...more,
})
