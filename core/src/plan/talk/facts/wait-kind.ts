/** What a wait is: oven, hob, fire, fridge, rising dough, soaking, cooling … each is told as what it is. */
import { clockAfter } from '../../../amount/clock-time'
import type { RecipeStep } from '../../../recipe/recipe'
import type { Gathered } from '../../model/draft'
import type { Task } from '../../model/task'

/** What one waits for. */
export type WaitKind =
  | 'oven'
  | 'hob'
  | 'griddle'
  | 'fire'
  | 'fridge'
  | 'freezer'
  | 'rising'
  | 'resting'
  | 'soaking'
  | 'cooling'
  | 'setting'
  | 'any'

/** Foods that make what they are in set in the cold. */
const SETS = ['gelatine', 'agar', 'cornflour', 'custard-powder']
const RISES = ['knead', 'shape', 'roll-out', 'stir', 'fold']

/** @param foods ids of all that has gone in by then */
export function waitKind(task: Pick<Task, 'technique' | 'place'>, foods: readonly string[]): WaitKind {
  const { technique, place } = task
  if (place === 'fridge') return foods.some((f) => SETS.includes(f)) ? 'setting' : 'fridge'
  if (place === 'freezer') return 'freezer'
  if (place === 'oven') return 'oven'
  if (technique === 'use-griddle') return 'griddle'
  if (place === 'hob') return 'hob'
  if (place === 'fire') return 'fire'
  if (technique === 'taste' || technique === 'arrange' || technique === 'serve-self') return 'cooling'
  if (technique === 'carry-hot' || technique === 'sprinkle' || technique === 'use-kettle') return 'soaking'
  if (RISES.includes(technique)) return foods.some((f) => f.startsWith('yeast')) ? 'rising' : 'resting'
  return 'any'
}

/** Ids of the foods of a step and of all before it. */
export function foodsBy(draft: Pick<Gathered, 'recipe' | 'lines'>, step: RecipeStep): string[] {
  const steps = draft.recipe.steps.slice(0, draft.recipe.steps.indexOf(step) + 1)
  const lines = new Set(steps.flatMap((s) => s.uses.map((u) => u.line)))
  return draft.lines.filter((l) => lines.has(l.line)).map((l) => l.food)
}

/** The clock time at which a task begins: the wait's own, not the step's. `HH:MM` */
export function clockAt(draft: Gathered, step: string, task: Task): string {
  const row = draft.schedule.find((s) => s.step === step)
  if (!row) return draft.totals.startsAt
  const later = task.start === undefined ? 0 : Math.max(0, task.start - row.start)
  return clockAfter(row.at, Math.round(later / 60))
}
