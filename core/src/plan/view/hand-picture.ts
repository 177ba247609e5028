/** What a picture of a job shows: the technique, the tool in the hand, the food worked on, and which hand. */
import { techniqueOf, TECHNIQUES } from '../../craft/techniques'
import { TOOLS } from '../../craft/tools'
import { glossaryRow } from '../../learn/glossary'
import { foodWord } from '../../learn/step-words'
import type { PlanLine } from '../model/line'
import type { Task } from '../model/task'
import { foodInHand } from '../talk/facts/in-hand'

export interface HandPicture {
  technique: string
  /** Id of a tool; '' where the hands alone do it. */
  tool: string
  /** Id of the word whose picture stands for the food; null where it is mixed, or none is drawn. */
  food: string | null
  /** Drawn for the left hand. */
  left: boolean
}

/** The word whose picture stands for a food; null where there is none: an empty frame tells a child nothing. */
export const pictured = (food: string): string | null => glossaryRow(foodWord(food))?.id ?? null

/** Tools that are given out for the left hand alone. */
const LEFT = new Set(
  TOOLS.flatMap((t) => t.adapts?.left ?? []).filter(
    (id) => !TECHNIQUES.some((x) => x.ladder.some((r) => r.tool === id)),
  ),
)

/** @param child whose form it is; without one, the form of the first who does it */
export function handPicture(task: Task, lines: readonly PlanLine[], child?: string): HandPicture {
  const form = task.forms.find((f) => (child === undefined ? f.tool !== '' : f.children.includes(child)))
  const food = foodInHand(task, { lines: [...lines] })?.food
  const help = techniqueOf(task.technique)?.adapt?.left
  const left =
    LEFT.has(form?.tool ?? '') || (task.helps ?? []).some((h) => h.child === child && h.says === help)
  return {
    technique: task.shows ?? task.technique,
    tool: form?.tool ?? '',
    food: food === undefined ? null : pictured(food),
    left: child !== undefined && left,
  }
}
