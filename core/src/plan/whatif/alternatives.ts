/**
 * Other ways to measure one line of a bowl: every exact way counted, the worthwhile ones listed, and 'the same whole made four
 * ways' for the children to compare. Where no way is exact: the nearest with each measure, and the nearest of two measures.
 */
import { countText } from '../../amount/show'
import { rankOf } from '../../amount/decompose'
import { nearest } from '../../amount/near'
import { ratio, toPlaces, toText } from '../../amount/ratio'
import { countLimit } from '../../craft/ages'
import { TOLERANCE } from '../../recipe/recipe'
import { usable, waysOf } from '../scoop/fair-bowl'
import { demandOf, type Demand } from '../scoop/measuring'
import { measureErrorText } from '../model/measure-error'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { scoopsText, stripMarks, stripShares } from '../model/scoop-sequence'
import { ownShare, type Measured } from '../model/line'

export interface Alternative {
  ways: Record<string, number>
  text: string
  n: number
  /** How far off, in words; empty where exact. */
  off: string
  /** How the turns fall, in words. */
  turns: string
  chosen: boolean
  marks: string[]
  shares: number[]
}
export interface Alternatives {
  /** Exact ways in all. */
  exact: number
  list: Alternative[]
  /** The same whole with one measure at a time, then mixed: at most four. */
  fourWays: Alternative[]
}

const LISTED = 8

/** @returns null where the task is not scooped from the box (pieces, weighed, any cup) */
export function alternatives(plan: Plan, request: PlanRequest, taskId: string): Alternatives | null {
  const found = demandIn(plan, request, taskId)
  if (!found) return null
  const { demand, children, now, youngest } = found
  const kinds = usable(request.kit.measures)
  const sizes = kinds.map((k) => ({ id: k.measure.id, size: k.mL }))
  const { maxScoops } = request.rules
  const rank = { children, countLimit: countLimit(youngest) }
  const floats = sizes.map((s) => s.size.valueOf())
  const exact = waysOf(demand.mL, sizes, maxScoops)
  const sorted = exact
    .map((way) => ({ way, rank: rankOf(way, floats, rank) }))
    .sort((a, b) => compare(a.rank, b.rank))
    .map((x) => x.way)
  const show = (counts: readonly number[], errPct = '0'): Alternative => {
    const measured: Extract<Measured, { by: 'scoop' }> = {
      by: 'scoop',
      parts: kinds.flatMap(({ measure: { id, name, size, unit } }, i) => {
        const n = counts[i] ?? 0
        return n > 0 ? [{ measure: id, name, size, unit, n }] : []
      }),
      n: counts.reduce((a, b) => a + b, 0),
      errPct,
    }
    const ways = Object.fromEntries(measured.parts.map((p) => [p.measure, p.n]))
    return {
      ways,
      text: scoopsText(measured),
      n: measured.n,
      off: errPct === '0' ? '' : measureErrorText(errPct),
      turns: turnsText(counts, children),
      chosen: sameWays(ways, now),
      marks: stripMarks(measured),
      shares: stripShares(measured),
    }
  }
  if (sorted.length === 0) {
    const list = nearWays(demand, sizes, maxScoops).map((w) => show(w.counts, w.errPct))
    return { exact: 0, list: unique(list), fourWays: [] }
  }
  const unitsIn = (way: readonly number[]): number =>
    new Set(way.flatMap((n, i) => (n > 0 ? [kinds[i]?.measure.unit] : []))).size
  const kindsIn = (way: readonly number[]): number => way.filter((n) => n > 0).length
  const single = sorted.filter((w) => kindsIn(w) === 1).sort((a, b) => sum(a) - sum(b))
  const fewest = [...sorted].sort((a, b) => sum(a) - sum(b))[0] ?? []
  const inUse = sorted.filter((w) => show(w).chosen)
  // What is chosen, one measure at a time, the fewest scoops; then what suits the group best, of at most two measures first.
  const order = [
    ...inUse,
    ...single,
    fewest,
    ...sorted.filter((w) => kindsIn(w) <= 2).slice(0, LISTED),
    ...sorted,
  ]
  const list = unique(order.slice(0, 4 * LISTED).map((w) => show(w)))
  const mixed = sorted
    .filter((w) => kindsIn(w) > 1)
    .sort((x, y) => kindsIn(x) - kindsIn(y) || unitsIn(x) - unitsIn(y) || sum(x) - sum(y))[0]
  return {
    exact: exact.length,
    list: list.slice(0, LISTED),
    fourWays: [...single.slice(0, mixed ? 3 : 4), ...(mixed ? [mixed] : [])].map((w) => show(w)),
  }
}

