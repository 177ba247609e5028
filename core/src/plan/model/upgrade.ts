/** Plans that were frozen by an earlier version of Lea, in the shape of today's: a record is read as long as it is kept. */
import { ratio } from '../../amount/ratio'
import type { Decision } from './decision'
import {
  PLAN_VERSION,
  WORK,
  type HeldUpBy,
  type NoteSubject,
  type Plan,
  type SwapSet,
  type WatchNote,
} from './plan'
import type { ShoppingRow } from './shopping-list'
import type { Making } from './making'
import type { Bowl, Measured } from './line'
import type { Task, WaitingJob } from './task'

/** Version 1: one measure a line, shopping without packs, no way of making chosen. */
type Measured1 =
  | {
      by: 'scoop'
      measure: string
      measureName: string
      size: string
      unit: string
      n: number
      errPct: string
    }
  | { by: 'pieces'; n: number }
  | { by: 'weight'; why: string }
type Shopping1 = Pick<ShoppingRow, 'food' | 'name' | 'amount' | 'unit' | 'text'>
export interface Plan1 extends Omit<
  Plan2,
  'version' | 'tasks' | 'bowls' | 'shopping' | 'making' | 'cost' | 'measuring'
> {
  version: 1
  tasks: (Omit<Task2, 'measured'> & { measured?: Measured1 })[]
  bowls: Omit<Bowl, 'factor'>[]
  shopping: Shopping1[]
}

/** Version 2: what a note, a bar and a bound are about stood in their words. */
type Task2 = Omit<Task, 'barred'> & { barred: { child: string; why: string }[] }
export interface Plan2 extends Omit<
  Plan,
  'version' | 'tasks' | 'watch' | 'waitingJobs' | 'ineffective' | 'totals' | 'swapSet'
> {
  version: 2
  tasks: Task2[]
  watch: Omit<WatchNote, 'about'>[]
  fill?: WaitingJob[]
  idle: Decision[]
  totals: Omit<Plan['totals'], 'bound'> & { bound?: { seconds: number; cause: string } }
  swapSet: (Omit<SwapSet, 'swaps'> & { says: string[] }) | null
}

/** A plan as some version of Lea froze it. */
export type StoredPlan = Plan | Plan2 | Plan1

/** @returns the plan as today's version has it; one of today's as it is */
export function upgradePlan(plan: StoredPlan): Plan {
  if (plan.version === PLAN_VERSION) return plan
  return plan.version === 2 ? from2(plan) : from2(from1(plan))
}

function from2({ fill, idle, tasks, watch, totals, swapSet, ...plan }: Plan2): Plan {
  const { bound, ...times } = totals
  return {
    ...plan,
    version: PLAN_VERSION,
    tasks: tasks.map((t) => ({ ...t, barred: t.barred.map((b) => ({ ...b, cause: causeOf(b.why) })) })),
    watch: watch.map((w) => ({ ...w, about: aboutOf(w.says) })),
    ...(fill && { waitingJobs: fill }),
    ineffective: idle,
    totals: { ...times, ...(bound && { bound: { seconds: bound.seconds, cause: heldUpBy(bound.cause) } }) },
    swapSet: swapSet && {
      decisions: swapSet.decisions,
      stuck: swapSet.stuck,
      packets: swapSet.packets,
      swaps: swapSet.says.map((says) => {
        const [from = says, to = ''] = says.split(': ')
        return { from, to: to === 'left out' ? null : to }
      }),
    },
  }
}

/** The words in which versions 1 and 2 wrote down who does not touch what. They were English, and never changed. */
const TOUCH = /^(?:\{\{([^}]+)\}\} )?does not touch /
const causeOf = (why: string): Task['barred'][number]['cause'] =>
  TOUCH.test(why) ? 'touch' : why.endsWith("not by the child's own plan") ? 'plan' : 'age'
function aboutOf(says: string): NoteSubject {
  const child = TOUCH.exec(says)?.[1]
  return child === undefined ? WORK : { kind: 'child', child }
}
function heldUpBy(cause: string): HeldUpBy {
  if (cause === 'sink' || cause === 'oven' || cause === 'watching') return { kind: cause }
  const [, kind, rest = ''] = /^(adult|tool|chain|clique):\s?(.*)$/.exec(cause) ?? []
  if (kind === 'adult') return { kind, adult: rest }
  if (kind === 'tool') return { kind, tool: rest }
  if (kind === 'chain' || kind === 'clique') return { kind, tasks: rest.split(/, | to /) }
  return { kind: 'none' }
}

function from1(plan: Plan1): Plan2 {
  const { serves } = plan.recipe
  const children = plan.children.length
  return {
    ...plan,
    version: 2,
    bowls: plan.bowls.map((b) => ({ ...b, factor: ratio(b.children.length).div(serves).toFraction() })),
    tasks: plan.tasks.map(({ measured, ...task }) => ({
      ...task,
      ...(measured && { measured: measured2(measured, task.uses[0], plan) }),
    })),
    making: makingOf(serves, children),
    measuring: { way: 'recipe', scooping: 'fair' },
    shopping: plan.shopping.map((s) => ({
      ...s,
      need: null,
      have: '',
      buy: null,
      enough: false,
      left: null,
      used: null,
      got: false,
      why: 'planned before packs were worked out',
    })),
    cost: {
      currency: 'GBP',
      used: '0',
      usedPerPortion: '0',
      usedPerChild: '0',
      till: 0,
      tillPerChild: '0',
      unknown: plan.shopping.map((s) => s.name),
      ready: null,
    },
  }
}

function measured2(m: Measured1, line: string | undefined, plan: Plan1): Measured {
  if (m.by === 'pieces') return m
  if (m.by === 'weight') {
    const text = plan.bowls.flatMap((b) => b.lines).find((l) => l.id === line)?.text ?? ''
    return { ...m, text }
  }
  const { measure, measureName: name, size, unit, n, errPct } = m
  return { by: 'scoop', parts: [{ measure, name, size, unit, n }], n, errPct }
}

const makingOf = (serves: number, children: number): Making => ({
  make: { by: 'children', more: 0 },
  factor: ratio(children).div(serves).toFraction(),
  portions: String(children),
  left: '0',
  batches: [],
  pieces: null,
  oven: null,
  tins: [],
  cases: [],
  refused: null,
})
