/**
 * The order of the shelf, what matters most first: a plan at all; nobody in danger; all can take part; adults enough and the clock; kit;
 * the cost for each child; turns; targets of the week; not made lately; liked before. Figures that a person would not tell apart (a few
 * pence, a turn more or less) are bands, so that what comes after still counts.
 */
import type { Against, Figures, SelectionCriteria } from './selection-criteria'

/** Pence or cents that make no difference to a choice (common practice). */
const COST_BAND = 25
/** Made within so many days is lately: three weeks (common practice). */
export const LATELY_DAYS = 21
const LATE_BAND = 5

export function keyOf(f: Figures, against: readonly Against[], wish: SelectionCriteria): number[] {
  return [
    against.some((a) => a.kind === 'plan') ? 1 : 0,
    f.danger,
    f.out,
    f.tooFewAdults,
    Math.ceil(f.late / LATE_BAND),
    f.missingKit.length,
    // Asked for by name, it comes before what is a matter of degree.
    wish.theme !== undefined && !f.ofTheme ? 1 : 0,
    wish.fromCupboard ? f.toBuy.length : 0,
    wish.budget !== undefined && f.cost > wish.budget ? 1 : 0,
    Math.floor(f.cost / COST_BAND),
    Math.max(0, f.mostTurns - f.leastTurns - 1),
    f.leastTurns === 0 ? 1 : 0,
    -f.targets.length,
    f.since !== null && Math.abs(f.since) < LATELY_DAYS ? 1 : 0,
    -Math.round(2 * (f.liked ?? 0)),
    f.swaps,
    f.packets,
  ]
}

/** Less than 0: the first comes first. Equal keys keep the order of their ids, so that the same shelf always stands the same. */
export function byKey(a: { key: readonly number[]; recipe: string }, b: typeof a): number {
  for (let i = 0; i < a.key.length; i++) {
    const by = (a.key[i] ?? 0) - (b.key[i] ?? 0)
    if (by !== 0) return by
  }
  return a.recipe < b.recipe ? -1 : a.recipe > b.recipe ? 1 : 0
}
