/**
 * Several bowls, one adult: where everybody does the same job once, each for the own bowl, and an adult stands beside, the children of all
 * bowls go in the same waves. So an adult sees to as many at once as the job allows, whichever bowl they work for.
 */
import { APART } from '../model/line'
import type { RecipeStep } from '../../recipe/recipe'
import type { PlanRequest } from '../model/request'
import type { Task } from '../model/task'
import { sharedWaves, wavesOf } from './waves'

/**
 * @param steps of the recipe @param bowls of the plan
 * @returns the tasks, those that go together with `joins` and one adult; where going bowl by bowl is as quick, they stay as they are
 */
export function joinBowls(
  tasks: readonly Task[],
  steps: readonly RecipeStep[],
  bowls: readonly { id: string }[],
  request: PlanRequest,
): Task[] {
  // A bowl that is apart for an allergy comes first and has an adult to itself: hands that go from bowl to bowl carry crumbs.
  if (bowls.length < 2 || bowls.some((b) => b.id === APART)) return [...tasks]
  const joined = new Map<string, { joins: string; adult: string }>()
  for (const group of sameJobs(tasks, steps)) {
    const [first] = group
    if (!first?.adult || group.length < bowls.length || !isQuicker(group, request)) continue
    const adult = chosenFor(group, request) ?? first.adult
    for (const task of group) joined.set(task.id, { joins: first.id, adult })
  }
  return tasks.map((t) => ({ ...t, ...joined.get(t.id) }))
}

/** The same job of each bowl, one after another. What is measured goes by its own measures. */
function sameJobs(tasks: readonly Task[], steps: readonly RecipeStep[]): Task[][] {
  const measured = new Set(
    steps.flatMap((s) => s.tasks.flatMap((t) => (t.measures ? [`${s.id}/${t.technique}`] : []))),
  )
  const groups = new Map<string, Task[]>()
  for (const task of tasks) {
    // What goes round goes round its own table.
    if (task.mode !== 'EACH' || !task.adult || task.passes || measured.has(`${task.step}/${task.technique}`))
      continue
    const key = task.id.slice(task.bowl.length)
    groups.set(key, [...(groups.get(key) ?? []), task])
  }
  return [...groups.values()]
}

/** Fewer waves in all than whoever of the adults has most of them, one bowl after another. */
function isQuicker(group: readonly Task[], request: PlanRequest): boolean {
  const apart = new Map<string, number>()
  for (const task of group)
    apart.set(task.adult ?? '', (apart.get(task.adult ?? '') ?? 0) + wavesOf(task, request).length)
  return sharedWaves(group, request).length < Math.max(...apart.values())
}

/** Whoever was set down at one of them is at all of them: the last word counts. */
function chosenFor(group: readonly Task[], { decisions }: PlanRequest): string | undefined {
  const said = decisions.flatMap((d) =>
    d.kind === 'stands' && group.some((t) => t.id === d.task && t.adult === d.adult) ? [d.adult] : [],
  )
  return said.at(-1)
}
