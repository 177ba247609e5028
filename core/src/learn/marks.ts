/**
 * What was noted of a child's talk, and what follows for the next time: where a target stands, when it comes back, at which level
 * to begin. No average, no score, no comparison.
 * Source: learning.md D3, F1 to F3 (common practice, from memory).
 */
import { daysBetween, type IsoDate } from '../amount/days'
import { SUPPORT_LEVELS, startLevel, type SupportLevel, type TalkRule } from './levels'

/** Said it, showed it, did it with help, or not today: pointing, signing and any language count as showing and saying. */
export const ANSWERS = ['said', 'showed', 'helped', 'not-today'] as const
export type Answered = (typeof ANSWERS)[number]
/** How a child answered, in words. */
export const ANSWER_WORDS: Record<Answered, string> = {
  said: 'said it',
  showed: 'showed it',
  helped: 'with help',
  'not-today': 'not today',
}
/** The mark of each: 4 alone, 2 with help, W watched or passed (which is not a low mark). */
const MARKS: Record<Answered, 4 | 2 | 'W'> = { said: 4, showed: 4, helped: 2, 'not-today': 'W' }

export interface TalkMark {
  target: string
  on: IsoDate
  how: Answered
  /** The level of the question. */
  level: SupportLevel
  food?: string | undefined
}

/** Days until a target comes back, by stage; after the last it rests. */
export const GAPS = [1, 7, 21, 56] as const
export const RESTING = GAPS.length + 1

export type Claim = 'not met yet' | 'met' | 'seen once' | 'growing' | 'secure in cooking'
export interface TargetState {
  /** 0: not met; 1 to 4: it comes back after that stage's gap; 5: resting. */
  stage: number
  /** The day on which it last was asked. */
  last: IsoDate | null
  /** Days past the day on which it was to come back; less than 0: not yet due; null: nothing is due. */
  overdue: number | null
  chances: number
  claim: Claim
}

/**
 * Where a target stands with a child.
 * @param marks of this child and target, in any order
 * @param today the session's day
 */
export function targetState(marks: readonly TalkMark[], today: IsoDate): TargetState {
  const days = byDay(marks)
  let stage = 0
  let last: IsoDate | null = null
  for (const day of days) {
    const best = bestOf(day.marks)
    // Seen again before it was due: that is no step on.
    const early = last !== null && daysBetween(last, day.on) < (GAPS[stage - 1] ?? 0)
    if (best === 'W') stage = Math.max(stage, 1)
    else if (best < 3) stage = Math.max(1, stage - 1)
    else if (!early) stage = Math.min(RESTING, stage + 1)
    last = day.on
  }
  const gap = GAPS[stage - 1]
  return {
    stage,
    last,
    overdue: last === null || gap === undefined ? null : daysBetween(last, today) - gap,
    chances: marks.length,
    claim: claimOf(marks, days, today),
  }
}

const byDay = (marks: readonly TalkMark[]): { on: IsoDate; marks: TalkMark[] }[] => {
  const days = [...new Set(marks.map((m) => m.on))].sort()
  return days.map((on) => ({ on, marks: marks.filter((m) => m.on === on) }))
}
const bestOf = (marks: readonly TalkMark[]): number | 'W' => {
  const numbers = marks.map((m) => MARKS[m.how]).filter((m): m is 2 | 4 => m !== 'W')
  return numbers.length === 0 ? 'W' : Math.max(...numbers)
}

/** So long a secure target stays so without being seen; days. */
const STAYS = 56
function claimOf(marks: readonly TalkMark[], days: readonly { on: string }[], today: IsoDate): Claim {
  if (marks.length === 0) return 'not met yet'
  const alone = marks.filter((m) => MARKS[m.how] === 4)
  const asked = alone.filter((m) => m.level === 'focused' || m.level === 'open')
  const latest = asked
    .map((m) => m.on)
    .sort()
    .at(-1)
  const secure =
    new Set(asked.map((m) => m.on)).size >= 3 &&
    new Set(asked.flatMap((m) => m.food ?? [])).size >= 2 &&
    latest !== undefined &&
    daysBetween(latest, today) <= STAYS
  if (secure) return 'secure in cooking'
  const tried = days.filter((d) => marks.some((m) => m.on === d.on && MARKS[m.how] !== 'W'))
  if (tried.length >= 2) return 'growing'
  // A choice of two is easily guessed: it needs three to count.
  const guessed = alone.filter((m) => m.level === 'choice').length
  return asked.length > 0 || alone.some((m) => m.level === 'model') || guessed >= 3 ? 'seen once' : 'met'
}

/**
 * The level to begin with: by age the first time; one up after two right and alone in a row, one down after two misses.
 * @param marks of this child and target
 */
export function levelFrom(months: number, marks: readonly TalkMark[], rule?: TalkRule): SupportLevel {
  const tried = [...marks].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0)).slice(-2)
  const [a, b] = tried
  if (!a || !b) return startLevel(months, rule)
  const at = SUPPORT_LEVELS.indexOf(b.level)
  const alone = (m: TalkMark): boolean => MARKS[m.how] === 4
  const same = a.level === b.level
  const next = same && alone(a) && alone(b) ? at + 1 : !alone(a) && !alone(b) ? at - 1 : at
  return SUPPORT_LEVELS[Math.max(0, Math.min(SUPPORT_LEVELS.length - 1, next))] ?? 'model'
}
