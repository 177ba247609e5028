/** A card for each child: its jobs in order, with picture, tool and cue; for print, and for those who do not read yet. */
import { must } from '../../amount/must'
import { techniqueOf } from '../../craft/techniques'
import type { Plan } from '../model/plan'
import type { Task, TaskForm } from '../model/task'
import { handPicture, type HandPicture } from './hand-picture'
import { taskText } from './task-text'

export interface CardRow {
  task: string
  picture: string
  job: string
  hands: HandPicture
  /** How, in words. */
  how: string
  /** What this child wants for it: a left-handed pair, a cutter with a knob. */
  helps: string[]
  /** The cue of the technique, in a short sentence. */
  cue: string
  /** Turns of it, or 1 where each does it. */
  times: number
}
export interface JobCard {
  child: string
  bowl: string
  rows: CardRow[]
  /** Neighbour jobs, and jobs for waiting, each once. */
  instead: string[]
  waiting: string[]
}

const formOf = (task: Task, child: string): TaskForm | undefined =>
  task.forms.find((f) => f.children.includes(child))
const unique = (list: readonly string[]): string[] => [...new Set(list)]

/** A card for each child: its jobs in their order, without anybody’s allergy. */
export function jobCards(plan: Plan): JobCard[] {
  const order = new Map(plan.schedule.map((s, i) => [s.step, i]))
  return plan.bowls.flatMap((bowl) =>
    bowl.children.map((child): JobCard => {
      const tasks = plan.tasks
        .filter((t) => t.bowl === bowl.id && plan.turns.some((x) => x.task === t.id && x.child === child))
        .sort((a, b) => (order.get(a.step) ?? 0) - (order.get(b.step) ?? 0))
      return {
        child,
        bowl: bowl.name,
        rows: tasks.map((t) => ({
          task: t.id,
          picture: must(
            plan.schedule.find((s) => s.step === t.step),
            `the step ${t.step}`,
          ).picture,
          job: taskText(t, plan),
          hands: handPicture(t, bowl.lines, child),
          how: formOf(t, child)?.says ?? '',
          helps: unique((t.helps ?? []).filter((h) => h.child === child).map((h) => h.says)),
          cue: techniqueOf(t.technique)?.cue ?? '',
          times: plan.turns.filter((x) => x.task === t.id && x.child === child).length,
        })),
        instead: unique(
          plan.tasks
            .flatMap((t) => t.instead ?? [])
            .filter((i) => i.child === child)
            .map((i) => i.job),
        ),
        waiting: unique((plan.waitingJobs ?? []).filter((f) => f.child === child).map((f) => f.says)),
      }
    }),
  )
}
