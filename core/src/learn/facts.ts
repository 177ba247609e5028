/**
 * Facts of a step: what is there to count, compare or share, drawn from the plan's own amounts. Exact always.
 * Source: learning.md B0 (field names and formulas).
 */
import { isWhole, ratio, toMixed, toText, type Ratio } from '../amount/ratio'

export type Fact =
  | { kind: 'scoop'; food: string; unit: string; unitWord: string; target: Ratio; measure: Ratio; k: number }
  | { kind: 'count'; food: string; n: number }
  | { kind: 'share'; food: string; n: number; people: number }
  | { kind: 'timer'; minutes: number; start: string }

export interface ScoopDerived {
  scoops: Ratio
  whole: boolean
  running: string
  left: string
  leftScoops: Ratio
}

/** N = T/m, R = k·m, L = T − R; all exact. */
export function scoopDerived(target: Ratio, measure: Ratio, k: number): ScoopDerived {
  const n = ratio(target).div(measure)
  const run = ratio(measure).mul(k)
  return {
    scoops: toText(n),
    whole: isWhole(n),
    running: toMixed(run),
    left: toMixed(ratio(target).sub(run)),
    leftScoops: toText(n.sub(k)),
  }
}

export interface ShareDerived {
  each: number
  left: number
  exactEach: string
  needed: number
}

/** Each floor(n/w), left n mod w, exact n/w, needed for none left. */
export function shareDerived(n: number, people: number): ShareDerived {
  const left = n % people
  return {
    each: Math.floor(n / people),
    left,
    exactEach: toMixed(ratio(n).div(people)),
    needed: left === 0 ? 0 : people - left,
  }
}

/** `10:15` and 25 minutes -> `10:40`. */
export function clockAfter(start: string, minutes: number): string {
  const [h, m] = start.split(':').map(Number)
  const at = (h ?? 0) * 60 + (m ?? 0) + minutes
  const pad = (n: number): string => String(n).padStart(2, '0')
  return `${pad(Math.floor(at / 60) % 24)}:${pad(at % 60)}`
}
