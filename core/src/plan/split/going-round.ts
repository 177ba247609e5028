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

/** The same thing that goes round, whichever bowl it comes to. */
const thing = (task: Task): string =>
  [task.step, task.technique, task.measured ? (task.uses[0] ?? '') : ''].join('/')

/**
 * Where each child has a bowl of its own, what goes round goes from bowl to bowl in the order of the seats, round after round: one thing is with
 * one child. Several tables with a bowl each have each their own.
 */
export function passOn(tasks: readonly Task[], bowls: readonly Bowl[]): Task[] {
  if (bowls.length < 2 || bowls.some((b) => b.children.length !== 1)) return [...tasks]
  const seat = (t: Task): number => bowls.findIndex((b) => b.id === t.bowl)
  const from = new Map<string, { child: string; round: number }>()
  const going = tasks.filter((t) => t.mode === 'EACH' && t.passes && t.passes.order.length > 0)
  for (const name of new Set(going.map(thing))) {
    const order = going
      .filter((t) => thing(t) === name)
      .sort((a, b) => (a.passes?.round ?? 0) - (b.passes?.round ?? 0) || seat(a) - seat(b))
    order.forEach((task, i) => {
      const before = order[i - 1]?.passes
      const child = before?.order.at(-1)
      if (before && child !== undefined) from.set(task.id, { child, round: before.round })
    })
  }
  return tasks.map((t) => {
    const by = from.get(t.id)
    return t.passes && by !== undefined ? { ...t, passes: { ...t.passes, from: by } } : t
  })
}

/**
 * The task of whoever has it before this one, of those who are there: who left hands nothing on. Undefined where an adult does, or nothing goes from
 * bowl to bowl.
 */
export function handedOnBy(
  task: Task,
  tasks: readonly Task[],
  bowls: readonly { id: string }[],
): Task | undefined {
  if (!task.passes) return undefined
  const seat = (t: Task): number => bowls.findIndex((b) => b.id === t.bowl)
  const going = tasks
    .filter((t) => t.mode === 'EACH' && t.passes && thing(t) === thing(task))
    .sort((a, b) => (a.passes?.round ?? 0) - (b.passes?.round ?? 0) || seat(a) - seat(b))
  return going.some((t) => t.passes?.from) ? going[going.indexOf(task) - 1] : undefined
}
