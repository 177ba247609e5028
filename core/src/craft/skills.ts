/** How a child was last seen to do a technique: no mark and no rank, only where to begin next time. */

import { daysBetween } from '../amount/days'

/** How a technique was seen to go. */
export const HOWS = ['alone', 'reminder', 'help', 'not-today'] as const
export type How = (typeof HOWS)[number]
/** The same in words. */
export const HOW_WORDS: Record<How, string> = {
  alone: 'alone',
  reminder: 'with a reminder',
  help: 'with help',
  'not-today': 'not today',
}

/** Technique id -> how it was last seen. */
export type Skills = Readonly<Record<string, How>>

export interface Fit {
  /** Smaller is dealt sooner. */
  cost: number
  /** Below what the child can do: one now and then is fine, not always the same. */
  easy: 0 | 1
}

/**
 * How well a job fits: what was seen with help or a reminder is the edge, what goes alone is the easy one, what was refused comes
 * last. Where nothing was seen, by age: beside is a stretch, far beyond the age of overseeing is easy.
 * Ages and plans are hard filters before this; a fit never lets a child do what its age bars.
 * @param stretch an adult has to stand beside at this age
 * @param monthsBeyond age in months beyond that at which the technique is only overseen
 * @source common practice
 */
export function fitOf(seen: How | undefined, stretch: boolean, monthsBeyond: number): Fit {
  if (seen === 'alone') return { cost: 1, easy: 1 }
  if (seen === 'not-today') return { cost: 2, easy: 0 }
  if (seen !== undefined) return { cost: 0, easy: 0 }
  return { cost: stretch ? 0 : 1, easy: monthsBeyond >= EASY_MONTHS ? 1 : 0 }
}
const EASY_MONTHS = 24

/** So long a job counts as lately done, and a target of the week as met; days. */
const LATELY_DAYS = 14
const WEEK_DAYS = 7

/**
 * Who should have a job of several whom it fits alike: rather one who has not had it lately; of the week's targets rather one who
 * has not come to it this week.
 * @param last the day on which the child last did it, `YYYY-MM-DD`; undefined where it never did
 * @param ofWeek the technique is one that everybody should come to this week
 * @returns a cost beside that of the fit, smaller is dealt sooner
 * @source common practice
 */
export function turnCost(fit: Fit, last: string | undefined, day: string, ofWeek: boolean): number {
  const days = last === undefined ? Infinity : daysBetween(last, day)
  const lately = days <= LATELY_DAYS ? 1 : 0
  const met = days <= WEEK_DAYS
  return 2 * fit.cost + lately + (ofWeek && met ? 2 : 0)
}
