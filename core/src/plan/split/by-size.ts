/** Portions by age: those of a size measure theirs, with measures of their own. */
import { isByChildren, type RecipeTask } from '../../recipe/recipe'
import type { PlanLine } from '../model/line'

const isSized = (task: RecipeTask, line: PlanLine | null): line is PlanLine =>
  task.measures === true && isByChildren(task.mode) && line?.each?.sizes !== undefined

/** The portions that a task measures of a line in a bowl: the whole one (undefined) where somebody has it, and each size by age. */
export function sizesOf(
  task: RecipeTask,
  line: PlanLine | null,
  children: readonly string[],
): (number | undefined)[] {
  if (!isSized(task, line)) return [undefined]
  const sizes = line.each?.sizes ?? []
  const whole = children.some((c) => !sizes.some((s) => s.children.includes(c)))
  return [...(whole ? [undefined] : []), ...sizes.keys()]
}

/** Those who have this size. */
export function ofSize(
  children: readonly string[],
  task: RecipeTask,
  line: PlanLine | null,
  size: number | undefined,
): string[] {
  if (!isSized(task, line)) return [...children]
  const sizes = line.each?.sizes ?? []
  const its = size === undefined ? null : (sizes[size]?.children ?? [])
  return children.filter((c) => (its ? its.includes(c) : !sizes.some((s) => s.children.includes(c))))
}
