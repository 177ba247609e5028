/** What may be said of things counted, shared, laid in a pattern or set in rows. Formulas: learning.md B0 and B1. */
import { capitalised } from '../../amount/letter-case'
import { fieldList, wholeOf, wordOf, textField } from './fields'
import type { Locale, Values, ValuesOf } from './saying'
import { toMixed, ratio } from '../../amount/ratio'
import { foodWords } from '../line/grammar'
import { either, improper, known, partWord, text, things, when, yes } from './phrases'

const steps = (n: number, by: number): string =>
  Array.from({ length: n / by }, (_, i) => String((i + 1) * by)).join(', ')

/** The largest equal groups below the whole: 12 in fours. Undefined where there are none. */
const groupSize = (n: number): number | undefined =>
  n < 6 || n > 60 ? undefined : [5, 4, 3, 2].find((g) => n % g === 0 && n / g >= 2)

export const countValues: ValuesOf = (f, d): Values => {
  const whole = /^\d+$/.test(text(d, 'n'))
  const n = Number(text(d, 'n'))
  const food = wordOf(f, 'food', 'things')
  const words = { ...foodWords(things(food, whole ? n : 2)), one: things(food, 1) }
  if (!whole) return words
  const group = groupSize(n)
  const each = f['each'] === true
  return {
    ...words,
    have: each ? 'you have' : 'we have',
    WeHave: each ? 'You have' : 'We have',
    HaveWe: each ? 'Have you' : 'Have we',
    our: each ? 'your' : 'our',
    n: String(n),
    some: yes(n >= 2),
    several: yes(n >= 3),
    many: yes(n >= 6),
    more: String(n + 1),
    fewer: when(n >= 2, String(n - 1)),
    nOr: either(String(n), String(n > 1 ? n - 1 : n + 1)),
    moreOr: either(String(n + 1), String(n + 2)),
    fewerOr: when(n >= 2, either(String(n - 1), String(n))),
    numeral: yes(n >= 2 && n <= 10),
    toTen: when(n >= 5 && n < 10, text(d, 'toTen')),
    toTenOr: when(n >= 5 && n < 10, either(String(10 - n), String(11 - n))),
    fingers: when(n >= 2 && n <= 10, n <= 5 ? `${n - 1} and 1` : `5 and ${n - 5}`),
    glance: yes(n >= 2 && n <= 5),
    fivePlus: when(n > 5 && n <= 10, `5 and ${n - 5}`),
    pairs: when(n >= 2, n % 2 === 0 ? 'yes: it is even' : 'no: one is over, it is odd'),
    pairsShort: when(n >= 2, n % 2 === 0 ? 'none left over' : 'one left over'),
    inTwos: when(n >= 6 && n % 2 === 0 && n <= 24, steps(n, 2)),
    groupOf: group === undefined ? undefined : String(group),
    groups: group === undefined ? undefined : String(n / group),
    groupsOr: group === undefined ? undefined : either(String(n / group), String(n / group + 1)),
    ...halves(n),
  }
}

/** Half and a quarter of a number of things, where they come out whole. */
const halves = (n: number): Values => ({
  half: when(n % 2 === 0 && n >= 4, String(n / 2)),
  halfOr: when(n % 2 === 0 && n >= 4, either(String(n / 2), String(n / 2 + 1))),
  aHalf: '1/2',
  quarterOf: when(n % 4 === 0 && n >= 8, String(n / 4)),
  quarterOr: when(n % 4 === 0 && n >= 8, either(String(n / 4), String(n / 2))),
  aQuarter: '1/4',
})

/** Numbers said in time to an action, such as rubbing hands: nothing to touch. */
export const aloud: ValuesOf = (f, d): Values => {
  const n = Number(text(d, 'n'))
  const nearly = Math.min(n - 1, 12)
  return {
    food: things(wordOf(f, 'food', 'turns'), 2),
    n: String(n),
    nearly: when(n > 2, String(nearly)),
    afterThat: when(n > 2, String(nearly + 1)),
    afterOr: when(n > 2, either(String(nearly + 1), String(nearly + 2))),
    rocket: yes(n >= 3 && n <= 12),
    fewer: when(n >= 2, String(n - 1)),
    fewerOr: when(n >= 2, either(String(n - 1), String(n + 1))),
    ...halves(n),
  }
}

/** Visitors for whom it does not come out even: one, two or three of them. */
function visitors(n: number, people: number, locale: Locale): Values {
  const plus = [1, 2, 3].find((v) => n % (people + v) !== 0)
  if (plus === undefined || n < 1) return {}
  const all = people + plus
  const each = Math.floor(n / all)
  const exact = ratio(n).div(all)
  const known = Number(exact.d) <= 8 && exact.d !== 7n
  return {
    plus: String(plus),
    plusWord: plus === 1 ? 'a visitor' : plus === 2 ? 'two visitors' : 'three visitors',
    plusCome: plus === 1 ? 'a visitor comes' : plus === 2 ? 'two visitors come' : 'three visitors come',
    plusPeople: String(all),
    plusText: each > 0 ? `${each} each, ${n % all} left` : 'not one each: some of us share one',
    plusExact: known
      ? exact.compare(1) < 0
        ? partWord(exact.toFraction(), locale)
        : toMixed(exact)
      : undefined,
  }
}

