/**
 * What follows from one fact of a step: exact, as text, in lowest terms. Fields and formulas: learning.md B0 and calc.md `fact`.
 */
import { ratio, toMixed, parseRatio } from '../../amount/ratio'
import { convertTemperature } from '../../amount/temperature'
import {
  above,
  amountOf,
  clockOf,
  FACT_KINDS,
  FactError,
  has,
  isFactKind,
  fieldList,
  sideOf,
  wholeOf,
  wordOf,
  type Derived,
  type FactKind,
  type PlainFact,
} from './fields'
import { deriveScale, deriveScoop } from './measured'
import { deriveVessel } from './vessel'
import { clockAfter } from '../../amount/clock-time'

const FILL_WORDS = ['empty', 'less than half full', 'half full', 'more than half full', 'full'] as const

const RULES: Record<FactKind, (f: PlainFact) => Derived> = {
  count: (f) => {
    const n = amountOf(f, 'n')
    if (n.compare(0) < 0) throw new FactError('n', 'must be 0 or more')
    if (has(f, 'removed') && amountOf(f, 'removed').compare(n) > 0)
      throw new FactError('removed', 'is more than there are')
    return {
      n: toMixed(n),
      ...(has(f, 'added') && { more: toMixed(n.add(amountOf(f, 'added'))) }),
      ...(has(f, 'removed') && { less: toMixed(n.sub(amountOf(f, 'removed'))) }),
      toTen: toMixed(ratio(10).sub(n)),
    }
  },
  scoop: deriveScoop,
  vessel: deriveVessel,
  jug: (f) => {
    const [c, a] = [above(f, 'capacity'), amountOf(f, 'amount')]
    if (a.compare(0) < 0 || a.compare(c) > 0)
      throw new FactError('amount', 'must lie between 0 and the capacity')
    const half = a.mul(2).compare(c)
    const word = a.equals(0) ? 0 : a.equals(c) ? 4 : half === 0 ? 2 : half < 0 ? 1 : 3
    return { fillWord: FILL_WORDS[word], fraction: toMixed(a.div(c)), toFill: toMixed(c.sub(a)) }
  },
  cut: (f) => {
    const [q, p] = [above(f, 'items'), above(f, 'pieces')]
    const t = amountOf(f, 'taken', '0')
    const total = q.mul(p)
    const left = total.sub(t)
    if (left.compare(0) < 0) throw new FactError('taken', 'is more than there are pieces')
    // Only equal pieces have the name of a fraction.
    const named = f['equal'] !== false && f['unnamed'] !== true
    const held = amountOf(f, 'held', '1')
    return {
      total: toMixed(total),
      leftPieces: toMixed(left),
      onePiece: named ? toMixed(held.div(p)) : null,
      takenFraction: named ? toMixed(t.div(p)) : null,
      leftFraction: named ? toMixed(left.div(p)) : null,
    }
  },
  share: (f) => {
    const n = wholeOf(f, 'n')
    if (has(f, 'fraction')) return { part: toMixed(ratio(n).mul(amountOf(f, 'fraction'))) }
    if (has(f, 'bag_size')) {
      const g = Math.max(1, wholeOf(f, 'bag_size'))
      return { bags: String(Math.floor(n / g)), spare: String(n % g) }
    }
    const w = wholeOf(f, 'people')
    if (w < 1) throw new FactError('people', 'must be at least 1')
    const left = n % w
    return {
      each: String(Math.floor(n / w)),
      left: String(left),
      exactEach: toMixed(ratio(n).div(w)),
      needed: String((w - left) % w),
    }
  },
  mirror: (f) => {
    const side = wholeOf(f, 'side')
    if (side < 1) throw new FactError('side', 'must be at least 1')
    return { all: String(2 * side), more: String(side + 1) }
  },
  layer: deriveLayer,
  layers: (f) => {
    const core = fieldList(f, 'core')
    if (core.length === 0) throw new FactError('core', 'must hold at least one item')
    return { bottom: core[0], top: core.at(-1), orders: String(core.reduce((n, _, i) => n * (i + 1), 1)) }
  },
  tin: (f) => {
    const total = has(f, 'total') ? wholeOf(f, 'total') : wholeOf(f, 'rows') * wholeOf(f, 'cols')
    if (total < 1) throw new FactError('rows', 'and cols must be at least 1')
    const pairs = Array.from({ length: total }, (_, i) => i + 1).filter((r) => total % r === 0)
    const out: Derived = { total: String(total), pairs: pairs.map((r) => `${r} × ${total / r}`) }
    if (!has(f, 'rows') || !has(f, 'cols')) return out
    const [rows, cols, filled] = [wholeOf(f, 'rows'), wholeOf(f, 'cols'), wholeOf(f, 'filled', '0')]
    if (filled > total) throw new FactError('filled', 'is more than there are places')
    return {
      ...out,
      empty: String(total - filled),
      fullRows: String(Math.floor(filled / cols)),
      fraction: toMixed(ratio(filled).div(total)),
      turned: { rows: String(cols), cols: String(rows) },
    }
  },
  timer: (f) => {
    const t = wholeOf(f, 'minutes')
    const e = wholeOf(f, 'elapsed', '0')
    return {
      leftMinutes: String(Math.max(0, t - e)),
      ...(has(f, 'start') && { end: clockAfter(clockOf(f, 'start'), t) }),
      ...(has(f, 'end') &&
        !has(f, 'start') && {
          start: clockAfter(clockOf(f, 'end'), 24 * 60 - (t % 1440)),
          end: clockOf(f, 'end'),
        }),
      fraction: t === 0 ? '1' : toMixed(ratio(Math.min(e, t)).div(t)),
    }
  },
  weigh: (f) => {
    const g = amountOf(f, 'grams')
    return {
      ...(has(f, 'bowl') && { withBowl: toMixed(g.add(amountOf(f, 'bowl'))) }),
      ...(has(f, 'division') && { steps: toMixed(g.div(above(f, 'division'))) }),
      ...(has(f, 'labels') &&
        has(f, 'division') && {
          marksBetween: toMixed(amountOf(f, 'labels').div(above(f, 'division')).sub(1)),
        }),
    }
  },
  compare: (f) => {
    const [a, b] = [sideOf(f, 'a'), sideOf(f, 'b')]
    const order = a.amount.compare(b.amount)
    return {
      more: order === 0 ? 'the same' : order > 0 ? a.name : b.name,
      less: order === 0 ? 'the same' : order > 0 ? b.name : a.name,
      difference: toMixed(a.amount.sub(b.amount).abs()),
      ...(b.amount.compare(0) !== 0 && { times: toMixed(a.amount.div(b.amount)) }),
    }
  },
  price: (f) => {
    const cost = has(f, 'cost_pence')
      ? amountOf(f, 'cost_pence')
      : amountOf(f, 'pack_pence').mul(amountOf(f, 'used_g')).div(above(f, 'pack_g'))
    return {
      cost: toMixed(cost),
      ...(has(f, 'serves') && { perServing: toMixed(cost.div(above(f, 'serves'))) }),
      ...(has(f, 'paid_pence') && { change: toMixed(amountOf(f, 'paid_pence').sub(cost)) }),
    }
  },
  scale: deriveScale,
  temp: (f) => {
    const unit = wordOf(f, 'unit', 'C') === 'F' ? 'F' : 'C'
    const value = amountOf(f, 'value')
    const other = convertTemperature(value, unit, unit === 'C' ? 'F' : 'C')
    return {
      ...(unit === 'C' ? { fahrenheit: toMixed(other) } : { celsius: toMixed(other) }),
      ...(has(f, 'other') && { difference: toMixed(value.sub(amountOf(f, 'other')).abs()) }),
    }
  },
  shape: (f) => {
    const known = SHAPES[wordOf(f, 'shape', '')]
    if (!known) throw new FactError('shape', `must be one of: ${Object.keys(SHAPES).join(', ')}`)
    const [sides, symmetry] = known
    return { sides, corners: sides, symmetry }
  },
  tastes: (f) => {
    const foods = fieldList(f, 'foods')
    if (new Set(foods).size < 2) throw new FactError('foods', 'must hold at least two different foods')
    return { n: String(foods.length), more: String(foods.length + 1) }
  },
  vote: (f) => {
    const options = f['options']
    const counts =
      options && typeof options === 'object' && !Array.isArray(options)
        ? Object.entries(options as Record<string, unknown>)
        : null
    if (!counts || counts.length === 0)
      throw new FactError('options', 'must name what was voted for, with counts')
    const list = counts.map(([name, n]) => ({ name, n: wholeOf({ kind: 'vote', [name]: n }, name) }))
    const most = Math.max(...list.map((o) => o.n))
    const fewest = Math.min(...list.map((o) => o.n))
    const total = list.reduce((sum, o) => sum + o.n, 0)
    const named = (n: number): string =>
      list
        .filter((o) => o.n === n)
        .map((o) => o.name)
        .join(', ')
    return {
      most: named(most),
      fewest: named(fewest),
      total: String(total),
      difference: String(most - fewest),
      fraction: total === 0 ? '0' : toMixed(ratio(most).div(total)),
    }
  },
  order: (f) => {
    const steps = fieldList(f, 'steps')
    const i = wholeOf(f, 'i', '1')
    if (i < 1 || i > steps.length) throw new FactError('i', `must lie between 1 and ${steps.length}`)
    return { step: steps[i - 1], before: steps[i - 2] ?? null, after: steps[i] ?? null }
  },
}

