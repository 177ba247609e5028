/** An own bowl, apart, as a way out of a stop. */
import { countText } from '../../amount/show'
import type { Swap } from '../../food/swaps'
import { nameToken, type Fix } from '../model/finding'
import type { Around } from './around'
import { apartDecision } from './bowls'
import { decisionOn } from './decided-lines'
import { byChild, contactOf, gradedOf, hardOf, isHard, type Exposure } from './exposure'
import { clearSwaps } from './swap-set'

/**
 * An own bowl, apart, for the children whom this line stops: with a swap for every line that stops one of them. Not offered
 * where a care plan wants the food off the whole table, nor for everybody (that is one pot for all).
 */
export function apartFixes(touching: readonly Exposure[], around: Around): Fix[] {
  const { start, request } = around
  const hard = touching.filter(isHard)
  const before = apartDecision(request.decisions)?.children ?? []
  const children = [...new Set([...before, ...hard.map((m) => m.child)])]
  if (hard.length === 0 || children.length >= start.people.length) return []
  if (hard.some((m) => contactOf(m).grade === 'stop')) return []
  const key = [...children].sort().join('/')
  const known = around.apart.get(key)
  const swaps = known === undefined ? apartSwaps(children, around) : known
  around.apart.set(key, swaps)
  if (swaps === null) return []
  return [
    {
      label: `Own bowl for ${children.map(nameToken).join(' and ')}`,
      cost: `own tools, mixed first · 1 more bowl · ${countText(swaps.length, 'swap')} in it · the others keep the recipe`,
      action: { do: 'decide', decision: { kind: 'apart', children, swaps } },
    },
  ]
}

/** The swaps of the own bowl: one for every line that stops one of these children; null where one has none. */
function apartSwaps(
  children: readonly string[],
  { start, request, meetings, raw }: Around,
): { line: string; swap: string }[] | null {
  const stops = (food: string): boolean => {
    const hard = byChild(hardOf(meetings(food)))
    return hard.size > 0 && children.some((c) => hard.has(c))
  }
  const open = (swap: Swap): number => {
    let n = 0
    for (const part of swap.parts) {
      const graded = byChild(gradedOf(meetings(part.food)))
      if (graded.size > 0) for (const c of children) n += graded.get(c) ?? 0
    }
    return n
  }
  const swaps: { line: string; swap: string }[] = []
  for (const line of start.recipe.lines.filter((l) => stops(l.food))) {
    if (decisionOn(request.decisions, 'swap', line.id) || decisionOn(request.decisions, 'leave-out', line.id))
      continue
    const swap = least(clearSwaps(line, stops, raw), open)
    if (!swap) return null
    swaps.push({ line: line.id, swap: swap.id })
  }
  return swaps
}

/** The first of those of which there is least. */
function least<T>(list: readonly T[], of: (one: T) => number): T | undefined {
  let best: { one: T; n: number } | undefined
  for (const one of list) {
    const n = of(one)
    if (!best || n < best.n) best = { one, n }
    if (n === 0) break
  }
  return best?.one
}
