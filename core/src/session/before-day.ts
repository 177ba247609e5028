/**
 * A sheet to send before the day, where children bring things: what is made, what each brings and how much for one, how it is carried, what stays
 * at home. From the same plan as the session, for every family alike: no child's name, and of cards only what may not be in the room at all.
 */
import { amountText } from '../amount/show'
import { ratio } from '../amount/ratio'
import { allergenName } from '../food/allergens'
import { foodName, isUnknown, type FoodBook } from '../food/foods'
import { keeping } from '../food/packs'
import { preparationText } from '../food/by-age/choking'
import type { Concern } from '../food/concern'
import type { Plan } from '../plan/model/plan'
import { holdsOf } from '../recipe/features'
import type { Recipe, RecipeLine } from '../recipe/recipe'

export interface BeforeSheet {
  title: string
  about: string
  /** To be chosen among: "Choose four of these". */
  choose: { says: string; foods: Bring[] }[]
  /** For each child. */
  each: Bring[]
  /** Allergens that may not be in the room. */
  leave: string[]
  /** What the recipe lists, and what Lea does not know. */
  lists: string[]
  unknown: string[]
  wear: string
}
export interface Bring {
  name: string
  /** For one child. */
  amount: string
  /** "washed, in a closed box, kept cold". */
  how: string
}

/** What is kept in a fridge at home travels cold. Source: FSA (chilled food at 8 °C or below), from memory. */
const COLD = 'in a closed box in a cool bag, straight into our fridge'
const DRY = 'in a closed box or bag'
/** Groups that spoil: whatever else they are, they travel cold. */
const CHILLED: ReadonlySet<string> = new Set(['dairy', 'protein', 'plant dairy'])

/** Levels by which a food may not be in the room at all (allergens.md E1). */
const NOT_IN_ROOM: readonly Concern['level'][] = ['anaphylaxis-risk', 'not-in-room']

/**
 * @param cards concerns of all who are in the session, of children and guests
 * @param recipe as it is cooked: swaps and what is left out are in it
 */
export function beforeSheet(
  plan: Plan,
  recipe: Recipe,
  foods: FoodBook,
  cards: readonly Pick<Concern, 'allergen' | 'level'>[],
): BeforeSheet {
  const chosen = new Set<RecipeLine>()
  const choose = (plan.choices ?? []).map((c) => {
    // What a swap brought beside the first food has the food in its id.
    const lines = c.lines.flatMap(({ line }) =>
      recipe.lines.filter((l) => l.id === line || l.id === `${line}-${l.food}`),
    )
    for (const line of lines) chosen.add(line)
    return {
      says:
        c.take === 1
          ? 'Choose one of these, with your child'
          : `Choose up to ${c.take} of these, with your child`,
      foods: lines.map((l) => bringOf(l, recipe, foods)),
    }
  })
  const own = recipe.lines.filter((l) => l.each === true && !chosen.has(l))
  const { lists, unknown } = holdsOf(recipe, foods)
  const leave = cards.filter((c) => NOT_IN_ROOM.includes(c.level)).map((c) => allergenName(c.allergen))
  return {
    title: recipe.title,
    about: recipe.about,
    choose: choose.filter((c) => c.foods.length > 0),
    each: own.map((l) => bringOf(l, recipe, foods)),
    leave: [...new Set(leave)].sort(),
    lists: lists.map(allergenName),
    unknown,
    wear: 'Sleeves that roll up, hair tied back, an apron or an old shirt.',
  }
}

/** One child's part: its share of what the recipe gives to as many as it serves. */
function bringOf(line: RecipeLine, { serves }: Recipe, foods: FoodBook): Bring {
  const food = foods.of(line.food)
  const share = ratio(line.amount).div(serves)
  const amount = line.unit === 'item' ? pieces(share.valueOf()) : amountText(share, line.unit)
  const keeps = `${keeping(line.food)?.says ?? ''} ${line.prep ?? ''}`
  const cold = (!isUnknown(food) && CHILLED.has(food.group ?? '')) || /fridge|cooked|chilled/i.test(keeps)
  const form = line.shape ? preparationText(line.shape) : (line.prep ?? '')
  return { name: foodName(food), amount, how: [form, cold ? COLD : DRY].filter(Boolean).join('; ') }
}

/** Nobody sends two thirds of a carrot. */
const pieces = (n: number): string => (n <= 0.5 ? 'a half' : `${Math.ceil(n)}`)
