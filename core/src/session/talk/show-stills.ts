/**
 * The moments of the children's screen as stills, for a room without one: each once, in the order they come, for one bowl. A page of the
 * story has none: its words stand on the talk sheet, and its picture is that of the step, which *now and next* shows.
 */
import type { Plan } from '../../plan/model/plan'
import { replay, type TableState } from '../replay'
import { nextTurn, tableTasks, type TableTask, type TableTurn } from '../table'
import { guessAsks } from './guessed'
import type { Speaker } from './hearing'
import { sayNow } from './say'
import {
  buildingTogether,
  choosingTogether,
  type ShowMoment,
  showMoments,
  tasteCards,
  turnMoment,
} from './show'
import { type ShowRow, showRow } from './show-frame'

export interface ShowStill {
  /** Unlike any other of the list. */
  key: string
  /** Title of the step, for who lays the pictures out. */
  title: string
  moment: ShowMoment
  /** Of a job all its turns, each in the mat of the child whose turn it is; of own portions those of one child. */
  row: ShowRow | null
  /** The mats of all who do it, in the order of their turns. */
  mats: number[]
}

/**
 * @param bowl id of the bowl whose pictures they are
 * @param mat the number of a child's mat
 * @returns no name, no card and no finding, as on the screen
 */
export function showStills(
  plan: Plan,
  bowl: string,
  speakers: readonly Speaker[],
  mat: (child: string) => number,
): ShowStill[] {
  const seen = new Set<string>()
  const stills: ShowStill[] = []
  const add = (title: string, moment: ShowMoment, task: TableTask | null = null, of = task?.turns ?? []) => {
    // What was shown once needs no second picture; a job has its own.
    const key = JSON.stringify([moment, task?.task.id ?? ''])
    if (seen.has(key) || moment.kind === 'story') return
    seen.add(key)
    const mats = [...new Set(of.map((t) => t.child))].map(mat)
    stills.push({ key, title, moment, row: task && showRow(task, mat), mats })
  }
  /** A picture for each way in which it is done: the small may have another tool. */
  const addJob = (title: string, task: TableTask): void => {
    // Of a scoop the measure, the food and the bowl are shown, whoever holds it.
    const scooped = showRow(task, mat).scoop !== null
    const way = (t: TableTurn): string =>
      scooped ? '' : JSON.stringify(turnMoment(plan, task.task, t.child))
    for (const of of new Set(task.turns.map(way))) {
      const turns = task.turns.filter((t) => way(t) === of)
      add(title, turnMoment(plan, task.task, turns[0]?.child), task, turns)
    }
  }
  const before = replay([])
  for (const { step, title } of plan.schedule) {
    const talk = plan.talk.find((t) => t.step === step) ?? null
    const here = (state: TableState): TableTask[] =>
      tableTasks(plan, state, step).filter((t) => t.task.bowl === bowl)
    for (const m of [
      ...choosingTogether(plan, step),
      ...buildingTogether(plan, step),
      ...tasteCards(plan, step, null),
    ])
      add(title, m)
    let state = before
    for (const { task } of here(state)) {
      const now = nextTurn(here(state))
      if (!now) break
      if (now.task.task.id !== task.id) continue
      const moments = showMoments(plan, step, talk, sayNow(plan, talk, bowl, now, speakers), {
        turn: now.turn,
        blocked: false,
      })
      state = allDone(plan, state, task.id)
      const whole = here(state).find((t) => t.task.id === task.id) ?? null
      for (const m of moments) if (!['turn', 'choose', 'scene', 'tasting'].includes(m.kind)) add(title, m)
      if (whole && moments.some((m) => m.kind === 'turn')) addJob(title, whole)
    }
    const after = sayNow(plan, talk, bowl, null, speakers)
    for (const m of showMoments(plan, step, talk, after, { turn: null, blocked: false }))
      if (m.kind !== 'order' && m.kind !== 'done') add(title, m)
  }
  const end = showMoments(plan, '', null, sayNow(plan, null, bowl, null), {
    turn: null,
    blocked: false,
    guessed: [...guessAsks(plan).keys()],
    over: true,
    tasted: true,
  })
  for (const m of end) add('At the end', m)
  return stills
}

/** The state in which every turn of a task was taken by the child whose turn it is. */
function allDone(plan: Plan, state: TableState, task: string): TableState {
  const turns = plan.turns
    .filter((t) => t.task === task)
    .map((t) => [t.id, { event: t.id, child: t.child, at: '', skipped: false }] as const)
  return { ...state, turns: { ...state.turns, ...Object.fromEntries(turns) } }
}
