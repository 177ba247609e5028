/** Who takes what of a free choice, for the Amounts view. */
import { countText } from '../../amount/show'
import type { Plan } from '../model/plan'

export interface ChoiceRows {
  id: string
  what: string
  /** "Each takes up to 4 of 7, or none." */
  says: string
  foods: { line: string; food: string; name: string; laid: string }[]
  children: {
    child: string
    settled: boolean
    cells: { line: string; takes: boolean; may: boolean; why: string }[]
  }[]
}

/** Each choice with its foods across and its children down. */
export const choiceRows = (plan: Plan): ChoiceRows[] =>
  (plan.choices ?? []).map((c) => ({
    id: c.id,
    what: c.what,
    says: `Each takes ${c.take === 1 ? 'one' : `up to ${c.take}`} of ${c.lines.length}, or none. What nobody has said yet Lea deals out evenly, and lays out a little more.`,
    foods: c.lines.map((l) => {
      const laid = plan.bowls.flatMap((b) => b.lines).filter((x) => x.line === l.line)
      const n = laid.reduce((sum, x) => sum + (x.takers?.n ?? 0), 0)
      return { ...l, laid: n === 0 ? 'none laid out' : `for ${countText(n, 'child', 'children')}` }
    }),
    children: c.offers.map((o) => ({
      child: o.child,
      settled: o.settled === true,
      cells: c.lines.map(({ line }) => ({
        line,
        takes: o.picks.includes(line),
        may: o.lines.includes(line),
        why: o.not.find((n) => n.line === line)?.why ?? '',
      })),
    })),
  }))
