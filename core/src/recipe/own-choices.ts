/**
 * Which free choices are each child's own: what one takes goes into no other's portion, so that a food which one child must not have may
 * stand there for the others. Where it is mixed into what all eat, it is no choice of one child, and is judged as every line.
 */
import { sceneChoices } from './kinds/scene'
import { tastingChoices, tastingId } from './kinds/tasting'
import { isOnce, type FreeChoice, type Recipe, type RecipeStep, type RecipeTask } from './recipe'

/** What makes one food of several, whoever does it. */
const MIXES: readonly string[] = [
  ...(['stir', 'mash', 'knead', 'rub-in', 'whisk', 'fold', 'sieve', 'toss-coat'] as const),
  ...(['electric-mixer', 'blender-button', 'shake-jar', 'use-hob', 'deep-fry', 'drain-hot'] as const),
]
/** What puts one food onto or into another: where all do it in turn, or an adult does, onto what all eat of. */
const COMBINES: readonly string[] = [
  ...(['sprinkle', 'spread', 'arrange', 'brush-glaze', 'pour-liquid', 'pour-dry', 'fill-cases'] as const),
  ...(['roll-wrap', 'thread-skewer', 'squeeze-juice'] as const),
]
/** By these everybody has a part of its own: a spoon into the own pot, a piece, a stick, a roll. */
const PARTS: readonly string[] = [
  ...(['serve-self', 'fill-cases', 'shape', 'thread-skewer', 'roll-wrap', 'cut-cutter', 'roll-out'] as const),
]

/** Each child's own, at the step or before it. */
const isParted = (recipe: Recipe, at: number, choice: FreeChoice): boolean =>
  recipe.steps
    .slice(0, at + 1)
    .some((s) =>
      s.tasks.some((t) => isOnce(t.mode) && (s.scene !== undefined || PARTS.includes(t.technique))),
    ) || recipe.lines.every((l) => l.each === true || l.byEye !== undefined || choice.lines.includes(l.id))

/** What is done here with the food of the choice makes it everybody's. */
const isForAll = (t: RecipeTask): boolean =>
  MIXES.includes(t.technique) || (!t.measures && !isOnce(t.mode) && COMBINES.includes(t.technique))

/** The choices that a recipe names, the parts of its pictures that several foods may fill, and what is tasted side by side. */
const allChoices = (recipe: Pick<Recipe, 'choices' | 'steps'>): FreeChoice[] => [
  ...(recipe.choices ?? []),
  ...sceneChoices(recipe.steps),
  ...tastingChoices(recipe.steps),
]

/**
 * The choices of a recipe in which each child takes for itself. Where the recipe does not show it, a choice is none: it is judged as every line.
 * @returns those that are taken onto or into what is each child's own, and after whose first step nothing is mixed or put together for all
 */
export const ownChoices = (recipe: Recipe): FreeChoice[] =>
  allChoices(recipe).filter((choice) => {
    const first = recipe.steps.findIndex((s) => usesOf(choice, s) > 0)
    if (first < 0 || choice.lines.length < 2) return false
    // With eyes covered nobody sees what comes: there it is judged as what all eat, whatever else the recipe says of it.
    if (recipe.steps.some((s) => s.tasting?.covered && s.tasting.lines.some((l) => choice.lines.includes(l))))
      return false
    const asked = choiceStep(choice, recipe)
    const taken = recipe.steps.some(
      (s, at) =>
        (s === asked || usesOf(choice, s) > 0) &&
        // What is tasted side by side is each child's own spoonful; that makes no pot of its own for anything else.
        (choice.id === tastingId(s.id) || isParted(recipe, at, choice)) &&
        s.tasks.some((t) => isOnce(t.mode)),
    )
    return (
      taken &&
      recipe.steps.every(
        (step, at) =>
          at < first ||
          isAlone(recipe, at) ||
          step.tasks.every(
            (t) =>
              t.mode === 'WAIT' ||
              !isForAll(t) ||
              (isParted(recipe, at, choice) && (isOnce(t.mode) || !MIXES.includes(t.technique))),
          ),
      )
    )
  })

/** The first food of all, worked by itself: beans that are mashed before anything else is there are mixed with nothing. */
const isAlone = ({ steps }: Recipe, at: number): boolean =>
  new Set(steps.slice(0, at + 1).flatMap((s) => s.uses.map((u) => u.line))).size === 1

const usesOf = (choice: FreeChoice, step: RecipeStep): number =>
  step.uses.filter((u) => choice.lines.includes(u.line)).length

/** Where it is asked: the step that the recipe names, else the last one where several of its foods come, else the first where one does. */
export const choiceStep = (choice: FreeChoice, recipe: Pick<Recipe, 'steps'>): RecipeStep | undefined =>
  recipe.steps.find((s) => s.id === choice.step) ??
  recipe.steps.findLast((s) => usesOf(choice, s) > 1) ??
  recipe.steps.find((s) => usesOf(choice, s) > 0)
