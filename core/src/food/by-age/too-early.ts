/**
 * Foods and drinks that are too early, by age.
 * Source: core/data/too-early.json (NHS, FSA, FDA, CDC, Food Code, AAP; from memory). Default: the stricter of UK and US.
 */
import data from '../../../data/too-early.json'
import { settles, type Forms } from './forms'

export interface EarlyRow {
  id: string
  names: string[]
  /** Longer names in which its own do not mean it: "ginger beer". */
  not?: string[]
  /** Lea's foods that are it. */
  foods?: string[]
  /** All food is meant, whatever its name. */
  every?: true
  rule: string
  /** Months until which it holds; null: no such rule there; 999: at every age in a session. */
  until: { uk: number | null; us: number | null }
  verdict: 'stop' | 'change'
  /** Forms in which it does not hold: cooked until steaming. */
  unless?: string[]
  /** About what is eaten over days, not about this mouthful: said, and nobody is stopped. */
  note?: true
  says: string
  source: string
}

export const EARLY_ROWS: readonly EarlyRow[] = data.rows as EarlyRow[]
/** At every age. */
export const ALWAYS = 999

/** Completed months below which a row holds: the country's, or the stricter of both. */
export function earlyUntil(row: EarlyRow, country?: 'uk' | 'us'): number {
  const limits = country ? [row.until[country]] : [row.until.uk, row.until.us]
  return Math.max(...limits.map((l) => l ?? 0))
}

export const isTooEarly = (row: EarlyRow, forms: Forms, months: number, country?: 'uk' | 'us'): boolean =>
  months < earlyUntil(row, country) && !(row.unless !== undefined && settles(row.unless, forms))

const BY_FOOD = new Map<string, EarlyRow[]>()
for (const row of EARLY_ROWS)
  for (const food of row.foods ?? []) BY_FOOD.set(food, [...(BY_FOOD.get(food) ?? []), row])

/** The rows that one of Lea's foods is meant by. */
export const earlyRowsOf = (food: string): readonly EarlyRow[] => BY_FOOD.get(food) ?? []
