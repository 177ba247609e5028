/**
 * Stations side by side: the children of a bowl in small groups of mixed ages, each group one station further with each round, so
 * that everybody comes to every station once and nobody is at two; or each child stays at one of them. Every station that needs an adult has
 * one of its own; where there are not so many, the stations become jobs one after another, and it is said. Who stands at the blades has the
 * blunt work beside them within reach, where they are few.
 */
import { countText } from '../../amount/show'
import { techniqueFor } from '../../craft/setting-techniques'
import type { RecipeStep } from '../../recipe/recipe'
import { adultsApart, adultsOnTasks } from './adult-for'
import type { DraftChild } from '../model/draft'
import { finding, type Finding } from '../model/finding'
import type { PlanRequest } from '../model/request'
import { reach } from './waves'
import { leadFor } from '../model/lead'
import type { Bowl } from '../model/line'
import { isBlunt, WITHIN_REACH } from '../model/task-kinds'
import type { Task } from '../model/task'

export interface Stations {
  tasks: Task[]
  findings: Finding[]
}

export function setStations(
  step: RecipeStep,
  tasks: readonly Task[],
  bowl: Bowl,
  people: readonly DraftChild[],
  request: PlanRequest,
): Stations {
  const stations = tasks.filter((t) => t.mode === 'STATION' && t.n > 0)
  if (stations.length === 0) return { tasks: [...tasks], findings: [] }
  const guarded = stations.filter((t) => t.hazard !== undefined || t.forms.some((f) => f.supervision === 'B'))
  const adults = adultsApart(
    guarded.map((t) => leadFor(techniqueFor(t.technique) ?? {})),
    adultsOnTasks(request),
  )
  if (stations.length < 2 || adults === null)
    return {
      tasks: tasks.map((t) => (t.mode === 'STATION' ? { ...t, mode: 'EACH' } : t)),
      findings: stations.length < 2 ? [] : [tooFewAdults(step, guarded.length, request)],
    }
  const plan = step.stay
    ? stayingAt(stations, bowl, people, request)
    : movingOn(stations, groupsFor(stations, bowl, people, request))
  const set = new Map(
    stations.map((task, s): [string, Task] => {
      const rounds = plan[s] ?? []
      const own = adults[guarded.indexOf(task)]
      const alone: Task = { ...task, rounds, ...(step.stay && { n: rounds.flat().length }) }
      if (own === undefined) delete alone.adult
      return [task.id, own === undefined ? alone : { ...alone, adult: own }]
    }),
  )
  const beside = stations.some((t) => t.hazard === 'blade') && stations.some(isBlunt)
  return {
    tasks: tasks.map((t) => set.get(t.id) ?? t),
    findings: beside && bowl.children.length <= WITHIN_REACH ? [inReach(step, bowl)] : [],
  }
}

const inReach = (step: RecipeStep, bowl: Bowl): Finding =>
  finding({
    rule: 'stations',
    pass: 'split',
    grade: 'know',
    subject: { step: step.id },
    touches: [],
    says: `${step.title}: who stands at the blades sits so that all ${bowl.children.length} children are within reach.`,
    because: 'Then the blunt work beside it needs no adult of its own. At heat it does.',
    source: 'common practice (supervision by technique), from memory',
    fixes: [],
    dependsOn: [bowl.children.length],
  })

/** By station and round: each group one station further with each round. */
const movingOn = (stations: readonly Task[], groups: readonly string[][]): string[][][] =>
  stations.map((task, s) => {
    const able = ableAt(task)
    return groups.map((_, r) =>
      (groups[(r - s + groups.length) % groups.length] ?? []).filter((c) => able.has(c)),
    )
  })
const ableAt = (task: Task): ReadonlySet<string> => new Set(task.forms.flatMap((f) => f.children))

/**
 * By station and round: each child at one. Those who may do least choose first; then the station with fewest, then the job that the child had
 * longest ago, and the older child at the job that asks more.
 */
function stayingAt(
  stations: readonly Task[],
  bowl: Bowl,
  people: readonly DraftChild[],
  request: PlanRequest,
): string[][][] {
  const crew = people.filter((p) => bowl.children.includes(p.id))
  const may = (p: DraftChild): number[] => stations.flatMap((t, s) => (ableAt(t).has(p.id) ? [s] : []))
  const at: string[][] = stations.map(() => [])
  const size = (s: number): number => at[s]?.length ?? 0
  const last = (p: DraftChild, s: number): string => p.lastDone?.[stations[s]?.technique ?? ''] ?? ''
  const guarded = (s: number): number => (stations[s]?.hazard === undefined ? 1 : 0)
  for (const p of [...crew].sort((a, b) => may(a).length - may(b).length || b.age - a.age)) {
    const [best] = may(p).sort(
      (a, b) =>
        size(a) - size(b) ||
        (last(p, a) < last(p, b) ? -1 : 1) * Number(last(p, a) !== last(p, b)) ||
        guarded(a) - guarded(b),
    )
    if (best !== undefined) at[best]?.push(p.id)
  }
  const rounds = Math.max(1, ...stations.map((t, s) => Math.ceil(size(s) / reach(t, request))))
  return stations.map((t, s) => {
    const most = Math.max(1, Math.ceil(size(s) / rounds))
    return Array.from({ length: rounds }, (_, r) => (at[s] ?? []).slice(r * most, (r + 1) * most))
  })
}

/** As many groups as stations, or more where a station holds fewer children; ages mixed: oldest and youngest together. */
function groupsFor(
  stations: readonly Task[],
  bowl: Bowl,
  people: readonly DraftChild[],
  request: PlanRequest,
): string[][] {
  const crew = people.filter((p) => bowl.children.includes(p.id)).sort((a, b) => b.age - a.age)
  const most = Math.min(...stations.map((t) => reach(t, request)))
  const count = Math.max(stations.length, Math.ceil(crew.length / most))
  const groups: string[][] = Array.from({ length: count }, () => [])
  crew.forEach((child, i) => {
    const at = i % count
    const back = Math.floor(i / count) % 2 === 1
    groups[back ? count - 1 - at : at]?.push(child.id)
  })
  return groups
}

const tooFewAdults = (step: RecipeStep, needed: number, request: PlanRequest): Finding =>
  finding({
    rule: 'stations',
    pass: 'split',
    grade: 'know',
    subject: { step: step.id },
    touches: [],
    says: `${step.title}: ${needed} stations need an adult each; one after another instead.`,
    because: `${countText(request.adults.length, 'adult is', 'adults are')} here, and blades or heat want one who leads them.`,
    source: 'common practice (supervision by technique), from memory',
    fixes: [{ label: 'Choose another adult', cost: 'one more', action: { do: 'add-adult' } }],
    dependsOn: [needed, request.adults],
  })
