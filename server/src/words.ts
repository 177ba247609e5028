/** Small readings of text at the edge. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i
export const isUuid = (text: string | undefined): text is string => text !== undefined && UUID.test(text)

/** Today in the server's own time zone, `YYYY-MM-DD`. */
export function today(): string {
  const now = new Date()
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`
}

/** A day some days away from another, `YYYY-MM-DD`. */
export function daysFrom(day: string, days: number): string {
  const at = new Date(`${day}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return at.toISOString().slice(0, 10)
}
