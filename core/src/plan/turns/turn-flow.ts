/**
 * Dealing turns and places to children: equal today first, then over the weeks, then fit. An exact min-cost flow with convex costs.
 *
 * Definition. y[t,i] places of task t to child i; sum_i y[t,i] = n[t]; 0 <= y[t,i] <= cap[t], and 0 for a child who is not
 * eligible. Minimise in order (1) sum_i (base[i] + sum_t y[t,i])^2, (2) sum_i ahead[i] * sum_t y[t,i]: where it does not come out
 * even, the one more goes to who had fewer before, (3) sum cost[t,i]*y[t,i] + sum_i (easy places of i)^2.
 * Network: source -> task -> (the easy node of a child, where it is easy for it) -> child -> sink; the squares are unit arcs of
 * cost 2k+1, which the flow fills from the cheapest on. The sum of squares over such a base is least majorised: the one flow
 * minimises the largest load, the spread and the variance together, and maximises the smallest load. With the squares at their
 * least, (2) is the sum of squares of the loads over all weeks.
 * Source: scheduling.md (b); successive shortest paths with potentials is textbook (Ahuja, Magnanti, Orlin, Network Flows).
 */
import { countText } from '../../amount/show'

export interface DealTask {
  /** Places to give out. */
  n: number
  /** Eligible children, by index. */
  el: readonly number[]
  /** Most places for one child. */
  cap: number
  /** Fit of each eligible child: smaller is better. */
  cost: readonly number[]
  /** 1 where it is below that child's level. */
  easy: readonly (0 | 1)[]
}
export interface DealProblem {
  /** What each child does anyway. */
  base: readonly number[]
  /** Places that each child had more than an even share before; whole numbers, below 0 where it had fewer. All 0 where it is not said. */
  ahead?: readonly number[]
  tasks: readonly DealTask[]
}
export type Assignment =
  | { places: number[][]; sumsq: number; spread: number; owed: number; cost: number }
  | { infeasible: { task: number; says: string } }

interface Arc {
  to: number
  cap: number
  cost: number
  /** Its reverse in the arcs of `to`. */
  back: number
}

/** @returns the optimum; where one task cannot give all its places out, which and why */
export function assignTurns(problem: DealProblem): Assignment {
  const { base, ahead, tasks } = problem
  const short = tasks.findIndex((t) => t.n > t.cap * t.el.length)
  if (short >= 0) return { infeasible: { task: short, says: tooMany(tasks[short] as DealTask) } }
  const children = base.length
  const places = tasks.reduce((sum, t) => sum + t.n, 0)
  const most = tasks.reduce((m, t) => t.cost.reduce((x, c) => Math.max(x, Math.abs(c)), m), 1)
  // Each more than the goals behind it can ever make up for.
  const late = 2 * (places * (2 * most + 1) + places * places) + 1
  const least = Math.min(0, ...(ahead ?? []))
  const over = base.map((_, i) => (ahead?.[i] ?? 0) - least)
  const weight = late * (places * Math.max(0, ...over) + 1)
  const [source, sink] = [0, 1]
  const task = (t: number): number => 2 + t
  const child = (i: number): number => 2 + tasks.length + i
  const easy = (i: number): number => 2 + tasks.length + children + i
  const graph: Arc[][] = Array.from({ length: 2 + tasks.length + 2 * children }, () => [])
  const link = (from: number, to: number, cap: number, cost: number): Arc => {
    const arc: Arc = { to, cap, cost, back: (graph[to] as Arc[]).length }
    ;(graph[to] as Arc[]).push({ to: from, cap: 0, cost: -cost, back: (graph[from] as Arc[]).length })
    ;(graph[from] as Arc[]).push(arc)
    return arc
  }
  const taken = tasks.map((t, at) => {
    link(source, task(at), t.n, 0)
    // No cost may be below 0 where paths are sought: every place costs the same more.
    return t.el.map((i, j) =>
      link(task(at), t.easy[j] === 1 ? easy(i) : child(i), Math.min(t.cap, t.n), (t.cost[j] ?? 0) + most),
    )
  })
  const reach = base.map((_, i) =>
    tasks.reduce((n, t) => n + (t.el.includes(i) ? Math.min(t.cap, t.n) : 0), 0),
  )
  base.forEach((b, i) => {
    for (let k = 0; k < (reach[i] ?? 0); k++)
      link(child(i), sink, 1, weight * (2 * (b + k) + 1) + late * (over[i] ?? 0))
    const easyReach = tasks.reduce(
      (n, t) => n + (t.easy[t.el.indexOf(i)] === 1 ? Math.min(t.cap, t.n) : 0),
      0,
    )
    for (let k = 0; k < easyReach; k++) link(easy(i), child(i), 1, 2 * k + 1)
  })
  fill(graph, source, sink, places)
  const given = taken.map((arcs) => arcs.map((a) => graph[a.to]?.[a.back]?.cap ?? 0))
  return summed(problem, given)
}

