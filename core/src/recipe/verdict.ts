/** One verdict on a food, a job or a reading, with what to do instead and where the rule comes from. */
export interface Advice {
  /** `stop`, `change` (another shape, tool or job), `adult` (an adult does it), `ok` (as `do` says), or `unknown`. */
  result: 'stop' | 'change' | 'adult' | 'ok' | 'unknown'
  /** Months until which it holds, where an age ends it. */
  until: number | null
  do: string
  because: string
  source: string
  /** The row that was used. */
  matched: string | null
}
