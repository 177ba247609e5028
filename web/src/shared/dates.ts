/** Days and times as people read them, by the clock of this device. */
import { longDay } from '@lea/core/amount'

const pad = (n: number): string => String(n).padStart(2, '0')

/** Today of this device, `YYYY-MM-DD`. */
export function todayText(): string {
  const now = new Date()
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`
}

/** A day out of an address, or null where it names none. */
export const dayIn = (value: unknown): string | null =>
  typeof value === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(value) && !Number.isNaN(Date.parse(value))
    ? value
    : null

/** "Thursday 26 November", or "today". */
export const dayText = (day: string): string => (day === todayText() ? 'today' : longDay(day))

/** The time of day of an ISO time on this device, `HH:MM`. */
export function timeText(iso: string): string {
  const at = new Date(iso)
  return `${pad(at.getHours())}:${pad(at.getMinutes())}`
}
