/** What may be said of things counted, shared, laid in a pattern or set in rows. Formulas: learning.md B0 and B1. */
import { fieldList, wordOf, textField } from './fields'
import type { Values, ValuesOf } from './saying'
import { improper, known, partWord, text, things, when, yes } from './phrases'

const steps = (n: number, by: number): string =>
  Array.from({ length: n / by }, (_, i) => String((i + 1) * by)).join(', ')

export const countValues: ValuesOf = (f, d): Values => {
  const whole = /^\d+$/.test(text(d, 'n'))
  const n = Number(text(d, 'n'))
  const food = wordOf(f, 'food', 'things')
  if (!whole) return { food: things(food, 2), one: things(food, 1) }
  const some = n >= 2
  return {
    food: things(food, n),
    one: things(food, 1),
    n: String(n),
    some: yes(some),
    few: yes(n <= 5),
    other: String(n > 1 ? n - 1 : n + 1),
    more: String(n + 1),
    fewer: when(n >= 1, String(n - 1)),
    left: known(d, 'less'),
    used:
      typeof f['removed'] === 'number' || typeof f['removed'] === 'string' ? String(f['removed']) : undefined,
    toTen: when(n >= 1 && n < 10, text(d, 'toTen')),
    thanTen: n > 10 ? 'more' : n < 10 ? 'fewer' : 'just ten',
    fingers: when(n >= 2 && n <= 10, n <= 5 ? `such as ${n - 1} and 1` : `such as 5 and ${n - 5}`),
    glance: yes(n >= 1 && n <= 5),
    fivePlus: when(n > 5 && n <= 10, `5 and ${n - 5}`),
    pairs: when(some, n % 2 === 0 ? 'yes: it is even' : 'no: one is over, it is odd'),
    inTwos: when(some && n % 2 === 0 && n <= 24, steps(n, 2)),
  }
}

/** Numbers said in time to an action, such as rubbing hands: nothing to touch. */
export const aloud: ValuesOf = (_, d): Values => {
  const n = Number(text(d, 'n'))
  const nearly = Math.min(n - 1, 12)
  return {
    n: String(n),
    nearly: when(n > 2, String(nearly)),
    afterThat: when(n > 2, String(nearly + 1)),
    inFives: when(n >= 10 && n % 5 === 0 && n <= 60, steps(n, 5)),
    teens: yes(n >= 16),
  }
}

export const share: ValuesOf = (f, d, locale): Values => {
  const food = wordOf(f, 'food', 'pieces')
  const n = textField(f, 'n')
  const base: Values = { food: things(food, Number(n) || 2), n }
  if (d['part'] !== undefined)
    return {
      ...base,
      part: text(d, 'part'),
      fraction: partWord(String(f['fraction']), locale),
      fractionPart: String(f['fraction']),
    }
  if (d['bags'] !== undefined) return { ...base, bags: text(d, 'bags'), spare: text(d, 'spare') }
  const [each, left] = [text(d, 'each'), text(d, 'left')]
  const over = left !== '0'
  return {
    ...base,
    people: textField(f, 'people'),
    each,
    left,
    over: yes(over),
    oneOver: yes(left === '1' && each !== '0'),
    needed: text(d, 'needed'),
    someLeft: over ? `${left} left over` : 'none',
    eachText: over ? `${each} each, ${left} left` : `${each} each, none left`,
    fairText: over ? `${each} each; the ${left} left over are cut or kept` : `${each} each`,
    exactEach: text(d, 'exactEach'),
    cuttable: yes(f['cuttable'] === true && over),
  }
}

/** A row of two kinds from 30 months, of three from 48, of four from 84: the last is `longRow` (learning.md B0). */
export const layer: ValuesOf = (f, d): Values => {
  if (d['next'] !== undefined) return { nextRow: text(d, 'next'), by: text(d, 'by') }
  const core = fieldList(f, 'core')
  const [a = '', b = a] = core
  const counts = d['counts'] as Record<string, string>
  const wrong = d['error'] as { at: string; belongs: string } | null | undefined
  return {
    core: core.join(', '),
    a,
    b,
    ab: yes(core.length === 2 && a !== b),
    abc: yes(core.length > 2 && a !== b),
    next: a,
    countA: counts[a],
    total: text(d, 'total'),
    i: known(d, 'item') && String(f['i']),
    item: known(d, 'item'),
    wrongAt: wrong?.at,
    belongs: wrong?.belongs,
  }
}

/** Counting every place is asked up to 24 (learning.md B0). */
export const tin: ValuesOf = (f, d): Values => {
  const total = Number(text(d, 'total'))
  if (total > 24) return {}
  const rows = Number(f['rows'])
  const cols = Number(f['cols'])
  const grid = Number.isInteger(rows) && Number.isInteger(cols)
  const turned = d['turned'] as { rows: string; cols: string } | undefined
  const fraction = text(d, 'fraction')
  const [row, column] = [things('row', 2), things('column', 2)]
  return {
    total: String(total),
    countable: 'yes',
    empty: known(d, 'empty'),
    longer: when(grid && rows !== cols, cols > rows ? 'a row' : 'a column'),
    turned: turned && `${turned.rows} ${row} and ${turned.cols} ${column} now`,
    even: total % 2 === 0 ? 'yes: it is even' : 'no: one is over, it is odd',
    pairs: (d['pairs'] as string[]).join(', '),
    fraction: fraction ? fraction : undefined,
    partly: yes(fraction !== '' && !['0', '1'].includes(improper(fraction))),
  }
}
