/** Plans of version 1, in the shape of version 2. */
import { ratio } from '../../../amount/ratio'
import type { Bowl, Measured } from '../line'
import type { Making } from '../making'
import type { ShoppingRow } from '../shopping-list'
import type { Plan2, Task2 } from './from-2'

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

/** @returns the same plan as version 2 has it */
export function from1(plan: Plan1): Plan2 {
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
