/** A child leaves in the middle: its turns are dealt to the others, and everything else stays where it is. */
import { must } from '../../amount/must'
import { rebuildPlan } from './live-changes'
import { isByChildren, isOnce } from '../../recipe/recipe'
import { stillFree } from '../clock/waiting-times'
import type { Plan } from '../model/plan'
import { rebalance } from './redeal'
import type { Task, Turn } from '../model/task'
import type { LiveChange } from './live-changes'

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
  const next = rebuildPlan({
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
  })
  return {
    plan: next,
    says: [
      ...dealt.says,
      ...[...orphans].map(
        (id) =>
          `${
            must(
              tasks.find((t) => t.id === id),
              `the task ${id}`,
            ).name
          }: an adult does the rest.`,
      ),
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
  ...(task.passes && { passes: passedWithout(task.passes, child) }),
})
/** It goes on to the next one who is there; what it would have handed to another bowl an adult does. */
function passedWithout({ from, ...passes }: NonNullable<Task['passes']>, child: string): Task['passes'] {
  const order = passes.order.filter((c) => c !== child)
  return { ...passes, order, ...(from && from.child !== child && { from }) }
}

const askedInstead = (step: string, tasks: readonly Task[], turns: readonly Turn[]): string | null => {
  const inStep = new Set(tasks.filter((t) => t.step === step).map((t) => t.id))
  return turns.find((t) => inStep.has(t.task))?.child ?? null
}
