/** What may be said of scoops, jugs and a recipe made larger. Formulas: learning.md B0, B1, B3. */
import type Fraction from 'fraction.js'
import { parseRatio, ratio, toMixed } from '../../amount/ratio'
import { amountOf, has, fieldList, wholeOf, wordOf, type PlainFact, textField } from './fields'
import { measureOf, unitText, withUnit } from './measured'
import type { Values, ValuesOf } from './saying'
import { counted, improper, known, partWord, text, when, yes } from './phrases'

/** The scoop as the question names it: "1/4 cup", or with the unit that the measure brings ("1 tsp"). */
const scoopText = (f: PlainFact, unit: string): string => {
  const measure = textField(f, 'measure')
  return /[a-z]$/i.test(measure.trim()) ? measure : `${measure} ${unitText(unit, ratio(improper(measure)))}`
}
const withUnitText = (mixed: string, unit: string): string =>
  `${mixed} ${unitText(unit, ratio(improper(mixed)))}`.trim()

/** Counting scoops is asked where the count is whole and 12 at most; else only what is honest. */
export const scoopValues: ValuesOf = (f, d): Values => {
  const unit = wordOf(f, 'unit', 'cup')
  const measure = scoopText(f, unit)
  const target = toMixed(amountOf(f, 'target'))
  const pours = f['pours'] === true
  const always: Values = {
    food: wordOf(f, 'food', 'it'),
    measure,
    target: withUnitText(target, unit),
    targetPart: target,
    dry: yes(!pours),
    pours: yes(pours),
    ...sizes(f, unit),
  }
  if (d['whole'] !== true) return { ...always, odd: text(d, 'scoops') }
  const n = Number(text(d, 'scoops'))
  if (n > 12) return always
  const k = wholeOf(f, 'k', '0')
  const one = measureOf(f, unit)
  return {
    ...always,
    n: String(n),
    scoopsText: counted(String(n), 'scoop'),
    measurePart: one.toFraction(),
    twice: String(2 * n),
    ...totals(one, n, k, unit),
    ...names(f, d, target, unit, k),
    quarters: yes(one.equals('1/4') && n >= 2 && /^cup/.test(unit)),
    ...(k > 0 && soFar(d, k, n, unit)),
  }
}

/** The smallest and the largest measure of the unit that are in the box. */
function sizes(f: PlainFact, unit: string): Values {
  if (!has(f, 'measures')) return {}
  const all = fieldList(f, 'measures')
    .map((m) => parseRatio(m))
    .sort((a, b) => a.compare(b))
  const [small, large] = [all[0], all.at(-1)]
  if (!small || !large || small.equals(large)) return {}
  return { smallName: withUnitText(toMixed(small), unit), largeName: withUnitText(toMixed(large), unit) }
}

/** Running totals that are said aloud, the sum that can be written, and the total after the next scoop. */
function totals(one: Fraction, n: number, k: number, unit: string): Values {
  const after = (scoops: number): string => toMixed(one.mul(scoops))
  const part = one.d !== 1n && [2n, 3n, 4n].includes(one.d)
  const summed = k >= 2 ? k : n
  const wrong = k + 2 <= n ? k + 2 : k
  const asks = k + 1 <= n && wrong > 0 && wrong !== k + 1
  return {
    chain: when(part && n >= 2 && n <= 8, Array.from({ length: n }, (_, i) => after(i + 1)).join(', ')),
    sentence: when(
      summed >= 2 && summed <= 6,
      `${Array.from({ length: summed }, () => toMixed(one)).join(' + ')} = ${after(summed)}`,
    ),
    runningOrTarget: after(summed),
    nextIn: when(asks, withUnitText(after(k + 1), unit)),
    nextPart: after(k + 1),
    wrongNext: when(asks, withUnitText(after(wrong), unit)),
    wrongPart: after(wrong),
  }
}

/** Other names and other ways of the amount that is in, or of the whole. */
function names(
  f: PlainFact,
  d: Values | Record<string, unknown>,
  target: string,
  unit: string,
  k: number,
): Values {
  const equal = d['equivalents'] as string[]
  const otherWay = equal.find((e) => e.includes(' + '))
  const shown = k > 0 ? text(d, 'running') : target
  const isMeasure =
    has(f, 'measures') && fieldList(f, 'measures').some((m) => parseRatio(m).equals(improper(target)))
  return {
    otherWay,
    otherName: k > 0 ? equal.find((e) => !e.includes(' + ')) : undefined,
    shown: withUnitText(shown, unit),
    shownPart: shown,
    lost: yes(isMeasure && k === 0 && otherWay !== undefined),
    targetName: withUnitText(target, unit),
    fewest: known(d, 'fewest'),
  }
}

function soFar(d: Record<string, unknown>, k: number, n: number, unit: string): Values {
  return {
    k: String(k),
    several: yes(k > 1 && k <= n),
    scoopsIn: `${counted(String(k), 'scoop')} ${k === 1 ? 'is' : 'are'}`,
    running: withUnitText(text(d, 'running'), unit),
    runningPart: text(d, 'running'),
    leftScoops: known(d, 'leftScoops'),
    left: withUnitText(text(d, 'left'), unit),
    leftPart: text(d, 'left'),
  }
}

/**
 * A fill word is asked only where it is plain to see: exactly empty, half or full, or more than 3 % of the jug from a border;
 * and a question that names its choices only where the true one is among them (learning.md B0).
 */
export const jug: ValuesOf = (f, d, locale): Values => {
  const fill = text(d, 'fillWord')
  const share = ratio(improper(text(d, 'fraction')))
  const exact = ['empty', 'half full', 'full'].includes(fill)
  const plain = ['0', '1/2', '1'].every((border) => share.sub(border).abs().compare('3/100') > 0)
  const unit = wordOf(f, 'unit', '')
  const [amount, capacity] = [toMixed(amountOf(f, 'amount')), toMixed(amountOf(f, 'capacity'))]
  return {
    fill: when(exact || plain, fill),
    exact: yes(exact),
    ends: yes(fill === 'empty' || fill === 'full'),
    between: yes(!exact && plain),
    toFill: text(d, 'toFill'),
    amount,
    capacity,
    amountText: withUnitText(amount, unit),
    capacityText: withUnitText(capacity, unit),
    partly: yes(fill !== 'empty' && fill !== 'full'),
    part: partWord(text(d, 'fraction'), locale),
    fraction: text(d, 'fraction'),
  }
}

/** More or fewer people: the showing and the choice follow the factor, so that they are true. */
export const scaleValues: ValuesOf = (f, d): Values => {
  const factor = text(d, 'factor')
  if (has(f, 'ratio'))
    return { parts: String(f['ratio']).replace(':', ' parts of one, '), amount: text(d, 'amount') }
  const order = ratio(improper(factor)).compare(1)
  const asked = withUnit(f)
  const of = toMixed(asked.amount)
  return {
    factor,
    from: String(f['from']),
    to: String(f['to']),
    amount: text(d, 'amount'),
    amountPart: text(d, 'amount').replace(/ [a-z]+$/i, ''),
    grows: yes(order > 0),
    shrinks: yes(order < 0),
    stays: yes(order === 0),
    change: order > 0 ? 'more' : order < 0 ? 'less' : 'neither: the same',
    asked: of,
    askedPart: of,
    askedTwice: asked.amount.mul(2).ceil().toFraction(),
    askedText: `${of} ${unitText(asked.unit, asked.amount)}`.trim(),
    doubleOrHalf: factor === '2' ? 'double' : factor === '1/2' ? 'half of' : undefined,
  }
}
