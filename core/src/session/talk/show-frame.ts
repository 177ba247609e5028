/**
 * One picture of the children's screen, whole in itself: mats by their numbers, measures, pictures, guesses and the timer. No name, no id of a
 * child, no card, finding, gate or note has a place in it, so that it can be shown by a device that nobody signed in on.
 */
import { digest } from '../../plan/model/digest'
import type { Present } from '../../plan/model/child-safety-digest'
import type { Plan } from '../../plan/model/plan'
import type { Taste } from '../event'
import { tally } from '../finish'
import { gatesNow, nextTurn, tableTasks, type TableTask } from '../table'
import type { TableState } from '../replay'
import type { Speaker } from './hearing'
import { type PartPicture, partPicture } from './part-picture'
import { sayNow } from './say'
import { isTasting, looksBack, type ShowMoment, showMoments } from './show'

/** What the strip and the big numeral show. */
export interface ShowRow {
  /** `who`: number of a mat. */
  own: { done: boolean; skipped: boolean; who: number }[]
  marks: string[]
  shares: number[]
  total: string
  count: number
  scoop: { size: string; unit: string; name: string } | null
  picture: PartPicture | null
}

export interface ShowFrame {
  /** Changes with the place at the table: its moments begin anew. */
  key: string
  moments: ShowMoment[]
  /** The table looks back. */
  over: boolean
  /** The mat whose turn it is, and the next ones. */
  who: number | null
  next: number[]
  row: ShowRow | null
  /** By guess: what each mat says, and what it was. */
  guesses: Record<string, { by: { who: number; says: string }[]; truth: string | null }>
  /** For each answer the mats of those who gave it, from the ground up. */
  tastes: { taste: Taste; who: number[] }[]
  /** As they were started; ids and names stay where they are. */
  timers: { seconds: number; every: number | null; started: string; seen: number }[]
}

export interface ShowTable {
  plan: Plan
  state: TableState
  /** Id of the bowl that this screen is at; the first where it is gone. */
  bowl: string | null
  speakers: readonly Speaker[]
  /** Who is here, with what their cards ask now. */
  present: readonly Present[]
}

/** @param mat the number of a child's mat @returns null where the plan has no step or no bowl */
export function showFrame(
  { plan, state, bowl: wanted, speakers, present }: ShowTable,
  mat: (child: string) => number,
): ShowFrame | null {
  const step = state.step ?? plan.schedule[0]?.step
  const bowl = plan.bowls.find((b) => b.id === wanted) ?? plan.bowls[0]
  if (step === undefined || !bowl) return null
  const tasks = tableTasks(plan, state, step).filter((t) => t.task.bowl === bowl.id)
  const now = nextTurn(tasks)
  const blocked = gatesNow(plan, state, step, now, present).length > 0
  const talk = plan.talk.find((t) => t.step === step) ?? null
  const say = sayNow(plan, talk, bowl.id, now, speakers, blocked)
  const over = looksBack(state)
  const tasting = isTasting(state)
  const turn = blocked ? null : (now?.turn ?? null)
  const moments = showMoments(plan, step, talk, say, {
    turn,
    blocked,
    guessed: Object.keys(state.guesses),
    over,
    tasting,
    tasted: Object.keys(state.tastes).length > 0,
  })
  const shown = now?.task ?? tasks.filter((t) => t.turns.length > 0).at(-1) ?? tasks[0] ?? null
  const open = tasks.flatMap((t) => t.turns).filter((t) => !t.done)
  return {
    key: digest([step, bowl.id, say.key, over, tasting, blocked]).slice(0, 16),
    moments,
    over,
    who: turn && !over ? mat(turn.who) : null,
    next: open.slice(1, 3).map((t) => mat(t.who)),
    row: shown && showRow(shown, mat),
    guesses: Object.fromEntries(
      Object.entries(state.guesses).map(([id, g]) => [
        id,
        {
          by: Object.entries(g.by).map(([child, says]) => ({ who: mat(child), says })),
          truth: g.truth ?? null,
        },
      ]),
    ),
    tastes: tally(plan, state).map(({ taste, who }) => ({ taste, who: who.map(mat) })),
    timers: state.timers.map(({ seconds, every, started, seen }) => ({
      seconds,
      every: every ?? null,
      started,
      seen,
    })),
  }
}

/** What strip and numeral show of a task. @param mat the number of a child's mat */
export function showRow(row: TableTask, mat: (child: string) => number): ShowRow {
  const any = row.task.measured?.by === 'scoop' && row.task.measured.any === true
  return {
    own: row.own.map((t) => ({ done: t.done, skipped: t.skipped, who: mat(t.who) })),
    marks: row.marks,
    shares: row.shares,
    total: row.total,
    count: row.count,
    scoop: row.scoop && !any ? { size: row.scoop.size, unit: row.scoop.unit, name: row.scoop.name } : null,
    picture: partPicture(row.task, row.count),
  }
}

/** The timers of a frame, as `waitLeft` reads them. */
export const timersOfFrame = (frame: ShowFrame): TableState['timers'] =>
  frame.timers.map(({ every, ...t }, i) => ({
    id: String(i),
    name: '',
    ...t,
    ...(every !== null && { every }),
  }))
