/**
 * How much is made: the factor from the recipe as written, by children, portions, pieces, batches, a tin's area or cases.
 * Source of tins and fills: measures.md D3-D4, common practice, from memory.
 */
import type Fraction from 'fraction.js'
import { tinSize, type Tin } from '../amount/packs'
import { ratio, toText, type Ratio } from '../amount/ratio'
import { crossTo, formWords, type OwnWeight } from '../food/weights'
import type { Recipe } from './recipe'

export type Make =
  | { by: 'children'; more: number }
  | { by: 'portions'; portions: Ratio }
  | { by: 'pieces'; pieces: number }
  | { by: 'batches'; batches: Ratio }
  | { by: 'tin'; tin: Tin }
  /** Cases or cups of so many mL brimful, filled to a share. */
  | { by: 'cases'; cases: number; mL: Ratio; fill: Ratio }

/** The factor, or why there is none. */
export type Factor = { factor: Fraction } | { says: string }

/** @param children how many are present */
export function makeFactor(make: Make, recipe: Recipe, children: number, own: readonly OwnWeight[]): Factor {
  switch (make.by) {
    case 'children':
      return { factor: ratio(children + make.more).div(recipe.serves) }
    case 'portions':
      return { factor: ratio(make.portions).div(recipe.serves) }
    case 'pieces':
      return recipe.pieces
        ? { factor: ratio(make.pieces).div(recipe.pieces.n) }
        : { says: 'This recipe does not say how many pieces it makes.' }
    case 'batches':
      return { factor: ratio(make.batches) }
    case 'tin':
      return recipe.tin
        ? { factor: tinSize(make.tin, 'area').div(tinSize(recipe.tin, 'area')) }
        : { says: 'This recipe does not say what tin it is written for.' }
    case 'cases': {
      const { mL, unknown } = batter(recipe, own)
      if (unknown.length > 0) return { says: `How much batter it is depends on: ${unknown.join(', ')}.` }
      return { factor: ratio(make.mL).mul(make.fill).mul(make.cases).div(mL) }
    }
  }
}

/**
 * The volume of all that goes in, in mL: what the recipe says, else the sum of its lines by their foods' weights (a batter
 * settles a little: an estimate, and called one).
 * @returns the lines whose volume nobody knows, by food
 */
export function batter(
  recipe: Recipe,
  own: readonly OwnWeight[] = [],
): { mL: Fraction; unknown: string[]; estimated: boolean } {
  if (recipe.batter) return { mL: ratio(recipe.batter), unknown: [], estimated: false }
  const unknown: string[] = []
  let mL = ratio(0)
  for (const line of recipe.lines) {
    const volume = crossTo(line.amount, line.unit, 'mL', line.food, formWords(line.prep, line.shape), own)
    if (volume) mL = mL.add(volume.amount)
    else unknown.push(line.food)
  }
  return { mL, unknown, estimated: true }
}

/** Tins as kitchens have them. Source: measures.md D4, common practice, from memory. */
export const COMMON_TINS: readonly { name: string; tin: Tin }[] = [
  { name: 'round, 18 cm', tin: { shape: 'round', d: '18', unit: 'cm' } },
  { name: 'round, 20 cm', tin: { shape: 'round', d: '20', unit: 'cm' } },
  { name: 'round, 23 cm', tin: { shape: 'round', d: '23', unit: 'cm' } },
  { name: 'round, 9 in', tin: { shape: 'round', d: '9', unit: 'in' } },
  { name: 'square, 15 cm', tin: { shape: 'square', s: '15', unit: 'cm' } },
  { name: 'square, 20 cm', tin: { shape: 'square', s: '20', unit: 'cm' } },
  { name: 'square, 23 cm', tin: { shape: 'square', s: '23', unit: 'cm' } },
  { name: 'square, 8 in', tin: { shape: 'square', s: '8', unit: 'in' } },
  { name: 'square, 9 in', tin: { shape: 'square', s: '9', unit: 'in' } },
  { name: '9 × 13 in', tin: { shape: 'rect', a: '9', b: '13', unit: 'in' } },
  { name: 'traybake, 30 × 20 cm', tin: { shape: 'rect', a: '30', b: '20', unit: 'cm' } },
  { name: 'loaf, 9 × 5 in', tin: { shape: 'rect', a: '9', b: '5', unit: 'in' } },
]

/** Cases and cups by what they hold brimful. Source: measures.md D4, common practice, from memory. */
export const COMMON_CASES: readonly { name: string; mL: Ratio; fill: Ratio; perTin: number }[] = [
  { name: 'mini', mL: '30', fill: '2/3', perTin: 24 },
  { name: 'shallow bun', mL: '50', fill: '2/3', perTin: 12 },
  { name: 'deep', mL: '100', fill: '2/3', perTin: 12 },
  { name: 'extra deep', mL: '210', fill: '2/3', perTin: 6 },
]

/** How much of each common tin an amount fills, the nearest first. Within 10 % it is used as it is. */
export function tinsFor(
  factor: Fraction,
  written: Tin,
): { name: string; tin: Tin; fills: Ratio; near: boolean }[] {
  const wanted = tinSize(written, 'area').mul(factor)
  return COMMON_TINS.map(({ name, tin }) => ({ name, tin, fills: wanted.div(tinSize(tin, 'area')) }))
    .sort((a, b) => a.fills.sub(1).abs().compare(b.fills.sub(1).abs()))
    .map(({ fills, ...t }) => ({
      ...t,
      fills: toText(fills.round(4)),
      near: fills.sub(1).abs().compare('1/10') <= 0,
    }))
}
