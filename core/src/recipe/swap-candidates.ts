/**
 * What can stand in for a food in the role it plays, without what must be avoided: for `./lea calc swaps` and the Check view.
 * Source: core/data/swaps.json (kitchen practice, from memory; test before relying on it). A suggestion, never a clearance.
 */
import type { Ratio } from '../amount/ratio'
import { allergenOf, listHolds } from '../food/allergens'
import { DIETS, meetDiet, type Diet } from '../food/diets'
import { resolveFood } from '../food/food-names'
import { isUnknown, SHIPPED_BOOK, type FoodBook } from '../food/foods'
import { parseConcern } from '../food/card/parse-concern'
import { applySwap, swapsFor, type SwapPart } from '../food/swaps'

export interface SwapCandidate {
  foods: SwapPart[]
  /** Every id that the foods typically hold. */
  brings: string[]
  /** Ids that some makes hold: the packet must be read. */
  mayBring: string[]
  effect: string
  method: string
  age: string
  notFor: string
  source: string
}
export interface SwapQuestion {
  food: string
  role: string
  amount: Ratio
  unit: string
  avoid: string[]
  diets: string[]
}

/** Words for a role that cooks use, beside Lea's own. */
const ROLE_WORDS: Record<string, string> = {
  leavener: 'raising',
  leavening: 'raising',
  raise: 'raising',
  bind: 'binder',
  binding: 'binder',
  spread: 'topping',
  dish: 'main',
  'the dish itself': 'main',
  thickener: 'binder',
  thickening: 'binder',
  sweetener: 'sweet',
  baking: 'structure',
  melted: 'fat-melted',
  'rubbed-in': 'fat-rubbed',
  flavour: 'seasoning',
  foam: 'raising',
  coating: 'topping',
}

/**
 * The candidates, best first: fewest packets to read for what is avoided, surest row, fewest foods.
 * @returns null where Lea does not know the food
 */
export function swapCandidates(
  question: SwapQuestion,
  book: FoodBook = SHIPPED_BOOK,
): SwapCandidate[] | null {
  const food = resolveFood(question.food, book)
  if (!food) return null
  const role = ROLE_WORDS[question.role] ?? question.role
  const avoid = question.avoid.flatMap((words) => [...new Set([words, ...parseConcern(words).ids])])
  const fits = swapsFor(food.id, role, question.unit).filter((swap) => {
    const holds = avoid.some((id) => listHolds(swap.brings, id) !== 'no' || swap.brings.includes(id))
    return !holds && swap.parts.every((p) => suitsDiets(p.food, question.diets, book))
  })
  const open = (mayBring: readonly string[]): number =>
    avoid.filter((id) => listHolds(mayBring, id) !== 'no' || mayBring.includes(id)).length
  return fits
    .map((swap) => ({ swap, open: open(swap.mayBring) }))
    .sort(
      (a, b) =>
        a.open - b.open ||
        grade(a.swap.confidence) - grade(b.swap.confidence) ||
        a.swap.parts.length - b.swap.parts.length,
    )
    .map(({ swap }) => ({
      foods: applySwap(swap, question.amount, question.unit),
      brings: swap.brings,
      mayBring: swap.mayBring,
      effect: swap.effect,
      method: swap.method,
      age: swap.age,
      notFor: swap.notFor,
      source: swap.source,
    }))
}

const isDiet = (id: string): id is Diet => DIETS.some((d) => d === id)

const grade = (confidence: string): number => (confidence === 'H' ? 0 : 1)

function suitsDiets(id: string, diets: readonly string[], book: FoodBook): boolean {
  const food = book.of(id)
  if (isUnknown(food)) return false
  return diets.every((d) => !isDiet(d) || meetDiet(d, food) !== 'lists')
}

/** Ids that Lea knows; a question that avoids another is refused. */
export const isAllergenId = (id: string): boolean => allergenOf(id) !== undefined
