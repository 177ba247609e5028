/** What an amount of a food costs by the packs of the Cupboard: minor units, exact; null without a price or a weight to cross by. */
import type Fraction from 'fraction.js'
import { moneyText, type Currency } from '../../amount/nation/money'
import { nationOf } from '../../amount/nation/nations'
import { ratio, type Ratio } from '../../amount/ratio'
import { crossTo } from '../../food/weights'
import { ownWeights } from './cupboard'
import type { PlanRequest } from './request'

interface Part {
  food: string
  amount: Ratio | Fraction
  unit: string
}

export const currencyOf = ({ rules }: PlanRequest): Currency => nationOf(rules).currency

/** By the cheapest of its packs, for what is used of it. */
function priceOfPart({ food, amount, unit }: Part, request: PlanRequest): Fraction | null {
  if (food === 'water') return ratio(0)
  const packs = request.cupboard?.find((c) => c.food === food)?.packs ?? []
  const own = ownWeights(request)
  const prices = packs.flatMap((p) => {
    const inPack = p.price === null ? null : crossTo(amount, unit, p.unit, food, '', own)
    return inPack && p.price !== null ? [inPack.amount.div(p.size).mul(p.price)] : []
  })
  return prices.reduce<Fraction | null>((least, p) => (least && least.compare(p) <= 0 ? least : p), null)
}

/** "45p more", "20p less", "costs the same"; empty where a price is not known. */
export function priceChange(before: Part, after: readonly Part[], request: PlanRequest): string {
  const was = priceOfPart(before, request)
  const parts = after.map((p) => priceOfPart(p, request))
  if (was === null || parts.some((p) => p === null)) return ''
  const change = parts.reduce<Fraction>((sum, p) => sum.add(p ?? 0), ratio(0)).sub(was)
  const shown = moneyText(change.abs(), currencyOf(request))
  if (/^0[p¢]$/.test(shown)) return 'costs the same'
  return `${shown} ${change.compare(0) > 0 ? 'more' : 'less'}`
}
