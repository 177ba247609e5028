/** What a swap changes of the steps: what is cooked or soaked before, a rest, a longer time at the heat. */
import { swapOf, type Swap } from '../../../food/swaps'
import { isHot, type Recipe, type RecipeStep, type RecipeTask } from '../../../recipe/recipe'
import type { Decision } from '../decision'

/** The recipe with the steps that its swaps want; a swap whose line is gone changes nothing. */
export function withSwapSteps(recipe: Recipe, decisions: readonly Decision[]): Recipe {
  const chosen = decisions.flatMap((d) =>
    d.kind === 'swap' ? [{ line: d.line, swap: d.swap }] : d.kind === 'apart' ? d.swaps : [],
  )
  return chosen.reduce((r, { line, swap: id }) => {
    const swap = swapOf(id)
    const own = r.lines.find((l) => l.id === line)
    return swap && own?.food === swap.food ? withSwap(r, line, swap) : r
  }, recipe)
}

function withSwap(recipe: Recipe, line: string, swap: Swap): Recipe {
  const at = recipe.steps.findIndex((s) => s.uses.some((u) => u.line === line))
  const step = recipe.steps[at] ?? recipe.steps[0]
  if (!step) return recipe
  const cooking = recipe.steps.slice(Math.max(0, at)).find((s) => s.tasks.some(isCooking))
  return {
    ...recipe,
    ...(swap.ahead && { ahead: [...(recipe.ahead ?? []), { ...swap.ahead, step: step.id }] }),
    steps: recipe.steps.map((s) => {
      const rested = swap.restMinutes !== undefined && s === step ? rest(s, swap.restMinutes * 60) : s
      return swap.cookMinutes !== undefined && s === cooking ? longer(rested, swap.cookMinutes * 60) : rested
    }),
  }
}

const isCooking = (t: RecipeTask): boolean => t.mode === 'WAIT' && isHot(t.place)

/** A wait at the table at the end of the step, or the longer of the two where there is one. */
function rest(step: RecipeStep, seconds: number): RecipeStep {
  const waits = (t: RecipeTask): boolean => t.mode === 'WAIT' && (t.place ?? 'table') === 'table'
  if (step.tasks.some(waits))
    return {
      ...step,
      tasks: step.tasks.map((t) => (waits(t) ? { ...t, seconds: Math.max(t.seconds, seconds) } : t)),
    }
  return {
    ...step,
    tasks: [...step.tasks, { technique: 'fill-cases', mode: 'WAIT', seconds, place: 'table' }],
  }
}

const longer = (step: RecipeStep, seconds: number): RecipeStep => ({
  ...step,
  tasks: step.tasks.map((t) => (isCooking(t) ? { ...t, seconds: Math.max(t.seconds, seconds) } : t)),
})
