/** Which steps are done at which sitting: as the recipe says, as a person decided, and wherever a wait is too long for one. */
import { placesFor, withPlaces, type PlaceSwap } from '../../../recipe/heat-places'
import type { Recipe, RecipeStep } from '../../../recipe/recipe'
import type { Decision } from '../decision'
import type { PlanRequest } from '../request'
import { withEyes } from './eyes'
import { withRounds } from './rounds'
import { withWays } from './ways'
import { withSwapSteps } from './swap-steps'

/**
 * From this many seconds on a wait is sat out by no session at a table: what comes after it belongs to a later sitting.
 * Source: common practice (a freeze of five hours never fits one sitting).
 */
const OVERNIGHT_SECONDS = 3 * 3600

/** Whether a wait of so many seconds is left alone until a later sitting: overnight, or as good as. */
export const isOvernight = (seconds: number): boolean => seconds >= OVERNIGHT_SECONDS

const longest = (step: RecipeStep | undefined): number =>
  Math.max(0, ...(step?.tasks ?? []).map((t) => (t.mode === 'WAIT' ? t.seconds : 0)))

/** What a session's recipe is made from. */
type Of = Pick<PlanRequest, 'recipe' | 'decisions' | 'kit'>

/** The recipe as this session cooks it: as the room can do it, with its rounds, and in its sittings. */
export function recipeOfSession(of: Of): Recipe {
  const { decisions } = of
  const here = withEyes(withRounds(withWays(of.recipe, of), decisions), decisions)
  const places = [...placesSaid(decisions), ...placesChosen({ ...of, recipe: here })]
  return withSittings(withPlaces(withMoves(withSwapSteps(here, decisions), decisions), places), decisions)
}

const placesSaid = (decisions: readonly Decision[]): PlaceSwap[] =>
  decisions.flatMap((d) => (d.kind === 'place' ? [d] : []))

/** Where the plan itself cooks elsewhere, since the room has no such place and another does as well; a way of the recipe's own comes first. */
export const placesChosen = (of: Of): PlaceSwap[] =>
  placesFor(withWays(of.recipe, of), of.kit.equipment, placesSaid(of.decisions))

/** Steps set before others; a step that is gone, or stands there already, changes nothing. */
function withMoves(recipe: Recipe, decisions: readonly Decision[]): Recipe {
  return decisions.reduce((r, d) => {
    if (d.kind !== 'move') return r
    const [from, to] = [d.step, d.before].map((id) => r.steps.findIndex((s) => s.id === id))
    const step = r.steps[from ?? -1]
    if (step === undefined || to === undefined || to < 0 || (from ?? 0) < to) return r
    const rest = r.steps.filter((s) => s !== step)
    return { ...r, steps: [...rest.slice(0, to), step, ...rest.slice(to)] }
  }, recipe)
}
/** Does the step stand before the other? */
export const isMoved = ({ steps }: Recipe, d: { step: string; before: string }): boolean => {
  const [step, before] = [d.step, d.before].map((id) => steps.findIndex((s) => s.id === id))
  return step !== undefined && before !== undefined && step >= 0 && step < before
}

/** The recipe with its sittings as they are in this session; the rest in between is a step of its own. */
function withSittings(recipe: Recipe, decisions: readonly Decision[]): Recipe {
  const chosen = decisions.find((d) => d.kind === 'two-sittings')?.after
  const steps = recipe.steps.flatMap((step, i): RecipeStep[] => {
    const before = recipe.steps[i - 1]
    const rested = before !== undefined && before.id === chosen && before.rests !== undefined
    const later = i > 0 && (step.nextSitting === true || isOvernight(longest(before)) || rested)
    const now: RecipeStep = { ...step, ...(later && { nextSitting: true }) }
    const rest = step.id === chosen && i < recipe.steps.length - 1 ? restStep(step) : null
    return rest ? [now, rest] : [now]
  })
  return { ...recipe, steps }
}

function restStep(step: RecipeStep): RecipeStep | null {
  const technique = step.tasks.at(-1)?.technique
  if (!step.rests || technique === undefined) return null
  const { how, seconds, place } = step.rests
  return {
    id: `${step.id}-rest`,
    title: 'Rest until next time',
    picture: place === 'table' ? 'alarm' : 'fridge',
    uses: [],
    tasks: [{ technique, mode: 'WAIT', seconds, place }],
    says: how,
  }
}

/** The steps of each sitting. */
export function sittingsOf(steps: readonly RecipeStep[]): RecipeStep[][] {
  const out: RecipeStep[][] = [[]]
  for (const step of steps) {
    if (step.nextSitting) out.push([])
    out.at(-1)?.push(step)
  }
  return out
}

/** Where a session of this recipe could be cut in two, with the rest in between. */
export const restsOf = (recipe: Recipe): RecipeStep[] =>
  recipe.steps.slice(0, -1).filter((s) => s.rests !== undefined && !s.nextSitting)
