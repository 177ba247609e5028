/** The recipe's lines as they are decided: as written, swapped, left out, in another form, and in which bowls they stand. */
import { foodName, isUnknown } from '../../food/foods'
import { applySwap, standsFor, swapOf } from '../../food/swaps'
import { varietyName } from '../../recipe/kinds/variety'
import type { RecipeLine } from '../../recipe/recipe'
import type { Decision } from '../model/decision'
import type { Adapted, AdaptedLine, PlanStart } from '../model/draft'
import { apartDecision } from './bowls'
import { APART } from '../model/line'

export const decisionOn = <K extends Decision['kind']>(list: readonly Decision[], kind: K, line: string) =>
  list.find((d): d is Extract<Decision, { kind: K }> => d.kind === kind && 'line' in d && d.line === line)

/** A line as it goes into the bowls: as written, swapped for everyone, or both where an own bowl is apart. */
export function decidedLines(
  line: RecipeLine,
  start: PlanStart,
  decisions: readonly Decision[],
  bowls: Adapted['bowls'],
): AdaptedLine[] {
  if (line.optional && decisionOn(decisions, 'leave-out', line.id)) return []
  const chosen = decisionOn(decisions, 'swap', line.id)
  const forAll = lineWith(line, chosen?.swap, start, decisions)
  const own = apartDecision(decisions)?.swaps.find((s) => s.line === line.id)
  if (!own || chosen || !bowls.some((b) => b.id === APART)) return forAll
  const apart = lineWith(line, own.swap, start, decisions).map((l) => ({ ...l, only: 'apart' as const }))
  const rest = bowls.length > 1 ? forAll.map((l) => ({ ...l, only: 'rest' as const })) : []
  return [...apart, ...rest]
}

function lineWith(
  line: RecipeLine,
  swapId: string | undefined,
  { foods }: PlanStart,
  decisions: readonly Decision[],
): AdaptedLine[] {
  const decided = decisionOn(decisions, 'shape', line.id)?.shape
  const swap = swapId === undefined ? undefined : swapOf(swapId)
  const base = {
    line: line.id,
    role: line.role,
    ...(line.prep && { prep: line.prep }),
    ...(line.byEye && { byEye: line.byEye }),
    ...(line.each && { each: true as const }),
    ...(line.each && line.sizes && { sizes: line.sizes }),
  }
  const inForm = (shape: string | undefined): { shape?: string } => (shape ? { shape } : {})
  const fits = swap && standsFor(swap, line.food, line.role, line.unit)
  if (!swap || !fits) {
    const name = foodName(foods.of(line.food), line.unit === 'item' && line.amount !== '1')
    return [
      {
        ...base,
        ...inForm(decided ?? line.shape),
        id: line.id,
        food: line.food,
        name: varietyName(line.variety, name),
        ...(line.variety && { variety: line.variety }),
        amount: line.amount,
        unit: line.unit,
      },
    ]
  }
  return applySwap(swap, line.amount, line.unit).map((part) => ({
    ...base,
    ...inForm(decided ?? shapeAfterSwap(line, part.food, foods)),
    ...part,
    id: `${line.id}>${part.food}`,
    name: foodName(foods.of(part.food), part.unit === 'item'),
    swappedFrom: foodName(foods.of(line.food)),
    ...(swap.method && { method: swap.method }),
  }))
}

/** What the recipe does to a food it does to what stands in for it, where the same rules of form hold; else nobody has said it. */
function shapeAfterSwap(line: RecipeLine, food: string, foods: PlanStart['foods']): string | undefined {
  const rowOf = (id: string): string | undefined => {
    const known = foods.of(id)
    return isUnknown(known) ? undefined : known.shape
  }
  return rowOf(food) === rowOf(line.food) ? line.shape : undefined
}
