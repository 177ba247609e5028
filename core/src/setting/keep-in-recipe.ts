/** What a session changed for good: the recipe with the swaps that were cooked with, to be kept where the person wants it. */
import { applySwap, standsFor, swapOf } from '../food/swaps'
import type { Recipe, RecipeLine } from '../recipe/recipe'
import type { Decision } from '../plan/model/decision'

/**
 * @param decisions of the session; a swap that does not fit its line (any more) changes nothing, as in the plan
 * @returns null where nothing of it changes the recipe
 */
export function keptInRecipe(recipe: Recipe, decisions: readonly Decision[]): Recipe | null {
  const added = new Map<string, string[]>()
  const lines = recipe.lines.flatMap((line): RecipeLine[] => {
    if (line.optional && decisions.some((d) => d.kind === 'leave-out' && d.line === line.id)) return []
    const shape = decisions.flatMap((d) => (d.kind === 'shape' && d.line === line.id ? [d.shape] : [])).at(-1)
    const own: RecipeLine = shape ? { ...line, shape } : line
    const id = decisions.flatMap((d) => (d.kind === 'swap' && d.line === line.id ? [d.swap] : [])).at(-1)
    const swap = id === undefined ? undefined : swapOf(id)
    if (!swap || !standsFor(swap, line.food, line.role, line.unit)) return [own]
    const parts = applySwap(swap, line.amount, line.unit).map((part, i) => ({
      ...own,
      ...part,
      id: i === 0 ? line.id : `${line.id}-${part.food}`,
    }))
    added.set(
      line.id,
      parts.slice(1).map((p) => p.id),
    )
    return parts
  })
  const here = new Set(lines.map((l) => l.id))
  const steps = recipe.steps.map((step) => ({
    ...step,
    uses: step.uses
      .flatMap((u) => [u, ...(added.get(u.line) ?? []).map((line) => ({ ...u, line }))])
      .filter((u) => here.has(u.line)),
  }))
  const kept = { ...recipe, lines, steps }
  return JSON.stringify(kept) === JSON.stringify(recipe) ? null : kept
}

/** "milk → oat drink": for a name of its own. */
export const withWords = (before: Recipe, after: Recipe, name: (food: string) => string): string =>
  after.lines
    .filter((l) => !before.lines.some((b) => b.food === l.food))
    .map((l) => name(l.food))
    .slice(0, 2)
    .join(' and ')