const tooMany = (t: DealTask): string =>
  t.el.length === 0
    ? `nobody may take part, and there are ${t.n} places`
    : `${t.n} places, but ${countText(t.el.length, 'child', 'children')} with at most ${t.cap} each`

/** The figures of a dealing, from its places. */
export function summed(
  { base, ahead, tasks }: DealProblem,
  places: number[][],
): Extract<Assignment, { places: unknown }> {
  const loads = [...base]
  const easy = base.map(() => 0)
  let cost = 0
  tasks.forEach((t, at) =>
    t.el.forEach((i, j) => {
      const n = places[at]?.[j] ?? 0
      loads[i] = (loads[i] ?? 0) + n
      if (t.easy[j] === 1) easy[i] = (easy[i] ?? 0) + n
      cost += n * (t.cost[j] ?? 0)
    }),
  )
  return {
    places,
    sumsq: loads.reduce((sum, l) => sum + l * l, 0),
    owed: loads.reduce((sum, l, i) => sum + (ahead?.[i] ?? 0) * (l - (base[i] ?? 0)), 0),
    spread: loads.length === 0 ? 0 : Math.max(...loads) - Math.min(...loads),
    cost: cost + easy.reduce((sum, e) => sum + e * e, 0),
  }
}

/**
 * Primal-dual: Dijkstra on reduced costs, then as much as goes along the arcs that have become free of cost, again and again until
 * all places are given. Costs are whole numbers, so that free is exactly 0.
 */
function fill(graph: Arc[][], source: number, sink: number, amount: number): void {
  const potential = new Float64Array(graph.length)
  for (let left = amount; left > 0;) {
    const distance = shortest(graph, source, potential)
    if (distance[sink] === Infinity) return
    for (let v = 0; v < graph.length; v++) {
      // Nodes that cannot be reached keep their place behind all that can.
      potential[v] = (potential[v] as number) + Math.min(distance[v] as number, distance[sink] as number)
    }
    for (let pushed = -1; pushed !== 0; left -= pushed)
      pushed = push(graph, source, sink, left, potential, new Uint8Array(graph.length))
  }
}

/** One path of free arcs from v to the sink; @returns how much went along it */
function push(
  graph: Arc[][],
  v: number,
  sink: number,
  most: number,
  potential: Float64Array,
  seen: Uint8Array,
): number {
  if (v === sink || most === 0) return most
  seen[v] = 1
  for (const arc of graph[v] as Arc[]) {
    if (arc.cap <= 0 || seen[arc.to]) continue
    if (arc.cost + (potential[v] as number) - (potential[arc.to] as number) !== 0) continue
    const went = push(graph, arc.to, sink, Math.min(most, arc.cap), potential, seen)
    if (went === 0) continue
    arc.cap -= went
    ;(graph[arc.to]?.[arc.back] as Arc).cap += went
    return went
  }
  return 0
}

/** The distance of every node by reduced costs. */
function shortest(graph: Arc[][], source: number, potential: Float64Array): Float64Array {
  const size = graph.length
  const distance = new Float64Array(size).fill(Infinity)
  const done = new Uint8Array(size)
  distance[source] = 0
  for (;;) {
    // Some hundred nodes: the plain search for the nearest is as quick as a heap, and its ties are by number.
    let at = -1
    for (let v = 0; v < size; v++)
      if (
        !done[v] &&
        distance[v] !== Infinity &&
        (at < 0 || (distance[v] as number) < (distance[at] as number))
      )
        at = v
    if (at < 0) return distance
    done[at] = 1
    for (const a of graph[at] as Arc[]) {
      if (a.cap <= 0 || done[a.to]) continue
      const next = (distance[at] as number) + a.cost + (potential[at] as number) - (potential[a.to] as number)
      if (next < (distance[a.to] as number)) distance[a.to] = next
    }
  }
}
