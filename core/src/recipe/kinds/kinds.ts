/** What kinds of work beyond one pair of hands at one bowl a recipe may say: what goes round, what is tasted, what grows. */

/** How a thing goes round: how often, what one says who hands it on, and what the other answers. */
export interface Passes {
  times: number
  asks: string
  answers: string
}
/** It goes round so often at most. */
export const ROUNDS_MOST = 6

/** "once", "twice", "3 times" */
export const timesText = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`)

/** Foods that are tasted in a step. */
export interface Tasting {
  /** Lines of the recipe that go in at the step, two or more. */
  lines: string[]
  /** Eyes are covered, and who tastes says which it was. */
  covered?: boolean | undefined
}

/** A day on which one looks how it grows. */
export interface GrowingLook {
  /** Days after the session, from 1. */
  day: number
  says: string
}
/** What grows from what a session sowed. */
export interface Growing {
  /** "cress" */
  what: string
  looks: GrowingLook[]
  /** How high it stands is measured at each look. */
  measured?: boolean | undefined
}
