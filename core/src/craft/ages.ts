/**
 * Ages in completed months at a session's date. Of a birth month the last day counts, and a guest's age in years is
 * taken as the birthday itself, so that nobody is taken for older than they are.
 */

import { countText } from '../amount/show'
import { daysInMonth, type IsoDate } from '../amount/days'

export type { IsoDate }
/** `YYYY-MM` */
export type BirthMonth = string

const parts = (text: string): [number, number, number] => {
  const [y, m, d] = text.split('-').map(Number)
  return [y ?? 0, m ?? 1, d ?? 1]
}

/**
 * Completed months on a date of a child born in a month. Born in November 2023, on 29 November 2026: 35 months,
 * on 30 November 2026: 36 months.
 */
export function monthsOn(birth: BirthMonth, date: IsoDate): number {
  const [by, bm] = parts(birth)
  const [y, m, d] = parts(date)
  const short = d >= daysInMonth(by, bm) ? 0 : 1
  return Math.max(0, (y - by) * 12 + (m - bm) - short)
}

/** Age in words for a badge: `11 months`, `4 years`. */
export function ageText(months: number): string {
  if (months < 24) return countText(months, 'month')
  const years = Math.floor(months / 12)
  return `${years} years`
}

/** An age beside a name: the years alone, as one says it of children; below two years the months with their word. */
export const ageBeside = (months: number): string =>
  months < 24 ? ageText(months) : String(Math.floor(months / 12))

/** The longest wait for a turn that an age bears, in seconds. Source: common practice (age-skill-safety F1), from memory. */
export function longestWait(months: number): number {
  if (months < 24) return 0
  if (months < 36) return 30
  if (months < 48) return 60
  if (months < 60) return 120
  if (months < 84) return 180
  return months < 120 ? 240 : 300
}

/** What a group of this youngest age counts to with ease. Source: CDC milestones 2022; common practice, from memory. */
export function countLimit(youngestMonths: number): number {
  if (youngestMonths < 36) return 3
  if (youngestMonths < 48) return 5
  return youngestMonths < 84 ? 10 : 20
}

/** How long an age stays with one job, in seconds. Source: common practice (age-skill-safety F1: hands-on minutes), from memory. */
export function attention(months: number): number {
  if (months < 24) return 240
  if (months < 36) return 420
  if (months < 48) return 600
  if (months < 60) return 720
  return months < 84 ? 1200 : 2100
}
