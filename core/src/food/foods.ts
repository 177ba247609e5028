/**
 * Foods: what the typical recipe of each holds. The packet in hand always comes first.
 * Source: core/data/foods.json (EU 1169/2011, NHS, common practice; from memory). A setting's own foods stand over it.
 */
import data from '../../data/foods.json'
import { normaliseLabel } from './label/text'

export type Verdict = 'yes' | 'no' | 'check'

/** Raw foods that nobody tastes and that decide the order of work. */
export const RAW_KINDS = ['egg', 'poultry', 'mince', 'meat', 'fish', 'flour'] as const
export type RawKind = (typeof RAW_KINDS)[number]

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
  /** How and how long it keeps. */
  storage?: string
  /** Row of the choking and too-early rules that this food falls under. */
  shape?: string
  /** What it is when it comes raw, or that it is eaten as it comes from the packet; none: never a raw food of these kinds. */
  raw?: RawKind | 'ready'
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

const singular = (word: string): string =>
  word
    .replace(/ies$/, 'y')
    .replace(/(ch|sh|x|ss|o)es$/, '$1')
    .replace(/(?<![sui])s$/, '')

const key = (words: string): string => normaliseLabel(words).split(' ').map(singular).join(' ')

const byName = new WeakMap<FoodBook, Map<string, FoodFact>>()

function namesOf(book: FoodBook): Map<string, FoodFact> {
  const known = byName.get(book)
  if (known) return known
  const map = new Map<string, FoodFact>()
  for (const food of book.all) {
    map.set(food.id, food)
    for (const name of [food.id.replace(/-/g, ' '), food.name, food.plural ?? '', ...food.aliases]) {
      if (name && !map.has(key(name))) map.set(key(name), food)
    }
  }
  byName.set(book, map)
  return map
}

/** The food whose name, plural or synonym the words are, whole. */
export const resolveExactly = (words: string, book: FoodBook = SHIPPED_BOOK): FoodFact | null =>
  namesOf(book).get(words) ?? namesOf(book).get(key(words)) ?? null

/**
 * The food that words name: by id, by its name or a synonym (UK and US, singular or plural), else by its longest name
 * that stands at the end or the beginning of the words ("finely chopped fresh parsley", "butter, softened").
 * @returns null where Lea does not know it: it is then *ask*, never guessed.
 */
export function resolveFood(words: string, book: FoodBook = SHIPPED_BOOK): FoodFact | null {
  const direct = resolveExactly(words, book)
  if (direct) return direct
  const names = namesOf(book)
  const tokens = key(words.split(/[,(]/)[0] ?? '').split(' ')
  for (let length = tokens.length - 1; length >= 1; length--) {
    for (let from = tokens.length - length; from >= 0; from--) {
      const found = names.get(tokens.slice(from, from + length).join(' '))
      if (found) return found
    }
  }
  return null
}

/** Lea's own foods alone. */
export const SHIPPED_BOOK: FoodBook = listedFoods()

/** Stock, gelatine, lard: of an animal, and not raw. */
const NEVER_RAW = new Set<string>(['seasoning', 'sweet', 'fat'])

/**
 * What a food is when it comes raw; null where it is eaten as it is. Of a setting's own food that says nothing of it, whatever is not
 * vegetarian is taken for raw meat: rather measured once too often.
 */
export function rawKindOf(food: Food): RawKind | null {
  if (isUnknown(food)) return null
  if (food.raw) return food.raw === 'ready' ? null : food.raw
  return food.diets['vegetarian'] === 'no' && !NEVER_RAW.has(food.group ?? '') ? 'meat' : null
}
