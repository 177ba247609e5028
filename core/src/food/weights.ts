/**
 * Weights of foods: the only bridge between volume and mass, and between pieces and mass. Each carries its source.
 *
 * Definition. A food of w grams to the US cup weighs V/236.5882365 * w grams in V mL. Where a spoon weight was published
 * apart from the cup, an amount given in spoons takes the spoon, one given in cups the cup.
 * Source: measures.md C1-C4 (USDA household weights and others), from memory.
 */
import type Fraction from 'fraction.js'
import data from '../../data/weights.json'
import { ratio, type Ratio } from '../amount/ratio'
import { convert, toBase, unitOf } from '../amount/units'

interface CupRow {
  food: string
  form?: string
  cup?: string
  tbsp?: string
  tsp?: string
  source: string
  confidence: string
}
interface PieceRow {
  food: string
  what: string
  bought: string
  edible: string
  gives: string
  source: string
  confidence: string
}
interface YieldRow {
  food: string
  form?: string
  what: string
  percent: string
  source: string
  confidence: string
}
const CUPS: readonly CupRow[] = data.cups
const PIECES = new Map((data.pieces as PieceRow[]).map((r) => [r.food, r]))
const YIELDS: readonly YieldRow[] = data.yields

/** What a setting weighed itself: one `unit` of a food is so many grams. It stands over Lea's table. */
export interface OwnWeight {
  food: string
  grams: Ratio
  unit: string
}

export interface Crossed {
  amount: Fraction
  /** Empty where no food's weight was needed. */
  source: string
}

const IN_FORM: Record<string, string> = {
  GRATE: 'grated',
  CHOP: 'chopped',
  CUBE: 'chopped',
  STRIP: 'chopped',
  SLICE: 'sliced',
  MASH: 'mashed',
}

/** The row of a food in the form that its preparation says, else the plain one, else the first. */
function rowOf<T extends { food: string; form?: string }>(
  table: readonly T[],
  food: string,
  prep: string,
): T | undefined {
  const rows = table.filter((r) => r.food === food)
  return (
    rows.find((r) => r.form !== undefined && prep.includes(r.form)) ??
    rows.find((r) => r.form === undefined) ??
    rows[0]
  )
}

/** Grams of one mL, with the source; null where nobody wrote the food's weight down. */
function perMl(
  food: string,
  unit: string,
  prep: string,
  own: readonly OwnWeight[],
): { grams: Fraction; source: string } | null {
  const mine = own.find((o) => o.food === food && unitOf(o.unit).dimension === 'volume')
  if (mine) return { grams: ratio(mine.grams).div(unitOf(mine.unit).size), source: 'weighed by this setting' }
  const row = rowOf(CUPS, food, prep)
  if (!row) return null
  const source = `${row.form ? `${row.form}; ` : ''}${row.source}, from memory`
  const by = (grams: string, of: string) => ({ grams: ratio(grams).div(unitOf(of).size), source })
  if (unit.startsWith('tsp') && row.tsp) return by(row.tsp, 'tsp_us')
  if (/^(tsp|tbsp|dsp)/.test(unit) && row.tbsp) return by(row.tbsp, 'tbsp_us')
  if (row.cup) return by(row.cup, 'cup_us')
  if (row.tbsp) return by(row.tbsp, 'tbsp_us')
  return row.tsp ? by(row.tsp, 'tsp_us') : null
}

/** Edible grams of one piece of a food as recipes count it, or null. */
export function pieceGrams(
  food: string,
  own: readonly OwnWeight[] = [],
): { edible: Fraction; bought: Fraction; what: string; source: string } | null {
  const mine = own.find((o) => o.food === food && o.unit === 'item')
  if (mine) {
    const grams = ratio(mine.grams)
    return { edible: grams, bought: grams, what: 'one', source: 'weighed by this setting' }
  }
  const row = PIECES.get(food)
  if (!row) return null
  return {
    edible: ratio(row.edible),
    bought: ratio(row.bought),
    what: row.what,
    source: `${row.source}, from memory`,
  }
}

/**
 * An amount of a food in another unit, exact: inside one dimension by the units, between volume, mass and pieces by the
 * food's weight only.
 * @param prep preparation in words, so that grated cheese is weighed as grated
 * @returns null where the food's weight is not known: Lea never guesses one
 */
export function crossTo(
  amount: Ratio | Fraction,
  from: string,
  to: string,
  food: string,
  prep = '',
  own: readonly OwnWeight[] = [],
): Crossed | null {
  const plain = convert(amount, from, to)
  if (plain !== null) return { amount: plain, source: '' }
  const grams = gramsOf(amount, from, food, prep, own)
  if (grams === null) return null
  const [a, b] = [unitOf(from).dimension, unitOf(to).dimension]
  if (b === 'mass') return { amount: grams.amount.div(unitOf(to).size), source: grams.source }
  if (b === 'volume') {
    const weight = perMl(food, to, prep, own)
    if (!weight) return null
    const ml = grams.amount.div(weight.grams)
    return { amount: ml.div(unitOf(to).size), source: both(grams.source, weight.source, a) }
  }
  if (to === 'item') {
    const piece = pieceGrams(food, own)
    return piece && { amount: grams.amount.div(piece.edible), source: both(grams.source, piece.source, a) }
  }
  return null
}

const both = (first: string, second: string, from: string): string =>
  from === 'mass' || first === second ? second : `${first}; ${second}`

function gramsOf(
  amount: Ratio | Fraction,
  unit: string,
  food: string,
  prep: string,
  own: readonly OwnWeight[],
): Crossed | null {
  const { dimension } = unitOf(unit)
  if (dimension === 'mass') return { amount: toBase(amount, unit), source: '' }
  if (dimension === 'volume') {
    const weight = perMl(food, unit, prep, own)
    return weight && { amount: toBase(amount, unit).mul(weight.grams), source: weight.source }
  }
  if (unit !== 'item') return null
  const piece = pieceGrams(food, own)
  return piece && { amount: ratio(amount).mul(piece.edible), source: piece.source }
}

/** The words by which `crossTo` finds a form: a line's preparation and its shape code. */
export const formWords = (prep?: string, shape?: string): string =>
  [prep ?? '', (shape && IN_FORM[shape]) ?? ''].join(' ')

/**
 * The share of a food as bought that is ready to use: 9/10 of an apple. One where nobody wrote it down.
 * Source: measures.md C3, from memory.
 */
export function edibleShare(food: string, prep = ''): { share: Fraction; source: string } {
  const row = rowOf(YIELDS, food, prep)
  return row
    ? { share: ratio(row.percent).div(100), source: `${row.source}, from memory` }
    : { share: ratio(1), source: '' }
}

export interface EggSize {
  size: string
  edible: Ratio
}
/** Edible grams of one egg by the size on the box. Source: measures.md C4, from memory. */
export const EGG_SIZES: readonly EggSize[] = data.eggs.sizes.map((e) => ({ size: e.size, edible: e.edible }))
