/**
 * What a task measures, and in what: as the recipe gives it, in cups, on the scale, or in parts of any cup. Volume and mass
 * are crossed only by a food's weight; where that is not known the line stays as the recipe gives it.
 */
import type Fraction from 'fraction.js'
import { amountText, numberText } from '../../amount/show'
import { isWhole, ratio } from '../../amount/ratio'
import { toBase, unitOf } from '../../amount/units'
import { crossTo, formWords } from '../../food/weights'
import type { Role } from '../../recipe/recipe'
import { ownWeights } from '../model/cupboard'
import type { Measuring } from '../model/decision'
import type { PlanRequest } from '../model/request'
import type { Bowl, Measured, PlanLine } from '../model/line'
import type { Task } from '../model/task'

/** What is to be scooped: mL, exact. */
export interface Demand {
  task: string
  line: PlanLine
  mL: Fraction
  role: Role
  /** Children who may do it. */
  able: number
  because?: string
  /** One child's own portion: the same few scoops of one measure for everybody, rather than an eighth of a teaspoon to be exact. */
  portion?: true
}

/** Below this a kitchen scale is not to be trusted: spoons are. Source: measures.md B, common practice, from memory. */
const SCALE_FROM_GRAMS = 10

export const measuringOf = ({ decisions, rules }: PlanRequest): Measuring =>
  decisions.find((d) => d.kind === 'measuring')?.way ?? rules.measuring ?? 'recipe'

/** What one task measures: already settled (pieces, weighed), or to be scooped. */
export function demandOf(
  task: Task,
  line: PlanLine,
  part: string,
  bowl: Bowl,
  request: PlanRequest,
): { measured: Measured } | { demand: Demand } {
  const amount = ratio(line.amount).mul(part)
  const { dimension } = unitOf(line.unit)
  if (dimension === 'count') {
    const n = Number(amount.ceil().toFraction())
    // Half a wrap for the small is no whole one.
    const text = task.size === undefined ? undefined : numberText(amount)
    return {
      measured: { by: 'pieces', n: Math.max(1, n), ...(text !== undefined && !isWhole(amount) && { text }) },
    }
  }
  const able = task.forms.reduce((n, f) => n + f.children.length, 0) || bowl.children.length
  const scoop = (mL: Fraction, because?: string) => ({
    demand: { task: task.id, line, mL, role: line.role, able, ...(because && { because }) },
  })
  const way = measuringOf(request)
  const hasScale = request.kit.equipment.includes('scale')
  const words = formWords(line.prep, line.shape)
  const own = ownWeights(request)
  if (dimension === 'volume') {
    const grams = way === 'grams' && hasScale ? crossTo(amount, line.unit, 'g', line.food, words, own) : null
    if (!grams || grams.amount.compare(SCALE_FROM_GRAMS) < 0) return scoop(toBase(amount, line.unit))
    return { measured: weighed(grams.amount, 'on the scale here', `${line.text} by ${grams.source}`) }
  }
  const asked = way === 'cups' || way === 'parts'
  // What is too coarse for a cup is weighed, here or by an adult beforehand.
  const coarse = task.technique === 'weigh-scale' && !asked
  const volume =
    asked || (!hasScale && !coarse) ? crossTo(amount, line.unit, 'mL', line.food, words, own) : null
  if (volume) return scoop(volume.amount, `${line.text} by ${volume.source}`)
  const grams = toBase(amount, line.unit)
  return {
    measured: weighed(
      grams,
      hasScale ? 'the recipe gives a weight' : 'no scale here, and no weight of a cup of it is known',
    ),
  }
}

export const weighed = (
  grams: Fraction,
  why: string,
  because?: string,
): Extract<Measured, { by: 'weight' }> => ({
  by: 'weight',
  text: amountText(grams, 'g'),
  why,
  ...(because && { because }),
})
