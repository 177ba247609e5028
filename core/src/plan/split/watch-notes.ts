/** What an adult watches at a step: heat and blades, what is turned again and again, who does not touch what, and what is raw or hot. */
import { capitalised } from '../../amount/letter-case'
import { minutesText } from '../../amount/clock-time'
import { countText } from '../../amount/show'
import { techniqueOf } from '../../craft/techniques'
import { nameToken } from '../model/finding'
import { WORK, type WatchNote } from '../model/plan'
import { HEAT_PLACES_SOURCE, heatPlaceOf } from '../../recipe/heat-places'
import type { Task } from '../model/task'
import { timesTurned } from '../model/task-kinds'

/** Everything that an adult's eye is asked for, by step. */
export const watchNotes = (tasks: readonly Task[]): WatchNote[] => [
  ...hazardNotes(tasks),
  ...turnNotes(tasks),
  ...barredNotes(tasks),
  ...aroundNotes(tasks),
  ...placeNotes(tasks),
]

/** What one or more adults do at heat or blades, after their names. */
export function adultsDo(tasks: readonly Pick<Task, 'mode'>[], adults: number): string {
  const many = adults !== 1
  return tasks.every((t) => t.mode === 'ADULT')
    ? `${many ? 'do' : 'does'} this, and nothing else meanwhile`
    : `${many ? 'stay' : 'stays'} beside the children and ${many ? 'do' : 'does'} nothing else`
}

export const HAZARD_WORD = { heat: 'heat', blade: 'blades' } as const

function hazardNotes(tasks: readonly Task[]): WatchNote[] {
  const seen = new Set<string>()
  return tasks.flatMap((task) => {
    const key = `${task.bowl}/${task.step}/${task.hazard ?? ''}/${task.mode}`
    if (!task.hazard || seen.has(key)) return []
    seen.add(key)
    const who = task.adult ? nameToken(task.adult) : 'An adult'
    const says =
      task.mode === 'ADULT'
        ? `Adult only: ${who}.`
        : `${who} stands beside before the ${HAZARD_WORD[task.hazard]} come out.`
    return [
      {
        step: task.step,
        bowl: task.bowl,
        grade: 'adult' as const,
        about: WORK,
        says,
        source: techniqueOf(task.technique)?.source ?? '',
      },
    ]
  })
}

/** What has to be turned again and again, and that an adult stays with it. */
function turnNotes(tasks: readonly Task[]): WatchNote[] {
  const seen = new Set<string>()
  return tasks.flatMap((task) => {
    if (task.every === undefined || seen.has(task.step)) return []
    seen.add(task.step)
    const times = timesTurned(task.seconds, task.every)
    return [
      {
        step: task.step,
        grade: 'adult' as const,
        about: WORK,
        says: `${task.adult ? nameToken(task.adult) : 'An adult'} stays, and turns it every ${minutesText(task.every)}: ${countText(times, 'time')}.`,
        source: 'common practice',
      },
    ]
  })
}

/** Who does not touch what, for the adult's eyes. */
function barredNotes(tasks: readonly Task[]): WatchNote[] {
  const notes = new Map<string, WatchNote>()
  for (const { step, bowl, barred } of tasks) {
    for (const { child, why } of barred.filter((b) => b.cause === 'touch')) {
      notes.set(`${step}/${child}/${why}`, {
        step,
        bowl,
        grade: 'adult',
        about: { kind: 'child', child },
        says: `${nameToken(child)} ${why}.`,
        source: "the child's concern; the care plan comes first",
      })
    }
  }
  return [...notes.values()]
}

/** Why an adult does what children do elsewhere: it is raw meat, or hot. */
function aroundNotes(tasks: readonly Task[]): WatchNote[] {
  const notes = new Map<string, WatchNote>()
  for (const { step, bowl, barred, adult } of tasks)
    for (const { why } of barred.filter((b) => b.cause === 'raw' || b.cause === 'heat'))
      notes.set(`${step}/${why}`, {
        step,
        bowl,
        grade: 'adult',
        about: WORK,
        says: `${capitalised(why)}${adult ? `: ${nameToken(adult)}` : ''}.`,
        source: 'FSA; CDC; CAPT; common practice, from memory',
      })
  return [...notes.values()]
}

/** What can hurt at a hot place, and how one sees that it is done: once a step and place. */
function placeNotes(tasks: readonly Task[]): WatchNote[] {
  const notes = new Map<string, WatchNote>()
  for (const { step, place, mode } of tasks) {
    const hot = heatPlaceOf(place)
    if (!hot) continue
    const note = (grade: 'adult' | 'know', says: string): WatchNote => ({
      step,
      grade,
      about: WORK,
      says,
      source: HEAT_PLACES_SOURCE,
    })
    notes.set(`${step}/${place}/hazard`, note('adult', hot.hazard))
    if (mode === 'WAIT') notes.set(`${step}/${place}/done`, note('know', hot.done))
  }
  return [...notes.values()]
}