function demandIn(plan: Plan, request: PlanRequest, taskId: string) {
  const task = plan.tasks.find((t) => t.id === taskId)
  const bowl = plan.bowls.find((b) => b.id === task?.bowl)
  const line = bowl?.lines.find((l) => l.id === task?.uses[0])
  const now = task?.measured
  if (!task || !bowl || !line || (now?.by === 'scoop' && now.any)) return null
  const step = request.recipe.steps.find((s) => s.id === task.step)
  const part = ratio(step?.uses.find((u) => u.line === line.line)?.part ?? '1').div(task.passes?.of ?? 1)
  // Of an own portion the ways to make one child's.
  const own = task.portion ? { ...line, ...ownShare(line, task.size) } : line
  const what = demandOf(task, own, toText(part), bowl, request)
  if (!('demand' in what)) return null
  const ages = plan.children.filter((c) => bowl.children.includes(c.id)).map((c) => c.months)
  return {
    demand: what.demand,
    children: task.portion ? 1 : Math.max(1, bowl.children.length),
    youngest: Math.min(...ages),
    now: now?.by === 'scoop' ? Object.fromEntries(now.parts.map((p) => [p.measure, p.n])) : {},
  }
}

/** Each measure alone as near as it comes, and the nearest of any two; within the tolerance, the nearest first. */
function nearWays(
  demand: Demand,
  sizes: { id: string; size: ReturnType<typeof ratio> }[],
  maxScoops: number,
) {
  const tolerance = TOLERANCE[demand.role]
  const singles = sizes.flatMap(({ size }, i) => {
    const n = demand.mL.div(size).add('1/2').floor().valueOf()
    if (n < 1 || n > maxScoops) return []
    const error = size.mul(n).sub(demand.mL).div(demand.mL)
    if (error.abs().compare(tolerance) > 0) return []
    return [{ counts: sizes.map((_, j) => (j === i ? n : 0)), errPct: toPlaces(error.mul(100), 4) }]
  })
  const near = nearest(demand.mL, sizes, maxScoops, tolerance)
  const pairs = near
    ? waysOf(near.amount, sizes, maxScoops)
        .filter((w) => w.filter((n) => n > 0).length <= 2)
        .map((counts) => ({ counts, errPct: near.errPct }))
    : []
  return [...pairs, ...singles].sort(
    (a, b) => Math.abs(Number(a.errPct)) - Math.abs(Number(b.errPct)) || sum(a.counts) - sum(b.counts),
  )
}

const sum = (way: readonly number[]): number => way.reduce((a, b) => a + b, 0)

const compare = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((n, i) => n !== b[i])
  return at < 0 ? 0 : (a[at] ?? 0) - (b[at] ?? 0)
}

function turnsText(counts: readonly number[], k: number): string {
  const total = sum(counts)
  const used = counts.filter((n) => n > 0)
  const each = total / k
  if (k === 1) return countText(total, 'scoop')
  if (used.every((n) => n % k === 0)) return `${each} each, all the same`
  if (total % k === 0) return `${each} each`
  if (total >= k) return `${Math.floor(each)} or ${Math.ceil(each)} each`
  return `${countText(total, 'turn')} for ${k} children`
}

const sameWays = (a: Record<string, number>, b: Record<string, number>): boolean =>
  Object.keys(a).length === Object.keys(b).length && Object.entries(a).every(([id, n]) => b[id] === n)

const unique = (list: Alternative[]): Alternative[] => [
  ...new Map(list.map((a) => [JSON.stringify(a.ways), a])).values(),
]
