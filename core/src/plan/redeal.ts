/**
 * The turns that are still to come, dealt anew with as few changes as can be: equal first, then every turn stays with the child
 * who has it; where one must move, to who had least in earlier weeks. The same exact flow as in planning, with one place for each turn.
 */
import { deal } from './jobs/deal'
import type { Task, Turn } from './plan'

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
  const answer = deal({
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