/** Sides, and lines of symmetry; a circle has no corner and very many lines. */
const SHAPES: Record<string, [string, string]> = {
  circle: ['0', 'very many'],
  square: ['4', '4'],
  rectangle: ['4', '2'],
  triangle: ['3', '3'],
  hexagon: ['6', '6'],
  oval: ['0', '2'],
}

function deriveLayer(f: PlainFact): Derived {
  if (has(f, 'growing')) {
    const rows = fieldList(f, 'growing').map((r) => parseRatio(r))
    const [before, last] = [rows.at(-2), rows.at(-1)]
    if (!last || !before) throw new FactError('growing', 'must hold at least two rows')
    const step = last.sub(before)
    const out: Derived = { next: toMixed(last.add(step)), by: toMixed(step) }
    return has(f, 'i') && rows[0] ? { ...out, row: toMixed(rows[0].add(step.mul(wholeOf(f, 'i') - 1))) } : out
  }
  const core = fieldList(f, 'core')
  if (core.length === 0) throw new FactError('core', 'must hold at least one item')
  const repeats = wholeOf(f, 'repeats', '1')
  const counts: Record<string, string> = {}
  for (const item of core) counts[item] = String(Number(counts[item] ?? 0) + repeats)
  const out: Derived = { total: String(core.length * repeats), counts }
  if (has(f, 'i')) out['item'] = core[(wholeOf(f, 'i') - 1) % core.length]
  if (has(f, 'sequence')) {
    const given = fieldList(f, 'sequence')
    const at = given.findIndex((item, i) => item !== core[i % core.length])
    out['error'] = at < 0 ? null : { at: String(at + 1), belongs: core[at % core.length] }
  }
  return out
}

/** @throws FactError naming the field */
export function derive(fact: PlainFact): Derived {
  if (!isFactKind(fact.kind)) throw new FactError('kind', `must be one of: ${FACT_KINDS.join(', ')}`)
  return RULES[fact.kind](fact)
}
