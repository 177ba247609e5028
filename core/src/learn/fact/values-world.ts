/** What may be said of cuts, weight, time, money, heat, shapes, votes and order. Formulas: learning.md B0 and B1. */
import { capitalised } from '../../amount/letter-case'
import { ratio, toMixed } from '../../amount/ratio'
import { amountOf, has, sideOf, wordOf, textField, type PlainFact } from './fields'
import { unitText } from './measured'
import { foodWords } from '../line/grammar'
import { doing } from '../line/doing'
import type { Locale, Values, ValuesOf } from './saying'
import { coins, either, improper, known, partWord, text, things, when, yes } from './phrases'

/** Parts of a thing that a child may have in its hand, said with the thing: "half an apple", "a quarter of the pepper". */
const heldText = (held: string, one: string, locale: Locale): string | undefined =>
  held === '1/2'
    ? `half ${/^[aeiou]/i.test(one) ? 'an' : 'a'} ${one}`
    : held === '1'
      ? undefined
      : `${partWord(held, locale)} of the ${one}`
/** Straight cuts through the middle of something round: so many equal pieces. */
const THROUGH: Record<string, number> = { '2': 1, '4': 2, '6': 3, '8': 4 }
const LONG =
  /\b(carrot|cucumber|courgette|zucchini|leek|celery|banana|spring onion|bean|sausage|parsnip|loaf|roll)/i

