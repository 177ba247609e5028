/**
 * A half term of sessions laid out at least cost (term-cost.ts).
 *
 * Search: the cheapest first, then the best single change (another recipe, two days exchanged) until none helps; then two days at a
 * time are thrown over and it is tried again. By counting, never by the clock, so that the same shelf gives the same term. Tests compare
 * it with trying everything.
 */
import { seeded } from '../plan/clock/schedule/random'
import { Term, type TermDay, type TermPlan, type TermProblem, type Why } from './term-cost'

const STARTS = 3
const ROUNDS = 60
/** Times that two days are thrown over. */
const KICKS = 12

/** @returns the term; days without any recipe to choose from stay empty */
export function layTerm(problem: TermProblem, nameOf: (technique: string) => string = (t) => t): TermPlan {
  const term = new Term(problem)
  const ids = [...problem.recipes]
    .sort((a, b) => a.place - b.place || (a.id < b.id ? -1 : 1))
    .map((r) => r.id)
  let best: string[] = []
  let least = Infinity
  for (let start = 0; start < STARTS; start++) {
    const found = improved(term, problem, ids, begin(term, problem, ids, start))
    const cost = term.cost(found)
    if (cost < least) [best, least] = [found, cost]
  }
  const random = seeded(ids.length + problem.days.length)
  for (let kick = 0; kick < KICKS && ids.length > 1; kick++) {
    const found = improved(term, problem, ids, thrown(best, problem.days, ids, random))
    const cost = term.cost(found)
    if (cost < least) [best, least] = [found, cost]
  }
  return {
    days: problem.days.map((d, i) => ({
      date: d.date,
      recipe: best[i] ?? '',
      pinned: d.pinned !== undefined,
      why: reasons(term.why(best, i), nameOf),
    })),
    cost: least === Infinity ? 0 : least,
    missing: term.missing(best),
  }
}

/** Day by day the cheapest, from the front, the back or the middle outwards; later starts begin with another recipe. */
function begin(term: Term, { days }: TermProblem, ids: readonly string[], start: number): string[] {
  const choice = days.map((d) => d.pinned ?? '')
  const order = days.map((_, i) => (i + start) % Math.max(1, days.length))
  order.forEach((i, k) => {
    if (choice[i] !== '' || ids.length === 0) return
    if (k === 0 && start > 0) choice[i] = ids[(start * 3) % ids.length] ?? ''
    else choice[i] = cheapest(ids, (id) => term.cost(replaced(choice, i, id)))
  })
  return choice
}

function thrown(
  choice: readonly string[],
  days: readonly TermDay[],
  ids: readonly string[],
  random: () => number,
): string[] {
  const next = [...choice]
  const free = days.flatMap((d, i) => (d.pinned === undefined ? [i] : []))
  for (let n = 0; n < 2 && free.length > 0; n++)
    next[free[Math.floor(random() * free.length)] ?? 0] = ids[Math.floor(random() * ids.length)] ?? ''
  return next
}

function improved(term: Term, { days }: TermProblem, ids: readonly string[], from: string[]): string[] {
  let now = from
  let cost = term.cost(now)
  const free = days.flatMap((d, i) => (d.pinned === undefined ? [i] : []))
  for (let round = 0; round < ROUNDS; round++) {
    let next = null as string[] | null
    let least = cost
    const offer = (c: string[]): void => {
      const sum = term.cost(c)
      if (sum < least) [next, least] = [c, sum]
    }
    for (const i of free) for (const id of ids) if (id !== now[i]) offer(replaced(now, i, id))
    free.forEach((i, k) => {
      for (const j of free.slice(k + 1)) offer(replaced(replaced(now, i, now[j] ?? ''), j, now[i] ?? ''))
    })
    if (next === null) return now
    now = next
    cost = least
  }
  return now
}

const replaced = (choice: readonly string[], at: number, id: string): string[] =>
  choice.map((c, i) => (i === at ? id : c))
function cheapest(ids: readonly string[], cost: (id: string) => number): string {
  let best = ids[0] ?? ''
  let least = Infinity
  for (const id of ids) {
    const sum = cost(id)
    if (sum < least) [best, least] = [id, sum]
  }
  return best
}

function reasons(why: Why, nameOf: (t: string) => string): string[] {
  const list: string[] = []
  if (why.fresh.length > 0) list.push(`new: ${why.fresh.map(nameOf).join(', ')}`)
  const back = why.back.sort((a, b) => b.days - a.days).slice(0, 3)
  if (back.length > 0)
    list.push(`comes back: ${back.map((b) => `${nameOf(b.technique)} after ${b.days} days`).join(', ')}`)
  if (why.season) list.push(why.season)
  return list
}

/** The sum of a given choice: for showing what an exchange by hand costs. */
export const termCost = (problem: TermProblem, choice: readonly string[]): number =>
  new Term(problem).cost(choice)
