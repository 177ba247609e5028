/** What may be said of scoops, jugs and a recipe made larger. Formulas: learning.md B0, B1, B3. */
import type Fraction from 'fraction.js'
import { parseRatio, ratio, toMixed } from '../../amount/ratio'
import { UNIT_IDS } from '../../amount/units'
import { amountOf, has, fieldList, wholeOf, wordOf, type PlainFact, textField } from './fields'
import { measureOf, unitText, withUnit } from './measured'
import type { Locale, Values, ValuesOf } from './saying'
import { foodWords } from '../line/grammar'
import { counted, either, improper, known, partsWord, partWord, text, when, yes } from './phrases'

/** The scoop as the question names it: "1/4 cup", or with the unit that the measure brings ("1 tsp"). */
const scoopText = (f: PlainFact, unit: string): string => {
  const measure = textField(f, 'measure')
  return /[a-z]$/i.test(measure.trim()) ? measure : `${measure} ${unitText(unit, ratio(improper(measure)))}`
}
const withUnitText = (mixed: string, unit: string): string =>
  `${mixed} ${unitText(unit, ratio(improper(mixed)))}`.trim()

/** Counting scoops is asked where the count is whole and 12 at most; else only what is honest. */
export const scoopValues: ValuesOf = (f, d, locale): Values => {
  const unit = wordOf(f, 'unit', 'cup')
  const measure = scoopText(f, unit)
  const target = toMixed(amountOf(f, 'target'))
  const pours = f['pours'] === true
  const always: Values = {
    ...foodWords(wordOf(f, 'food', 'it')),
    measure,
    target: withUnitText(target, unit),
    targetPart: target,
    doIt: pours ? 'Fill, stop, tip' : 'Scoop, level, tip',
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
    more1: yes(n >= 2),
    nOr: either(String(n), String(n > 1 ? n - 1 : n + 1)),
    scoopsText: counted(String(n), 'scoop'),
    measurePart: one.toFraction(),
    twice: String(2 * n),
    halfScoops: when(n % 2 === 0 && n >= 4, String(n / 2)),
    halfOr: when(n % 2 === 0 && n >= 4, either(String(n / 2), String(n / 2 + 1))),
    ...totals(one, n, k, unit),
    ...names(f, d, target, unit, { k, one }),
    ...wholeOf1(one, n, k, unit, locale),
    ...(k > 0 && soFar(d, one, k, n, unit)),
  }
}

const PARTS: readonly bigint[] = [2n, 3n, 4n]
const COUNT_WORDS = ['', 'one', 'two', 'three', 'four']
/** Measures that are a half, a third or a quarter: how many make one whole, said one by one. */
function wholeOf1(one: Fraction, n: number, k: number, unit: string, locale: Locale): Values {
  const parts = Number(one.d)
  const many = partsWord(parts, locale)
  if (one.n !== 1n || !PARTS.includes(one.d) || many === undefined || n < parts) return {}
  const single = partWord(one.toFraction(), locale).replace(/^an? /, '')
  const whole = `one whole ${unitText(unit, ratio(1))}`
  const said = Array.from({ length: parts }, (_, i) => `${COUNT_WORDS[i + 1]} ${i === 0 ? single : many}`)
  return {
    perWhole: String(parts),
    perWholeOr: either(String(parts), String(parts === 2 ? 3 : parts - 1)),
    partPlural: many,
    wholeChain: `${said.join(', ')}: ${whole}`,
    wholeNow: yes(k === parts),
    twoQuarters: yes(parts === 4 && k === 2 && /^cup/.test(unit)),
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
  const [smallName, largeName] = [withUnitText(toMixed(small), unit), withUnitText(toMixed(large), unit)]
  return { smallName, largeName, sizesOr: either(`the ${smallName}`, `the ${largeName}`) }
}

/** Running totals that are said aloud, the sum that can be written, and the total after the next scoop. */
function totals(one: Fraction, n: number, k: number, unit: string): Values {
  const after = (scoops: number): string => toMixed(one.mul(scoops))
  const part = one.d !== 1n && PARTS.includes(one.d)
  const summed = k >= 2 ? k : n
  const wrong = k + 2 <= n ? k + 2 : k
  const asks = k >= 1 && k + 1 <= n && wrong !== k + 1
  const next = withUnitText(after(k + 1), unit)
  return {
    isPart: yes(part),
    chain: when(part && n >= 2 && n <= 8, list(n, after)),
    chainSoFar: when(part && k >= 2 && k <= 8, list(k, after)),
    sentence: when(
      summed >= 2 && summed <= 6,
      `${Array.from({ length: summed }, () => toMixed(one)).join(' + ')} = ${after(summed)}`,
    ),
    nextIn: when(asks, next),
    nextOr: when(asks, either(next, withUnitText(after(wrong), unit))),
    nextPart: after(k + 1),
    wrongPart: after(wrong),
  }
}
const list = (n: number, after: (scoops: number) => string): string =>
  Array.from({ length: n }, (_, i) => after(i + 1)).join(', ')

/** Other names and other ways of the amount that is in, or of the whole. */
function names(
  f: PlainFact,
  d: Values | Record<string, unknown>,
  target: string,
  unit: string,
  { k, one }: { k: number; one: Fraction },
): Values {
  const equal = d['equivalents'] as string[]
  // Another way is not the one that is used.
  const used = one.toFraction()
  const otherWay = equal.find((e) => e.includes(' + ') && e.split(' + ').some((part) => part !== used))
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

function soFar(d: Record<string, unknown>, one: Fraction, k: number, n: number, unit: string): Values {
  const running = withUnitText(text(d, 'running'), unit)
  const other = withUnitText(toMixed(one.mul(k > 1 ? k - 1 : k + 1)), unit)
  const left = known(d, 'leftScoops')
  return {
    k: String(k),
    several: yes(k > 1 && k <= n),
    kOr: when(k > 1, either(String(k), String(k - 1))),
    scoopsIn: `${counted(String(k), 'scoop')} ${k === 1 ? 'is' : 'are'}`,
    running,
    runningOr: either(running, other),
    runningPart: text(d, 'running'),
    halfNow: yes(n >= 4 && 2 * k === n),
    leftScoops: when(k < n, left ?? ''),
    leftOr: when(k < n, either(left ?? '', String(n - k + 1))),
    left: when(k < n, withUnitText(text(d, 'left'), unit)),
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
    vessel: wordOf(f, 'vessel', 'jug'),
    fill: when(exact || plain, fill),
    fillShort: when(exact || plain, fill === 'full' ? 'half full' : fill),
    toFillGate: when(/^\d+$/.test(text(d, 'toFill')), text(d, 'toFill')),
    exact: yes(exact),
    ends: yes(fill === 'empty' || fill === 'full'),
    between: yes(!exact && plain),
    toFill: when(text(d, 'toFill') !== '0', text(d, 'toFill')),
    // With its unit where that is one of Lea's; a unit in somebody's own words stands in the question.
    toFillText: when(
      text(d, 'toFill') !== '0',
      UNIT_IDS.includes(unit) ? withUnitText(text(d, 'toFill'), unit) : text(d, 'toFill'),
    ),
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
    differs: yes(order !== 0),
    change: order > 0 ? 'more' : order < 0 ? 'less' : 'neither: the same',
    asked: of,
    askedPart: of,
    askedTwice: asked.amount.mul(2).ceil().toFraction(),
    askedText: `${of} ${unitText(asked.unit, asked.amount)}`.trim(),
    doubleOrHalf: factor === '2' ? 'double' : factor === '1/2' ? 'half of' : undefined,
  }
}
