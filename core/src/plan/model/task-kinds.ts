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

/** How many goes one child has at a job that everybody does once: of the own portion one for each scoop. */
export const goesEach = (task: Pick<Task, 'portion' | 'measured'>): number =>
  task.portion && task.measured?.by === 'scoop' ? task.measured.n : 1

/** How much of what this turn fills is in before it, in scoops: of an own portion only the child's own count. @param i which turn of its task it is, from 0 */
export const scoopsBefore = (task: Task, turn: Pick<Turn, 'number'>, i: number): number =>
  task.portion ? (turn.number - 1) % goesEach(task) : i

/** How many turns a child has of what is shared, and jobs in all. */
export function turnsAndJobs(
  child: string,
  tasks: readonly Task[],
  turns: readonly Turn[],
): { turns: number; jobs: number } {
  const shared = new Set(tasks.filter((t) => t.mode === 'TURNS').map((t) => t.id))
  const own = turns.filter((t) => t.child === child)
  const turnsShared = own.filter((t) => shared.has(t.task)).length
  // The scoops of an own portion are one job.
  const once = new Set(own.filter((t) => !shared.has(t.task)).map((t) => `${t.task}/${t.round ?? 0}`))
  return { turns: turnsShared, jobs: turnsShared + once.size }
}

/** So many children at a table are within one adult's reach, who stands at the blades among them. Source: common practice, from memory. */
export const WITHIN_REACH = 4
/** Work at the table that only wants an eye on it. */
export const isBlunt = (task: Task): boolean =>
  task.place === 'table' && task.hazard === undefined && task.forms.every((f) => f.supervision === 'O')
