/**
 * Small groups one after another at the same table: each group's session planned for itself, with resetting in between. Groups are
 * mixed in age, so that nobody is always the youngest among the youngest.
 */
import { monthsOn } from '../../craft/ages'
import { compile } from '../compile'
import type { PlanChild, PlanRequest } from '../model/request'
import { clockAfter, minutesBetween } from '../../amount/clock-time'

/** Wiping, clean tools and the next bowl out. Source: common practice. */
export const RESET_MINUTES = 5

export interface RotationGroup {
  children: string[]
  start: string
  endsAt: string
  minutes: number
}
export interface Rotation {
  groups: RotationGroup[]
  endsAt: string
  /** Ends before the families come, where that is known. */
  fits: boolean
}

/**
 * @param size most children in a group
 * @throws PlanError as `compile` does
 */
export function rotation(request: PlanRequest, size: number): Rotation {
  const groups = mixedGroups(request.children, request.session.date, size)
  let start = request.session.start
  const done = groups.map((children): RotationGroup => {
    const plan = compile(forGroup(request, children, start))
    const first = { start, endsAt: plan.totals.endsAt, minutes: Math.ceil(plan.totals.seconds / 60) }
    const clearing = plan.totals.clearUp ? plan.totals.clearUp.end - plan.totals.clearUp.start : 0
    start = clockAfter(plan.totals.endsAt, RESET_MINUTES + Math.ceil(clearing / 60))
    return { children: children.map((c) => c.id), ...first }
  })
  const endsAt = done.at(-1)?.endsAt ?? request.session.start
  const { until } = request.session
  return { groups: done, endsAt, fits: !until || minutesBetween(endsAt, until) >= 0 }
}

/** The session of one group: at its own time, together at one bowl. */
function forGroup(request: PlanRequest, children: readonly PlanChild[], start: string): PlanRequest {
  const session = { id: request.session.id, date: request.session.date, start }
  return {
    ...request,
    session,
    children: [...children],
    rules: { ...request.rules, grouping: 'together' },
  }
}

/** Groups of near-equal size, dealt by age there and back again; each group keeps the order of the table. */
function mixedGroups(children: readonly PlanChild[], date: string, size: number): PlanChild[][] {
  const count = Math.max(1, Math.ceil(children.length / Math.max(1, size)))
  const months = (c: PlanChild): number => (c.birth ? monthsOn(c.birth, date) : (c.months ?? 0))
  const groupOf = new Map<string, number>()
  ;[...children]
    .sort((a, b) => months(b) - months(a))
    .forEach((child, i) => {
      const at = i % count
      groupOf.set(child.id, Math.floor(i / count) % 2 === 1 ? count - 1 - at : at)
    })
  return Array.from({ length: count }, (_, g) => children.filter((c) => groupOf.get(c.id) === g))
}
