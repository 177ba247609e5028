/**
 * How much is made: the factor that was chosen, what it makes, the batch sizes with their leftovers, tins, cases and oven loads.
 */
import type Fraction from 'fraction.js'
import { batchMultiple, casesFor, ovenBatches } from '../../amount/packs'
import { isWhole, ratio, toText } from '../../amount/ratio'
import { batter, COMMON_CASES, makeFactor, tinsFor, type Make } from '../../recipe/make'
import type { Recipe } from '../../recipe/recipe'
import { ownWeights } from '../model/cupboard'
import type { PlanRequest } from '../model/request'
import type { BatchChoice, Making } from '../model/making'

/** Minutes to take trays out and put the next in. Source: common practice (measures.md D5), from memory. */
const TURNAROUND_MINUTES = 3
const STEPS = ['1', '1/2', '1/3', '1/4'] as const

export function making(recipe: Recipe, children: number, request: PlanRequest): Making {
  const own = ownWeights(request)
  const asked = request.decisions.find((d) => d.kind === 'make')?.make ?? { by: 'children', more: 0 }
  const answer = makeFactor(asked, recipe, children, own)
  const usual: Make = { by: 'children', more: 0 }
  const factor = 'factor' in answer ? answer.factor : ratio(children).div(recipe.serves)
  const make = 'factor' in answer ? asked : usual
  const portions = factor.mul(recipe.serves)
  const need = children + (make.by === 'children' ? make.more : 0)
  const n = recipe.pieces && factor.mul(recipe.pieces.n).ceil().valueOf()
  return {
    make,
    factor: toText(factor),
    portions: toText(portions),
    left: toText(portions.sub(children)),
    batches: batchChoices(recipe, need, factor),
    pieces: recipe.pieces && n ? { what: recipe.pieces.what, n } : null,
    oven: ovenOf(recipe, n ?? 0, request),
    tins: recipe.tin ? tinsFor(factor, recipe.tin).slice(0, 5) : [],
    cases: casesOf(recipe, factor, request),
    refused: 'says' in answer ? answer.says : null,
  }
}

/** Batch sizes for each step (1, 1/2, 1/3, 1/4) in whole eggs; of two with as much left over, the larger step first. */
function batchChoices(recipe: Recipe, need: number, factor: Fraction): BatchChoice[] {
  const eggs = eggsIn(recipe)
  const seen = new Set<string>()
  return STEPS.map((step) =>
    batchMultiple(ratio(recipe.serves), ratio(need), step, eggs.compare(0) > 0 ? eggs : undefined),
  )
    .filter((b) => isWhole(ratio(b.made)) && !seen.has(b.multiple) && seen.add(b.multiple))
    .sort((a, b) => ratio(a.left).compare(b.left))
    .map((b) => ({
      batches: b.multiple,
      makes: b.made,
      left: b.left,
      eggs: toText(eggs.mul(b.multiple)),
      chosen: factor.equals(b.multiple),
    }))
}

/** Whole eggs that one batch asks for. */
export const eggsIn = (recipe: Recipe): Fraction =>
  recipe.lines
    .filter((l) => l.food === 'egg-hen' && l.unit === 'item')
    .reduce((sum, l) => sum.add(l.amount), ratio(0))

function ovenOf(recipe: Recipe, pieces: number, { kit }: PlanRequest): Making['oven'] {
  const perTray = recipe.pieces?.perTray
  const wait = recipe.steps.flatMap((s) => s.tasks).find((t) => t.place === 'oven' && t.mode === 'WAIT')
  if (!perTray || !wait || pieces === 0) return null
  return ovenBatches(pieces, perTray, kit.trays ?? 1, ratio(wait.seconds).div(60), ratio(TURNAROUND_MINUTES))
}

function casesOf(recipe: Recipe, factor: Fraction, request: PlanRequest): Making['cases'] {
  if (!recipe.batter && !recipe.tin) return []
  const { mL, unknown, estimated } = batter(recipe, ownWeights(request))
  // A tin that nothing goes into fills no cases.
  if (unknown.length > 0 || mL.equals(0)) return []
  return COMMON_CASES.map((c) => {
    const { cups, tins } = casesFor(mL.mul(factor), c.mL, c.fill, c.perTin)
    return { name: c.name, n: cups, tins, estimated }
  })
}
