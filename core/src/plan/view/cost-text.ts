/** What a session costs, in words; where a price is missing a sum is the least that it can be, and no verdict is given. */
import { moneyText } from '../../amount/nation/money'
import type { Cheaper, Cost } from '../model/shopping-list'

export interface CostText {
  /** A row each: what it is, how much; `part` of the row above it. */
  rows: { what: string; sum: string; part?: true }[]
  /** The two that are asked for first. */
  figures: { figure: string; says: string }[]
  /** Against the ready-made thing; empty where there is none to compare with. */
  ready: { perPortion: string; byUse: string; byPurchase: string } | null
}

const CHEAPER: Record<Cheaper, string> = {
  home: 'made here is cheaper',
  ready: 'the ready-made is cheaper',
  same: 'both cost the same',
}
const verdict = (found: Cheaper | null): string =>
  found === null ? 'not known yet, for a price is missing' : CHEAPER[found]

/** @returns every sum and verdict as it is shown */
export function costText(cost: Cost): CostText {
  const money = (minor: string | number): string => moneyText(minor, cost.currency)
  // Plans frozen before 0.15 do not tell the foods apart that are still to buy.
  const pay = (cost.unpaid ?? cost.unknown).length > 0 ? 'at least ' : ''
  const use = cost.unknown.length > 0 ? 'at least ' : ''
  return {
    figures: [
      { figure: pay + money(cost.till), says: 'to pay today' },
      { figure: pay + money(cost.tillPerChild), says: 'for each child' },
    ],
    rows: [
      { what: 'Worth of what goes into the bowls', sum: use + money(cost.used) },
      { what: 'for each child', sum: use + money(cost.usedPerChild), part: true },
      { what: 'for each portion', sum: use + money(cost.usedPerPortion), part: true },
    ],
    ready: cost.ready && {
      perPortion: money(cost.ready.perPortion),
      byUse: verdict(cost.ready.byUse),
      byPurchase: verdict(cost.ready.byPurchase),
    },
  }
}
