/**
 * Foods: what the typical recipe of each holds. The packet in hand always comes first.
 * Source: core/data/foods.json (EU 1169/2011, NHS, common practice; from memory). A setting's own foods stand over it.
 */
import data from '../../data/foods.json'
import { rawKindByName, type RawKind } from './raw-words'

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
  /** Food group: `grain`, `dairy`, `plant dairy`, `protein`, `fruit`, `vegetable`, ... A setting's own food may have none. */
  group?: string
  /** What it usually does in a recipe. */
  roles?: string[]
  /** How it keeps: a row of `keeping.ts` for what is shipped, a setting's own words for its own. */
  storage?: string
  /** Row of the choking and too-early rules that this food falls under. */
  shape?: string
  /** What it is when it comes raw, or that it is eaten as it comes from the packet; none: never a raw food of these kinds. */
  raw?: RawKind | 'ready'
  /** True where sugar is added to it, false where it is sweet by itself or by a sweetener; none: its group says it. */
  addedSugar?: boolean
  /** It stings skin and eyes: an adult's hands only. */
  stings?: boolean
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

/**
 * Lea's foods with a setting's own over them (same id: the setting's wins), each as it is listed. Of own foods as the server answers
 * them; what comes straight from a request or a file goes through `foodBook`, which reads their names as well.
 */
export function listedFoods(own: readonly FoodFact[] = []): FoodBook {
  const byId = new Map([...SHIPPED, ...own].map((f) => [f.id, f]))
  return {
    of: (id) => byId.get(id) ?? { id, name: id.replace(/^own:/, '').replace(/-/g, ' '), unknown: true },
    all: [...byId.values()],
  }
}

/** The food's name for a number of pieces: 1 egg, 2 eggs. */
export const foodName = (food: Food, many = false): string =>
  many && !isUnknown(food) && food.plural ? food.plural : food.name

/** Lea's own foods alone. */
export const SHIPPED_BOOK: FoodBook = listedFoods()

/** Stock, gelatine, lard: of an animal, and not raw. */
const NEVER_RAW = new Set<string>(['seasoning', 'sweet', 'fat'])

/**
 * What a food is when it comes raw; null where it is eaten as it is. Of a setting's own food that says nothing of it, whatever is not
 * vegetarian is taken for raw meat: rather measured once too often. Of a food that nobody described its words decide.
 */
export function rawKindOf(food: Food): RawKind | null {
  if (isUnknown(food)) return rawKindByName(food.name)
  if (food.raw) return food.raw === 'ready' ? null : food.raw
  const vegetarian = food.diets['vegetarian']
  const byName = food.id.startsWith('own:') && vegetarian !== 'yes' ? rawKindByName(food.name) : null
  return byName ?? (vegetarian === 'no' && !NEVER_RAW.has(food.group ?? '') ? 'meat' : null)
}