export const cut: ValuesOf = (f, d, locale): Values => {
  const one = known(d, 'onePiece')
  const total = text(d, 'total')
  const pieces = toMixed(amountOf(f, 'pieces'))
  const items = amountOf(f, 'items')
  const single = items.equals(1)
  const food = wordOf(f, 'food', 'it')
  const name = things(food, 1)
  const held = toMixed(amountOf(f, 'held', '1'))
  const whole = held === '1' && single && one !== undefined
  const through = f['through'] === true ? THROUGH[pieces] : undefined
  const taken = text(d, 'takenFraction')
  const n = Number(pieces)
  const part = one && /^1\/(2|3|4|6|8)$/.test(one) ? partWord(one, locale) : undefined
  const hold = heldText(held, name, locale)
  return {
    ...foodWords(food),
    one_food: name,
    items: toMixed(items),
    manyItems: yes(items.compare(1) > 0),
    total,
    pieces,
    piecesOr: either(pieces, String(n > 2 ? n - 1 : n + 1)),
    morePieces: when(one !== undefined && n >= 2, String(n + 1)),
    one,
    part,
    fair: fairText(f['equal']),
    wholeHeld: yes(whole),
    heldText: hold,
    HeldText: hold && capitalised(hold),
    two: yes(n === 2),
    three: yes(n === 3),
    four: yes(n === 4),
    eight: yes(n === 8),
    longish: yes(LONG.test(food)),
    cutsThrough: through === undefined ? undefined : String(through),
    cutsOr: through === undefined ? undefined : either(String(through), String(n)),
    // Slices side by side: of what is long. A round thing is cut through the middle.
    cuts: when(
      single && LONG.test(food) && f['through'] !== true && f['scattered'] !== true && Number(total) > 1,
      String(Number(total) - 1),
    ),
    acrossOr: either(String(Number(total) - 1), total),
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
/** Parts of an hour that have a name. */
const OF_HOUR: Record<number, [string, string]> = {
  15: ['1/4', 'a quarter of an hour'],
  20: ['1/3', 'a third of an hour'],
  30: ['1/2', 'half an hour'],
  40: ['2/3', 'two thirds of an hour'],
  45: ['3/4', 'three quarters of an hour'],
}
export const timer: ValuesOf = (f, d): Values => {
  const minutes = Number(f['minutes'])
  const gone = text(d, 'fraction')
  const left = text(d, 'leftMinutes')
  const even = minutes % 2 === 0 && minutes >= 4
  return {
    minutes: String(minutes),
    minutesGate: String(minutes),
    leftMinutes: left,
    going: yes(has(f, 'elapsed') && left !== '0'),
    ready: left === '0' ? 'ready' : 'we wait',
    thanTeeth: minutes > TEETH_MINUTES ? 'longer' : minutes < TEETH_MINUTES ? 'shorter' : 'about as long',
    halfMinutes: when(even, String(minutes / 2)),
    halfOr: when(even, either(String(minutes / 2), String(minutes / 2 + 2))),
    aHalf: '1/2',
    ofHour: OF_HOUR[minutes]?.[0],
    ofHourWord: OF_HOUR[minutes]?.[1],
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

const TIMES_WORDS: Record<string, string> = { '2': 'twice', '3': 'three times', '4': 'four times' }
export const compare: ValuesOf = (f, d): Values => {
  const [a, b] = [sideOf(f, 'a'), sideOf(f, 'b')]
  const order = a.amount.compare(b.amount)
  const [more, less] = order >= 0 ? [a, b] : [b, a]
  const unit = wordOf(f, 'unit', '')
  const times = less.amount.compare(0) > 0 ? toMixed(more.amount.div(less.amount)) : ''
  return {
    a: a.name === 'a' ? 'this one' : a.name,
    b: b.name === 'b' ? 'that one' : b.name,
    amountA: withUnit(toMixed(a.amount), unit),
    amountB: withUnit(toMixed(b.amount), unit),
    amountLess: withUnit(toMixed(less.amount), unit),
    amountMore: withUnit(toMixed(more.amount), unit),
    differs: yes(order !== 0),
    same: yes(order === 0),
    near: yes(order !== 0),
    more: text(d, 'more'),
    less: text(d, 'less'),
    difference: withUnit(text(d, 'difference'), unit),
    differencePart: text(d, 'difference'),
    times,
    timesWhole: yes(order !== 0 && /^\d+$/.test(times)),
    timesText: TIMES_WORDS[times] ?? `${times} times`,
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
  const other = has(f, 'other') ? Number(f['other']) : undefined
  return {
    hot: yes(hot),
    cold: yes(!hot),
    hotCold: hot ? 'hot' : 'cold',
    value: textField(f, 'value'),
    warmer: c > (other ?? HAND_C) ? 'warmer' : 'colder',
    room: other === undefined ? undefined : String(other),
    low: other === undefined ? undefined : String(Math.min(c, other)),
    high: other === undefined ? undefined : String(Math.max(c, other)),
    difference: known(d, 'difference'),
    otherScale: known(d, 'fahrenheit') ? `${text(d, 'fahrenheit')} °F` : `${text(d, 'celsius')} °C`,
  }
}

export const shapeValues: ValuesOf = (f, d): Values => {
  const name = wordOf(f, 'shape', 'shape')
  const an = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
  return {
    aShape: an(name),
    AShape: capitalised(an(name)),
    shapeOr: either(an(name), an(name === 'circle' ? 'square' : 'circle')),
    corners: text(d, 'corners'),
    square: yes(name === 'square'),
    symmetric: yes(text(d, 'symmetry') !== '0'),
    symmetry: text(d, 'symmetry'),
    symmetryText: name === 'circle' ? 'through the middle, any way' : `${text(d, 'symmetry')} ways`,
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

export const order: ValuesOf = (_, d): Values => {
  const [now, before, after] = [text(d, 'step'), known(d, 'before'), known(d, 'after')]
  const [nowDo, beforeDo, afterDo] = [doing(now), before && doing(before), after && doing(after)]
  return {
    now,
    before,
    after,
    nowDo,
    beforeDo,
    afterDo,
    isLast: yes(!after),
    orderOr: nowDo && afterDo && either(`do we ${afterDo}`, `do we ${nowDo}`),
    beforeOr: beforeDo && nowDo && either(beforeDo, nowDo),
  }
}
