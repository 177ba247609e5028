/** What the table view shows: the frozen plan with what has happened, step by step. */
import { countText } from '../amount/show'
import type Fraction from 'fraction.js'
import { ratio } from '../amount/ratio'
import { toBase } from '../amount/units'
import type { Present } from '../plan/model/child-safety-digest'
import type { Plan } from '../plan/model/plan'
import { runningTotal, scoopsOf, stripMarks, stripShares } from '../plan/model/scoop-sequence'
import { judgeCore, type Probe } from '../food/core-temperature'
import type { TableState } from './replay'
import type { ScoopPart } from '../plan/model/line'
import type { Task, Turn } from '../plan/model/task'

export interface TableTurn extends Turn {
  done: boolean
  skipped: boolean
  /** The child who did it, or whose turn it is. */
  who: string
}
export interface TableTask {
  task: Task
  turns: TableTurn[]
  next: TableTurn | null
  /** Those that fill what is before the children now: of own portions the scoops of one child, else all. */
  own: TableTurn[]
  /** How far the task is, in words. */
  progress: string
  /** Running total of scoops as a number and in the measure's unit: 5 scoops, `"1 1/4"`, `"cups"`. */
  count: number
  running: string
  unitWord: string
  /** What all the scoops make, with its unit. */
  total: string
  /** The measure of the next scoop (of the last, when all are done). */
  scoop: ScoopPart | null
  /** Labels of the scale, one under each end of a scoop. */
  marks: string[]
  /** Length of each scoop in the bar, in per cent; empty where it is not scooped. */
  shares: number[]
  /** How full the bowl's share is, 0 to 1 (display only), and in words. */
  fullness: number
  fill: Fill
}

/** The tasks of a step with their turns as they stand. */
export function tableTasks(plan: Plan, state: TableState, step: string): TableTask[] {
  return plan.tasks
    .filter((t) => t.step === step)
    .map((task) => {
      const turns = plan.turns
        .filter((t) => t.task === task.id)
        .map((turn): TableTurn => {
          const did = state.turns[turn.id]
          return {
            ...turn,
            done: did !== undefined,
            skipped: did?.skipped ?? false,
            who: did?.child ?? turn.child,
          }
        })
      const next = turns.find((t) => !t.done) ?? null
      // Of own portions it is that of the child whose turn it is.
      const own = task.portion ? turns.filter((t) => t.child === (next ?? turns.at(-1))?.child) : turns
      const inside = own.flatMap((t, i) => (t.done && !t.skipped ? [i] : []))
      return {
        task,
        turns,
        next,
        own,
        progress: progressOf(task, turns),
        count: inside.length,
        ...scaleOf(task, own, inside),
      }
    })
}

/** "5 of 12": turns, or children who have their own portion. */
function progressOf(task: Task, turns: readonly TableTurn[]): string {
  if (!task.portion) return `${turns.filter((t) => t.done && !t.skipped).length} of ${turns.length}`
  const children = [...new Set(turns.map((t) => t.child))]
  const have = children.filter((c) => turns.every((t) => t.child !== c || t.done))
  return `${have.length} of ${countText(children.length, 'child', 'children')}`
}

type Scale = Pick<
  TableTask,
  'running' | 'unitWord' | 'total' | 'scoop' | 'marks' | 'shares' | 'fullness' | 'fill'
>

/** The first so many of the parts of a bar, as long as the whole bar. */
function fitted(shares: readonly number[], n: number): number[] {
  const some = shares.slice(0, n)
  const all = some.reduce((a, b) => a + b, 0) || 1
  return some.map((s) => (100 * s) / all)
}

/** Empty, half and full are exactly that; between them it is less or more than half. */
export type Fill = 'empty' | 'less than half' | 'half full' | 'more than half' | 'full'
function fillOf(part: Fraction, whole: Fraction): Fill {
  if (part.compare(0) <= 0) return 'empty'
  if (part.compare(whole) >= 0) return 'full'
  const half = part.mul(2).compare(whole)
  return half === 0 ? 'half full' : half < 0 ? 'less than half' : 'more than half'
}

/** What is in the bowl of this task. @param done which of its turns went in: a turn that was skipped did not */
function scaleOf(task: Task, turns: readonly TableTurn[], done: readonly number[]): Scale {
  const m = task.measured
  if (m?.by !== 'scoop') {
    return {
      running: '',
      unitWord: task.counts?.what ?? '',
      total: '',
      scoop: null,
      marks: [],
      shares: [],
      fullness: turns.length === 0 ? 0 : done.length / turns.length,
      fill: fillOf(ratio(done.length), ratio(turns.length)),
    }
  }
  const scoops = scoopsOf(m)
  const shares = stripShares(m)
  const inside = done.flatMap((i) => scoops[i] ?? [])
  const now = runningTotal(m, inside)
  const sum = (list: typeof scoops): Fraction =>
    list.reduce((mL, s) => mL.add(toBase(s.size, s.unit)), ratio(0))
  const whole = runningTotal(m, scoops.slice(0, turns.length))
  return {
    running: now.number,
    unitWord: now.unit,
    total: `${whole.number} ${whole.unit}`.trim(),
    scoop: scoops[turns.findIndex((t) => !t.done)] ?? scoops.at(-1) ?? null,
    // Where it ran short a child has fewer scoops than its portion: the strip ends there, and the bowl stays less than full.
    marks: stripMarks(m).slice(0, turns.length + 1),
    shares: turns.length < shares.length ? fitted(shares, turns.length) : shares,
    fullness: done.reduce((all, i) => all + (shares[i] ?? 0), 0) / 100,
    fill: fillOf(sum(inside), sum(scoops)),
  }
}

