/** Check as a grid: lines down, children with a concern across, the worst meeting in each cell; and what is said once over it. */
import { countText } from '../../amount/show'
import type { Plan } from '../model/plan'

/** Rows of the Check view: every line against every child with a concern, worst meeting first where there are several. */
export function checkRows(
  plan: Plan,
): { line: string; name: string; meetings: Record<string, Plan['checks'][number]> }[] {
  const rank = { lists: 0, may: 1, ask: 2, nothing: 3 } as const
  const all = [...new Map(plan.bowls.flatMap((b) => b.lines).map((l) => [l.id, l])).values()]
  const order = [...new Set(all.map((l) => l.line))]
  const lines = all.sort((a, b) => order.indexOf(a.line) - order.indexOf(b.line))
  return lines.map((line) => {
    const meetings: Record<string, Plan['checks'][number]> = {}
    for (const check of plan.checks.filter((c) => c.line === line.id)) {
      const known = meetings[check.child]
      if (!known || rank[check.meeting] < rank[known.meeting]) meetings[check.child] = check
    }
    return { line: line.id, name: line.name, meetings }
  })
}

export interface CheckHead {
  child: string
  /** What it must not have, each once: ids of allergens, diets, or free words, in the order of its card. */
  about: string[]
}

/** The children that the grid has a column for: those with something on their card. */
export function checkHeads(plan: Plan): CheckHead[] {
  const heads = new Map<string, Set<string>>()
  for (const c of plan.checks) heads.set(c.child, (heads.get(c.child) ?? new Set()).add(c.about))
  return [...heads].map(([child, about]) => ({ child, about: [...about] }))
}

/** What a ring means, said once over the grid, and of whom it says nothing. */
export function checkKeyText(plan: Plan): string {
  const none = plan.children.length - checkHeads(plan).length
  const others =
    none === 0
      ? ''
      : ` ${countText(none, 'child has', 'children have')} no allergy or diet on ${none === 1 ? 'its card' : 'their cards'}.`
  return `nothing found that lists it. Two adults still read every packet today; care plans come first.${others}`
}
