/**
 * Stations side by side: the children of a bowl in small groups of mixed ages, each group one station further with each round, so
 * that everybody comes to every station once and nobody is at two. Every station that needs an adult has one of its own; where
 * there are not so many, the stations become jobs one after another, and it is said.
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
  const groups = groupsFor(stations, bowl, people, request)
  const set = new Map(
    stations.map((task, s): [string, Task] => {
      const able = new Set(task.forms.flatMap((f) => f.children))
      const rounds = groups.map((_, r) =>
        (groups[(r - s + groups.length) % groups.length] ?? []).filter((c) => able.has(c)),
      )
      const own = adults[guarded.indexOf(task)]
      const alone: Task = { ...task, rounds }
      if (own === undefined) delete alone.adult
      return [task.id, own === undefined ? alone : { ...alone, adult: own }]
    }),
  )
  return { tasks: tasks.map((t) => set.get(t.id) ?? t), findings: [] }
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
