/**
 * Foods that are tasted one after the other in a step: side by side and compared, as varieties are, or with eyes covered, guessing which it was.
 * With open eyes it is a free choice: each child tastes what its card and its age allow. With eyes covered nobody sees what comes on the spoon:
 * there a food is judged as one that all eat.
 */
import type { FreeChoice, Recipe, RecipeStep } from '../recipe'
import type { Tasting } from './kinds'

/** So many tastes at once are enough for a tongue. Source: common practice, from memory. */
export const TASTES_MOST = 6

/** The id of the free choice that an open tasting is. */
export const tastingId = (step: string): string => `${step}-tasting`

/** Tastings with open eyes, as choices: each tastes of all of it that it may. */
export const tastingChoices = (steps: readonly RecipeStep[]): FreeChoice[] =>
  steps.flatMap((s): FreeChoice[] =>
    s.tasting && s.tasting.covered !== true
      ? [
          {
            id: tastingId(s.id),
            what: 'tastes',
            lines: s.tasting.lines,
            take: s.tasting.lines.length,
            step: s.id,
          },
        ]
      : [],
  )

/** Whether something can be tasted here: two things go in, and there is tasting. */
export const canTaste = (step: RecipeStep): boolean =>
  step.uses.length > 1 && step.tasks.some((t) => t.technique === 'taste' && t.mode === 'EACH')

/** The step with all that goes in tasted side by side, or with these changes; undefined: no tasting. */
export function withTasting(step: RecipeStep, more: Partial<Tasting> | null): RecipeStep {
  if (more === null) {
    const { tasting: _, ...rest } = step
    return rest
  }
  const was = step.tasting ?? { lines: step.uses.map((u) => u.line).slice(0, TASTES_MOST) }
  const { covered, lines } = { ...was, ...more }
  return { ...step, tasting: { lines, ...(covered && { covered: true as const }) } }
}

/** What is wrong with a tasting, in words; null where it can be tasted. */
export function tastingFault(step: Pick<RecipeStep, 'tasting' | 'uses' | 'tasks'>): string | null {
  const { tasting } = step
  if (!tasting) return null
  const lost = tasting.lines.find((l) => !step.uses.some((u) => u.line === l))
  if (lost !== undefined) return `What is tasted does not go in at this step: ${lost}`
  if (new Set(tasting.lines).size < 2) return 'It takes two tastes to compare'
  if (!step.tasks.some((t) => t.technique === 'taste' && t.mode === 'EACH'))
    return 'The step needs the work ‘taste’, each child for itself'
  return null
}

/** "Tasted with eyes covered, guessing which it is: pear, apple." @param nameOf the name of a line's food */
export const tastingText = (
  { tasting }: Pick<RecipeStep, 'tasting'>,
  nameOf: (line: string) => string,
): string =>
  tasting
    ? `${tasting.covered ? 'Tasted with eyes covered, guessing which it is' : 'Tasted side by side'}: ${tasting.lines.map(nameOf).join(', ')}.`
    : ''

/** The steps in which something is tasted. */
export const tastingSteps = ({ steps }: Pick<Recipe, 'steps'>): (RecipeStep & { tasting: Tasting })[] =>
  steps.flatMap((s) => (s.tasting ? [{ ...s, tasting: s.tasting }] : []))
