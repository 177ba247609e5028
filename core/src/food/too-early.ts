/**
 * Foods and drinks that are too early, by age.
 * Source: core/data/too-early.json (NHS, FSA, FDA, CDC, Food Code, AAP; from memory). Default: the stricter of UK and US.
 */
import data from '../../data/too-early.json'

export interface EarlyRow {
  id: string
  names: string[]
  rule: string
  /** Months until which it holds; null: no such rule there; 999: at every age in a session. */
  until: { uk: number | null; us: number | null }
  verdict: 'stop' | 'change'
  says: string
  source: string
}

export const EARLY_ROWS: readonly EarlyRow[] = data.rows as EarlyRow[]
