/**
 * What an adult shows before the turns begin: a technique that nobody at the table has done before, as far as the record knows. The
 * whole table looks on; it takes its seconds on the clock. Source: common practice (show, do together, let do), from memory.
 */
import { techniqueFor } from '../../craft/setting-techniques'
import type { RecipeStep } from '../../recipe/recipe'
import type { Bowl } from '../model/line'
import type { PlanRequest } from '../model/request'
import type { Task } from '../model/task'
import { adultFor, cannotSupervise } from './adult-for'

/** @returns the tasks with a showing in every bowl at the beginning of the step in which a new technique comes first */
export function withShowings(
  tasks: readonly Task[],
  steps: readonly RecipeStep[],
  bowls: readonly Bowl[],
  request: PlanRequest,
): Task[] {
  const known = new Set(
    request.children.flatMap((c) => [...Object.keys(c.skills ?? {}), ...Object.keys(c.lastDone ?? {})]),
  )
  const shown = new Map(
    steps.map((step) => {
      const own = tasks.filter((t) => t.step === step.id && t.forms.length > 0)
      const fresh = [...new Set(own.map((t) => t.technique))].filter((id) => !known.has(id))
      for (const id of fresh) known.add(id)
      return [step.id, fresh.flatMap((id) => showing(id, step, bowls[0]?.id ?? '', request) ?? [])] as const
    }),
  )
  return bowls.flatMap((bowl) =>
    steps.flatMap((step) => [
      ...(shown.get(step.id) ?? []).map((s): Task => ({ ...s, id: `${bowl.id}/${s.id}`, bowl: bowl.id })),
      ...tasks.filter((t) => t.bowl === bowl.id && t.step === step.id),
    ]),
  )
}

/** None where the technique is soon understood, or where nobody here may lead it: then a finding stops the plan. */
function showing(id: string, step: RecipeStep, bowl: string, request: PlanRequest): Task | null {
  const technique = techniqueFor(id, request.rules.techniques)
  const own = `${bowl}/${step.id}/show-${id}`
  const chosen = request.decisions.find((d) => d.kind === 'stands' && d.task === own)
  const asked = request.adults.find((a) => chosen?.kind === 'stands' && a.id === chosen.adult)
  const able = technique && asked && cannotSupervise(technique, asked) === null
  const adult = able ? asked.id : technique && adultFor(technique, 0, request)
  if (!technique?.showSeconds || adult === undefined) return null
  return {
    id: `${step.id}/show-${id}`,
    step: step.id,
    bowl: '',
    technique: 'show',
    name: `show: ${technique.name}`,
    uses: [],
    handles: [],
    forms: [],
    barred: [],
    mode: 'ADULT',
    n: 1,
    seconds: technique.showSeconds,
    place: 'table',
    adult,
    shows: id,
  }
}
