/** Which line a task has in hand. */
import type { Bowl, PlanLine } from '../../model/line'
import type { Task } from '../../model/task'

/** In these the foods are mixed: nothing is asked of one of them alone. */
const MIXED = new Set(
  'stir fold toss-coat whisk knead shape roll-out cut-cutter brush-glaze fill-cases electric-mixer blender-button shake-jar sieve use-oven use-hob use-griddle use-campfire taste serve-self wash-hands'.split(
    ' ',
  ),
)

/** The line that is worked on; undefined where several are and none is named. */
export function lineAtWork(task: Task, bowl: Pick<Bowl, 'lines'>): PlanLine | undefined {
  const id = task.hand === undefined ? task.uses[0] : task.hand
  return bowl.lines.find((l) => l.id === id)
}

/** The food that a task has in hand; undefined where it is mixed already, or is none. */
export const foodInHand = (task: Task, bowl: Pick<Bowl, 'lines'>): PlanLine | undefined =>
  MIXED.has(task.technique) || task.mode === 'WAIT' ? undefined : lineAtWork(task, bowl)
