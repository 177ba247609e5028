/** What goes round the table, seat by seat: the order of the seats, and a task for each round. */
import type { Passes } from '../../recipe/kinds/kinds'
import { isByChildren, type RecipeTask } from '../../recipe/recipe'
import type { Bowl, PlanLine } from '../model/line'
import type { Task, TaskForm } from '../model/task'

/** What goes round several times is a task for each round. */
export function inRounds(tasks: readonly RecipeTask[], used: readonly PlanLine[]): RecipeTask[] {
  const named = new Set(tasks.flatMap((t) => (t.measures ? (t.lines ?? []) : [])))
  return tasks.flatMap((task) => {
    const { passes } = task
    if (!passes || passes.times < 2 || !isByChildren(task.mode)) return [task]
    const lines = task.lines ?? used.filter((l) => !named.has(l.line)).map((l) => l.line)
    const one = task.measures ? { ...task, lines: [...new Set(lines)] } : task
    return Array.from({ length: passes.times }, () => one)
  })
}

/** Seat by seat, one after another; where an adult does it, still in its rounds, each with its share. */
export function goesRound(
  { times, asks, answers }: Passes,
  forms: readonly TaskForm[],
  again: number,
  { children }: Bowl,
): Pick<Task, 'passes' | 'portion'> {
  const able = new Set(forms.flatMap((f) => f.children))
  return {
    passes: {
      round: Math.min(again + 1, times),
      of: times,
      order: children.filter((c) => able.has(c)),
      asks,
      answers,
    },
    ...(forms.length > 0 && { portion: { atOnce: 1 } }),
  }
}
