/** The rows of the Amounts view and the choices above it, ready to be shown: nothing is computed after this. */
import { countText } from '../../amount/show'
import { numberText } from '../../amount/show'
import { ratio, toMixed } from '../../amount/ratio'
import { TOLERANCE } from '../../recipe/recipe'
import { measureErrorText } from '../model/measure-error'
import type { Plan } from '../model/plan'
import { stripMarks, stripShares } from '../model/scoop-sequence'
import { howText } from './weave'
import { ownShare, type PlanLine, type ScoopPart } from '../model/line'
import type { Task } from '../model/task'

export interface AmountRow {
  key: string
  /** The task that measures it, or null: it goes in whole or by hand. */
  task: string | null
  line: PlanLine
  /** Of a free choice: for how many it is laid out. */
  takers: string
  /** How much of the line, where it goes in over several steps: "1/2 of it, Fill the flour". */
  share: string
  how: string
  /** What the measures of this row make: all of it, or one child's. */
  makes: string
  /** How far off, and whether it matters here; empty where exact. */
  off: string
  because: string
  /** The child of each scoop. */
  strip: string[]
  marks: string[]
  shares: number[]
  parts: ScoopPart[]
  pinned: boolean
  scooped: boolean
}

/** Every line of a bowl, and each of its tasks where it is measured more than once. */
export function amountRows(plan: Plan, bowlId: string): AmountRow[] {
  const bowl = plan.bowls.find((b) => b.id === bowlId)
  return (bowl?.lines ?? []).flatMap((line) => {
    const tasks = plan.tasks.filter((t) => t.bowl === bowlId && t.measured && t.uses[0] === line.id)
    return tasks.length === 0
      ? [rowOf(line, null, false, plan)]
      : tasks.map((t) => rowOf(line, t, tasks.length > 1, plan))
  })
}

/** "The berries go round, round 1 of 2", "Oatcake and beans, the small": which of several that measure one line. */
const whichText = (step: string, task: Task | null): string =>
  [
    step,
    task?.passes && task.passes.of > 1 ? `round ${task.passes.round} of ${task.passes.of}` : '',
    task?.size === undefined ? '' : 'the small',
  ]
    .filter(Boolean)
    .join(', ')

function rowOf(line: PlanLine, task: Task | null, several: boolean, plan: Plan): AmountRow {
  const m = task?.measured
  const scoops = m?.by === 'scoop' ? m : null
  const portion = task?.portion !== undefined
  const step = plan.schedule.find((s) => s.step === task?.step)?.title ?? ''
  const tolerance = toMixed(ratio(TOLERANCE[line.role]).mul(100))
  return {
    key: task?.id ?? line.id,
    task: task?.id ?? null,
    line,
    takers: line.takers
      ? `laid out for ${line.takers.n} of ${countText(line.takers.of, 'child', 'children')}`
      : '',
    share: several ? whichText(step, task) : '',
    makes: (portion && ownShare(line, task.size)?.text) || line.text,
    how: m ? howText(m, portion) : '',
    off:
      scoops && scoops.errPct !== '0'
        ? `${measureErrorText(scoops.errPct)}; up to ${tolerance} % does not matter here`
        : '',
    because: (m?.by === 'scoop' || m?.by === 'weight' ? m.because : '') ?? '',
    strip: scoops && !portion ? plan.turns.filter((t) => t.task === task?.id).map((t) => t.child) : [],
    marks: m && !portion ? stripMarks(m) : [],
    shares: m && !portion ? stripShares(m) : [],
    parts: scoops?.parts ?? [],
    pinned: scoops?.pinned === true,
    scooped: scoops !== null && scoops.any !== true,
  }
}

/** "12 portions for 12 children", "16 portions: 4 left over". */
export function makingText(plan: Plan): string {
  const { making, children } = plan
  const left = ratio(making.left)
  const portions = `${numberText(making.portions)} ${making.portions === '1' ? 'portion' : 'portions'}`
  const pieces = making.pieces ? `, ${making.pieces.n} ${making.pieces.what}` : ''
  const over =
    left.compare(0) > 0
      ? `: ${numberText(left)} more than children`
      : left.compare(0) < 0
        ? `: ${numberText(left.abs())} too few`
        : ''
  return `${portions}${pieces} for ${countText(children.length, 'child', 'children')}${over}`
}

/** "1 1/2 batches: 12 portions, none left over, 3 eggs". */
export const batchText = (b: Plan['making']['batches'][number]): string => {
  const many = ratio(b.batches).compare(1) > 0
  const eggs = b.eggs === '0' ? '' : `, ${numberText(b.eggs)} ${b.eggs === '1' ? 'egg' : 'eggs'}`
  const left = b.left === '0' ? 'none left over' : `${numberText(b.left)} left over`
  return `${numberText(b.batches)} ${many ? 'batches' : 'batch'}: ${numberText(b.makes)} portions, ${left}${eggs}`
}

/** "2 oven loads of up to 24, 33 minutes in all". */
export function ovenText({ oven, pieces }: Plan['making']): string {
  if (!oven || !pieces) return ''
  const loads = countText(oven.batches, 'oven load')
  const trays = countText(oven.trayloads, 'tray')
  const last = oven.batches > 1 ? `, the last of ${oven.lastBatchPieces}` : ''
  return `${pieces.n} ${pieces.what} on ${trays}: ${loads}${last}, ${numberText(oven.minutes)} minutes in all`
}
