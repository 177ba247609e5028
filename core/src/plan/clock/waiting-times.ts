/** How long a child has nothing to do: between its own jobs, and with the jobs for waiting counted in. */
import { must } from '../../amount/must'
import { isOvernight } from '../model/session-recipe/sittings'
import type { Clocked } from '../model/draft'
import type { Plan } from '../model/plan'
import type { Task, WaitingJob, Turn } from '../model/task'

interface Span {
  start: number
  end: number
}

/** When the whole table looks on while an adult shows. */
export const showingSpans = (tasks: readonly Task[]): Span[] =>
  tasks.flatMap(({ shows, start, end }) =>
    shows !== undefined && start !== undefined && end !== undefined ? [{ start, end }] : [],
  )

/** The longest stretch of the first sitting without any of these. */
function longestGap(spans: readonly Span[], end: number): number {
  let from = 0
  let longest = 0
  for (const s of [...spans].sort((a, b) => a.start - b.start)) {
    longest = Math.max(longest, s.start - from)
    from = Math.max(from, s.end)
  }
  return Math.max(longest, end - from)
}

export function idleTimes(
  perChild: Plan['totals']['perChild'],
  { tasks, turns, schedule, fill }: Pick<Clocked, 'tasks' | 'turns' | 'schedule' | 'fill'>,
): Plan['totals']['perChild'] {
  const first = schedule.filter((s) => s.sitting === 1 && !isOvernight(s.seconds))
  const ids = new Set(first.map((s) => s.step))
  const end = Math.max(0, ...first.map((s) => s.start + s.seconds))
  const stepOf = new Map(tasks.map((t) => [t.id, t.step]))
  return perChild.map((p) => {
    const own = [
      ...turns.filter((t) => t.child === p.child && ids.has(must(stepOf.get(t.task), `the task ${t.task}`))),
      ...showingSpans(tasks.filter((t) => ids.has(t.step))),
    ]
    const more = fill.filter((f) => f.child === p.child && f.sitting === 1)
    return { ...p, idle: longestGap(own, end), idleFilled: longestGap([...own, ...more], end) }
  })
}

/** Those jobs for waiting whose child is still free then, after turns have changed. */
export function stillFree(
  fill: readonly WaitingJob[],
  { tasks, turns, schedule }: Pick<Plan, 'tasks' | 'turns' | 'schedule'>,
): WaitingJob[] {
  const sittings = new Map(schedule.map((s) => [s.step, s.sitting]))
  const sittingOf = new Map(tasks.map((t) => [t.id, sittings.get(t.step)]))
  const turnsOf = new Map<string, Turn[]>()
  for (const t of turns) {
    const own = turnsOf.get(t.child)
    if (own) own.push(t)
    else turnsOf.set(t.child, [t])
  }
  const taken = (f: WaitingJob): boolean =>
    turnsOf
      .get(f.child)
      ?.some((t) => t.start < f.end && f.start < t.end && sittingOf.get(t.task) === f.sitting) ?? false
  return fill.filter((f) => !taken(f))
}
