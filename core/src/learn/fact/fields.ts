/** The fields of a fact as they come in: read exactly, or refused by name. Names: learning.md B0. */
import type Fraction from 'fraction.js'
import { AmountError, parseRatio } from '../../amount/ratio'

/** A fact as it comes in: `kind` and its plain fields. */
export type PlainFact = { kind: string } & Readonly<Record<string, unknown>>
export type Derived = Record<string, unknown>

/** A fact that makes no sense, with the field at fault. */
export class FactError extends Error {
  readonly field: string
  constructor(field: string, says: string) {
    super(`${field} ${says}`)
    this.field = field
  }
}

/** The kinds of facts. Source: learning.md B0. */
export const FACT_KINDS = [
  'count',
  'scoop',
  'vessel',
  'jug',
  'cut',
  'share',
  'layer',
  'layers',
  'tin',
  'timer',
  'weigh',
  'compare',
  'price',
  'scale',
  'temp',
  'shape',
  'mirror',
  'tastes',
  'vote',
  'order',
] as const
export type FactKind = (typeof FACT_KINDS)[number]
export const isFactKind = (kind: string): kind is FactKind => (FACT_KINDS as readonly string[]).includes(kind)

export const amountOf = (fact: PlainFact, field: string, fallback?: string): Fraction => {
  const value = fact[field] ?? fallback
  if (value === undefined) throw new FactError(field, 'is missing')
  if (typeof value !== 'string' && typeof value !== 'number') throw new FactError(field, 'must be an amount')
  try {
    return parseRatio(value)
  } catch (fault) {
    throw new FactError(field, fault instanceof AmountError ? fault.message : 'must be an amount')
  }
}
export const has = (fact: PlainFact, field: string): boolean =>
  fact[field] !== undefined && fact[field] !== null
export const above = (fact: PlainFact, field: string): Fraction => {
  const value = amountOf(fact, field)
  if (value.compare(0) <= 0) throw new FactError(field, 'must be more than 0')
  return value
}
export const wholeOf = (fact: PlainFact, field: string, fallback?: string): number => {
  const value = amountOf(fact, field, fallback)
  if (value.d !== 1n || value.compare(0) < 0 || value.compare(100_000) > 0)
    throw new FactError(field, 'must be a whole number')
  return value.valueOf()
}
export const wordOf = (fact: PlainFact, field: string, fallback: string): string =>
  typeof fact[field] === 'string' ? fact[field] : fallback
export const fieldList = (fact: PlainFact, field: string): string[] => {
  const value = fact[field]
  if (typeof value === 'string') return value.split('/').map((s) => s.trim())
  if (Array.isArray(value) && value.every((v) => typeof v === 'string' || typeof v === 'number'))
    return value.map(String)
  throw new FactError(field, 'must be a list')
}

export function clockOf(f: PlainFact, field: string): string {
  const text = f[field]
  if (typeof text !== 'string' || !/^([01]?\d|2[0-3]):[0-5]\d$/.test(text))
    throw new FactError(field, 'must be a time such as 10:50')
  return text.padStart(5, '0')
}

export function sideOf(f: PlainFact, field: 'a' | 'b'): { name: string; amount: Fraction } {
  const side = f[field]
  if (side && typeof side === 'object' && !Array.isArray(side)) {
    const s = side as Record<string, unknown>
    return {
      name: typeof s['name'] === 'string' ? s['name'] : field,
      amount: amountOf({ kind: 'compare', [field]: s['amount'] }, field),
    }
  }
  return { name: field, amount: amountOf(f, field) }
}

/** A plain field as text: words and numbers as they stand, anything else empty. */
export const textField = (fact: PlainFact, field: string): string => {
  const value = fact[field]
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}
