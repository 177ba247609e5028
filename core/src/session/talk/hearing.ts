/** Who hears what is said at a bowl, and the places of a session for something to say. */
import { NO_END, type Locale } from '../../learn/fact/saying'
import type { Moment, TalkLine } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'

/** Who speaks what at home. */
export interface Speaker {
  child: string
  languages: readonly string[]
}

/** Who hears it. */
export interface Hearing {
  plan: Plan
  bowl: string
  crew: readonly string[]
  /** Ages of the crew, whole months. */
  months: readonly number[]
  speakers: readonly Speaker[]
}

/** A place in the session for something to say. */
export interface Slot {
  key: string
  moment: Moment
  /** Null before the first step and after the last. */
  step: string | null
  bowl: string
  /** Whose turn it is, or null where it is said to all. */
  child: string | null
  turn?: string
  /** The first is said; the others on "another". */
  lines: TalkLine[]
}

export const localeIn = ({ plan }: Pick<Hearing, 'plan'>): Locale => plan.locale ?? 'en-GB'
/** Is somebody here of the age? */
export const anyone = (
  months: readonly number[],
  { from, to = NO_END }: { from: number; to?: number },
): boolean => months.some((m) => from <= m && m <= to)
