import { must } from '../../amount/must'
import { rebuildPlan } from './live-changes'
import { compile } from '../compile'
import { decide, type Decision } from '../model/decision'
import { stillFree } from '../clock/waiting-times'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { clockAfter } from '../../amount/clock-time'
import type { Task } from '../model/task'

/** One change for the steps that are still to come. */
export type RestChange = { do: 'few-scoops' } | { do: 'adult-does'; step: string; technique: string }

export interface RestOffer {
  change: RestChange
  says: string
  cost: string
  minutesSaved: number
  endsAt: string
}

export interface TableProgress {
  /** The step at hand. */
  step: string
  /** Turns that have happened. */
  done: ReadonlySet<string>
}

/** Less than this is not worth moving anybody for. Source: scheduling.md 3 (ladder of re-planning). */
const WORTH_SECONDS = 180

/** @returns what is worth offering, the greatest saving first */
export function restOffers(plan: Plan, request: PlanRequest, now: TableProgress): RestOffer[] {
  return changesFor(plan, now)
    .flatMap(({ change, says }): RestOffer[] => {
      const next = replanRemaining(plan, request, now, change)
      if ('refused' in next) return []
      const saved = plan.totals.seconds - next.totals.seconds
      const back = (plan.totals.spareMinutes ?? 0) < 0 && (next.totals.spareMinutes ?? -1) >= 0
      if (saved < WORTH_SECONDS && !(back && saved > 0)) return []
      const fewer = plan.turns.length - next.turns.length
      return [
        {
          change,
          says,
          cost: fewer > 0 ? `${fewer} turns fewer in all` : 'no turn fewer',
          minutesSaved: Math.floor(saved / 60),
          endsAt: next.totals.endsAt,
        },
      ]
    })
    .sort((a, b) => b.minutesSaved - a.minutesSaved)
}

function changesFor(plan: Plan, now: TableProgress): { change: RestChange; says: string }[] {
  const coming = new Set(stepsAfter(plan, now))
  const jobs = new Map<string, Task>()
  for (const t of plan.tasks)
    if (t.mode === 'TURNS' && coming.has(t.step)) jobs.set(`${t.step}/${t.technique}`, t)
  return [
    { change: { do: 'few-scoops' }, says: 'Few scoops from here on' },
    ...[...jobs.values()].map(({ step, technique, name }) => ({
      change: { do: 'adult-does' as const, step, technique },
      says: `An adult does: ${name}`,
    })),
  ]
}

/** Steps of this sitting after the one at hand, from the first on of which nothing is done. */
function stepsAfter(plan: Plan, { step, done }: TableProgress): string[] {
  const at = plan.schedule.findIndex((s) => s.step === step)
  const begun = new Set(
    plan.turns.flatMap((t) =>
      done.has(t.id)
        ? [
            must(
              plan.tasks.find((k) => k.id === t.task),
              `the task ${t.task}`,
            ).step,
          ]
        : [],
    ),
  )
  const last = plan.schedule.reduce((n, s, i) => (begun.has(s.step) ? Math.max(n, i) : n), at)
  const sitting = plan.schedule[at]?.sitting
  return at < 0 ? [] : plan.schedule.slice(last + 1).flatMap((s) => (s.sitting === sitting ? [s.step] : []))
}

/** The plan with the rest as it would be after one change. Amounts stay what they are: what is in the bowl is in the bowl. */
export function replanRemaining(
  plan: Plan,
  request: PlanRequest,
  now: TableProgress,
  change: RestChange,
): Plan | { refused: string } {
  const coming = stepsAfter(plan, now)
  if (coming.length === 0) return { refused: 'Nothing is left to plan anew.' }
  const keep: Decision = { kind: 'make', make: { by: 'portions', portions: plan.making.portions } }
  const decisions = changed(decide(request.decisions, keep), plan, change)
  const fresh = compile({ ...request, decisions })
  const crews = (p: Plan): string =>
    p.bowls.map((b) => `${b.id}: ${[...b.children].sort().join()}`).join('; ')
  if (crews(fresh) !== crews(plan)) return { refused: 'The bowls would be others: plan it by hand.' }
  return joined(plan, fresh, new Set(coming))
}

function changed(decisions: Decision[], plan: Plan, change: RestChange): Decision[] {
  if (change.do === 'few-scoops') return decide(decisions, { kind: 'scooping', way: 'quick' })
  return plan.tasks
    .filter((t) => t.step === change.step && t.technique === change.technique)
    .reduce((list, t) => decide(list, { kind: 'adult-does', task: t.id }), decisions)
}

function joined(plan: Plan, fresh: Plan, coming: ReadonlySet<string>): Plan {
  const first = plan.schedule.find((s) => coming.has(s.step))
  const freshFirst = fresh.schedule.find((s) => coming.has(s.step))
  const shift = (first?.start ?? 0) - (freshFirst?.start ?? 0)
  const stepOf = new Map([...plan.tasks, ...fresh.tasks].map((t) => [t.id, t.step]))
  const isComing = (task: string): boolean => coming.has(must(stepOf.get(task), `the task ${task}`))
  const later = <T extends { start?: number; end?: number }>(x: T): T => ({
    ...x,
    ...(x.start !== undefined && { start: x.start + shift }),
    ...(x.end !== undefined && { end: x.end + shift }),
  })
  const tasks = [
    ...plan.tasks.filter((t) => !coming.has(t.step)),
    ...fresh.tasks.filter((t) => coming.has(t.step)).map(later),
  ]
  const turns = [
    ...plan.turns.filter((t) => !isComing(t.task)),
    ...fresh.turns.filter((t) => isComing(t.task)).map(later),
  ]
  const schedule = plan.schedule.map((s) => {
    const other = coming.has(s.step) && fresh.schedule.find((f) => f.step === s.step)
    if (!other) return s
    const start = other.start + shift
    return { ...other, start, at: clockAfter(plan.totals.startsAt, Math.floor(start / 60)) }
  })
  const seconds = Math.max(...schedule.map((s) => (s.sitting === 1 ? s.start + s.seconds : 0)))
  const saved = Math.ceil(plan.totals.seconds / 60) - Math.ceil(seconds / 60)
  const spare = plan.totals.spareMinutes
  return rebuildPlan({
    ...plan,
    tasks,
    turns,
    schedule,
    talk: plan.talk.map((t) => (coming.has(t.step) ? (fresh.talk.find((f) => f.step === t.step) ?? t) : t)),
    watch: [
      ...plan.watch.filter((w) => !coming.has(w.step)),
      ...fresh.watch.filter((w) => coming.has(w.step)),
    ],
    waitingJobs: [
      ...stillFree(
        (plan.waitingJobs ?? []).filter((f) => !coming.has(f.step)),
        { tasks, turns, schedule },
      ),
      ...(fresh.waitingJobs ?? []).filter((f) => coming.has(f.step)).map(later),
    ],
    totals: {
      ...plan.totals,
      seconds,
      endsAt: clockAfter(plan.totals.startsAt, Math.ceil(seconds / 60)),
      ...(spare !== undefined && { spareMinutes: spare + saved }),
    },
  })
}
