/**
 * A food runs short in the middle: what is left of it is shared out evenly from here, so that whoever has had least comes next; what is in the bowls
 * stays, nobody is moved, and it is said who has fewer and how much is missing, so that home may do the rest.
 */
import type Fraction from 'fraction.js'
import { ratio } from '../../amount/ratio'
import { amountText, countText } from '../../amount/show'
import { toBase } from '../../amount/units'
import { nameToken } from '../model/finding'
import type { ScoopPart } from '../model/line'
import type { Plan } from '../model/plan'
import { scoopsOf } from '../model/scoop-sequence'
import { scoopsBefore } from '../model/task-kinds'
import type { Task, Turn } from '../model/task'
import { type LiveChange, rebuildPlan } from './live-changes'

export interface StillToMeasure {
  /** Id of the recipe's line. */
  line: string
  name: string
  /** Scoops that are still to come, over all bowls. */
  scoops: number
}

const ofLine = (plan: Plan, line: string): Task[] =>
  plan.tasks.filter(
    (t) =>
      t.measured?.by === 'scoop' &&
      plan.bowls.some((b) => b.id === t.bowl && b.lines.some((l) => l.line === line && l.id === t.uses[0])),
  )
const turnsOf = (plan: Plan, tasks: readonly Task[]): Turn[] => {
  const ids = new Set(tasks.map((t) => t.id))
  return plan.turns.filter((t) => ids.has(t.task))
}

/** What is scooped and not through yet, in the order of the plan. @param done turns that have happened */
export function stillToMeasure(plan: Plan, done: ReadonlySet<string>): StillToMeasure[] {
  const lines = new Map(plan.bowls.flatMap((b) => b.lines).map((l) => [l.line, l.name]))
  return [...lines].flatMap(([line, name]) => {
    const scoops = turnsOf(plan, ofLine(plan, line)).filter((t) => !done.has(t.id)).length
    return scoops > 0 ? [{ line, name, scoops }] : []
  })
}

/**
 * @param line id of the recipe's line
 * @param left scoops that there is enough for, fewer than are still to come
 * @param done turns that have happened
 */
export function ranShort(plan: Plan, line: string, left: number, done: ReadonlySet<string>): LiveChange {
  const tasks = ofLine(plan, line)
  const all = turnsOf(plan, tasks)
  const open = all.filter((t) => !done.has(t.id))
  const name = plan.bowls.flatMap((b) => b.lines).find((l) => l.line === line)?.name ?? ''
  if (open.length === 0) return { refused: 'Nothing of this is still to be measured.' }
  if (left >= open.length)
    return { refused: `There is enough: ${countText(open.length, 'scoop')} of ${name} to come.` }
  const kept = shared(open, all, left, done)
  const gone = open.filter((t) => !kept.has(t.id))
  const tasksNow = tasks.map((t) => lessened(t, plan, done, kept))
  const byId = new Map(tasksNow.map((x) => [x.task.id, x]))
  const turns = plan.turns.flatMap((t): Turn[] => {
    const own = byId.get(t.task)
    return own ? own.turns.filter((x) => x.id === t.id) : [t]
  })
  return {
    plan: rebuildPlan({ ...plan, tasks: plan.tasks.map((t) => byId.get(t.id)?.task ?? t), turns }),
    says: [...whoHasFewer(gone, all, name), missingText(gone, tasks, name)],
  }
}

/** Of the scoops that are still to come those that there is enough for: each goes to who has had least, in the order of the plan. */
function shared(
  open: readonly Turn[],
  all: readonly Turn[],
  left: number,
  done: ReadonlySet<string>,
): ReadonlySet<string> {
  const had = new Map<string, number>()
  for (const t of all) if (done.has(t.id)) had.set(t.child, (had.get(t.child) ?? 0) + 1)
  const coming = [...open]
  const kept = new Set<string>()
  while (kept.size < left) {
    const least = Math.min(...coming.map((t) => had.get(t.child) ?? 0))
    const at = coming.findIndex((t) => (had.get(t.child) ?? 0) === least)
    const [turn] = coming.splice(at, 1)
    if (!turn) break
    kept.add(turn.id)
    had.set(turn.child, least + 1)
  }
  return kept
}

/** A task with the scoops that are left to it, one after another from where the first of them stood. */
function lessened(
  task: Task,
  plan: Plan,
  done: ReadonlySet<string>,
  kept: ReadonlySet<string>,
): { task: Task; turns: Turn[] } {
  const own = plan.turns.filter((t) => t.task === task.id)
  const stay = own.filter((t) => done.has(t.id) || kept.has(t.id))
  // Of own portions each child's scoops keep their places; whoever has fewer has them sooner.
  if (task.portion || task.measured?.by !== 'scoop') return { task: { ...task, n: stay.length }, turns: stay }
  const scoops = scoopsOf(task.measured)
  const parts = stay.flatMap((t) => scoops[t.number - 1] ?? [])
  const from = Math.min(...own.filter((t) => !done.has(t.id)).map((t) => t.start))
  const ahead = stay.filter((t) => done.has(t.id)).length
  const turns = stay.map((t, i): Turn => {
    const start = i < ahead ? t.start : from + (i - ahead) * task.seconds
    return { ...t, number: i + 1, start, end: i < ahead ? t.end : start + task.seconds }
  })
  return {
    task: { ...task, n: turns.length, measured: { ...task.measured, parts: joined(parts), n: turns.length } },
    turns,
  }
}

const joined = (scoops: readonly ScoopPart[]): ScoopPart[] =>
  scoops.reduce<ScoopPart[]>((list, part) => {
    const last = list.at(-1)
    if (last?.measure === part.measure) last.n += 1
    else list.push({ ...part, n: 1 })
    return list
  }, [])

function whoHasFewer(gone: readonly Turn[], all: readonly Turn[], name: string): string[] {
  return [...new Set(gone.map((t) => t.child))].map((child) => {
    const was = all.filter((t) => t.child === child).length
    const now = was - gone.filter((t) => t.child === child).length
    return `${nameToken(child)}: ${now === 0 ? 'no scoop' : countText(now, 'scoop')} of ${name} instead of ${was}.`
  })
}

/** By unit, for whoever makes up for it at home. */
function missingText(gone: readonly Turn[], tasks: readonly Task[], name: string): string {
  const taskOf = new Map(tasks.map((t) => [t.id, t]))
  const sums = new Map<string, Fraction>()
  for (const turn of gone) {
    const task = taskOf.get(turn.task)
    const part = task?.measured && scoopsOf(task.measured)[scoopsBefore(task, turn, turn.number - 1)]
    if (part) sums.set(part.unit, (sums.get(part.unit) ?? ratio(0)).add(part.size))
  }
  const list = [...sums].sort((a, b) => toBase(b[1], b[0]).compare(toBase(a[1], a[0])))
  const missing = list.map(([unit, amount]) => amountText(amount, unit)).join(' + ')
  const portions = tasks.some((t) => t.portion)
  const rest = portions
    ? 'home may add what somebody has too little of'
    : 'the rest goes on as it is, or home makes up for it'
  return `Missing in all: ${missing} of ${name}; ${rest}.`
}
