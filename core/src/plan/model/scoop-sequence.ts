/** The scoop strip: which measure each scoop is, how long it stands in the bar, and the running total under its end. */
import { countText } from '../../amount/show'
import type Fraction from 'fraction.js'
import { amountText, numberText } from '../../amount/show'
import { ratio, type Ratio } from '../../amount/ratio'
import { toBase, unitOf } from '../../amount/units'
import type { Measured, ScoopPart } from './line'

type Scoops = Extract<Measured, { by: 'scoop' }>

/** The measure of each scoop, in the order in which they are done. */
export const scoopsOf = (m: Measured): ScoopPart[] =>
  m.by === 'scoop' ? m.parts.flatMap((p) => Array.from({ length: p.n }, () => p)) : []

/** Sums by unit, in the order of the parts: `[['cup_m', 1/2], ['tbsp_m', 2]]`. */
function sums(scoops: readonly ScoopPart[]): [string, Fraction][] {
  const byUnit = new Map<string, Fraction>()
  for (const s of scoops) byUnit.set(s.unit, (byUnit.get(s.unit) ?? ratio(0)).add(s.size))
  return [...byUnit]
}

const word = (unit: string, amount: Fraction): string => {
  const u = unitOf(unit)
  return amount.compare(1) > 0 ? u.many : u.one
}

/** The total of the scoops done: `{ number: "1 1/4", unit: "cups" }`; of several units `"1/2 cup + 2 tbsp"` without a unit. */
export function runningTotal(m: Scoops, scoops: readonly ScoopPart[]): { number: string; unit: string } {
  const k = scoops.length
  if (m.any) return { number: String(k), unit: k === 1 ? 'part' : 'parts' }
  const done = sums(scoops)
  const only = new Set(m.parts.map((p) => p.unit)).size === 1
  if (!only) return { number: done.map(([u, a]) => amountText(a, u)).join(' + ') || '0', unit: '' }
  const [unit, amount] = done[0] ?? [m.parts[0]?.unit ?? '', ratio(0)]
  return { number: numberText(amount), unit: word(unit, amount) }
}

/** Labels of the scale: 0 first, then the running total under the end of each scoop. */
export const stripMarks = (m: Measured): string[] =>
  m.by === 'scoop'
    ? Array.from({ length: m.n + 1 }, (_, i) => runningTotal(m, scoopsOf(m).slice(0, i)).number)
    : []

/** How much of the bar each scoop takes, in per cent; the whole bar is the amount (display only). */
export function stripShares(m: Measured): number[] {
  const sizes = scoopsOf(m).map((s) => toBase(s.size, s.unit).valueOf())
  const all = sizes.reduce((a, b) => a + b, 0) || 1
  return sizes.map((s) => (100 * s) / all)
}

/** "3 × 1/4 cup", "1 × 1/2 cup + 2 × 1 tbsp", "3 parts with any cup". */
export function scoopsText(m: Scoops): string {
  if (m.any) return `${countText(m.n, 'part')} with any cup`
  return m.parts.map((p) => `${p.n} × ${p.name}`).join(' + ')
}

/** mL that the scoops make, exact. */
export const madeBy = (m: Scoops): Fraction =>
  m.parts.reduce((sum, p) => sum.add(toBase(p.size, p.unit).mul(p.n)), ratio(0))

/** The one size of the scoops, where they all have one. */
export const onlySize = (m: Measured): { size: Ratio; unit: string; name: string } | null =>
  m.by === 'scoop' && m.parts.length === 1 ? (m.parts[0] ?? null) : null
