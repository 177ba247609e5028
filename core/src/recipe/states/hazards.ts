/**
 * What stands against children at each job of a recipe, whatever its verb is: heat, raw meat, and tasting what is still raw. One answer for
 * the plan, for the independent checker and for the table.
 */
import { remembered } from '../../amount/memo'
import { rawKindOf, type FoodBook } from '../../food/foods'
import { type RawKind } from '../../food/raw-words'
import type { Recipe, RecipeStep } from '../recipe'
import { cookingOf, isMeat, type Cooking, type StateLine } from './cooking'
import { heatOf, isDeepOil, type HeatLevel } from './heat'

export interface Hazards {
  /** Names of raw meat, poultry, fish and shellfish that hands meet. */
  rawMeat: string[]
  /** Names of what is raw now and cooked later: nobody tastes it. */
  rawTaste: string[]
  heat: HeatLevel | null
  /** Oil for deep frying is hot: no child is in the room. */
  deepOil: boolean
  /** Eyes are covered while it is tasted. */
  covered: boolean
}

interface LineLike {
  line: string
  food: string
  name: string
  role: StateLine['role']
  prep?: string
}

/** It comes to the table cooked. */
const COOKED_BEFORE =
  /^(?!.*\b(?:not|un|half|part|lightly|to be)[ -]?cooked).*\b(?:ready |pre )?cooked(?! (?:later|in step))\b/i

export const isCookedBefore = (prep: string | undefined): boolean =>
  prep !== undefined && COOKED_BEFORE.test(prep)

/** A line with what it is when it comes raw. Eggs and flour of other foods (a mix, a batter) count by their own kind. */
export const stateLines = (lines: readonly LineLike[], foods: FoodBook): StateLine[] =>
  lines.map(({ line, food, name, role, prep }) => ({
    line,
    food,
    name,
    role,
    ...(prep && { prep }),
    raw: isCookedBefore(prep) ? null : rawKindOf(foods.of(food)),
  }))

export interface RecipeStates {
  cooking: Cooking
  /** What stands against children at a technique of a step; of several such tasks in it the gravest. */
  at: (step: string, technique: string) => Hazards
}

/** Asked of one recipe by every pass and by the checker: worked out once for the same steps and lines. */
const known = remembered(
  60,
  ({ steps, lines }: { steps: Recipe['steps']; lines: readonly StateLine[] }) => workedOut(steps, lines),
  ({ steps, lines }) => JSON.stringify([steps, lines]),
)
/** @param lines of one bowl, swaps made */
export const statesOf = ({ steps }: Pick<Recipe, 'steps'>, lines: readonly StateLine[]): RecipeStates =>
  known({ steps, lines })

function workedOut(steps: Recipe['steps'], lines: readonly StateLine[]): RecipeStates {
  const cooking = cookingOf(steps, lines)
  const heat = heatOf(steps, lines)
  const never = new Set(cooking.neverCooked.map((l) => l.line))
  const kept = new Map<string, Hazards>()
  const at = (id: string, technique: string): Hazards => {
    const key = `${id} ${technique}`
    const before = kept.get(key)
    if (before) return before
    const now = hazardsAt(id, technique)
    kept.set(key, now)
    return now
  }
  const hazardsAt = (id: string, technique: string): Hazards => {
    const step = steps.find((s) => s.id === id)
    const out: Hazards = {
      rawMeat: [],
      rawTaste: [],
      heat: null,
      deepOil: step !== undefined && isDeepOil(step),
      covered: step?.tasting?.covered === true && technique === 'taste',
    }
    step?.tasks.forEach((task, i) => {
      if (task.technique !== technique) return
      const raw = cooking.at.get(id)?.[i]
      const level = heat.get(id)?.[i] ?? null
      if (level === 'scalding' || out.heat === null) out.heat = level
      out.rawMeat.push(...(raw?.touched ?? []).filter((l) => isMeat(l.raw)).map((l) => l.name))
      if (technique === 'taste' || technique === 'serve-self')
        out.rawTaste.push(...tastedRaw(step, raw?.there ?? [], never).map((l) => l.name))
    })
    return { ...out, rawMeat: [...new Set(out.rawMeat)], rawTaste: [...new Set(out.rawTaste)] }
  }
  return { cooking, at }
}

/**
 * Raw here and cooked later, of the mix that is tasted: what stands apart in its own step is not. Raw egg and flour that no heat cooks are
 * a question of their own (eaten raw); meat, fish and shellfish are tasted raw by nobody, whatever is answered.
 */
const tastedRaw = (
  step: RecipeStep,
  there: readonly StateLine[],
  never: ReadonlySet<string>,
): StateLine[] => {
  const own = there.filter((l) => step.uses.some((u) => u.line === l.line))
  const list = step.uses.length > 0 && own.length === 0 ? [] : there
  return list.filter((l) => isMeat(l.raw) || !never.has(l.line))
}

/** Kinds of raw food that would be eaten raw: no heat of the recipe cooks them. */
export const eatenRaw = ({ cooking }: RecipeStates): Map<RawKind, StateLine[]> => {
  const out = new Map<RawKind, StateLine[]>()
  for (const line of cooking.neverCooked)
    if (line.raw) out.set(line.raw, [...(out.get(line.raw) ?? []), line])
  return out
}
