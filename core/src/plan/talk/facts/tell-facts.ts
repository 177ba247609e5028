/** What there is to talk of in each piece of work of a step: the work, its sort, the food that is in the hand, the wait. */
import { aboutWork } from '../../../learn/line/about'
import { foodCardOf } from '../../../learn/line/food-card'
import { storyOf } from '../../../learn/line/stories'
import type { RecipeStep } from '../../../recipe/recipe'
import type { Gathered } from '../../model/draft'
import type { Bowl, PlanLine } from '../../model/line'
import type { Task } from '../../model/task'
import type { StepFact } from './step-fact'
import { foodInHand, spokenName } from './in-hand'
import { foodsBy, waitKind } from './wait-kind'

export function tellFacts(step: RecipeStep, own: readonly Task[], bowl: Bowl, draft: Gathered): StepFact[] {
  const seen = new Set<string>()
  const list = own.flatMap((task): StepFact[] => {
    const line = foodInHand(task, bowl)
    const id = `tell:${task.mode === 'WAIT' ? 'wait-' : ''}${task.technique}${line ? `:${line.id}` : ''}`
    if (seen.has(id)) return []
    seen.add(id)
    const about = questionKeys(task, line, foodsBy(draft, step), draft.recipe.title)
    const food =
      line ??
      (task.technique === 'taste'
        ? tasted(bowl)
        : bowl.lines.find((l) => step.uses.some((u) => u.line === l.line)))
    return [
      {
        id,
        fact: { kind: 'tell', about, food: food ? spokenName(food) : '', ...(food && { foodId: food.food }) },
        task: task.id,
      },
    ]
  })
  return step === draft.recipe.steps[0] ? [...readFact(draft, bowl), ...list] : list
}

/** What one can find by taste: a herb, a fruit, a cheese; not flour, oil or soda. */
export const tasted = (bowl: Pick<Bowl, 'lines'>): PlanLine | undefined =>
  bowl.lines.find((l) => foodCardOf(l.food)?.tasted === true)

/** Keys of the questions of a task. */
function questionKeys(
  task: Task,
  line: PlanLine | undefined,
  foods: readonly string[],
  title: string,
): string[] {
  if (task.mode === 'WAIT')
    return [`wait-${waitKind(task, foods)}`, 'wait-feel', ...(storyOf(title) ? ['wait-story'] : [])]
  // A showing is watched; of other work of an adult it can be asked why it is one's.
  if (task.mode === 'ADULT') return task.shows === undefined ? ['topic-adult'] : []
  const { technique } = task
  return [
    ...aboutWork(technique),
    ...(line ? ['food'] : []),
    ...(technique === 'wash-hands' ? [] : ['topic-older']),
  ]
}

/** The recipe is read together before anything is done. */
function readFact({ recipe, people }: Gathered, bowl: Bowl): StepFact[] {
  return [
    {
      id: 'tell:read',
      fact: {
        kind: 'tell',
        about: ['read-start'],
        food: bowl.lines[0]?.name ?? 'food',
        title: recipe.title,
        serves: String(recipe.serves),
        people: String(people.length),
      },
    },
  ]
}
