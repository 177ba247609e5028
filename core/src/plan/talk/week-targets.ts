/** Which targets of the week a plan in outline could meet: some fact of some step touches it, for a child who is there for it. */
import { largestNumber } from '../../learn/prompts'
import { suits, targetOf } from '../../learn/targets'
import type { Gathered } from '../model/draft'
import type { PlanRequest } from '../model/request'
import { LADDERS } from '../../learn/fact/saying'
import { Sayings } from './options'
import { factsOf } from './facts/step-facts'
import { localeOf } from '../model/request'

/** Only facts of these kinds have a question that touches the target; what is no fact belongs to the telling. */
const KINDS = new Map<string, Set<string>>()
for (const l of LADDERS) {
  const kind = /^(do|topic|wait|read)-|^food$/.test(l.of) ? 'tell' : l.of === 'aloud' ? 'count' : l.of
  for (const id of l.targets) KINDS.set(id, (KINDS.get(id) ?? new Set()).add(kind))
}

export function weekTargetsIn(draft: Gathered, request: PlanRequest): string[] {
  const week = (request.rules.targets ?? []).filter((id) => {
    const target = targetOf(id)
    return target !== undefined && draft.people.some((p) => suits(target, p.age))
  })
  if (week.length === 0) return []
  const open = new Set(week)
  const sayings = new Sayings(localeOf(request))
  const bowl = draft.bowls[0]
  for (const step of bowl ? draft.recipe.steps : []) {
    if (open.size === 0 || !bowl) break
    for (const { fact } of factsOf(step, draft, bowl, request.kit.measures)) {
      if (![...open].some((id) => KINDS.get(id)?.has(fact.kind)) || largestNumber(fact) > 1000) continue
      for (const { prompt } of sayings.of(fact).all)
        if (draft.people.some((p) => p.age >= prompt.fromMonths && p.age <= prompt.toMonths))
          for (const id of [prompt.target, ...(prompt.also ?? [])]) open.delete(id)
    }
  }
  return week.filter((id) => !open.has(id))
}
