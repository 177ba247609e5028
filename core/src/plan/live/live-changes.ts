/**
 * Changes in the middle, mended without moving others: a child leaves and its turns are dealt out, everything else stays where it
 * is; an adult is called away and another who may lead takes over; it runs late and the rest moves. What is done keeps its ids.
 */
import { foodBook } from '../../food/foods'
import { isByChildren, isOnce } from '../../recipe/recipe'
import { background } from '../clock/background'
import { setClock } from '../clock/clock'
import { packetsOf } from '../model/decision'
import { waitingJobs } from '../clock/waiting-jobs'
import { nameToken } from '../model/finding'
import { stillFree } from '../clock/waiting-times'
import type { Plan } from '../model/plan'
import { rebalance } from './redeal'
import type { PlanRequest } from '../model/request'
import { withDigest } from '../model/digest'
import { withSittings } from '../model/sittings'
import { clockAfter } from '../../amount/clock-time'
import type { Task, Turn } from '../model/task'

export interface Mended {
  plan: Plan
  /** One line for each child or adult whom it touches. Names as tokens. */
  says: string[]
}
export type LiveChange = Mended | { refused: string }

/**
 * A child leaves: the turns it has not done go to the others of its task, to whom has least; jobs that each does are gone with it.
 * Amounts, times and everybody else's jobs stay.
 * @param done turns that have happened
 * @param ahead jobs of earlier weeks by which a child stands above its share: of those with least today, who is least ahead
 */
export function childLeaves(
  plan: Plan,
  done: ReadonlySet<string>,
  child: string,
  ahead: ReadonlyMap<string, number> = new Map(),
): LiveChange {
  if (!plan.children.some((c) => c.id === child)) return { refused: 'This child is not in the plan.' }
  if (plan.children.length === 1) return { refused: 'The last child leaves: finish the session instead.' }
  const tasks = plan.tasks.map((t) => without(t, child))
  const able = new Map(tasks.map((t) => [t.id, t.forms.flatMap((f) => f.children)]))
  const load = new Map(plan.children.map((c) => [c.id, 0]))
  for (const t of plan.turns) load.set(t.child, (load.get(t.child) ?? 0) + 1)
  const gained = new Map<string, string[]>()
  const orphans = new Set<string>()
  const turns = plan.turns.flatMap((turn): Turn[] => {
    const task = tasks.find((t) => t.id === turn.task)
    if (turn.child !== child || done.has(turn.id) || !task) return [turn]
    if (isOnce(task.mode)) return []
    const heir = [...(able.get(task.id) ?? [])].sort(
      (a, b) => (load.get(a) ?? 0) - (load.get(b) ?? 0) || (ahead.get(a) ?? 0) - (ahead.get(b) ?? 0),
    )[0]
    if (heir === undefined) {
      orphans.add(task.id)
      return []
    }
    load.set(heir, (load.get(heir) ?? 0) + 1)
    gained.set(heir, [...(gained.get(heir) ?? []), task.name])
    return [{ ...turn, child: heir }]
  })
  const rest = plan.children.map((c) => c.id).filter((c) => c !== child)
  const dealt = rebalance(plan, tasks, turns, rest, done, gained, ahead)
  const mended = tasks.map((t) => ({
    ...t,
    ...(orphans.has(t.id) && { mode: 'ADULT' as const }),
    n: isByChildren(t.mode) ? dealt.turns.filter((x) => x.task === t.id).length : t.n,
  }))
  const next = withDigest({
    ...plan,
    children: plan.children.filter((c) => c.id !== child),
    bowls: plan.bowls.map((b) => ({ ...b, children: b.children.filter((c) => c !== child) })),
    tasks: mended,
    turns: dealt.turns,
    ...(plan.waitingJobs && {
      waitingJobs: stillFree(
        plan.waitingJobs.filter((f) => f.child !== child),
        { ...plan, turns: dealt.turns },
      ),
    }),
    talk: plan.talk.map((t) => ({
      ...t,
      ...(t.child === child && { child: askedInstead(t.step, mended, dealt.turns) }),
      ...(t.asks && { asks: t.asks.filter((a) => a.child !== child) }),
    })),
    ...(plan.uncovered && { uncovered: plan.uncovered.filter((u) => u.child !== child) }),
    totals: { ...plan.totals, perChild: perChild(plan, mended, dealt.turns, child) },
  })
  return {
    plan: next,
    says: [
      ...dealt.says,
      ...[...orphans].map((id) => `${tasks.find((t) => t.id === id)?.name ?? ''}: an adult does the rest.`),
      dealt.says.length === 0 && orphans.size === 0
        ? 'Nobody else is touched.'
        : 'All others keep their jobs and times.',
    ],
  }
}

const without = (task: Task, child: string): Task => ({
  ...task,
  forms: task.forms
    .map((f) => ({ ...f, children: f.children.filter((c) => c !== child) }))
    .filter((f) => f.children.length > 0),
  barred: task.barred.filter((b) => b.child !== child),
})

