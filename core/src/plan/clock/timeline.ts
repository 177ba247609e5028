/**
 * The steps of one sitting as a scheduling problem (`jobs/`): adults, places at the sink, tools that are counted and the oven as
 * limits. Times are in units of five seconds.
 */
import type { RecipeStep } from '../../recipe/recipe'
import { adultLimit, measureLimit, opsOf, toolLimit, UNIT_SECONDS, type ClockOp } from './clock-ops'
import { HEAT_PLACES, holdsOneBatch } from '../../recipe/heat-places'
import { lowerBound, type Bound, type BoundCause } from './schedule/bound'
import { networkOf, type Instance } from './schedule/instance'
import { seeded } from './schedule/random'
import { bestOfRules, improve } from './schedule/search'
import type { PlanRequest } from '../model/request'
import { keepMaxLags, type TooLongStand } from './max-lag'
import { ADULT_SHARES, measureCount, SINK_PLACES, toolCount } from '../split/waves'
import { must } from '../../amount/must'
import type { HeldUpBy } from '../model/plan'
import type { Task } from '../model/task'

/** What the clock needs of a draft, or of a plan in force. */
export interface Timed {
  people: readonly { id: string; age: number }[]
  bowls: readonly { id: string }[]
  tasks: readonly Task[]
}

export interface Timeline {
  /** Start of each op in seconds: a task, or one wave of it (`task~2`). */
  starts: Map<string, number>
  /** Seconds in all, and what nobody can be quicker than, with the cause. */
  seconds: number
  bound: number
  boundCause: HeldUpBy
  standing: TooLongStand[]
}

/** Orders tried: a draft at once, more when there is time. */
const SCHEDULES = { sketch: 0, draft: 20, refined: 600 } as const

/** Rules that an outline tries. */
const SKETCH_RULES = 2

export function timeline(steps: readonly RecipeStep[], draft: Timed, request: PlanRequest): Timeline {
  const ops = opsOf(steps, draft, request)
  const limits = limitsOf(ops, request)
  const instance: Instance = {
    children: draft.people.length,
    ops,
    resources: limits.map(({ name, cap }) => ({ name, cap })),
    taskCaps: {},
    seed: request.seed,
    iterations: SCHEDULES[request.effort],
  }
  const net = networkOf(instance)
  // Built as it is, it cannot be impossible: no circle, no op above a limit.
  if ('cause' in net) throw new Error(`the clock cannot be set: ${net.says}`)
  // A sketch tries nothing that a bound could end.
  const bound: Bound = request.effort === 'sketch' ? { units: 0, cause: { kind: 'none' } } : lowerBound(net)
  const best = improve(
    net,
    net.rows,
    bestOfRules(net, net.rows, request.effort === 'sketch' ? SKETCH_RULES : undefined),
    bound.units,
    instance.iterations,
    seeded(instance.seed),
  )
  const { starts, standing } = keepMaxLags(steps, ops, net, best.starts)
  return {
    starts: new Map(ops.map((o, i) => [o.id, (starts[i] as number) * UNIT_SECONDS])),
    seconds: best.length * UNIT_SECONDS,
    bound: bound.units * UNIT_SECONDS,
    boundCause: heldUpBy(bound.cause, limits),
    standing,
  }
}

interface Limit {
  name: string
  cap: number
  /** What it is, where it is what holds everything up. */
  is: HeldUpBy
}

/** Adults, their eyes, the sink, the oven, and each tool that is counted. */
function limitsOf(ops: readonly ClockOp[], request: PlanRequest): Limit[] {
  const tools = new Set(ops.flatMap((o) => o.tools))
  return [
    ...request.adults.map(({ id }): Limit => ({
      name: adultLimit(id),
      cap: 1,
      is: { kind: 'adult', adult: id },
    })),
    { name: 'watching', cap: request.adults.length * ADULT_SHARES, is: { kind: 'watching' } },
    { name: 'sink', cap: request.kit.sinkPlaces ?? SINK_PLACES, is: { kind: 'sink' } },
    ...HEAT_PLACES.filter((p) => holdsOneBatch(p.id)).map((p): Limit => ({
      name: p.id,
      cap: 1,
      is: { kind: 'oven' },
    })),
    ...[...new Set(ops.flatMap((o) => o.measures))].map((measure): Limit => ({
      name: measureLimit(measure),
      cap: measureCount(measure, request),
      is: { kind: 'measure', measure },
    })),
    ...[...tools].map((tool): Limit => ({
      name: toolLimit(tool),
      cap: Math.max(1, toolCount(tool, request)),
      is: { kind: 'tool', tool },
    })),
  ]
}

function heldUpBy(cause: BoundCause, limits: readonly Limit[]): HeldUpBy {
  if (cause.kind !== 'limit') return cause
  return must(
    limits.find((l) => l.name === cause.name),
    `the limit '${cause.name}'`,
  ).is
}
