/** Free choices at the table: who may be offered what, and what each took. */
import type { Plan } from '../plan/model/plan'
import { tastingId } from '../recipe/kinds/tasting'
import type { TableState } from './replay'

export interface TableChoice {
  id: string
  what: string
  take: number
  foods: { line: string; food: string; name: string }[]
  /** Those of one bowl, in their order; `took` null where it was not asked yet. */
  children: { child: string; may: string[]; took: string[] | null }[]
}

/** What is chosen in a step by those at one bowl. @param children of the bowl */
export const tableChoices = (
  plan: Plan,
  state: Pick<TableState, 'took'>,
  step: string,
  children: readonly string[],
): TableChoice[] =>
  (plan.choices ?? [])
    // What is tasted side by side is tapped as tastes.
    .filter((c) => c.step === step && c.id !== tastingId(step))
    .map((c) => ({
      id: c.id,
      what: c.what,
      take: c.take,
      foods: c.lines,
      children: children.flatMap((child) => {
        const offer = c.offers.find((o) => o.child === child)
        return offer ? [{ child, may: offer.lines, took: state.took[c.id]?.[child] ?? null }] : []
      }),
    }))

/** What a child has after a tap on a food: taken, or put back; one more than it may take puts back the first. */
export const tookWith = (took: readonly string[], line: string, take: number): string[] =>
  took.includes(line) ? took.filter((l) => l !== line) : [...took, line].slice(-take)

/** Ids of the lines that a child took so far, of every choice. */
export const tookLines = (state: Pick<TableState, 'took'>, child: string | undefined): string[] =>
  child === undefined ? [] : Object.values(state.took).flatMap((by) => by[child] ?? [])

/** What a child took, in the order of the recipe. */
export const tookBy = (
  plan: Pick<Plan, 'choices'>,
  state: Pick<TableState, 'took'>,
  child: string,
): TableChoice['foods'] =>
  (plan.choices ?? []).flatMap((c) => c.lines.filter((l) => state.took[c.id]?.[child]?.includes(l.line)))