const askedInstead = (step: string, tasks: readonly Task[], turns: readonly Turn[]): string | null => {
  const inStep = new Set(tasks.filter((t) => t.step === step).map((t) => t.id))
  return turns.find((t) => inStep.has(t.task))?.child ?? null
}

function perChild(
  plan: Plan,
  tasks: readonly Task[],
  turns: readonly Turn[],
  gone: string,
): Plan['totals']['perChild'] {
  const shared = new Set(tasks.filter((t) => t.mode === 'TURNS').map((t) => t.id))
  return plan.totals.perChild
    .filter((p) => p.child !== gone)
    .map((p) => {
      const own = turns.filter((t) => t.child === p.child)
      return { ...p, turns: own.filter((t) => shared.has(t.task)).length, jobs: own.length }
    })
}

const HAZARD_LEAD = { heat: 'heat', blade: 'knives' } as const

/**
 * An adult is called away: its tasks that are still to come go to the adult who may lead them and has least to do; the clock is
 * set anew with those who are left.
 * @param request of this session; its adults are those who were there
 */
export function adultAway(plan: Plan, request: PlanRequest, adult: string, nowStep: string): LiveChange {
  const left = request.adults.filter((a) => a.id !== adult)
  if (!plan.adults.includes(adult)) return { refused: 'This adult is not in the plan.' }
  if (left.length === 0) return { refused: 'Nobody would be left: pause until an adult is back.' }
  const from = plan.schedule.findIndex((s) => s.step === nowStep)
  const coming = new Set(plan.schedule.slice(Math.max(0, from)).map((s) => s.step))
  const load = new Map(left.map((a) => [a.id, plan.tasks.filter((t) => t.adult === a.id).length]))
  const heirOf = new Map<string, string>()
  const takes = new Map<string, Set<string>>()
  for (const task of plan.tasks.filter((t) => t.adult === adult && coming.has(t.step))) {
    const lead = task.hazard && HAZARD_LEAD[task.hazard]
    const heir = left
      .filter((a) => !lead || a.leads.includes(lead))
      .sort((a, b) => (load.get(a.id) ?? 0) - (load.get(b.id) ?? 0))[0]
    const title = plan.schedule.find((s) => s.step === task.step)?.title ?? ''
    if (!heir) {
      const what = task.hazard === 'heat' ? 'heat' : 'blades'
      return { refused: `${title}: nobody who is left leads ${what}. Leave it out, or wait.` }
    }
    load.set(heir.id, (load.get(heir.id) ?? 0) + 1)
    heirOf.set(task.id, heir.id)
    takes.set(heir.id, (takes.get(heir.id) ?? new Set()).add(title))
  }
  const tasks = plan.tasks.map((t) => (heirOf.has(t.id) ? { ...t, adult: heirOf.get(t.id) as string } : t))
  const set = setClock(
    {
      steps: withSittings(request.recipe, request.decisions).steps,
      people: plan.children.map((c) => ({ id: c.id, age: c.months })),
      bowls: plan.bowls,
      tasks,
      turns: plan.turns,
    },
    { ...request, adults: left },
  )
  const waiting = waitingAnew(plan, set, { ...request, adults: left })
  return {
    plan: withDigest({
      ...plan,
      adults: left.map((a) => a.id),
      watch: plan.watch.map((w) => {
        // Who stands beside is said by name: by the name of the one who takes over.
        const task = tasks.find(
          (t) => t.step === w.step && (!w.bowl || t.bowl === w.bowl) && heirOf.has(t.id),
        )
        return task ? { ...w, says: w.says.replaceAll(nameToken(adult), nameToken(task.adult ?? adult)) } : w
      }),
      ...set,
      ...waiting,
    }),
    says: [
      ...[...takes].map(([id, steps]) => `${nameToken(id)} takes over: ${[...steps].join(', ')}.`),
      set.totals.endsAt === plan.totals.endsAt
        ? `It still ends at ${plan.totals.endsAt}.`
        : `It ends at ${set.totals.endsAt} instead of ${plan.totals.endsAt}.`,
    ],
  }
}

/** Jobs for waiting and what is to be got ready, for the new times. */
function waitingAnew(
  plan: Plan,
  set: Pick<Plan, 'tasks' | 'turns' | 'schedule'>,
  request: PlanRequest,
): Pick<Plan, 'waitingJobs' | 'background'> {
  const people = plan.children.flatMap((c) => {
    const child = request.children.find((x) => x.id === c.id)
    return child ? [{ ...child, age: c.months }] : []
  })
  const packets = packetsOf(request.decisions)
  const draft = { ...set, people, bowls: plan.bowls, foods: foodBook(request.foods), packets }
  const recipe = withSittings(request.recipe, request.decisions)
  return {
    waitingJobs: waitingJobs(draft, request).fill,
    background: background(recipe, set.schedule, set.tasks, request.adults, request.session.start),
  }
}

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
    plan: withDigest({
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
        later.has(stepOf.get(t.task) ?? '') ? { ...t, start: t.start + seconds, end: t.end + seconds } : t,
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
