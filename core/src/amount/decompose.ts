/**
 * Every exact way to make an amount with the measures in the box.
 *
 * Definition. Sizes s1 > s2 > ... and an amount A on one integer lattice; all n with sum n_i*s_i = A and
 * 1 <= sum n_i <= X. Depth-first over the sizes from large to small, the last one by division.
 * Source of the ranking: calc.md `scoops-all`, measures.md E (common practice), from memory.
 */
import type Fraction from 'fraction.js'
import { ratio, type Ratio } from './ratio'

export interface Size {
  id: string
  /** In the same unit as the amount. */
  size: Ratio | Fraction
}
export type Ways = Record<string, number>

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b))
const lcm = (a: bigint, b: bigint): bigint => (a / gcd(a, b)) * b

/** Amounts as whole numbers of one common part. @throws RangeError where the parts are too fine for exact numbers */
export function onLattice(values: readonly (Ratio | Fraction)[]): number[] {
  const all = values.map((v) => ratio(v))
  const common = all.reduce((m, v) => lcm(m, v.d), 1n)
  const whole = all.map((v) => (v.n * v.s * common) / v.d)
  const shared = whole.reduce((a, b) => gcd(a, b < 0n ? -b : b), 0n) || 1n
  return whole.map((v) => {
    const part = v / shared
    if (part > BigInt(Number.MAX_SAFE_INTEGER))
      throw new RangeError('measures share no part that is coarse enough for exact numbers')
    return Number(part)
  })
}

/** An amount and the measures as whole numbers of the measures' own common part; null where the amount is none. */
function totalOn(amount: Fraction, sizes: readonly Size[]): { total: number; parts: number[] } | null {
  const parts = onLattice(sizes.map((s) => s.size))
  const at = parts.findIndex((p) => p > 0)
  const size = sizes[at]
  if (!size) return null
  const whole = amount.div(ratio(size.size)).mul(parts[at] ?? 1)
  return whole.d === 1n && whole.n <= BigInt(Number.MAX_SAFE_INTEGER)
    ? { total: Number(whole.n * whole.s), parts }
    : null
}

/** More ways than this are refused, not cut off: an answer that leaves ways out would be a wrong one. */
const MOST = 2_000_000

/**
 * All exact ways, as counts in the order of the measures given.
 * @throws RangeError where there are more than two million
 */
export function decompositions(
  amount: Ratio | Fraction,
  sizes: readonly Size[],
  maxScoops: number,
): number[][] {
  const exact = totalOn(ratio(amount), sizes)
  // What is no whole number of the parts that the measures share is made by none of them.
  if (exact === null) return []
  const { total, parts } = exact
  const order = parts
    .map((size, index) => ({ size, index }))
    .filter((p) => p.size > 0)
    .sort((a, b) => b.size - a.size)
  const found: number[][] = []
  const counts = parts.map(() => 0)
  const walk = (at: number, left: number, scoops: number): void => {
    const part = order[at]
    if (!part || left > scoops * part.size) return
    if (at === order.length - 1) {
      const n = left / part.size
      if (!Number.isInteger(n)) return
      if (found.length === MOST) throw new RangeError('measures make this in more than two million ways')
      counts[part.index] = n
      found.push([...counts])
      counts[part.index] = 0
      return
    }
    for (let n = Math.min(scoops, Math.floor(left / part.size)); n >= 0; n--) {
      counts[part.index] = n
      walk(at + 1, left - n * part.size, scoops - n)
    }
    counts[part.index] = 0
  }
  if (total > 0) walk(0, total, maxScoops)
  return found
}

export interface RankOptions {
  children: number
  countLimit: number
  /** p, scoops a child bears for one ingredient. */
  patience?: number
}

/** The rank of one way, smaller first (calc.md `scoops-all`, 2 to 7; 1 is the error, 0 here). */
export function rankOf(
  counts: readonly number[],
  sizes: readonly number[],
  { children: k, countLimit: c, patience = 4 }: RankOptions,
): number[] {
  const used = counts.filter((n) => n > 0)
  const total = used.reduce((a, b) => a + b, 0)
  const equality = used.every((n) => n % k === 0) ? 0 : total % k === 0 ? 1 : total >= k ? 2 : 3
  const counting = used.every((n) => n <= c)
    ? 0
    : used.every((n) => n <= c || (n % k === 0 && n / k <= c))
      ? 1
      : 2
  const bySize = counts.map((n, i) => ({ n, size: sizes[i] ?? 0 })).sort((a, b) => b.size - a.size)
  return [equality, counting, total <= patience * k ? 0 : 1, used.length, total, ...bySize.map((b) => -b.n)]
}

const earlier = (a: readonly number[], b: readonly number[]): boolean => {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return (a[i] ?? 0) < (b[i] ?? 0)
  return false
}

/** The best way for a group, or null where there is none. The winner is unique. */
export function bestWay(
  ways: readonly number[][],
  sizes: readonly number[],
  options: RankOptions,
): number[] | null {
  let best: { way: number[]; rank: number[] } | null = null
  for (const way of ways) {
    const rank = rankOf(way, sizes, options)
    if (best === null || earlier(rank, best.rank)) best = { way, rank }
  }
  return best?.way ?? null
}
