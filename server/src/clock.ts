/**
 * The server's one clock. `LEA_CLOCK_SHIFT_MS` moves it by so many milliseconds: `./lea test` gives the demo and the tests a day of
 * their own with it, so that nothing hangs on the day on which they are run. Sign-ins and rate limits keep the machine's time.
 */
const SHIFT_MS = Number(process.env['LEA_CLOCK_SHIFT_MS'] ?? 0)
if (!Number.isFinite(SHIFT_MS)) throw new Error('LEA_CLOCK_SHIFT_MS must be a number of milliseconds')

/** Now, to the millisecond. */
export const now = (): Date => new Date(Date.now() + SHIFT_MS)

/** Today where a setting is, or in the server's own time zone where it says none, `YYYY-MM-DD`. */
export function today(zone?: string): string {
  const at = now()
  // Swedish writes a day as ISO 8601 does.
  if (zone !== undefined) return new Intl.DateTimeFormat('sv-SE', { timeZone: zone }).format(at)
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`
}
