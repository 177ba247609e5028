/**
 * Foods: what the typical recipe of each holds. The packet in hand always comes first.
 * Source: core/data/foods.json (EU 1169/2011, NHS, common practice; from memory). A setting's own foods stand over it.
 */
import data from '../../data/foods.json'

export type Verdict = 'yes' | 'no' | 'check'

export interface FoodFact {
  id: string
  name: string
  plural?: string
  aliases: string[]
  contains: string[]
  extras: string[]
  mayContain: string[]
  /** Made of several ingredients, so what it holds depends on the packet. */
  compound: boolean
  diets: Record<string, Verdict>
  alcohol?: string
  /** Row of the choking and too-early rules that this food falls under. */
  shape?: string
  note?: string
  confidence: string
  source: string
}

interface RawFood extends Omit<FoodFact, 'diets'> {
  diets: Record<string, string>
}

const verdict = (v: string): Verdict => (v === 'yes' || v === 'no' ? v : 'check')
const SHIPPED: FoodFact[] = (data.foods as RawFood[]).map((f) => ({
  ...f,
  diets: Object.fromEntries(Object.entries(f.diets).map(([k, v]) => [k, verdict(v)])),
}))

/** A food that Lea knows nothing of: it is never 'nothing found', it is *ask*. */
export interface UnknownFood {
  id: string
  name: string
  unknown: true
}

export type Food = FoodFact | UnknownFood

export const isUnknown = (food: Food): food is UnknownFood => 'unknown' in food

export interface FoodBook {
  /** The food of an id; one that nobody described is `unknown`. */
  of(id: string): Food
  all: readonly FoodFact[]
}

/** Lea's foods with a setting's own over them (same id: the setting's wins). */
export function foodBook(own: readonly FoodFact[] = []): FoodBook {
  const byId = new Map(SHIPPED.map((f) => [f.id, f]))
  for (const food of own) byId.set(food.id, food)
  return {
    of: (id) => byId.get(id) ?? { id, name: id.replace(/^own:/, '').replace(/-/g, ' '), unknown: true },
    all: [...byId.values()],
  }
}

/** The food's name for a number of pieces: 1 egg, 2 eggs. */
export const foodName = (food: Food, many = false): string =>
  many && !isUnknown(food) && food.plural ? food.plural : food.name
