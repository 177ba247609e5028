/** What a setting has of a food, in what packs it buys it, and what it weighed itself. */
import type { Ratio } from '../../amount/ratio'
import type { OwnWeight } from '../../food/weights'

export interface CupboardPack {
  size: Ratio
  unit: string
  /** Minor units; null where nobody wrote it down. */
  price: number | null
}
export interface CupboardItem {
  food: string
  have?: { amount: Ratio; unit: string } | undefined
  packs: CupboardPack[]
  /** One `unit` of it weighs so many grams, as this setting weighed it. */
  weighs?: { grams: Ratio; unit: string } | undefined
}

export const ownWeights = ({ cupboard = [] }: { cupboard?: readonly CupboardItem[] }): OwnWeight[] =>
  cupboard.flatMap((c) => (c.weighs ? [{ food: c.food, ...c.weighs }] : []))
