/**
 * What a family takes home of a session: what was made, at home scale, the words, one thing to ask, what to try again, what is left.
 * Of one child, or of the group; never of another child. No ranks, no judgements: what was done and met.
 */
import { amountText } from '../amount/show'
import { ratio } from '../amount/ratio'
import { techniqueOf } from '../craft/techniques'
import { allergenName } from '../food/allergens'
import { foodName, type FoodBook } from '../food/foods'
import { crossTo } from '../food/weights'
import type { StepWord } from '../learn/glossary'
import { keptInRecipe } from '../setting/keep-in-recipe'
import type { Decision } from '../plan/model/decision'
import type { Plan } from '../plan/model/plan'
import { holdsOf, linesFor } from '../recipe/features'
import type { Recipe } from '../recipe/recipe'
import { MET_WORDS, TASTE_WORDS, THUMB_WORDS, type KeptPlace } from './event'
import type { TableState } from './replay'
import { guessedRows } from './talk/guessed'
import { thumbsOf } from './tastings'

export interface FamilyInput {
  plan: Plan
  state: TableState
  recipe: Recipe
  decisions: readonly Decision[]
  foods: FoodBook
  /** Null for the group. */
  child: string | null
  /** Languages spoken at home; of the group none. */
  languages: readonly string[]
  /** Portions to cook at home. */
  portions: number
  measures: 'cups' | 'grams'
}

export interface FamilySheet {
  title: string
  about: string
  /** What this child's hands did; of the group what all did. */
  did: string[]
  portions: number
  lines: { amount: string; name: string; prep: string }[]
  steps: { title: string; says: string }[]
  words: StepWord[]
  ask: string
  /** What it guessed and what it was, and what it said looking back; of the group what all said. */
  guessed: string[]
  said: string[]
  /** The child's own: foods met and how, the taste; empty for the group. */
  met: string[]
  tryAgain: string[]
  leftovers: { amount: string; place: KeptPlace; until: string }[]
  /** What the recipe as cooked lists, and what Lea does not know. */
  lists: string[]
  unknown: string[]
}

/** The most portions that a family sheet is written for. */
export const MOST_PORTIONS = 24

/** @throws RangeError where the portions are no whole number from 1 to 24 */
export function familySheet(input: FamilyInput): FamilySheet {
  const { plan, state, child, foods, portions } = input
  if (!Number.isInteger(portions) || portions < 1 || portions > MOST_PORTIONS)
    throw new RangeError(`portions must be a whole number from 1 to ${MOST_PORTIONS}`)
  const recipe = keptInRecipe(input.recipe, input.decisions) ?? input.recipe
  const { lists, unknown } = holdsOf(recipe, foods)
  const names = new Map(plan.bowls.flatMap((b) => b.lines).map((l) => [l.food, l.name]))
  const met = child ? Object.entries(state.met[child] ?? {}) : []
  const taste = child ? state.tastes[child] : undefined
  return {
    title: recipe.title,
    about: recipe.about,
    did: didOf(plan, state, child),
    portions,
    lines: linesFor(recipe, portions, foods).map((l) => ({
      amount: (input.measures === 'grams' && inGrams(recipe, l.id, portions)) || l.amount,
      name: l.name,
      prep: l.prep,
    })),
    steps: recipe.steps.map((s) => ({ title: s.title, says: s.says ?? '' })),
    words: wordsOf(plan, child ? input.languages : []),
    ask: askOf(plan, child),
    guessed: guessedRows(plan, state).flatMap((g) =>
      g.by.flatMap((b) => (b.child === child ? [`${g.asked} ${b.line}`] : [])),
    ),
    said: state.lookBacks.flatMap((l) => (l.child === undefined || l.child === child ? [l.says] : [])),
    met: [
      ...(taste ? [`${recipe.title}: ${TASTE_WORDS[taste]}`] : []),
      ...(child ? thumbsOf(plan, state, child) : []).map((t) => `${t.name}: ${THUMB_WORDS[t.thumb]}`),
      ...met.map(([food, how]) => `${names.get(food) ?? foodName(foods.of(food))}: ${MET_WORDS[how]}`),
    ],
    // A food that was not eaten this time is offered again, many times, without pressure. Source: common practice (repeated
    // offering, 8 to 15 times), from memory.
    tryAgain: met.filter(([, how]) => how !== 'ate').map(([food]) => names.get(food) ?? food),
    leftovers: state.leftovers
      .filter((l) => l.place === 'home')
      .map(({ amount, place, until }) => ({ amount, place, until })),
    lists: lists.map(allergenName),
    unknown,
  }
}

function didOf(plan: Plan, state: TableState, child: string | null): string[] {
  const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
  const names = Object.entries(state.turns).flatMap(([turn, did]) => {
    if (did.skipped || (child !== null && did.child !== child)) return []
    const task = tasks.get(plan.turns.find((t) => t.id === turn)?.task ?? '')
    return techniqueOf(task?.technique ?? '')?.name ?? []
  })
  return [...new Set(names)]
}

function inGrams(recipe: Recipe, id: string, portions: number): string | null {
  const line = recipe.lines.find((l) => l.id === id)
  if (!line || line.unit === 'item') return null
  const grams = crossTo(
    ratio(line.amount).mul(portions).div(recipe.serves),
    line.unit,
    'g',
    line.food,
    line.prep,
  )
  // Below five grams a spoon is the better measure: household scales do not show it.
  if (!grams || grams.amount.compare(5) < 0) return null
  return amountText(grams.amount.round(), 'g')
}

const MOST_WORDS = 8
function wordsOf(plan: Plan, languages: readonly string[]): StepWord[] {
  const all = [...new Map(plan.talk.flatMap((t) => t.words).map((w) => [w.id, w])).values()]
  return all
    .slice(0, MOST_WORDS)
    .map((w) => ({ ...w, home: w.home.filter((h) => languages.includes(h.language)) }))
}

/** What this child was asked last, or what the table was: a family asks it again in its own way. */
function askOf(plan: Plan, child: string | null): string {
  const asks = plan.talk.flatMap((t) => t.asks ?? [])
  // A sentence with a name in it may name somebody else.
  const plain = (says: string): boolean => !says.includes('{{')
  const own = child === null ? [] : asks.filter((a) => a.child === child && plain(a.says))
  return own.at(-1)?.says ?? asks.find((a) => plain(a.says))?.says ?? 'What did your hands do today?'
}
