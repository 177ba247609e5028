/** Days and times as people read them. */

const pad = (n: number): string => String(n).padStart(2, '0')

/** Today of this device, `YYYY-MM-DD`. */
export function todayText(): string {
  const now = new Date()
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`
}

const LONG = new Intl.DateTimeFormat('en-GB', {
  weekday: 'long',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})

/** "Thursday 26 November", or "today". */
export function dayText(day: string): string {
  if (day === todayText()) return 'today'
  return LONG.format(new Date(`${day}T12:00:00Z`)).replace(',', '')
}

/** A child's birth month in words: "April 2022". */
export const monthText = (month: string): string =>
  new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-15T12:00:00Z`),
  )

/** The time of day of an ISO time on this device, `HH:MM`. */
export function timeText(iso: string): string {
  const at = new Date(iso)
  return `${pad(at.getHours())}:${pad(at.getMinutes())}`
}
