/**
 * One amount filled with measures of several sizes: a half, then two quarters. Its scoops are no count of one kind; what is true of it
 * is the sum, with its running total, and how many of the small one fill the big one.
 */
import type Fraction from 'fraction.js'
import { parseRatio, ratio, toMixed } from '../../amount/ratio'
import { toBase } from '../../amount/units'
import { foodWords } from '../line/grammar'
import { FactError, wholeOf, wordOf, type Derived, type PlainFact } from './fields'
import { unitText } from './measured'
import type { Values, ValuesOf } from './saying'
import { either, text, when, yes } from './phrases'

interface Part {
  name: string
  size: Fraction
  unit: string
  n: number
}

function partsOf(f: PlainFact): Part[] {
  const list = f['parts']
  if (!Array.isArray(list) || list.length === 0) throw new FactError('parts', 'must name the measures')
  return list.map((p: unknown) => {
    const part = (p ?? {}) as Record<string, unknown>
    if (typeof part['name'] !== 'string' || typeof part['unit'] !== 'string')
      throw new FactError('parts', 'must each have a name, a size, a unit and how many')
    return {
      name: part['name'],
      size: parseRatio(part['size'] as string),
      unit: part['unit'],
      n: wholeOf({ kind: 'vessel', n: part['n'] }, 'n'),
    }
  })
}

const sizesOf = (parts: readonly Part[]): Fraction[] =>
  parts.flatMap((p) => Array.from({ length: p.n }, () => p.size))

/** Sum, running total and how many small ones fill a big one; the sums only where all are of one unit. */
export function deriveVessel(f: PlainFact): Derived {
  const parts = partsOf(f)
  const [large, small] = [parts[0], parts.at(-1)]
  const sizes = sizesOf(parts)
  const k = wholeOf(f, 'k', '0')
  const oneUnit = new Set(parts.map((p) => p.unit)).size === 1
  const sum = (list: Fraction[]): string => toMixed(list.reduce((a, b) => a.add(b), ratio(0)))
  const fit =
    large && small && large !== small
      ? toBase(large.size, large.unit).div(toBase(small.size, small.unit))
      : undefined
  return {
    n: String(sizes.length),
    ...(oneUnit && { total: sum(sizes), running: sum(sizes.slice(0, k)) }),
    ...(fit !== undefined && { fit: toMixed(fit) }),
  }
}

/** A sum is said up to so many scoops. */
const SUM_MOST = 4
export const vessel: ValuesOf = (f, d): Values => {
  const parts = partsOf(f)
  const [large, small] = [parts[0], parts.at(-1)]
  if (!large || !small) return {}
  const sizes = sizesOf(parts)
  const k = wholeOf(f, 'k', '0')
  const two = large !== small
  const [total, running, fit] = [text(d, 'total'), text(d, 'running'), text(d, 'fit')]
  const withUnit = (mixed: string): string => `${mixed} ${unitText(large.unit, parseRatio(mixed))}`
  const less = total === '' ? '' : toMixed(parseRatio(total).sub(small.size))
  return {
    ...foodWords(wordOf(f, 'food', 'it')),
    two: yes(two),
    n: text(d, 'n'),
    several: yes(two && sizes.length >= 3),
    few: yes(sizes.length <= 8),
    largeName: large.name,
    smallName: small.name,
    largeCount: String(large.n),
    smallCount: String(sizes.length - large.n),
    largePart: large.size.toFraction(),
    smallPart: small.size.toFraction(),
    sizesOr: when(two, either(`the ${large.name}`, `the ${small.name}`)),
    smallNow: yes(two && k === large.n),
    sum: when(total !== '' && sizes.length <= SUM_MOST, sizes.map((s) => toMixed(s)).join(' + ')),
    total: total || undefined,
    totalText: when(total !== '', withUnit(total || '1')),
    totalOr: when(total !== '', either(withUnit(total || '1'), withUnit(less || '1'))),
    fit: when(/^[2-6]$/.test(fit), fit),
    fitOr: when(/^[2-6]$/.test(fit), either(fit, String(Number(fit) + 1))),
    running: when(k > 0 && running !== '', withUnit(running || '1')),
    runningPart: running || undefined,
  }
}
