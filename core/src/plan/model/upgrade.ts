/** Plans that were frozen by an earlier version of Lea, in the shape of today's: a record is read as long as it is kept. */
import { ratio } from '../../amount/ratio'
import { PLAN_VERSION, type Plan } from './plan'
import type { ShoppingRow } from './shopping-list'
import type { Making } from './making'
import type { Bowl, Measured } from './line'
import type { Task } from './task'

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
  Plan,
  'version' | 'tasks' | 'bowls' | 'shopping' | 'making' | 'cost' | 'measuring'
> {
  version: 1
  tasks: (Omit<Task, 'measured'> & { measured?: Measured1 })[]
  bowls: Omit<Bowl, 'factor'>[]
  shopping: Shopping1[]
}

/** @returns the plan as today's version has it; one of today's as it is */
export function upgradePlan(plan: Plan | Plan1): Plan {
  if (plan.version === 2) return plan
  const { serves } = plan.recipe
  const children = plan.children.length
  return {
    ...plan,
    version: PLAN_VERSION,
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
