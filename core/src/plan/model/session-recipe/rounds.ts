/** What goes round, in a session: as often as was decided, with enough of everything for all rounds; each has its own share of what is measured. */
import { ratio, toText } from '../../../amount/ratio'
import { isByChildren, type Recipe, type RecipeStep } from '../../../recipe/recipe'
import type { Decision } from '../decision'

const passing = (step: RecipeStep) => step.tasks.filter((t) => t.passes && isByChildren(t.mode))

/** The recipe with its rounds; a decision about a step in which nothing goes round changes nothing. */
export function withRounds(recipe: Recipe, decisions: readonly Decision[]): Recipe {
  const steps = recipe.steps.filter((s) => passing(s).length > 0)
  if (steps.length === 0) return recipe
  return steps.reduce((r, step) => {
    const said = decisions.find((d) => d.kind === 'rounds' && d.step === step.id)
    return rounded(r, step, said?.kind === 'rounds' ? said.times : undefined)
  }, recipe)
}

function rounded(recipe: Recipe, step: RecipeStep, times: number | undefined): Recipe {
  const tasks = passing(step)
  const was = tasks[0]?.passes?.times ?? 1
  const more = ratio(times ?? was).div(was)
  // What comes only here is for the rounds; a line of another step too is not doubled by them.
  const here = new Set(
    step.uses
      .map((u) => u.line)
      .filter((l) => recipe.steps.every((s) => s.id === step.id || s.uses.every((u) => u.line !== l))),
  )
  const measured = new Set(
    tasks.flatMap((t) => (t.measures ? (t.lines ?? step.uses.map((u) => u.line)) : [])),
  )
  return {
    ...recipe,
    lines: recipe.lines.map((l) => ({
      ...l,
      ...(here.has(l.id) && { amount: toText(ratio(l.amount).mul(more)) }),
      ...(measured.has(l.id) && { each: true }),
    })),
    steps: recipe.steps.map((s) =>
      s.id === step.id
        ? {
            ...s,
            tasks: s.tasks.map((t) =>
              t.passes ? { ...t, passes: { ...t.passes, times: times ?? t.passes.times } } : t,
            ),
          }
        : s,
    ),
  }
}
