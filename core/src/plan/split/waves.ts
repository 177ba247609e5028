import { countOf, ownTools, sharedTools } from '../../craft/tools'
import type { PlanRequest } from '../model/request'
import type { Task, TaskForm } from '../model/task'

/** One adult's eyes, in shares that every group size up to eight divides. */
export const ADULT_SHARES = 840

/** Places at the sink where nobody said how many. Source: common practice. */
export const SINK_PLACES = 2

type Kitchen = Pick<PlanRequest, 'kit' | 'adults'>

/** How many there are of a tool; no limit where the setting did not say. */
export const toolCount = (tool: string, { kit }: Pick<Kitchen, 'kit'>): number =>
  tool === '' ? Infinity : countOf(tool, kit.tools)

/** Children at it at once by the strictest form, the sink and the scarcest tool: what a station holds. */
export const reach = (task: Task, kitchen: Kitchen): number =>
  Math.max(
    1,
    Math.min(
      task.n,
      task.place === 'sink' ? (kitchen.kit.sinkPlaces ?? SINK_PLACES) : Infinity,
      ...task.forms.map((f) => Math.min(f.perAdult, ...ownTools(f).map((t) => toolCount(t, kitchen)))),
    ),
  )

interface Wave {
  children: string[]
  tools: Map<string, number>
  /** Shares of the eyes of the adult beside, and of the adults' eyes for all others. */
  beside: number
  share: number
}

/** The children of an EACH task in waves: everyone in the first one that has a place, a tool and eyes left. */
export function wavesOf(task: Task, kitchen: Kitchen): string[][] {
  if (task.passes) return task.passes.order.map((child) => [child])
  const waves: Wave[] = []
  const size = Math.min(
    task.place === 'sink' ? (kitchen.kit.sinkPlaces ?? SINK_PLACES) : Infinity,
    task.portion?.atOnce ?? Infinity,
    task.joins === undefined ? Infinity : measuresAtOnce(task, kitchen),
  )
  const adults = Math.max(1, kitchen.adults.length)
  // At heat and blades the adult of the task stands beside all of them.
  const isBeside = (form: TaskForm): boolean => task.hazard !== undefined || form.supervision === 'B'
  for (const form of task.forms) {
    const own = ownTools(form).map((tool) => ({ tool, limit: Math.max(1, toolCount(tool, kitchen)) }))
    const share = Math.ceil(ADULT_SHARES / form.perAdult)
    const beside = isBeside(form)
    const takes = (w: Wave): boolean =>
      w.children.length < size &&
      own.every(({ tool, limit }) => (w.tools.get(tool) ?? 0) < limit) &&
      (beside
        ? w.beside + share <= ADULT_SHARES && w.share <= (adults - 1) * ADULT_SHARES
        : w.share + share <= (adults - (w.beside > 0 ? 1 : 0)) * ADULT_SHARES)
    for (const child of form.children) {
      let wave = waves.find(takes)
      if (!wave) {
        wave = { children: [], tools: new Map(), beside: 0, share: 0 }
        waves.push(wave)
      }
      wave.children.push(child)
      for (const { tool } of own) wave.tools.set(tool, (wave.tools.get(tool) ?? 0) + 1)
      if (beside) wave.beside += share
      else wave.share += share
    }
  }
  return waves.map((w) => w.children)
}

/** The children of the same job at several bowls, in the waves that all of them go in. @param tasks one or more, in their order */
export const sharedWaves = (tasks: readonly Task[], kitchen: Kitchen): string[][] => {
  const one = asOne(tasks)
  return one ? wavesOf(one, kitchen) : []
}

/** One job at several bowls as if it were one task; it has the name by which they are joined. */
export function asOne(tasks: readonly Task[]): Task | undefined {
  const [first] = tasks
  return (
    first && {
      ...first,
      id: first.joins ?? first.id,
      forms: tasks.flatMap((t) => t.forms),
      n: tasks.reduce((n, t) => n + t.n, 0),
    }
  )
}

/** Of each job that everybody does once: by which name its waves go, and who is in which. Joined bowls have the same. */
export function wavesByTask(
  tasks: readonly Task[],
  kitchen: Kitchen,
): Map<string, { id: string; waves: string[][] }> {
  const all = new Map<string, { id: string; waves: string[][] }>()
  for (const task of tasks) {
    if (task.mode !== 'EACH' || all.has(task.id)) continue
    const joined = joinedWith(task, tasks)
    const waves = sharedWaves(joined, kitchen)
    for (const t of joined) all.set(t.id, { id: task.joins ?? task.id, waves })
  }
  return all
}

/** The tasks that go in the same waves as this one, itself among them. */
export const joinedWith = (task: Task, tasks: readonly Task[]): Task[] =>
  task.joins === undefined ? [task] : tasks.filter((t) => t.mode === 'EACH' && t.joins === task.joins)

/** Tools that are counted, and how many of each the children of a wave hold; in shared turns one at a time. */
export function toolsHeld(task: Task, children: readonly string[], kitchen: Kitchen): Map<string, number> {
  const held = new Map<string, number>()
  const own = new Map<string, number[]>()
  for (const form of task.forms) {
    const n = form.children.filter((c) => children.includes(c)).length
    const together = task.mode === 'TURNS' ? Math.min(1, n) : n
    for (const tool of ownTools(form)) own.set(tool, [...(own.get(tool) ?? []), together])
    for (const tool of sharedTools(form)) own.set(tool, [Math.min(1, n)])
  }
  for (const [tool, counts] of own) {
    if (toolCount(tool, kitchen) === Infinity) continue
    // Forms of one job are held at the same time; in turns one child has it.
    const n = task.mode === 'TURNS' ? Math.max(...counts) : counts.reduce((a, b) => a + b, 0)
    if (n > 0) held.set(tool, n)
  }
  return held
}

/** How many there are of a measure; one at least, since it is measured with. */
export const measureCount = (id: string, { kit }: Pick<Kitchen, 'kit'>): number =>
  Math.max(1, kit.measures.find((m) => m.id === id)?.count ?? 1)

/** So many children can measure at once, by the measure of which there are fewest. */
const measuresAtOnce = ({ measured }: Task, kitchen: Kitchen): number =>
  measured?.by === 'scoop'
    ? Math.min(...measured.parts.map((p) => measureCount(p.measure, kitchen)))
    : Infinity

/** The measures that the children of a wave, or who has the turn, hold. */
export function measuresHeld(task: Task, children: readonly string[], kitchen: Kitchen): Map<string, number> {
  const { measured } = task
  if (measured?.by !== 'scoop') return new Map()
  const hands = task.mode === 'EACH' ? children.length : 1
  return new Map(
    measured.parts.map((p) => [p.measure, Math.min(Math.max(1, hands), measureCount(p.measure, kitchen))]),
  )
}
