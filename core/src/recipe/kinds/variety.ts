/** Varieties of one food side by side: "red" and "green" apples. A variety names no other food: that would hide it from every check. */
import { foodsStanding } from '../../food/food-names'
import { allergenName } from '../../food/allergens'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import { nameHolds } from '../../food/own-foods'

/** As long as a variety may be written. */
export const VARIETY_MOST = 30

/** "red apple"; the name alone where nothing is said. */
export const varietyName = (variety: string | undefined, name: string): string =>
  variety ? `${variety} ${name}` : name

/** Why a word is no variety, in words; null where it is one. */
export function varietyFault(variety: string, book: FoodBook = SHIPPED_BOOK): string | null {
  const standing = foodsStanding(variety, book).filter(({ name }) => !COLOURS.has(name))
  const [first] = standing
  const holds = nameHolds(
    variety
      .split(/[^\p{L}]+/u)
      .filter((w) => !COLOURS.has(w.toLowerCase()))
      .join(' '),
  )
  const named = first?.food.name ?? [...holds.contains, ...holds.extras].map(allergenName)[0]
  return named === undefined ? null : `‘${variety}’ names a food: ${named}. Write it as a line of its own.`
}
/** Colours that are names of foods as well, and by which varieties go: they say nothing of what is in it. */
const COLOURS: ReadonlySet<string> = new Set(['orange', 'peach', 'rose'])
