/**
 * Which free choices are each child's own: what one takes goes into no other's portion, so that a food which one child must not have may
 * stand there for the others. Where it is mixed into what all eat, it is no choice of one child, and is judged as every line.
 */
import { isOnce, type FreeChoice, type Recipe, type RecipeStep } from './recipe'

/** What makes one food of several. */
const MIXES: readonly string[] = [
  ...(['stir', 'mash', 'knead', 'rub-in', 'whisk', 'fold', 'sieve', 'toss-coat'] as const),
  ...(['electric-mixer', 'blender-button', 'shake-jar', 'use-hob', 'deep-fry', 'drain-hot'] as const),
]
/** By these everybody has a part of its own: a spoon into the own pot, a piece, a stick, a roll. */
const PARTS: readonly string[] = [
  ...(['serve-self', 'fill-cases', 'shape', 'thread-skewer', 'roll-wrap', 'cut-cutter'] as const),
  ...(['roll-out', 'spread', 'arrange', 'scoop-out'] as const),
]

/** Each child's own, at the step or before it. */
const isParted = (recipe: Recipe, at: number, choice: FreeChoice): boolean =>
  recipe.steps
    .slice(0, at + 1)
    .some((s) => s.tasks.some((t) => isOnce(t.mode) && PARTS.includes(t.technique))) ||
  recipe.lines.every((l) => l.each === true || l.byEye !== undefined || choice.lines.includes(l.id))

/**
 * The choices of a recipe in which each child takes for itself.
 * @returns those after whose first step nothing is mixed for all, and each mixes only what is its own
 */
export const ownChoices = (recipe: Recipe): FreeChoice[] =>
  (recipe.choices ?? []).filter((choice) => {
    const first = recipe.steps.findIndex((s) => usesOf(choice, s) > 0)
    if (first < 0 || choice.lines.length < 2) return false
    return recipe.steps.every(
      (step, at) =>
        at < first ||
        step.tasks.every(
          (t) =>
            t.mode === 'WAIT' ||
            !MIXES.includes(t.technique) ||
            (isOnce(t.mode) && isParted(recipe, at, choice)),
        ),
    )
  })

const usesOf = (choice: FreeChoice, step: RecipeStep): number =>
  step.uses.filter((u) => choice.lines.includes(u.line)).length

/** Where it is asked: the step that the recipe names, else the last one where several of its foods come, else the first where one does. */
export const choiceStep = (choice: FreeChoice, recipe: Pick<Recipe, 'steps'>): RecipeStep | undefined =>
  recipe.steps.find((s) => s.id === choice.step) ??
  recipe.steps.findLast((s) => usesOf(choice, s) > 1) ??
  recipe.steps.find((s) => usesOf(choice, s) > 0)
