/** What a room may lack that a step has another way for, and that way as the editor writes it. */
import { TOOLS, toolName, toolOf } from '../../craft/tools'
import { ROOM_THINGS } from '../heat-places'
import { isHot, type Place, type RecipeStep, type StepWay } from '../recipe'

/** No place at all where food gets hot. */
const NO_HEAT = 'heat'

/** What may be lacking, by name: anything hot, a place, the scale, a tool. */
export const LACKS: readonly { id: string; name: string }[] = [
  { id: NO_HEAT, name: 'anything hot' },
  ...ROOM_THINGS.filter((t) => t.id !== 'sink'),
  ...TOOLS.map((t) => ({ id: t.id, name: toolName(t.id) })),
]
const BY_ID = new Map(LACKS.map((l) => [l.id, l.name]))

/** Whether something is a thing that a room may lack. */
export const isLackable = (id: string): boolean => BY_ID.has(id)
/** "anything hot", "oven", "grater" */
const lackName = (id: string): string => BY_ID.get(id) ?? id

/** Whether a room lacks it: of a tool only where it is counted, and there is none. */
export function isLacking(
  id: string,
  equipment: readonly string[],
  tools: readonly { tool: string; count: number }[],
): boolean {
  if (id === NO_HEAT) return !equipment.some((e) => isHot(e as Place))
  if (toolOf(id)) return tools.some((t) => t.tool === id && t.count === 0)
  return !equipment.includes(id)
}

/** "Without an oven: press it flat and eat it as it is." */
export const wayText = (way: StepWay): string => `Without ${lackName(way.lacks)}: ${way.says}`

/** The step with one more way, for whoever lacks what its first hot place is, else anything hot; done as the step is, until it is written. */
export function withWay(step: RecipeStep): RecipeStep {
  const place = step.tasks.find((t) => isHot(t.place))?.place
  const way: StepWay = {
    lacks: place ?? NO_HEAT,
    says: 'Done without heat.',
    tasks: [{ technique: 'stir', mode: 'TURNS', seconds: 20 }],
  }
  return { ...step, ways: [...(step.ways ?? []), way] }
}

/** The step with a way changed, or taken out. */
export function changedWay(step: RecipeStep, i: number, more: Partial<StepWay> | null): RecipeStep {
  const ways = (step.ways ?? []).flatMap((w, k) => (k !== i ? [w] : more ? [{ ...w, ...more }] : []))
  const { ways: _, ...rest } = step
  return ways.length > 0 ? { ...rest, ways } : rest
}
