/** How an amount is written for a person. Floats appear here only, at the moment of display. */
import type Fraction from 'fraction.js'
import { isWhole, ratio, toMixed, toPlaces, type Ratio } from './ratio'
import { convert, unitOf } from './units'

const KITCHEN_PARTS = new Set(['2', '3', '4', '5', '6', '8', '12', '16'])

/**
 * The number as a cook would read it: a mixed fraction where the part is one found in kitchens (halves to
 * sixteenths), a decimal with at most two places otherwise.
 */
export function numberText(amount: Ratio | Fraction): string {
  const value = ratio(amount)
  if (isWhole(value) || KITCHEN_PARTS.has(value.d.toString())) return toMixed(value)
  return toPlaces(value, 2).replace(/\.?0+$/, '')
}

/** True where `numberText` had to round. */
export const isRounded = (amount: Ratio | Fraction): boolean =>
  numberText(amount) !== toMixed(ratio(amount)) && !ratio(numberText(amount)).equals(ratio(amount))

const SMALLER: Record<string, { unit: string; below: string }> = {
  cup_us: { unit: 'tbsp_us', below: '1/4' },
  tbsp_us: { unit: 'tsp_us', below: '1' },
  cup_m: { unit: 'tbsp_m', below: '1/4' },
  tbsp_m: { unit: 'tsp_m', below: '1' },
  tbsp_au: { unit: 'tsp_m', below: '1' },
}
const SPOON_PARTS = new Set(['1', '2', '4'])

/** 2/3 tbsp is 2 tsp, 1/8 US cup is 2 tbsp: where the smaller unit makes it a plain number, exactly. */
function smaller(value: Fraction, unit: string): [Fraction, string] {
  const next = SMALLER[unit]
  if (!next || value.compare(next.below) >= 0) return [value, unit]
  const inNext = convert(value, unit, next.unit)
  if (!inNext) return [value, unit]
  if (SPOON_PARTS.has(inNext.d.toString()) && inNext.compare(1) >= 0) return [inNext, next.unit]
  const further = smaller(inNext, next.unit)
  return further[1] === next.unit ? [value, unit] : further
}

/**
 * Amount with its unit: `"1 1/2 cups"`, `"250 g"`, `"3"` (plain pieces). A part of a cup or spoon that no kitchen measures
 * is written in millilitres, which a jug or a syringe can.
 */
export function amountText(amount: Ratio | Fraction, unitId: string): string {
  const [value, id] = smaller(ratio(amount), unitId)
  const unit = unitOf(id)
  if (unit.dimension === 'mass' || unit.id === 'mL') {
    const places = value.compare(10) < 0 ? 1 : 0
    return `${toPlaces(value, places).replace(/\.0$/, '')} ${unit.one}`
  }
  const inMl = unit.dimension === 'volume' && isRounded(value) ? convert(value, id, 'mL') : null
  if (inMl) return amountText(inMl, 'mL')
  const number = numberText(value)
  if (unit.id === 'item') return number
  return `${number} ${value.compare(1) > 0 ? unit.many : unit.one}`
}
