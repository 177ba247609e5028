/** What a picture of a job shows: the technique, the tool in the hand, the food worked on, and which hand. Needs no table of data. */
import { foodInHand } from '../talk/facts/at-work'
import type { PlanLine } from '../model/line'
import type { Task } from '../model/task'

export interface HandPicture {
  technique: string
  /** Id of a tool; '' where the hands alone do it. */
  tool: string
  /** Id of the food worked on; null where it is mixed, or none is. */
  food: string | null
  /** Drawn for the left hand. */
  left: boolean
}

/** Tools that are given out for the left hand alone (core/data/tools.json, `adapts`; a test holds them together). */
export const LEFT_TOOLS: ReadonlySet<string> = new Set(['left-scissors', 'two-lip-jug'])

/** @param child whose form it is; without one, the form of the first who does it */
export function handPicture(task: Task, lines: readonly PlanLine[], child?: string): HandPicture {
  const form = task.forms.find((f) => (child === undefined ? f.tool !== '' : f.children.includes(child)))
  return {
    technique: task.shows ?? task.technique,
    tool: form?.tool ?? '',
    food: foodInHand(task, { lines: [...lines] })?.food ?? null,
    left: child !== undefined && LEFT_TOOLS.has(form?.tool ?? ''),
  }
}
