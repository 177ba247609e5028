/** What is to be bought, and what it costs: the shapes. */
import type { Currency } from '../../amount/nation/money'
import type { Ratio } from '../../amount/ratio'

export interface ShoppingRow {
  food: string
  name: string
  /** All of it, as the recipe measures it. */
  amount: Ratio
  unit: string
  text: string
  /** In the unit that it is bought in, with what is peeled away; null where that cannot be worked out. */
  need: { amount: Ratio; unit: string; text: string; source: string } | null
  /** What the Cupboard has, in words. */
  have: string
  /** What to buy; null where there is enough, or nothing is known of its packs. */
  buy: {
    text: string
    packs: { size: Ratio; unit: string; n: number; text: string }[]
    cost: number | null
  } | null
  enough: boolean
  left: { text: string; keeps: string; soon: boolean } | null
  /** Minor units for what goes in, exact; null without a price. */
  used: Ratio | null
  got: boolean
  /** Why there are no packs. */
  why: string
}

export interface Cost {
  currency: Currency
  /** For what goes in: exact, minor units. */
  used: Ratio
  usedPerPortion: Ratio
  usedPerChild: Ratio
  /** What the packs cost that are still to buy. */
  till: number
  tillPerChild: Ratio
  /** Foods without a price: what is used is then "at least". */
  unknown: string[]
  /** Foods that are still to buy without a price: what is paid is then "at least". Plans frozen before 0.15 have none. */
  unpaid?: string[]
  /** Null where a price that is missing could turn the answer round. */
  ready: {
    price: number
    portions: number
    perPortion: Ratio
    byUse: Cheaper | null
    byPurchase: Cheaper | null
  } | null
}
export type Cheaper = 'home' | 'ready' | 'same'
