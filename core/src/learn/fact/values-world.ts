/** What may be said of cuts, weight, time, money, heat, shapes, votes and order. Formulas: learning.md B0 and B1. */
import { ratio, toMixed } from '../../amount/ratio'
import { amountOf, has, sideOf, wordOf, type PlainFact } from './fields'
import { unitText } from './measured'
import type { Values, ValuesOf } from './saying'
import { coins, improper, known, partWord, text, things, when, yes } from './phrases'

export const cut: ValuesOf = (f, d, locale): Values => {
  const one = known(d, 'onePiece')
  const total = text(d, 'total')
  const pieces = toMixed(amountOf(f, 'pieces'))
  const whole = amountOf(f, 'items').equals(1)
  const food = wordOf(f, 'food', 'it')
  const named = one !== undefined
  const taken = text(d, 'takenFraction')
  return {
    food,
    one_food: things(food, 1),
    total,
    pieces,
    morePieces: when(named && Number(pieces) >= 2, String(Number(pieces) + 1)),
    onePiece: one,
    one,
    part: one && partWord(one, locale),
    fair: fairText(f['equal']),
    two: yes(named && whole && pieces === '2'),
    three: yes(named && whole && pieces === '3'),
    four: yes(named && whole && pieces === '4'),
    halfOrThird: yes(one === '1/2' || one === '1/3'),
    cuts: when(whole && Number(total) > 1, String(Number(total) - 1)),
    leftPart: when(!['0', ''].includes(taken), text(d, 'leftFraction')),
  }
}

/** Only equal pieces are halves and quarters: where nobody said so, look first (learning.md R6). */
function fairText(equal: unknown): string {
  if (equal === false) return 'not fair: they are not the same'
  return equal === true ? 'fair: all the same' : 'fair if all are the same: lay them side by side'
}

/** Brushing teeth takes two minutes (dentists' usual advice; common practice). */
const TEETH_MINUTES = 2
export const timer: ValuesOf = (f, d): Values => {
  const minutes = Number(f['minutes'])
  const gone = text(d, 'fraction')
  return {
    ten: '10',
    minutes: String(minutes),
    leftMinutes: text(d, 'leftMinutes'),
    ready: text(d, 'leftMinutes') === '0' ? 'ready' : 'we wait',
    thanTeeth: minutes > TEETH_MINUTES ? 'longer' : minutes < TEETH_MINUTES ? 'shorter' : 'about as long',
    gone: when(!['0', '1', ''].includes(gone), gone),
    start: when(has(f, 'start'), String(f['start'])),
    end: when(has(f, 'start'), text(d, 'end')),
    latest: when(!has(f, 'start') && has(f, 'end'), text(d, 'start')),
    must: when(!has(f, 'start') && has(f, 'end'), text(d, 'end')),
  }
}

export const weigh: ValuesOf = (f, d): Values => {
  const steps = text(d, 'steps')
  const grams = amountOf(f, 'grams')
  return {
    grams: toMixed(grams),
    division: has(f, 'division') ? String(f['division']) : undefined,
    steps: when(steps !== '' && !steps.includes('/'), steps),
    withBowl: known(d, 'withBowl'),
    kilograms: when(grams.compare(100) >= 0, toMixed(grams.div(1000))),
  }
}

const withUnit = (mixed: string, unit: string): string =>
  unit === '' ? mixed : `${mixed} ${unitText(unit, ratio(improper(mixed)))}`

export const compare: ValuesOf = (f, d): Values => {
  const [a, b] = [sideOf(f, 'a'), sideOf(f, 'b')]
  return {
    a: a.name === 'a' ? 'this one' : a.name,
    b: b.name === 'b' ? 'that one' : b.name,
    amountA: toMixed(a.amount),
    amountB: toMixed(b.amount),
    wholeBoth: yes(a.amount.d === 1n && b.amount.d === 1n),
    more: text(d, 'more'),
    difference: withUnit(text(d, 'difference'), wordOf(f, 'unit', '')),
    differencePart: text(d, 'difference'),
    times: known(d, 'times'),
  }
}

export const priceValues: ValuesOf = (f, d, locale): Values => {
  const cost = ratio(improper(text(d, 'cost')))
  const than = (limit: number): string =>
    cost.compare(limit) > 0 ? 'more' : cost.compare(limit) < 0 ? 'less' : 'just as much'
  const each = known(d, 'perServing')
  const change = known(d, 'change')
  return {
    big: locale === 'en-US' ? 'dollar' : 'pound',
    thanBig: than(100),
    half: locale === 'en-US' ? 'half a dollar' : '50p',
    thanHalf: each === undefined ? undefined : ratio(improper(each)).compare(50) > 0 ? 'more' : 'less',
    costText: `${f['about'] === true ? 'about ' : ''}${coins(text(d, 'cost'), locale)}`,
    costGate: when(cost.d === 1n, toMixed(cost)),
    used: yes(has(f, 'used_g') || has(f, 'serves')),
    perServing: each && coins(each, locale),
    change: change && coins(change, locale),
  }
}

/** Skin is about 33 °C: above it feels warm, below cool (common practice, from memory). */
const HAND_C = 33
const celsius = (f: PlainFact, d: Record<string, unknown>): number =>
  ratio(improper(known(d, 'celsius') ?? toMixed(amountOf(f, 'value')))).valueOf()
export const temp: ValuesOf = (f, d): Values => {
  const c = celsius(f, d)
  const hot = c > HAND_C
  return {
    hot: yes(hot),
    cold: yes(!hot),
    hotCold: hot ? 'hot' : 'cold',
    thanHand: hot ? 'hotter' : 'colder',
    difference: known(d, 'difference'),
    otherScale: known(d, 'fahrenheit') ? `${text(d, 'fahrenheit')} °F` : `${text(d, 'celsius')} °C`,
  }
}

export const shapeValues: ValuesOf = (f, d): Values => {
  const name = wordOf(f, 'shape', 'shape')
  const an = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
  return {
    aShape: an(name),
    notShape: an(name === 'circle' ? 'square' : 'circle'),
    corners: text(d, 'corners'),
    square: yes(name === 'square'),
    symmetric: yes(text(d, 'symmetry') !== '0'),
    symmetry: text(d, 'symmetry'),
  }
}

export const vote: ValuesOf = (_, d): Values => {
  const counted = text(d, 'total') !== '0'
  if (!counted) return {}
  const tied = text(d, 'most').includes(', ')
  return {
    counted: 'yes',
    most: tied ? `they are the same: ${text(d, 'most')}` : text(d, 'most'),
    mostNames: text(d, 'most'),
    picture:
      text(d, 'difference') === '0'
        ? `all the same: ${text(d, 'most')}`
        : `most: ${text(d, 'most')}; fewest: ${text(d, 'fewest')}`,
    total: text(d, 'total'),
    difference: when(text(d, 'difference') !== '0', text(d, 'difference')),
    fraction: text(d, 'fraction'),
    clear: yes(!tied),
  }
}

export const order: ValuesOf = (_, d): Values => ({
  now: text(d, 'step'),
  before: known(d, 'before'),
  after: known(d, 'after'),
  isLast: yes(!d['after']),
})
