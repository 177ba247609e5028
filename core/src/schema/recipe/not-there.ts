/** What a recipe names and does not have: lines, steps, parts of a picture. */
import type { Recipe } from '../../recipe/recipe'
import { growingFault } from '../../recipe/kinds/growing'
import { sceneFault } from '../../recipe/kinds/scene'
import { tastingFault } from '../../recipe/kinds/tasting'

/** @returns the field at fault and why, or null */
export function notThere(recipe: Recipe): { path: string; message: string } | null {
  const known = new Set(recipe.lines.map((l) => l.id))
  for (const step of recipe.steps) {
    const missing = step.uses.find((u) => !known.has(u.line))
    if (missing)
      return {
        path: 'steps',
        message: `Step '${step.title}' uses a line that is not there: ${missing.line}`,
      }
  }
  for (const step of recipe.steps) {
    const uses = step.uses.map((u) => u.line)
    const fault = step.scene && sceneFault(step.scene, uses)
    if (fault) return { path: 'steps', message: `The picture of '${step.title}'. ${fault}` }
    const taste = tastingFault(step)
    if (taste) return { path: 'steps', message: `The tasting of '${step.title}'. ${taste}` }
  }
  const offered = recipe.choices?.flatMap((c) => c.lines).find((l) => !known.has(l))
  if (offered !== undefined)
    return { path: 'choices', message: `A free choice offers a line that is not there: ${offered}` }
  const steps = new Set(recipe.steps.map((s) => s.id))
  const asked = recipe.choices?.find((c) => c.step !== undefined && !steps.has(c.step))
  if (asked)
    return {
      path: 'choices',
      message: `The free choice '${asked.what}' is asked at a step that is not there: ${asked.step ?? ''}`,
    }
  const grows = recipe.grows && growingFault(recipe.grows)
  if (grows) return { path: 'grows', message: grows }
  const lost = recipe.ahead?.find((a) => !steps.has(a.step))
  return lost
    ? { path: 'ahead', message: `'${lost.says}' is for a step that is not there: ${lost.step}` }
    : null
}
