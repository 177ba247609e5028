/** What is said from seat to seat where a thing goes round, and how often it goes round. */
import { nameToken } from '../model/finding'
import type { Plan } from '../model/plan'
import type { Task } from '../model/task'
import { timesText } from '../../recipe/kinds/kinds'
import { isByChildren, type RecipeStep } from '../../recipe/recipe'

/**
 * The words at one seat: who hands it to whom, and what is said.
 * @param child whose turn it is
 * @param had scoops that it has had in this round: it was handed over before the first
 * @returns with names as tokens; '' where nothing goes round
 */
export function passText({ passes }: Pick<Task, 'passes'>, child: string, had = 0): string {
  if (!passes || had > 0) return ''
  const at = passes.order.indexOf(child)
  const before =
    passes.order[at - 1] ?? passes.from?.child ?? (passes.round > 1 ? passes.order.at(-1) : undefined)
  const from =
    before === undefined || before === child
      ? `An adult hands it to ${nameToken(child)}`
      : `${nameToken(before)} hands it to ${nameToken(child)}`
  const round = passes.of > 1 ? `Round ${passes.round} of ${passes.of}. ` : ''
  return `${round}${from}: “${passes.asks}” “${passes.answers}”`
}

export interface RoundsRow {
  step: string
  title: string
  times: number
}
/** The steps in which something goes round, and how often it does in this plan. */
export const roundsRows = (plan: Pick<Plan, 'tasks' | 'schedule'>): RoundsRow[] =>
  plan.schedule.flatMap(({ step, title }) => {
    const passes = plan.tasks.find((t) => t.step === step && t.passes)?.passes
    return passes ? [{ step, title, times: passes.of }] : []
  })

/** What a step of a recipe says of it: "Goes round twice: “…” “…”"; '' where nothing does. */
export function passesText(step: Pick<RecipeStep, 'tasks'>): string {
  const passes = step.tasks.find((t) => t.passes && isByChildren(t.mode))?.passes
  if (!passes) return ''
  return `It goes round ${timesText(passes.times)}, seat by seat: “${passes.asks}” “${passes.answers}”`
}
