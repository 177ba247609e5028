/** An adult is called away: another who may lead takes over, and the clock is set anew with those who are left. */
import { must } from '../../amount/must'
import { rebuildPlan } from './live-changes'
import { techniqueOf } from '../../craft/techniques'
import { foodBook } from '../../food/own-foods'
import { background } from '../clock/background'
import { setClock } from '../clock/clock'
import { packetsOf } from '../model/decision'
import { waitingJobs } from '../clock/waiting-jobs'
import { nameToken } from '../model/finding'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { recipeOfSession } from '../model/session-recipe/sittings'
import type { LiveChange } from './live-changes'

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
  const heirOfAll = new Map<string, string>()
  const takes = new Map<string, Set<string>>()
  for (const task of plan.tasks.filter((t) => t.adult === adult && coming.has(t.step))) {
    // Who shows a blade leads blades.
    const hazard = task.hazard ?? techniqueOf(task.shows ?? '')?.hazard
    const lead = hazard && HAZARD_LEAD[hazard]
    // Who takes over one of several bowls that go together takes over all of them.
    const before = left.find((a) => task.joins !== undefined && a.id === heirOfAll.get(task.joins))
    const heir =
      before ??
      left
        .filter((a) => !lead || a.leads.includes(lead))
        .sort((a, b) => (load.get(a.id) ?? 0) - (load.get(b.id) ?? 0))[0]
    const { title } = must(
      plan.schedule.find((s) => s.step === task.step),
      `the step ${task.step}`,
    )
    if (!heir) {
      const what = hazard === 'heat' ? 'heat' : 'blades'
      return { refused: `${title}: nobody who is left leads ${what}. Leave it out, or wait.` }
    }
    load.set(heir.id, (load.get(heir.id) ?? 0) + 1)
    heirOf.set(task.id, heir.id)
    if (task.joins !== undefined) heirOfAll.set(task.joins, heir.id)
    takes.set(heir.id, (takes.get(heir.id) ?? new Set()).add(title))
  }
  const tasks = plan.tasks.map((t) => (heirOf.has(t.id) ? { ...t, adult: heirOf.get(t.id) } : t))
  const set = setClock(
    {
      steps: recipeOfSession(request).steps,
      people: plan.children.map((c) => ({ id: c.id, age: c.months })),
      bowls: plan.bowls,
      tasks,
      turns: plan.turns,
    },
    { ...request, adults: left },
  )
  const waiting = waitingAnew(plan, set, { ...request, adults: left })
  return {
    plan: rebuildPlan({
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
  const recipe = recipeOfSession(request)
  return {
    waitingJobs: waitingJobs(draft, request).fill,
    background: background(recipe, set.schedule, set.tasks, request.adults, request.session.start),
  }
}

const HAZARD_LEAD = { heat: 'heat', blade: 'knives' } as const
