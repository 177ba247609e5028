/** What goes round the table in a step, as the editor writes it. */
import { isByChildren, type RecipeStep } from '../recipe'
import { type Passes, ROUNDS_MOST } from './kinds'

/** What is said where a recipe says nothing else. */
const PASS_WORDS: Omit<Passes, 'times'> = {
  asks: 'Would you like some?',
  answers: 'Yes, please. Thank you!',
}

const at = (step: RecipeStep): number =>
  step.tasks.findIndex((t) => isByChildren(t.mode) && t.technique !== 'wash-hands')

/** What goes round in a step; undefined where nothing does. */
export const passesOf = (step: RecipeStep): Passes | undefined => step.tasks.find((t) => t.passes)?.passes

/** Whether something can go round here: there is work of children in it. */
export const canPass = (step: RecipeStep): boolean => at(step) >= 0

/** The step with its first job of children going round so often, 0: not at all; and with these words. */
export function withPasses(
  step: RecipeStep,
  times: number,
  words: Partial<Omit<Passes, 'times'>> = {},
): RecipeStep {
  const was = passesOf(step)
  const which = step.tasks.findIndex((t) => t.passes)
  const i = which >= 0 ? which : at(step)
  const n = Math.min(ROUNDS_MOST, Math.max(0, Math.round(times) || 0))
  return {
    ...step,
    tasks: step.tasks.map((t, k) => {
      if (k !== i) return t
      const { passes: _, ...rest } = t
      return n === 0 ? rest : { ...rest, passes: { ...PASS_WORDS, ...was, ...words, times: n } }
    }),
  }
}
