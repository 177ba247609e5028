/**
 * Units as data. A cup or a spoon always carries its system; systems are crossed only through exact mL or g.
 * Source: NIST Handbook 44 App. C and SP 811 App. B (US customary), 21 CFR 101.9(b)(5)(viii) (label units),
 * UK Weights and Measures Act 1985 (imperial), Australian standard AS 1325; from memory.
 */
import type Fraction from 'fraction.js'
import { ratio, toPlaces, type Ratio } from './ratio'

export type Dimension = 'volume' | 'mass' | 'length' | 'count'

export interface Unit {
  id: string
  dimension: Dimension
  /** Size in the dimension's base unit: mL, g or mm. Counts have size 1. */
  size: Ratio
  system: 'us' | 'label' | 'metric' | 'au' | 'jp' | 'imperial' | 'any'
  one: string
  many: string
}

const UNITS: Unit[] = [
  unit('cup_us', 'volume', '473176473/2000000', 'us', 'cup', 'cups'),
  unit('tbsp_us', 'volume', '473176473/32000000', 'us', 'tbsp', 'tbsp'),
  unit('tsp_us', 'volume', '157725491/32000000', 'us', 'tsp', 'tsp'),
  unit('floz_us', 'volume', '473176473/16000000', 'us', 'fl oz', 'fl oz'),
  unit('pint_us', 'volume', '473176473/1000000', 'us', 'pint', 'pints'),
  unit('quart_us', 'volume', '473176473/500000', 'us', 'quart', 'quarts'),
  unit('cup_label', 'volume', '240', 'label', 'cup', 'cups'),
  unit('tbsp_label', 'volume', '15', 'label', 'tbsp', 'tbsp'),
  unit('tsp_label', 'volume', '5', 'label', 'tsp', 'tsp'),
  unit('cup_m', 'volume', '250', 'metric', 'cup', 'cups'),
  unit('tbsp_m', 'volume', '15', 'metric', 'tbsp', 'tbsp'),
  unit('dsp_m', 'volume', '10', 'metric', 'dsp', 'dsp'),
  unit('tsp_m', 'volume', '5', 'metric', 'tsp', 'tsp'),
  unit('tbsp_au', 'volume', '20', 'au', 'tbsp', 'tbsp'),
  unit('cup_jp', 'volume', '200', 'jp', 'cup', 'cups'),
  unit('floz_imp', 'volume', '454609/16000', 'imperial', 'fl oz', 'fl oz'),
  unit('pint_imp', 'volume', '454609/800', 'imperial', 'pint', 'pints'),
  unit('mL', 'volume', '1', 'metric', 'mL', 'mL'),
  unit('L', 'volume', '1000', 'metric', 'L', 'L'),
  unit('g', 'mass', '1', 'metric', 'g', 'g'),
  unit('kg', 'mass', '1000', 'metric', 'kg', 'kg'),
  unit('oz', 'mass', '45359237/1600000', 'us', 'oz', 'oz'),
  unit('lb', 'mass', '45359237/100000', 'us', 'lb', 'lb'),
  unit('mm', 'length', '1', 'metric', 'mm', 'mm'),
  unit('cm', 'length', '10', 'metric', 'cm', 'cm'),
  unit('in', 'length', '127/5', 'us', 'in', 'in'),
]

function unit(
  id: string,
  dimension: Dimension,
  size: Ratio,
  system: Unit['system'],
  one: string,
  many: string,
): Unit {
  return { id, dimension, size, system, one, many }
}

const BY_ID = new Map(UNITS.map((u) => [u.id, u]))

/** Every unit that Lea knows by id. Any other word is a count ("item", "slice", "tin"). */
export const UNIT_IDS: readonly string[] = UNITS.map((u) => u.id)

/** Plural of an English count word: tins, bunches, leaves. */
const plural = (word: string): string =>
  word
    .replace(/(?:f|fe)$/, 've')
    .replace(/(s|x|ch|sh)$/, '$1e')
    .replace(/$/, 's')

/** The unit of an id; a word that is no unit id counts things. */
export function unitOf(id: string): Unit {
  return BY_ID.get(id) ?? { id, dimension: 'count', size: '1', system: 'any', one: id, many: plural(id) }
}

const SYSTEM_WORDS: Record<Unit['system'], string> = {
  us: 'US ',
  label: 'US label ',
  metric: '',
  au: 'Australian ',
  jp: 'Japanese ',
  imperial: 'imperial ',
  any: '',
}

/** A unit with its system, for a person who chooses one: `cups (250 mL)`, `US tbsp`, `g`, `pieces`. */
export function unitLabel(id: string): string {
  if (id === 'item') return 'pieces'
  const unit = unitOf(id)
  const millilitres = unit.dimension === 'volume' && unit.system === 'metric' && !['mL', 'L'].includes(id)
  return `${SYSTEM_WORDS[unit.system]}${unit.many}${millilitres ? ` (${unit.size} mL)` : ''}`
}

/** What a measure holds, for a person who reads its handle: `62.5 mL`, `US, 59.1 mL`. */
export function measureText(size: Ratio, unit: string): string {
  const mL = convert(size, unit, 'mL')
  if (!mL) return unitLabel(unit)
  const system = SYSTEM_WORDS[unitOf(unit).system].trim()
  return `${system ? `${system}, ` : ''}${toPlaces(mL, 2).replace(/\.?0+$/, '')} mL`
}

/** Amount in the base unit of its dimension (mL, g, mm or pieces), exact. */
export const toBase = (amount: Ratio | number | Fraction, unitId: string): Fraction =>
  ratio(amount).mul(unitOf(unitId).size)

/**
 * Converts an amount exactly inside one dimension.
 * @returns null where the two units do not measure the same thing (volume and mass need a food's weight).
 */
export function convert(amount: Ratio | number | Fraction, from: string, to: string): Fraction | null {
  const a = unitOf(from)
  const b = unitOf(to)
  if (a.dimension !== b.dimension || (a.dimension === 'count' && a.id !== b.id)) return null
  return toBase(amount, from).div(b.size)
}
