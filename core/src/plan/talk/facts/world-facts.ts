/** Time, heat, cost, more or fewer people, votes, and what comes before and after. */
import { isOvernight } from '../../model/session-recipe/sittings'
import { ratio, toMixed } from '../../../amount/ratio'
import type { RecipeStep } from '../../../recipe/recipe'
import type { Gathered } from '../../model/draft'
import type { Bowl } from '../../model/line'
import type { Task } from '../../model/task'
import { shares } from './made-facts'
import type { StepFact } from './step-fact'
import { clockAt } from './wait-kind'

/** Room warmth that a temperature is compared with, °C (common practice). */
const ROOM_C = 20

export const worldFacts = (
  step: RecipeStep,
  own: readonly Task[],
  bowl: Bowl,
  draft: Gathered,
): StepFact[] => [
  ...timeFacts(step, own, draft),
  ...groupFacts(step, own, bowl, draft),
  ...orderFacts(step, draft),
]

function timeFacts(step: RecipeStep, own: readonly Task[], draft: Gathered): StepFact[] {
  const list: StepFact[] = []
  const wait = own.find((t) => t.mode === 'WAIT')
  if (wait && !isOvernight(wait.seconds)) {
    const start = clockAt(draft, step.id, wait)
    const minutes = Math.max(1, Math.round(wait.seconds / 60))
    list.push({ id: 'timer', fact: { kind: 'timer', minutes, start }, task: wait.id })
  }
  const warm = step.tasks.find((t) => typeof t.celsius === 'number' && t.mode === 'WAIT')
  if (typeof warm?.celsius === 'number')
    list.push({
      id: 'temp',
      fact: { kind: 'temp', value: warm.celsius, unit: 'C', other: ROOM_C },
      ...(wait && { task: wait.id }),
    })
  return list
}

/** The recipe for so many, and us; what it costs. */
function groupFacts(step: RecipeStep, own: readonly Task[], bowl: Bowl, draft: Gathered): StepFact[] {
  const list: StepFact[] = []
  const { recipe, people, cost } = draft
  const first = recipe.steps.find((s) => s.tasks.some((t) => t.measures))
  const line = recipe.lines.find((l) => step.uses.some((u) => u.line === l.id))
  const chosen = bowl.lines.some((l) => l.line === line?.id && l.takers !== undefined)
  const whole =
    !chosen && draft.bowls.length === 1 && ratio(bowl.factor).equals(ratio(people.length).div(recipe.serves))
  if (first?.id === step.id && line && whole && people.length !== recipe.serves)
    list.push({
      id: `scale:${line.id}`,
      fact: {
        kind: 'scale',
        food: bowl.lines.find((l) => l.line === line.id)?.name ?? line.food,
        amount: toMixed(ratio(line.amount)),
        unit: line.unit,
        from: recipe.serves,
        to: people.length,
      },
    })
  if (!shares(own)) return list
  const pence = Math.round(ratio(cost.used).valueOf())
  if (cost.unknown.length === 0 && pence > 0)
    list.push({
      id: 'price',
      fact: {
        kind: 'price',
        cost_pence: String(pence),
        serves: people.length,
        ...(!ratio(cost.used).equals(pence) && { about: true as const }),
      },
    })
  list.push({ id: 'vote', fact: { kind: 'vote', options: { 'more please': 0, 'not today': 0 } } })
  return list
}

/** What comes before and after, of cooking: not of the hand-wash, and not before anything has begun. Asked twice a session at most. */
function orderFacts(step: RecipeStep, draft: Gathered): StepFact[] {
  const steps = draft.recipe.steps.filter((s) => !onlyWashes(s))
  const at = steps.indexOf(step)
  if (at < 0 || step === draft.recipe.steps[0] || steps.length < 2) return []
  return [{ id: 'order', fact: { kind: 'order', steps: steps.map((s) => s.title), i: at + 1 } }]
}
const onlyWashes = (step: RecipeStep): boolean => step.tasks.every((t) => t.technique === 'wash-hands')
