/** Whether eyes are covered in a tasting of this session: a person may have it played with open eyes. */
import type { Recipe } from '../../../recipe/recipe'
import type { Decision } from '../decision'

/** The recipe with its tastings as they are played. A decision about a step without one changes nothing. */
export function withEyes(recipe: Recipe, decisions: readonly Decision[]): Recipe {
  const open = new Set(decisions.flatMap((d) => (d.kind === 'open-eyes' ? [d.step] : [])))
  if (open.size === 0) return recipe
  return {
    ...recipe,
    steps: recipe.steps.map((s) =>
      s.tasting?.covered && open.has(s.id) ? { ...s, tasting: { lines: s.tasting.lines } } : s,
    ),
  }
}
