/**
 * Pass 6, turns: how many turns of each shared task each child gets, by an exact flow (`jobs/deal`): equal first, what everybody
 * does anyway counted in; the one turn more to who had fewer in the last sessions; then fit, a stretch rather than the easy job. Never
 * to a child who takes no part in the task. Their order within a task: who has most left to do, then who has waited longest, then round
 * the table.
 */
import { fitOf, turnCost } from '../../craft/skills'
import { techniqueFor } from '../../craft/setting-techniques'
import type { WithTurns, Pass, Scooped } from '../model/draft'
import { isOnce } from '../../recipe/recipe'
import { finding, nameToken, type Finding } from '../model/finding'
import { assignTurns, type DealTask } from './turn-flow'
import type { PlanRequest } from '../model/request'
import { scoopsOf } from '../model/scoop-sequence'
import { goesEach } from '../model/task-kinds'
import type { Task, Turn } from '../model/task'

export const turns: Pass<Scooped, WithTurns> = (draft, request) => {
  const children = draft.people.map((p) => p.id)
  const shared = draft.tasks.filter((t) => t.mode === 'TURNS' && able(t).length > 0)
  const counts = dealt(shared, children, draft, request)
  const last = new Map<string, number>()
  const done: Turn[] = []
  let round = 0
  for (const task of draft.tasks) {
    if (isOnce(task.mode)) done.push(...onceEach(task))
    const mine = counts.get(task.id)
    if (!mine) continue
    round += 1
    const order = placed(task, inOrder(task, mine, pinned(task, request), last, round), request)
    order.forEach((child, i) => {
      last.set(child, done.length)
      done.push(turnOf(task, i, child))
    })
  }
  const total = new Map(children.map((id) => [id, 0]))
  for (const mine of counts.values()) for (const [id, n] of mine) total.set(id, (total.get(id) ?? 0) + n)
  return { draft: { ...draft, turns: done }, findings: evenness(draft, total) }
}

/** Everybody once: all together, or at a station round by round. */
const onceEach = (task: Task): Turn[] =>
  task.rounds
    ? task.rounds
        .flatMap((children, round) => children.map((child) => ({ child, round })))
        .map(({ child, round }, i) => ({ ...turnOf(task, i, child), round }))
    : (task.passes?.order ?? able(task)).flatMap((child, i) =>
        Array.from({ length: goesEach(task) }, (_, k) => turnOf(task, i * goesEach(task) + k, child, k)),
      )

/** How many jobs each child does anyway, once each. */
function onceCounts(tasks: readonly Task[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const t of tasks)
    if (isOnce(t.mode)) for (const id of able(t)) counts.set(id, (counts.get(id) ?? 0) + 1)
  return counts
}

const able = (task: Task): string[] => task.forms.flatMap((f) => f.children)

const pinned = (task: Task, { decisions }: PlanRequest): string[] => {
  const pins = decisions.flatMap((d) => (d.kind === 'pin' && d.task === task.id ? [d.child] : []))
  return [...new Set(pins)].filter((id) => able(task).includes(id)).slice(0, task.n)
}

/** Turns of each child in each shared task. A pinned child has one for certain; the rest is dealt around it. */
function dealt(
  shared: readonly Task[],
  children: readonly string[],
  draft: Scooped,
  request: PlanRequest,
): Map<string, Map<string, number>> {
  const at = new Map(children.map((id, i) => [id, i]))
  const people = new Map(draft.people.map((p) => [p.id, p]))
  const once = onceCounts(draft.tasks)
  const ahead = children.map((id) => people.get(id)?.turnsOverShare ?? 0)
  const base = children.map((id) => once.get(id) ?? 0)
  const tasks = shared.map((task): DealTask => {
    const list = able(task)
    const pins = pinned(task, request)
    for (const pin of pins) base[at.get(pin) ?? 0] = (base[at.get(pin) ?? 0] ?? 0) + 1
    const overseen =
      techniqueFor(task.technique, request.rules.techniques)?.supervision.find((s) => s.code === 'B')
        ?.below ?? 0
    const fits = list.map((id) => {
      const person = people.get(id)
      const beside = task.forms.some((f) => f.supervision === 'B' && f.children.includes(id))
      return fitOf(person?.skills?.[task.technique], beside, (person?.age ?? 0) - overseen)
    })
    return {
      n: task.n - pins.length,
      el: list.map((id) => at.get(id) ?? 0),
      cap: Math.ceil(task.n / list.length),
      cost: fits.map((f, j) => {
        const last = people.get(list[j] ?? '')?.lastDone?.[task.technique]
        const ofWeek = request.rules.week?.includes(task.technique) ?? false
        return turnCost(f, last, request.session.date, ofWeek)
      }),
      easy: fits.map((f) => f.easy),
    }
  })
  const answer = assignTurns({ base, ahead, tasks })
  return new Map(
    shared.map((task, t) => {
      const mine = new Map<string, number>(able(task).map((id) => [id, 0]))
      for (const pin of pinned(task, request)) mine.set(pin, 1)
      if ('places' in answer)
        able(task).forEach((id, j) => mine.set(id, (mine.get(id) ?? 0) + (answer.places[t]?.[j] ?? 0)))
      return [task.id, mine]
    }),
  )
}

