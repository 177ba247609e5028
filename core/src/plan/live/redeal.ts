/**
 * The turns that are still to come, dealt anew with as few changes as can be: equal first, then every turn stays with the child
 * who has it; where one must move, to who had least in earlier weeks. The same exact flow as in planning, with one place for each turn.
 */
import { must } from '../../amount/must'
import { nameToken } from '../model/finding'
import { assignTurns } from '../turns/turn-flow'
import type { Plan } from '../model/plan'
import type { Task, Turn } from '../model/task'

/**
 * @param fixed turns that are done, or not to be moved
 * @param ahead jobs of earlier weeks by which a child stands above its share
 * @returns the turns, same ids and times; and the sum of squares of what each child then has in all
 */
export function redeal(
  tasks: readonly Task[],
  turns: readonly Turn[],
  children: readonly string[],
  fixed: (turn: Turn, task: Task) => boolean,
  ahead: ReadonlyMap<string, number> = new Map(),
): { turns: Turn[]; sumsq: number } {
  const at = new Map(children.map((id, i) => [id, i]))
  const taskOf = new Map(tasks.map((t) => [t.id, t]))
  const base = children.map(() => 0)
  const open: { turn: Turn; able: string[] }[] = []
  for (const turn of turns) {
    const task = taskOf.get(turn.task)
    const able = (task?.forms.flatMap((f) => f.children) ?? []).filter((c) => at.has(c))
    const i = at.get(turn.child)
    if (task && task.mode === 'TURNS' && !fixed(turn, task) && able.length > 0) open.push({ turn, able })
    else if (i !== undefined) base[i] = (base[i] ?? 0) + 1
  }
  const order = [...new Set(children.map((c) => ahead.get(c) ?? 0))].sort((a, b) => a - b)
  const rankOf = (c: string): number => order.indexOf(ahead.get(c) ?? 0)
  // One that moves weighs more than all that could be had by moving to others.
  const moved = open.length * order.length + 1
  const answer = assignTurns({
    base,
    tasks: open.map(({ turn, able }) => ({
      n: 1,
      el: able.map((c) => at.get(c) ?? 0),
      cap: 1,
      cost: able.map((c) => (c === turn.child ? 0 : moved + rankOf(c))),
      easy: able.map(() => 0),
    })),
  })
  // One place each, and nobody without an able child: it cannot be impossible.
  if ('infeasible' in answer) return { turns: [...turns], sumsq: Infinity }
  const childOf = new Map(
    open.map(({ turn, able }, t) => [
      turn.id,
      able[(answer.places[t] ?? []).findIndex((n) => n > 0)] ?? turn.child,
    ]),
  )
  return {
    turns: turns.map((t) => ({ ...t, child: childOf.get(t.id) ?? t.child })),
    sumsq: answer.sumsq,
  }
}

/** What each child has in all, squared and summed: smaller is more equal. */
export function evenness(turns: readonly Turn[], children: readonly string[]): number {
  const load = new Map(children.map((c) => [c, 0]))
  for (const t of turns) if (load.has(t.child)) load.set(t.child, (load.get(t.child) ?? 0) + 1)
  return [...load.values()].reduce((sum, n) => sum + n * n, 0)
}

/**
 * The first rung: the leaver's turns to those with least. Where that is less even than it could be, the second: all turns still to
 * come dealt anew, each staying with its child if that is as even.
 */
export function rebalance(
  plan: Plan,
  tasks: readonly Task[],
  first: readonly Turn[],
  rest: readonly string[],
  done: ReadonlySet<string>,
  gained: ReadonlyMap<string, string[]>,
  ahead: ReadonlyMap<string, number>,
): { turns: Turn[]; says: string[] } {
  const takes = (id: string, jobs: readonly string[]): string =>
    `${nameToken(id)} takes over: ${[...new Set(jobs)].join(', ')}.`
  const simple = { turns: [...first], says: [...gained].map(([id, jobs]) => takes(id, jobs)) }
  // What was as uneven before is not taken up now: only what the leaving made worse.
  const before = spreadOf(plan.turns, rest)
  if (spreadOf(first, rest) <= Math.max(1, before)) return simple
  const second = redeal(tasks, first, rest, (t) => done.has(t.id), ahead)
  if (evenness(first, rest) <= second.sumsq) return simple
  const was = new Map(plan.turns.map((t) => [t.id, t.child]))
  const nameOf = new Map(tasks.map((t) => [t.id, t.name]))
  const moves = new Map<string, string[]>()
  for (const t of second.turns)
    if (was.get(t.id) !== t.child)
      moves.set(t.child, [...(moves.get(t.child) ?? []), must(nameOf.get(t.task), `the task ${t.task}`)])
  return { turns: second.turns, says: [...moves].map(([id, jobs]) => takes(id, jobs)) }
}

const spreadOf = (turns: readonly Turn[], children: readonly string[]): number => {
  const counts = new Map(children.map((c) => [c, 0]))
  for (const t of turns) if (counts.has(t.child)) counts.set(t.child, (counts.get(t.child) ?? 0) + 1)
  return Math.max(...counts.values()) - Math.min(...counts.values())
}
