/** Small readings of text at the edge. */

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i
export const isUuid = (text: string | undefined): text is string => text !== undefined && UUID.test(text)

/** A day some days away from another, `YYYY-MM-DD`. */
export function daysFrom(day: string, days: number): string {
  const at = new Date(`${day}T12:00:00Z`)
  at.setUTCDate(at.getUTCDate() + days)
  return at.toISOString().slice(0, 10)
}
