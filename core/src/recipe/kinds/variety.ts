/** Varieties of one food side by side: "red" and "green" apples. A variety names no other food: that would hide it from every check. */
import { foodsStanding } from '../../food/food-names'
import { ALLERGENS } from '../../food/allergens'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'

/** As long as a variety may be written. */
export const VARIETY_MOST = 30

/** "red apple"; the name alone where nothing is said. */
export const varietyName = (variety: string | undefined, name: string): string =>
  variety ? `${variety} ${name}` : name

/** Why a word is no variety, in words; null where it is one. */
export function varietyFault(variety: string, book: FoodBook = SHIPPED_BOOK): string | null {
  const standing = foodsStanding(variety, book).filter(({ name }) => !COLOURS.has(name))
  const [first] = standing
  const words = new Set(variety.toLowerCase().split(/[^\p{L}]+/u))
  const named = first?.food.name ?? ALLERGEN_NAMES.find((name) => words.has(name))
  return named === undefined ? null : `‘${variety}’ names a food: ${named}. Write it as a line of its own.`
}
/** Colours that are names of foods as well, and by which varieties go: they say nothing of what is in it. */
const COLOURS: ReadonlySet<string> = new Set(['orange', 'peach', 'rose'])

/** Allergens by one word, and what people call them beside: a variety that says one is a food of its own. */
const ALLERGEN_NAMES: readonly string[] = [
  ...ALLERGENS.map((a) => a.id).filter((id) => !id.includes('-') && !COLOURS.has(id)),
  ...['soy', 'nut', 'nuts', 'nutty', 'gluten', 'dairy', 'eggs', 'cheesy', 'milky', 'buttery'],
]
