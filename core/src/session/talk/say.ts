/** What to say now: one line of the session's script, for what is in the hand and in the bowl at this moment. */
import type { TalkLine } from '../../learn/line/line'
import { IN_A_MOMENT, LAST_DONE, STEP_DONE, type RoutineRow } from '../../learn/line/routines'
import { doing } from '../../learn/line/doing'
import { filled } from '../../learn/fact/saying'
import { scoopsBefore } from '../../plan/model/task-kinds'
import type { Plan } from '../../plan/model/plan'
import type { StepTalk } from '../../plan/model/step-talk'
import type { nextTurn } from '../table'
import type { Hearing, Slot, Speaker } from './hearing'
import { scriptOf } from './script'
import { turnLines } from './turn-lines'

export interface SayNow {
  /** Changes when there is something else to say. */
  key: string
  child: string | null
  /** The first is said; the others on "another". */
  lines: TalkLine[]
  /** To count together up to here: the scoop at hand, or all there is to count; 0 where nothing is counted. */
  countTo: number
}

type Now = ReturnType<typeof nextTurn>

/** A script is derived once for a plan and the languages at its table. */
const scripts = new WeakMap<Plan, { speakers: string; slots: Slot[] }>()
function script(plan: Plan, speakers: readonly Speaker[]): Slot[] {
  const key = JSON.stringify(speakers)
  const known = scripts.get(plan)
  if (known?.speakers === key) return known.slots
  const slots = scriptOf(plan, speakers)
  scripts.set(plan, { speakers: key, slots })
  return slots
}

/**
 * @param bowl at whose table it is said
 * @param now the turn that comes; null where nobody has one
 * @param gated a gate stands open before it: what is said is for all, and nothing of a turn is asked yet
 */
export function sayNow(
  plan: Plan,
  talk: StepTalk | null,
  bowl: string,
  now: Now,
  speakers: readonly Speaker[] = [],
  gated = false,
): SayNow {
  if (!talk) return { key: '', child: null, lines: [], countTo: 0 }
  const slots = script(plan, speakers).filter((s) => s.bowl === bowl && s.step === talk.step)
  const first = slots.findIndex((s) => s.child !== null)
  const hasTurns = first >= 0
  const started =
    now === null ? hasTurns : plan.turns.some((t) => isBefore(plan, talk.step, bowl, t.id, now.turn.id))
  const opening = started
    ? []
    : [
        ...slots.filter((s) => s.moment === 'read' || s.moment === 'begin').flatMap(firsts),
        ...(hasTurns ? waits(plan, slots.slice(0, first), true, true) : []),
      ]
  if (gated && (now !== null || !hasTurns))
    return {
      key: `${talk.step} gate`,
      child: null,
      lines: opening.length > 0 ? opening : inAMoment(plan, talk.step),
      countTo: 0,
    }
  if (now) {
    const lines = [...opening, ...ofTurn(plan, talk, bowl, now, slots, speakers)]
    return { key: `${talk.step} ${now.turn.id}`, child: now.turn.who, lines, countTo: countTo(now) }
  }
  // A showing and a cooling that came before the turns are over.
  const behind = slots.slice(slots.findLastIndex((s) => s.child !== null) + 1)
  const lines = [...opening, ...waits(plan, behind, hasTurns)]
  return {
    key: `${talk.step} ${hasTurns ? 'done' : 'wait'}`,
    child: null,
    lines: lines.length > 0 ? lines : allDone(plan, talk.step),
    countTo: 0,
  }
}

/**
 * What is said in waits; a showing is talk of its own only where nobody has a turn, and an adult's work only after the turns.
 * @param during turns are still to come
 */
function waits(plan: Plan, slots: readonly Slot[], hasTurns: boolean, during = false): TalkLine[] {
  const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
  return slots
    .filter((s) => {
      const task = tasks.get(s.turn ?? '')
      if (s.moment !== 'wait') return false
      return !hasTurns || task?.mode === 'WAIT' || (!during && task?.shows === undefined)
    })
    .flatMap((s) => s.lines)
}

/** What is said to all as a step begins: the story's page, the home word, a guess, now and next. */
const firsts = (slot: Slot): TalkLine[] => slot.lines.slice(0, 4).map((l) => ({ ...l, who: l.who ?? null }))

/** Is a turn of this step before another in the order of the table. */
function isBefore(plan: Plan, step: string, bowl: string, turn: string, other: string): boolean {
  if (turn === other) return false
  const order = plan.tasks
    .filter((t) => t.step === step && t.bowl === bowl)
    .flatMap((t) => plan.turns.filter((x) => x.task === t.id).map((x) => x.id))
  const [a, b] = [order.indexOf(turn), order.indexOf(other)]
  return a >= 0 && b >= 0 && a < b
}

/** As the script has it; made anew where another child has the turn, or another amount is in than was planned. */
function ofTurn(
  plan: Plan,
  talk: StepTalk,
  bowl: string,
  now: NonNullable<Now>,
  slots: readonly Slot[],
  speakers: readonly Speaker[],
): TalkLine[] {
  const { turn, task } = now
  const slot = slots.find((s) => s.turn === turn.id)
  const i = plan.turns.filter((t) => t.task === task.task.id).findIndex((t) => t.id === turn.id)
  if (slot && slot.child === turn.who && task.count === scoopsBefore(task.task, turn, i)) return slot.lines
  const elsewhere = new Set(
    slots.filter((s) => s.turn !== turn.id).flatMap((s) => s.lines.slice(0, 1).map((l) => l.says)),
  )
  const hearing: Hearing = {
    plan,
    bowl,
    crew: plan.bowls.find((b) => b.id === bowl)?.children ?? [],
    months: [],
    speakers,
  }
  const at = { child: turn.who, i: Math.max(0, i), k: task.count, key: turn.id, last: false }
  const lines = turnLines(hearing, talk, task.task, at)
  const fresh = lines.filter((l) => l.kind !== 'comment' || !elsewhere.has(l.says))
  return (fresh.length > 0 ? fresh : lines).slice(0, 5)
}

/** After the last turn nothing is asked again: it is done, and what comes next. */
function allDone(plan: Plan, step: string): TalkLine[] {
  const next = plan.schedule[plan.schedule.findIndex((s) => s.step === step) + 1]
  if (!next) return routine(plan, LAST_DONE, {})
  return routine(plan, STEP_DONE, { afterDo: doing(next.title) ?? next.title.toLowerCase() })
}
/** A gate stands before the step: it has not begun. */
function inAMoment(plan: Plan, step: string): TalkLine[] {
  const here = plan.schedule.find((s) => s.step === step)
  return routine(plan, IN_A_MOMENT, { nowDo: here && (doing(here.title) ?? here.title.toLowerCase()) })
}
function routine(plan: Plan, row: RoutineRow, words: Record<string, string | undefined>): TalkLine[] {
  const says = filled(row.says, words, plan.locale ?? 'en-GB')
  return says === undefined ? [] : [{ id: row.id, kind: 'routine', says }]
}

/** Common practice: together to twenty at most. At the tap the song counts for us. */
const COUNT_MOST = 20
function countTo(now: NonNullable<Now>): number {
  const { task, count } = now.task
  if (task.technique === 'wash-hands') return 0
  const n = task.measured?.by === 'scoop' ? count + 1 : (task.counts?.n ?? 0)
  return Math.min(COUNT_MOST, n)
}