/** The next turn of the step, over all its tasks in order, or null when all are done. */
export const nextTurn = (tasks: readonly TableTask[]): { task: TableTask; turn: TableTurn } | null => {
  for (const task of tasks) if (task.next) return { task, turn: task.next }
  return null
}

export type GateNeed =
  | { gate: 'arrival'; says: string; children: string[] }
  | { gate: 'hands'; says: string }
  | { gate: 'plans'; says: string; children: string[] }
  | { gate: 'packets'; says: string; foods: string[] }
  | { gate: 'stand'; step: string; says: string; adults: string[] }
  | { gate: 'core'; says: string; probes: Probe[] }

/**
 * Children who are here and whom the plan in force has not seen as they are: not at all, or with another card than it was made for.
 * Everything stops until it has.
 */
export const childrenNotCoveredByPlan = (plan: Plan, present: readonly Present[]): string[] =>
  present
    .filter(({ id, card }) => {
      const known = plan.children.find((c) => c.id === id)
      return !known || (known.card !== undefined && card !== undefined && known.card !== card)
    })
    .map((p) => p.id)

/** The gates that stand before a step and have not been passed. Hands and packets stand before the first step. */
export function openGates(
  plan: Plan,
  state: TableState,
  step: string,
  present: readonly Present[] = [],
): GateNeed[] {
  const passed = (gate: string, at?: string): boolean =>
    state.gates.some((g) => g.gate === gate && (!at || g.step === at))
  const needs: GateNeed[] = []
  const arrived = childrenNotCoveredByPlan(plan, present)
  if (arrived.length > 0)
    needs.push({
      gate: 'arrival',
      says: arrived.some((id) => plan.children.some((c) => c.id === id))
        ? 'Stop: a card has changed since the plan was made.'
        : 'Stop: somebody came whom the plan does not know yet.',
      children: arrived,
    })
  const covered = (gate: string, what: 'foods' | 'children'): Set<string> =>
    new Set(state.gates.filter((g) => g.gate === gate).flatMap((g) => g[what] ?? []))
  const foods = [...new Set(plan.bowls.flatMap((b) => b.lines.map((l) => l.name)))].filter(
    (f) => f !== 'water',
  )
  const first = plan.schedule[0]?.step
  if (step !== first && !passed('hands'))
    needs.push({ gate: 'hands', says: 'Hands washed: every child, every adult.' })
  const planned = plan.children.filter((c) => c.plan).map((c) => c.id)
  const known = covered('plans', 'children')
  if (step !== first && planned.some((c) => !known.has(c))) {
    needs.push({
      gate: 'plans',
      says: 'Care plans known, medicines in reach.',
      children: planned.filter((c) => !known.has(c)),
    })
  }
  const read = covered('packets', 'foods')
  if (step !== first && foods.some((f) => !read.has(f))) {
    needs.push({
      gate: 'packets',
      says: 'Every packet on the table read today, by two adults.',
      foods: foods.filter((f) => !read.has(f)),
    })
  }
  const risky = plan.tasks.filter((t) => t.step === step && t.hazard)
  if (risky.length > 0 && !passed('stand', step)) {
    const hazard = risky.some((t) => t.hazard === 'heat') ? 'heat' : 'blades'
    const adults = [...new Set(risky.flatMap((t) => t.adult ?? []))]
    needs.push({ gate: 'stand', step, says: `An adult is in place for ${hazard}.`, adults })
  }
  const cold = openProbes(plan, state)
  const index = plan.schedule.findIndex((s) => s.step === step)
  const due = cold.filter((p) => isAfter(plan, p.after, index))
  if (due.length > 0)
    needs.push({
      gate: 'core',
      says: `Cooked through? Measure ${due.map((p) => p.name).join(', ')} before anybody eats.`,
      probes: due,
    })
  return needs
}

/** The gates that stand here; behind the last step, once its turns are through, those before the finish. @param next the turn that comes */
export function gatesNow(
  plan: Plan,
  state: TableState,
  step: string,
  next: unknown,
  present: readonly Present[] = [],
): GateNeed[] {
  const here = openGates(plan, state, step, present)
  const last = plan.schedule.at(-1)?.step === step && next === null && here.length === 0
  return last ? openGates(plan, state, 'finish', present) : here
}

/** Past the last step stands the finish: it has no place in the schedule. */
const isAfter = (plan: Plan, step: string, index: number): boolean =>
  index < 0 || index > plan.schedule.findIndex((s) => s.step === step)

/** What the last reading has not shown to be cooked through: an earlier good one does not outdo a later cold one. */
export const openProbes = (plan: Plan, state: TableState): Probe[] =>
  (plan.probes ?? []).filter((p) => {
    const last = state.temperatures.filter((t) => t.food === p.food).at(-1)
    return !last || judgeCore(last, p.kind, p.country).verdict !== 'reached'
  })

/** Minutes ahead (+) or behind (−) the plan, from whole seconds since the start. */
export function againstPlan(
  plan: Plan,
  step: string,
  secondsSinceStart: number,
): { behind: number; left: number } {
  const at = plan.schedule.find((s) => s.step === step)
  const behind = Math.round((secondsSinceStart - ((at?.start ?? 0) + (at?.seconds ?? 0))) / 60)
  return {
    behind: Math.max(0, behind),
    left: Math.max(0, Math.round((plan.totals.seconds - (at?.start ?? 0)) / 60)),
  }
}

/** From so many seconds on it is said that a table has had no news: it asks every 30. */
const OLD_NEWS = 75
/** How old a table's news is, where that is worth saying; empty where it is fresh. @param seconds since the server last answered */
export const newsAgeText = (seconds: number): string =>
  seconds < OLD_NEWS
    ? ''
    : `no news from the server for ${countText(Math.max(1, Math.floor(seconds / 60)), 'minute')}`
