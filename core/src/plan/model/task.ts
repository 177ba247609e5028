/** Tasks, turns and times: who does what, when. */
import type { Mode, Place } from '../../recipe/recipe'
import type { Measured } from './line'

export interface TaskForm {
  technique: string
  name: string
  /** The rung of the technique's ladder. Not there where it has none, and in plans of an earlier version. */
  rung?: string
  /** Id of the tool in the hand, '' where there is none; what lies beside it; how, in words for the card. */
  tool: string
  with: string[]
  says: string
  children: string[]
  supervision: 'B' | 'O'
  perAdult: number
}

export interface Task {
  id: string
  step: string
  bowl: string
  technique: string
  name: string
  uses: string[]
  /** The line that is worked on, of several in the step; null where it is not known. Plans frozen before 0.15 have none: the first then. */
  hand?: string | null
  /** Ids of every food the hands meet here. */
  handles: string[]
  forms: TaskForm[]
  /**
   * Who takes no part: by its own plan, since it must not touch what is handled, since it is raw meat or hot, or by its age.
   */
  barred: { child: string; why: string; cause: 'plan' | 'touch' | 'raw' | 'heat' | 'age' }[]
  /** What a child does instead that takes no part. */
  instead?: { child: string; job: string }[]
  /** What a left-handed child, or one with a need, wants for it. */
  helps?: { child: string; says: string }[]
  /** STATION: the children at it in each round. */
  rounds?: string[][]
  mode: Mode
  /** Turns, places or 1. */
  n: number
  seconds: number
  place: Place
  /** From its first to its last op, seconds from the start of its sitting. Not there in plans of an earlier version. */
  start?: number
  end?: number
  hazard?: 'heat' | 'blade'
  /** The adult who does it (ADULT) or stands beside (blade, heat, beside). */
  adult?: string
  /** The same job at several bowls, overseen by one adult: all tasks of this name go in the same waves. */
  joins?: string
  /** A wait in which something is done again and again: every so many seconds. */
  every?: number
  /** ADULT: the technique that the adult shows to the whole table before its turns begin; its own technique is `show`. */
  shows?: string
  measured?: Measured
  /** It measures the portion of those of a size by age: which of the line's sizes, from 0. */
  size?: number
  /** It goes round: which round of how many, the children in the order of their seats, and what is said from one to the next. */
  passes?: {
    round: number
    of: number
    order: string[]
    asks: string
    answers: string
    /** Of own bowls at one table: the child of another bowl who hands it to the first of this one, and in which round it had it. */
    from?: { child: string; round: number }
  }
  /** Everybody measures the own portion: `measured` is one child's. So many can do so at once in this bowl. */
  portion?: { atOnce: number }
  counts?: { what: string; n: number }
}

export interface Turn {
  id: string
  task: string
  number: number
  measure?: string
  /** At a station: in which round, from 0. */
  round?: number
  child: string
  /** Seconds from the start of the session. */
  start: number
  end: number
}

/** A job for a child that would wait. Seconds from the start of its sitting. */
export interface WaitingJob {
  child: string
  step: string
  sitting: number
  job: string
  says: string
  /** Other jobs that would do as well: offered, not pressed. */
  or: string[]
  /** Belongs to clearing up. */
  clears?: true
  /** The adult who stands beside. */
  adult?: string
  start: number
  end: number
}

/** An adult's work before a step: the oven that heats up, sticks that soak. */
export interface Background {
  says: string
  step: string
  sitting: number
  adult?: string
  /** Seconds from the start of the sitting; less than 0: before it. */
  start: number
  /** The work itself; ready when the step begins. */
  seconds: number
  ready: number
  /** Clock time, `HH:MM`. */
  at: string
}

export interface StepTime {
  step: string
  title: string
  picture: string
  says?: string
  sitting: number
  /** Seconds from the start of its sitting. */
  start: number
  seconds: number
  /** Clock time of the start, `HH:MM`. */
  at: string
  passive: boolean
  place: Place
}