/** The children of one task's turns, in order. Pinned children come first. */
function inOrder(
  task: Task,
  counts: ReadonlyMap<string, number>,
  pins: readonly string[],
  last: ReadonlyMap<string, number>,
  round: number,
): string[] {
  const list = able(task)
  const left = new Map(counts)
  const order: string[] = []
  const waited = new Map(list.map((id) => [id, last.get(id) ?? -1]))
  const give = (id: string): void => {
    left.set(id, (left.get(id) ?? 0) - 1)
    waited.set(id, 1e9 + order.length)
    order.push(id)
  }
  const seats = new Map(list.map((id, i) => [id, (i - round + list.length * (task.n + round)) % list.length]))
  const before = (a: string, b: string): number =>
    (left.get(b) ?? 0) - (left.get(a) ?? 0) ||
    (waited.get(a) ?? 0) - (waited.get(b) ?? 0) ||
    (seats.get(a) ?? 0) - (seats.get(b) ?? 0)
  for (const pin of pins) give(pin)
  while (order.length < task.n) {
    let next: string | undefined
    for (const id of list)
      if ((left.get(id) ?? 0) > 0 && (next === undefined || before(id, next) < 0)) next = id
    if (next === undefined) break
    give(next)
  }
  return order
}

/** A turn pinned to its number changes places with whoever would have had it. */
function placed(task: Task, order: string[], { decisions }: PlanRequest): string[] {
  const out = [...order]
  for (const d of decisions) {
    if (d.kind !== 'pin' || d.task !== task.id || d.number == null) continue
    const to = Math.min(d.number, out.length) - 1
    const from = out.indexOf(d.child)
    const other = out[to]
    if (from < 0 || other === undefined || other === d.child) continue
    out[from] = other
    out[to] = d.child
  }
  return out
}

/** @param scoop which one of its amount it is, from 0 */
function turnOf(task: Task, index: number, child: string, scoop = index): Turn {
  const measure = task.measured && scoopsOf(task.measured)[scoop]?.measure
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

const span = (counts: readonly number[]): string => {
  const [least, most] = [Math.min(...counts), Math.max(...counts)]
  return least === most ? `${least}` : `${least} or ${most}`
}

function evenness(draft: Scooped, total: ReadonlyMap<string, number>): Finding[] {
  const counts = [...total.values()]
  const once = onceCounts(draft.tasks)
  const all = [...total].map(([id, n]) => n + (once.get(id) ?? 0))
  const least = Math.min(...counts)
  const most = Math.max(...counts)
  if (counts.length < 2) return []
  const before = new Set(draft.people.map((p) => p.turnsOverShare ?? 0))
  const overWeeks =
    before.size > 1 && Math.max(...all) > Math.min(...all)
      ? ' Extra turns go to children who had fewer last time, as far as the jobs allow.'
      : ''
  const short = [...total].filter(([, n]) => n < most - 1).map(([id]) => id)
  const reasons = short.map((id) => {
    const whys = [
      ...new Set(draft.tasks.flatMap((t) => t.barred.filter((b) => b.child === id).map((b) => b.why))),
    ]
    return `${nameToken(id)} has ${total.get(id) ?? 0}${whys.length > 0 ? ` (${whys.slice(0, 2).join('; ')})` : ''}`
  })
  // Where there is nothing to take turns at, there is nothing to say of it.
  if (most === 0) return []
  return [
    finding({
      rule: 'even-turns',
      pass: 'turns',
      grade: 'know',
      subject: { tool: 'turns' },
      touches: short.map((child) => ({ child, about: 'turns' })),
      says: `${
        most - least <= 1
          ? `Turns come out even: ${span(counts)} for every child.`
          : Math.max(...all) - Math.min(...all) <= 1
            ? `Turns and own jobs together come out even: ${span(all)} for every child. Who sits out of one job has a turn more in another.`
            : `Turns run from ${least} to ${most}. ${reasons.join('. ')}.`
      }${overWeeks}`,
      because: 'No fairer dealing is possible: what each child does alone is counted in.',
      source: 'computed',
      fixes: [],
      dependsOn: [...total, ...(overWeeks ? draft.people.map((p) => [p.id, p.turnsOverShare ?? 0]) : [])],
    }),
  ]
}