export const share: ValuesOf = (f, d, locale): Values => {
  const food = wordOf(f, 'food', 'pieces')
  const n = textField(f, 'n')
  const base: Values = { food: things(food, Number(n) || 2), n, one: things(food, 1) }
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
  const [all, people] = [Number(n), Number(textField(f, 'people'))]
  return {
    ...base,
    people: textField(f, 'people'),
    each,
    left,
    over: yes(over),
    oneOver: yes(left === '1' && each !== '0'),
    needed: text(d, 'needed'),
    enough: yes(all >= people),
    eachOr: when(all >= people, either(each, String(Number(each) + 1))),
    someLeft: over ? `${left} left over` : 'none left over',
    eachText: over ? `${each} each, ${left} left` : `${each} each, none left`,
    neededOr: when(over, either(text(d, 'needed'), String(Number(text(d, 'needed')) + 1))),
    exactEach: text(d, 'exactEach'),
    cuttable: yes(f['cuttable'] === true && over),
    cuttablePiece: yes(f['cuttable'] === true),
    seconds: when(all > people, String(all - people)),
    minePart: when(each !== '0' && all > 0 && people > 1, ratio(each).div(Math.max(1, all)).toFraction()),
    ...visitors(all, people, locale),
  }
}

/** A row of two kinds from 30 months, of three from 48, of four from 84 (learning.md B0). A pattern comes at least twice. */
export const layer: ValuesOf = (f, d): Values => {
  if (d['next'] !== undefined) return { nextRow: text(d, 'next'), by: text(d, 'by') }
  const core = fieldList(f, 'core')
  const [a = '', b = a] = core
  const last = core.at(-1) ?? a
  const counts = d['counts'] as Record<string, string>
  const wrong = d['error'] as { at: string; belongs: string } | null | undefined
  const item = known(d, 'item')
  const pattern = Number(text(d, 'total')) >= 2 * core.length && a !== b
  return {
    core: core.join(', '),
    a,
    b,
    last,
    pattern: yes(pattern),
    ab: yes(pattern && core.length === 2),
    abc: yes(pattern && core.length > 2),
    abOr: either(b, a),
    lastOr: either(last, a),
    countA: counts[a],
    total: text(d, 'total'),
    i: item && String(f['i']),
    item,
    itemOr: item && either(item, core.find((c) => c !== item) ?? a),
    wrongAt: wrong?.at,
    belongs: wrong?.belongs,
  }
}

const FEW_WORDS: Record<number, string> = { 3: 'three', 4: 'four' }
/** Things laid on one another once: what is under, between and on top. */
export const layers: ValuesOf = (f, d): Values => {
  const core = fieldList(f, 'core')
  const [a = ''] = core
  const last = core.at(-1) ?? a
  return {
    a,
    last,
    middle: when(core.length === 3, core[1] ?? ''),
    bottomOr: either(a, last),
    topOr: either(last, a),
    Last: capitalised(last),
    howMany: FEW_WORDS[core.length],
    orders: when(core.length >= 3 && core.length <= 4, text(d, 'orders')),
  }
}

/** As many on the one side as on the other. */
export const mirror: ValuesOf = (f, d): Values => {
  const side = wholeOf(f, 'side')
  const all = text(d, 'all')
  return {
    ...foodWords(things(wordOf(f, 'food', 'things'), 2)),
    of: wordOf(f, 'of', 'the picture'),
    side: String(side),
    sideOr: either(String(side), text(d, 'more')),
    all,
    allOr: either(all, String(2 * side + 1)),
    few: yes(side <= 10),
    several: yes(side >= 2),
  }
}

/** Foods side by side, or one after the other with eyes covered. */
export const tastes: ValuesOf = (f, d): Values => {
  const foods = fieldList(f, 'foods')
  const [a = '', b = ''] = foods
  const n = text(d, 'n')
  const covered = f['covered'] === true
  return {
    a,
    b,
    list: foods.join(', '),
    n,
    nOr: either(n, text(d, 'more')),
    aOr: either(a, b),
    covered: yes(covered),
    seen: yes(!covered),
    three: yes(foods.length >= 3),
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
  const cut = grid && f['cut'] === true
  return {
    tin: f['cut'] === true ? 'tin' : 'tray',
    total: String(total),
    countable: yes(grid),
    rows: when(grid, String(rows)),
    cols: when(grid, String(cols)),
    filled: wholeOf(f, 'filled', '0').toString(),
    totalOr: either(String(total), String(total + (grid ? cols : 1))),
    empty: text(d, 'empty') === '0' ? undefined : known(d, 'empty'),
    longer: when(grid && rows !== cols, cols > rows ? 'a row' : 'a column'),
    turned: turned && `${turned.rows} ${row} and ${turned.cols} ${column} now`,
    even: total % 2 === 0 ? 'yes: it is even' : 'no: one is over, it is odd',
    pairs: (d['pairs'] as string[]).join(', '),
    fraction: fraction ? fraction : undefined,
    partly: yes(fraction !== '' && !['0', '1'].includes(improper(fraction))),
    cutsDown: when(cut && rows > 1, String(rows - 1)),
    cutsAcross: when(cut && cols > 1, String(cols - 1)),
    rowsCutOr: when(cut && rows > 1, either(String(rows - 1), String(rows))),
    rowPart: when(grid && rows >= 2 && rows <= 6, `1/${rows}`),
  }
}
