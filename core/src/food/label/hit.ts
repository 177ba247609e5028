import type { Scope } from './scope'
import type { Phrase } from './label-words'

/** A phrase found in the words `[from, to)`. */
export interface Hit extends Phrase {
  from: number
  to: number
  scope: Scope
  why: string
  /** Not counted: a claim beside it or a named source says so. */
  dropped: boolean
}
