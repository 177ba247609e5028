/** The recipe twice or by half, read together line by line before anything is measured. Common practice; England's Year 2 (doubling and halving), from memory. */
import { capitalised } from '../../amount/letter-case'
import type { TalkLine } from '../../learn/line/line'
import type { Plan } from '../../plan/model/plan'

/** Factors that a child can say. */
const TIMES: Readonly<Record<string, string>> = {
  '2': 'twice as much of everything',
  '3': 'three times as much of everything',
  '1/2': 'half of everything',
}
/** So many lines are said; the others follow from them. */
const LINES = 3
export const SCALING = { id: 'read-scale', from: 66 } as const

/** "We make twice as much of everything. Oats: 1 cup, for us 2 cups. …"; none where the factor has no plain word. */
export function scalingLines(plan: Plan): TalkLine[] {
  const [bowl] = plan.bowls
  const times = bowl && plan.bowls.length === 1 ? TIMES[bowl.factor] : undefined
  if (!bowl || times === undefined) return []
  const becomes = bowl.lines.flatMap((l) =>
    l.swappedFrom === undefined &&
    l.byEye === undefined &&
    l.each === undefined &&
    l.takers === undefined &&
    l.recipeText !== '' &&
    l.recipeText !== l.text
      ? [`${capitalised(l.name)}: ${l.recipeText}, for us ${l.text}.`]
      : [],
  )
  if (becomes.length === 0) return []
  return [
    {
      id: SCALING.id,
      kind: 'read',
      says: `We make ${times}. ${becomes.slice(0, LINES).join(' ')}`,
    },
  ]
}
