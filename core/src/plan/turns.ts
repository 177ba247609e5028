/**
 * Pass 6, turns: dealt round evenly, never to a child who takes no part in the task.
 *
 * Does little yet: the child with the fewest turns so far is next, then the fewest in this task, then the order of the
 * table, begun one place further on at each task. Nothing is optimised beyond that.
 */
import type { Dealt, Pass, Scooped } from './draft'
import { finding, nameToken, type Finding } from './finding'
import type { Task, Turn } from './plan'
import type { PlanRequest } from './request'
import { scoopsOf } from './strip'

export const turns: Pass<Scooped, Dealt> = (draft, request) => {
  const total = new Map<string, number>(draft.people.map((p) => [p.id, 0]))
  const dealt: Turn[] = []
  let round = 0
  for (const task of draft.tasks) {
    if (task.mode !== 'TURNS' && task.mode !== 'EACH') continue
    const able = task.forms.flatMap((f) => f.children)
    if (able.length === 0) continue
    const order = task.mode === 'EACH' ? able : dealTask(task, able, total, round, pinned(task, request))
    if (task.mode === 'TURNS') {
      round += 1
      for (const child of order) total.set(child, (total.get(child) ?? 0) + 1)
    }
    order.forEach((child, i) => dealt.push(turnOf(task, i, child)))
  }
  return { draft: { ...draft, turns: dealt }, findings: evenness(draft, total) }
}

const pinned = (task: Task, { decisions }: PlanRequest): string[] =>
  decisions.flatMap((d) => (d.kind === 'pin' && d.task === task.id ? [d.child] : []))

/** The children of one task's turns, in order. Pinned children come first, each at least once. */
function dealTask(
  task: Task,
  able: readonly string[],
  total: ReadonlyMap<string, number>,
  round: number,
  pins: readonly string[],
): string[] {
  const here = new Map<string, number>(able.map((id) => [id, 0]))
  const order: string[] = []
  const give = (child: string): void => {
    here.set(child, (here.get(child) ?? 0) + 1)
    order.push(child)
  }
  for (const pin of pins) if (here.has(pin) && order.length < task.n) give(pin)
  while (order.length < task.n) {
    const load = (id: string): number => (total.get(id) ?? 0) + (here.get(id) ?? 0)
    const seat = (id: string): number => (able.indexOf(id) - round + able.length * task.n) % able.length
    const next = [...able].sort(
      (a, b) => load(a) - load(b) || (here.get(a) ?? 0) - (here.get(b) ?? 0) || seat(a) - seat(b),
    )[0]
    if (next === undefined) break
    give(next)
  }
  return order
}

function turnOf(task: Task, index: number, child: string): Turn {
  const measure = task.measured && scoopsOf(task.measured)[index]?.measure
  return {
    id: `${task.id}#${index + 1}`,
    task: task.id,
    number: index + 1,
    ...(measure && { measure }),
    child,
    start: 0,
    end: 0,
  }
}

function evenness(draft: Scooped, total: ReadonlyMap<string, number>): Finding[] {
  const counts = [...total.values()]
  const least = Math.min(...counts)
  const most = Math.max(...counts)
  if (counts.length < 2) return []
  const short = [...total].filter(([, n]) => n < most - 1).map(([id]) => id)
  const reasons = short.map((id) => {
    const whys = [
      ...new Set(draft.tasks.flatMap((t) => t.barred.filter((b) => b.child === id).map((b) => b.why))),
    ]
    return `${nameToken(id)} has ${total.get(id) ?? 0}${whys.length > 0 ? ` (${whys.slice(0, 2).join('; ')})` : ''}`
  })
  return [
    finding({
      rule: 'even-turns',
      pass: 'turns',
      grade: 'know',
      subject: { tool: 'turns' },
      touches: short.map((child) => ({ child, about: 'turns' })),
      says:
        most - least <= 1
          ? `Turns come out even: ${least === most ? `${least}` : `${least} or ${most}`} for every child.`
          : `Turns run from ${least} to ${most}. ${reasons.join('. ')}.`,
      because: 'Turns are dealt to the child who has had the fewest.',
      source: 'common practice',
      fixes: [],
      restsOn: [...total],
    }),
  ]
}
