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

/**
 * Amount with its unit: `"1 1/2 cups"`, `"250 g"`, `"3"` (plain pieces). A part of a cup or spoon that no kitchen measures
 * is written in millilitres, which a jug or a syringe can.
 */
export function amountText(amount: Ratio | Fraction, unitId: string): string {
  const value = ratio(amount)
  const unit = unitOf(unitId)
  if (unit.dimension === 'mass' || unit.id === 'mL') {
    const places = value.compare(10) < 0 ? 1 : 0
    return `${toPlaces(value, places).replace(/\.0$/, '')} ${unit.one}`
  }
  const inMl = unit.dimension === 'volume' && isRounded(value) ? convert(value, unitId, 'mL') : null
  if (inMl) return amountText(inMl, 'mL')
  const number = numberText(value)
  if (unit.id === 'item') return number
  return `${number} ${value.compare(1) > 0 ? unit.many : unit.one}`
}
