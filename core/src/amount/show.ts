/** How an amount is written for a person. Floats appear here only, at the moment of display. */
import type Fraction from 'fraction.js'
import { isWhole, ratio, toMixed, toPlaces, type Ratio } from './ratio'
import { convert, unitOf } from './units'

const KITCHEN_PARTS = new Set(['2', '3', '4', '5', '6', '8', '12', '16'])

/**
 * The number as a cook would read it: a mixed fraction where the part is one found in kitchens (halves to
 * sixteenths), a decimal with at most two places otherwise.
 */
export function numberText(amount: Ratio | Fraction, locale?: string): string {
  const value = ratio(amount)
  if (isWhole(value) || KITCHEN_PARTS.has(value.d.toString())) return toMixed(value)
  return decimal(toPlaces(value, 2).replace(/\.?0+$/, ''), locale)
}

/** A decimal as the language writes it: `2.5`, `2,5`. */
const decimal = (text: string, locale?: string): string =>
  locale === undefined ? text : text.replace('.', new Intl.NumberFormat(locale).format(1.1).slice(1, -1))

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
export function amountText(amount: Ratio | Fraction, unitId: string, locale?: string): string {
  const [value, id] = smaller(ratio(amount), unitId)
  const unit = unitOf(id)
  if (unit.dimension === 'mass' || unit.id === 'mL') {
    const places = value.compare(10) < 0 ? 1 : 0
    return `${decimal(toPlaces(value, places).replace(/\.0$/, ''), locale)} ${unit.one}`
  }
  const inMl = unit.dimension === 'volume' && isRounded(value) ? convert(value, id, 'mL') : null
  if (inMl) return amountText(inMl, 'mL', locale)
  const number = numberText(value, locale)
  if (unit.id === 'item') return number
  return `${number} ${value.compare(1) > 0 ? unit.many : unit.one}`
}

const READERS: Record<'uk' | 'us', Record<string, string>> = {
  us: {
    cup_m: 'cup_us',
    cup_jp: 'cup_us',
    tbsp_au: 'tbsp_us',
    pint_imp: 'pint_us',
    floz_imp: 'floz_us',
    mL: 'cup_us',
    L: 'quart_us',
  },
  uk: {
    cup_us: 'cup_m',
    cup_label: 'cup_m',
    cup_jp: 'cup_m',
    tbsp_au: 'tbsp_m',
    pint_us: 'pint_imp',
    floz_us: 'mL',
    quart_us: 'L',
  },
}

/**
 * A foreign cup, pint or ounce in the reader's own, to the nearest quarter or third: 3 metric cups are about 3 1/4 US cups.
 * Empty where the unit is the reader's, or so near that it counts as the same (US and metric spoons: 1.4 %).
 */
export function readerText(amount: Ratio | Fraction, unitId: string, country: 'uk' | 'us'): string {
  const own = READERS[country][unitId]
  const value = own ? convert(amount, unitId, own) : null
  if (!own || !value || value.compare('1/4') < 0) return ''
  const near = [value.mul(4).round().div(4), value.mul(3).round().div(3)].sort((a, b) =>
    a.sub(value).abs().compare(b.sub(value).abs()),
  )[0]
  return near ? `${own.endsWith('_us') ? 'US ' : ''}${amountText(near, own)}` : ''
}

/**
 * How many of something, in English: `1 stop`, `3 stops`.
 * @param n a whole number @param many where it is not the word with an s: `children`, `stops are`
 */
export const countText = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

/** "Petra", "Petra and Seun", "Petra, Seun and Gwenda". */
export const andList = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`
