/** A setting's own foods: they hold what was filled in, and what their names say besides. */
import { listedFoods, type FoodBook, type FoodFact } from './foods'
import { readLabel } from './label/read'

/** What the name of a food says that it holds, as a label would: "almond flakes" hold almond, whatever else was filled in. */
export function nameHolds(name: string): { contains: string[]; extras: string[] } {
  const { contains, extras } = readLabel(name)
  return { contains, extras }
}

/** A setting's own food also holds what its names say. */
export function withNameContents(food: FoodFact): FoodFact {
  if (!food.id.startsWith('own:')) return food
  const said = [food.name, ...food.aliases].map(nameHolds)
  const both = (mine: string[], theirs: string[][]): string[] => [...new Set([...mine, ...theirs.flat()])]
  const contains = both(
    food.contains,
    said.map((s) => s.contains),
  )
  const extras = both(
    food.extras,
    said.map((s) => s.extras),
  )
  return contains.length + extras.length === food.contains.length + food.extras.length
    ? food
    : { ...food, contains, extras }
}

const BOOKS = new WeakMap<readonly FoodFact[], { book: FoodBook; of: readonly FoodFact[] }>()
const NO_OWN: readonly FoodFact[] = []
/** Lea's foods with a setting's own over them. One list has one book: many recipes are looked at with it. */
export function foodBook(own: readonly FoodFact[] = NO_OWN): FoodBook {
  const known = BOOKS.get(own)
  // A list that has grown or changed meanwhile gets a new one.
  if (known?.of.length === own.length && own.every((f, i) => known.of[i] === f)) return known.book
  const made = listedFoods(own.map(withNameContents))
  BOOKS.set(own, { book: made, of: [...own] })
  return made
}
