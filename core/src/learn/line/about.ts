/** Keys under which questions and comments stand: the work itself, and the sort of work that it is. */
import { topicOf } from '../topics'

const KNIVES = ['cut-soft-table-knife', 'bridge-cut', 'claw-cut']
const PEELING = ['peel-hand', 'peel-peeler']

/** `do-stir` and `topic-mix`; knives and peelers are sorts of their own, since little is true of all that cuts. */
export function aboutWork(technique: string): string[] {
  const topic = KNIVES.includes(technique)
    ? 'knife'
    : PEELING.includes(technique)
      ? 'peel'
      : topicOf([technique])
  return [`do-${technique}`, `topic-${topic}`]
}
