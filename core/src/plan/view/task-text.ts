/** A task in few words: "pour: milk", "snip with scissors". */
import type { Plan } from '../model/plan'
import type { Task } from '../model/task'

/** @returns the name of the job and, where it measures, what it measures */
export function taskText(task: Task, plan: Plan): string {
  const line =
    task.measured && plan.bowls.find((b) => b.id === task.bowl)?.lines.find((l) => l.id === task.uses[0])
  return line ? `${task.name}: ${line.name}` : task.name
}
