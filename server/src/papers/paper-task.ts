/** What may be asked of a session on paper, and what comes back: known to those who ask, and to those who make it. */
import { MOST_PORTIONS } from '@lea/core/session'
import * as yup from 'yup'
import type { PaperSize } from './paper-size'

const PAPER_NAMES = [
  'before',
  'run',
  'allergens',
  'jobs',
  'words',
  'mats',
  'shopping',
  'labels',
  'record',
] as const
export type PaperName = (typeof PAPER_NAMES)[number]
export const isPaper = (name: string): name is PaperName => PAPER_NAMES.some((p) => p === name)

/** What is asked of one session. */
export type SessionTask = { setting: string; session: string } & (
  | { kind: 'paper'; name: PaperName; size: PaperSize | null; zone: string }
  | { kind: 'family-paper' | 'family-sheet' | 'family-letter'; wish: object; size: PaperSize | null }
  | { kind: 'shopping' }
)
export interface MadePaper {
  bytes: Uint8Array
  title: string
  /** Of a family letter: its words, and of whom it is. */
  letter?: { subject: string; text: string; about: string | null }
}

/** What may be wished of a family sheet. */
export const wishSchema = yup.object({
  child: yup.string().max(60).optional(),
  portions: yup
    .number()
    .typeError('Portions must be a whole number')
    .integer('Portions must be a whole number')
    .min(1, 'Portions must be at least 1')
    .max(MOST_PORTIONS, `Portions may be at most ${MOST_PORTIONS}`)
    .default(4),
  measures: yup
    .string()
    .oneOf(['cups', 'grams'] as const, 'Measures must be cups or grams')
    .default('cups' as const),
})
