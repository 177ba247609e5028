import type { Place } from '../../recipe/recipe'
import type { Task, Turn } from './task'

/** Where all of it goes in at once. */
const GOES_IN_TOGETHER: ReadonlySet<Place> = new Set([
  ...(['oven', 'toaster-oven', 'air-fryer', 'microwave', 'grill', 'fire', 'fridge'] as const),
])

/** What goes in together, or waits for all: done once for the whole table. */
export const isTogether = (task: Pick<Task, 'mode' | 'place' | 'shows'>): boolean =>
  task.mode === 'WAIT' ||
  task.shows !== undefined ||
  (task.mode === 'ADULT' && GOES_IN_TOGETHER.has(task.place))

/**
 * An adult stays at a wait over fire, on the hob or griddle, under the grill and by the kettle, and wherever something has to be turned; an oven is left alone.
 * Source: common practice (e-heat-adult, e-fire: one adult never leaves the fire), from memory.
 */
export const staysAt = (task: Pick<Task, 'mode' | 'place' | 'every'>): boolean =>
  task.mode === 'WAIT' && (STAYS_AT.has(task.place) || task.every !== undefined)
const STAYS_AT: ReadonlySet<Place> = new Set(['fire', 'hob', 'grill', 'griddle', 'kettle'] as const)

/**
 * How often something is turned in a wait: after every so many seconds, and not once more at the end.
 * Example (common practice): every two to three minutes within ten is three or four times.
 */
export const timesTurned = (seconds: number, every: number): number =>
  Math.max(0, Math.ceil(seconds / every) - 1)

/** How many turns a child has of what is shared, and jobs in all. */
export function turnsAndJobs(
  child: string,
  tasks: readonly Task[],
  turns: readonly Turn[],
): { turns: number; jobs: number } {
  const shared = new Set(tasks.filter((t) => t.mode === 'TURNS').map((t) => t.id))
  const own = turns.filter((t) => t.child === child)
  return { turns: own.filter((t) => shared.has(t.task)).length, jobs: own.length }
}
