/** What follows from a scoop and from a recipe made larger or smaller. Source: learning.md B0. */
import type Fraction from 'fraction.js'
import { decompositions } from '../../amount/decompose'
import { parseRatio, ratio, toMixed } from '../../amount/ratio'
import { convert, UNIT_IDS, unitOf } from '../../amount/units'
import {
  above,
  amountOf,
  FactError,
  has,
  fieldList,
  wholeOf,
  wordOf,
  type Derived,
  type PlainFact,
} from './fields'

const WORD_UNITS: Record<string, string> = {
  cup: 'cup_us',
  cups: 'cup_us',
  tbsp: 'tbsp_us',
  tsp: 'tsp_us',
  ml: 'mL',
  l: 'L',
}
const unitId = (word: string): string => WORD_UNITS[word.toLowerCase()] ?? word

/** "1 tsp" where the target is in tbsp; a bare number is in the unit of the target. */
export function measureOf(f: PlainFact, unit: string): Fraction {
  const value = f['measure']
  const words = typeof value === 'string' ? /^([\d\s./½⅓⅔¼¾⅛]+?)\s*([a-z_A-Z]+)$/.exec(value.trim()) : null
  if (!words?.[1] || !words[2]) return above(f, 'measure')
  const inUnit = convert(parseRatio(words[1]), unitId(words[2]), unitId(unit))
  if (!inUnit) throw new FactError('measure', `does not measure what ${unit} does`)
  return inUnit
}

const CUPS = ['1', '1/2', '1/3', '1/4']

export function deriveScoop(f: PlainFact): Derived {
  const unit = wordOf(f, 'unit', 'cup')
  const [target, measure, k] = [above(f, 'target'), measureOf(f, unit), ratio(wholeOf(f, 'k', '0'))]
  const n = target.div(measure)
  const running = measure.mul(k)
  const near = n.add('1/2').floor()
  const shown = k.compare(0) > 0 ? running : target
  const sizes = (has(f, 'measures') ? fieldList(f, 'measures') : CUPS).map((size) => ({
    id: size,
    size: parseRatio(size),
  }))
  const sums = decompositions(shown, sizes, 12).sort((a, b) => sum(a) - sum(b))
  const least = decompositions(target, sizes, 12).sort((a, b) => sum(a) - sum(b))[0]
  return {
    scoops: toMixed(n),
    whole: n.d === 1n,
    running: toMixed(running),
    left: toMixed(target.sub(running)),
    leftScoops: toMixed(n.sub(k)),
    equivalents: [
      ...sameFractions(shown),
      ...sums.slice(0, 4).map((w) =>
        asSum(
          w,
          sizes.map((s) => s.id),
        ),
      ),
    ],
    nearest: toMixed(near.compare(1) < 0 ? ratio(1) : near),
    ...(has(f, 'measures') &&
      least && {
        fewest: asSum(
          least,
          sizes.map((s) => s.id),
        ),
      }),
  }
}

const sum = (way: readonly number[]): number => way.reduce((a, b) => a + b, 0)
const asSum = (way: readonly number[], names: readonly string[]): string =>
  way.flatMap((n, i) => Array.from({ length: n }, () => names[i] ?? '')).join(' + ')

/** 3/4 is 6/8 and 9/12: other names with the parts that kitchens and schools use. */
function sameFractions(value: Fraction): string[] {
  const d = Number(value.d)
  return [2, 3, 4, 6, 8, 12]
    .filter((other) => other > d && other % d === 0)
    .map((other) => `${toMixed(value.mul(other))}/${other}`)
}

export function deriveScale(f: PlainFact): Derived {
  if (has(f, 'ratio')) {
    const [a, b] = String(f['ratio'])
      .split(':')
      .map((x) => parseRatio(x))
    if (!a || !b || a.compare(0) <= 0) throw new FactError('ratio', 'must be such as 2:1')
    return { factor: toMixed(b.div(a)), amount: toMixed(amountOf(f, 'a_amount').mul(b).div(a)) }
  }
  const { amount, unit } = withUnit(f)
  const factor = above(f, 'to').div(above(f, 'from'))
  const next = amount.mul(factor)
  return { factor: toMixed(factor), amount: `${toMixed(next)} ${unitText(unit, next)}`.trim() }
}

/** "3/4 cup", or an amount with `unit` beside it. */
export function withUnit(f: PlainFact): { amount: Fraction; unit: string } {
  const value = f['amount']
  const words = typeof value === 'string' ? /^([\d\s./½⅓⅔¼¾⅛]+?)\s*([a-z_A-Z]*)$/.exec(value.trim()) : null
  if (words?.[1])
    return {
      amount: amountOf({ kind: f.kind, amount: words[1].trim() }, 'amount'),
      unit: words[2] || wordOf(f, 'unit', ''),
    }
  return { amount: amountOf(f, 'amount'), unit: wordOf(f, 'unit', '') }
}

/** Singular above 0 up to and including 1, else plural: 1/2 cup, 0 cups, 1 1/4 cups. */
export function unitText(unit: string, amount: Fraction): string {
  const known = unitOf(UNIT_IDS.includes(unit) ? unit : unitId(unit.replace(/s$/, '')))
  const one = amount.compare(0) > 0 && amount.compare(1) <= 0
  if (known.dimension === 'count' && unit === '') return ''
  return one ? known.one : known.many
}
