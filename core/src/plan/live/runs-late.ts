/** It runs late: the step at hand takes longer, and what follows moves. */
import { must } from '../../amount/must'
import { rebuildPlan } from './live-changes'
import type { Plan } from '../model/plan'
import { clockAfter } from '../../amount/clock-time'
import type { LiveChange } from './live-changes'

/** It runs late: the step at hand takes so many minutes more, and what follows moves. */
export function runsLate(plan: Plan, step: string, minutes: number): LiveChange {
  const at = plan.schedule.findIndex((s) => s.step === step)
  const now = plan.schedule[at]
  if (!now) return { refused: 'This step is not in the plan.' }
  const seconds = minutes * 60
  const later = new Set(
    plan.schedule.filter((s, i) => i > at && s.sitting === now.sitting).map((s) => s.step),
  )
  const stepOf = new Map(plan.tasks.map((t) => [t.id, t.step]))
  const endsAt = clockAfter(plan.totals.endsAt, minutes)
  const { spareMinutes } = plan.totals
  const spare = spareMinutes === undefined ? undefined : spareMinutes - minutes
  return {
    plan: rebuildPlan({
      ...plan,
      schedule: plan.schedule.map((s, i) =>
        i === at
          ? { ...s, seconds: s.seconds + seconds }
          : later.has(s.step)
            ? { ...s, start: s.start + seconds, at: clockAfter(s.at, minutes) }
            : s,
      ),
      tasks: plan.tasks.map((t) =>
        later.has(t.step) && t.start !== undefined && t.end !== undefined
          ? { ...t, start: t.start + seconds, end: t.end + seconds }
          : t,
      ),
      ...(plan.waitingJobs && {
        waitingJobs: plan.waitingJobs.map((f) =>
          later.has(f.step) ? { ...f, start: f.start + seconds, end: f.end + seconds } : f,
        ),
      }),
      ...(plan.background && {
        // What is on stays on: it is only ready for longer.
        background: plan.background.map((b) => (later.has(b.step) ? { ...b, ready: b.ready + seconds } : b)),
      }),
      turns: plan.turns.map((t) =>
        later.has(must(stepOf.get(t.task), `the task ${t.task}`))
          ? { ...t, start: t.start + seconds, end: t.end + seconds }
          : t,
      ),
      totals: {
        ...plan.totals,
        seconds: plan.totals.seconds + seconds,
        endsAt,
        ...(spare !== undefined && { spareMinutes: spare }),
      },
    }),
    says: [
      `It ends at ${endsAt}.`,
      ...(spare === undefined
        ? []
        : [
            spare < 0
              ? `That is ${-spare} minutes after the families come: shorten what is left.`
              : `${spare} minutes are left before the families come.`,
          ]),
    ],
  }
}
