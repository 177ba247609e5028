/** The ways of a recipe by what a room has: a step whose place or tool is lacking is done as the recipe says for that. */
import type { Recipe, RecipeStep, StepWay } from '../../../recipe/recipe'
import { isLacking } from '../../../recipe/kinds/ways'
import type { Decision } from '../decision'
import type { PlanRequest } from '../request'

interface Room {
  kit: Pick<PlanRequest['kit'], 'equipment' | 'tools'>
  decisions: readonly Decision[]
}

/** The way in which a step is done in this room; undefined: as it stands. A place for which a person chose another is no lack. */
const wayOf = (step: RecipeStep, { kit, decisions }: Room): StepWay | undefined =>
  step.ways?.find(
    (w) =>
      isLacking(w.lacks, kit.equipment, kit.tools ?? []) &&
      !decisions.some((d) => d.kind === 'place' && d.from === w.lacks),
  )

/** The recipe with the ways that the room asks for. */
export const withWays = (recipe: Recipe, room: Room): Recipe => ({
  ...recipe,
  steps: recipe.steps.map((s) => {
    const way = wayOf(s, room)
    return way ? { ...s, title: way.title ?? s.title, says: way.says, tasks: way.tasks, ways: undefined } : s
  }),
})

/** The steps that are done in another way here, and what is lacking for the one they have. */
export const waysTaken = (recipe: Recipe, room: Room): { step: string; title: string; way: StepWay }[] =>
  recipe.steps.flatMap((s) => {
    const way = wayOf(s, room)
    return way ? [{ step: s.id, title: way.title ?? s.title, way }] : []
  })
