/** Times of the day. */
import { countText } from './show'

/** `10:15` and 25 minutes -> `10:40`. */
export function clockAfter(start: string, minutes: number): string {
  const [h, m] = start.split(':').map(Number)
  const at = (h ?? 0) * 60 + (m ?? 0) + minutes
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${pad(Math.floor(at / 60) % 24)}:${pad(at % 60)}`
}

/** Seconds to the half minute: "2.5 minutes". */
export const minutesText = (seconds: number): string => {
  const half = Math.round(seconds / 30) / 2
  return countText(half, 'minute')
}

/** From one clock time to another of the same day, `HH:MM`; less than 0 where the second comes first. */
export const minutesBetween = (from: string, to: string): number => {
  const at = (hhmm: string): number => {
    const [h, m] = hhmm.split(':').map(Number)
    return (h ?? 0) * 60 + (m ?? 0)
  }
  return at(to) - at(from)
}

/** Times in words. */

export const minutes = (n: number): string => countText(n, 'minute')
