/** Typical packs of a food, and how long it keeps. Source: measures.md F, common practice, from memory. */
import data from '../../data/packs.json'
import type { Ratio } from '../amount/ratio'

interface PackRow {
  food: string
  what: string
  uk?: { size: string; unit: string }
  us?: { size: string; unit: string }
  keeps: string
}
const ROWS: readonly PackRow[] = data.packs

export interface TypicalPack {
  size: Ratio
  unit: string
}

/** The packs a food is usually sold in; empty where nobody wrote them down. */
export const typicalPacks = (food: string, country: 'uk' | 'us'): TypicalPack[] =>
  ROWS.filter((r) => r.food === food).flatMap((r) => r[country] ?? [])

/** How long it keeps once opened or ripe, in words, and in days for the shorter end; null where it is not known. */
export function keeping(food: string): { says: string; days: number | null } | null {
  const row = ROWS.find((r) => r.food === food)
  if (!row) return null
  const first = /(\d+)(?:[–-]\d+)?\+? ?(d|wk|mo|y)\b/.exec(row.keeps)
  const each = { d: 1, wk: 7, mo: 30, y: 365 }
  const days = first?.[2] ? Number(first[1]) * each[first[2] as keyof typeof each] : null
  // Of two lives the shorter stands first, and that one is used.
  return { says: spelled((row.keeps.split(' / ')[0] ?? '').replace(/,? UK label/, '')), days }
}

const spelled = (keeps: string): string =>
  keeps
    .replace(/(\d) d\b/g, '$1 days')
    .replace(/(\d) wk\b/g, '$1 weeks')
    .replace(/(\d\+?) mo\b/g, '$1 months')
    .replace(/(\d\+?) y\b/g, '$1 years')
