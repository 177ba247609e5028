/** Times of the day. */

/** `10:15` and 25 minutes -> `10:40`. */
export function clockAfter(start: string, minutes: number): string {
  const [h, m] = start.split(':').map(Number)
  const at = (h ?? 0) * 60 + (m ?? 0) + minutes
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${pad(Math.floor(at / 60) % 24)}:${pad(at % 60)}`
}
