/** What stands at the head of an ingredient line: the number, the unit, sizes of tins, the same in other units, something more. */
import type Fraction from 'fraction.js'
import { parseIngredient } from 'parse-ingredient'
import { ratio, toText, type Ratio } from '../../amount/ratio'
import { leadingNumber, type Leading } from '../../amount/read'
import { vagueSpoon } from '../../amount/unit-phrases'
import { unitWord, type System, type UnitRead } from '../../amount/unit-words'
import { convert, unitOf } from '../../amount/units'

const CONTAINERS = new Set(
  'tin packet sachet envelope jar bottle carton tub bag box block bar pot'.split(' '),
)
export interface Head {
  unit: UnitRead
  /** What is added in another unit: "+ 1 tbsp", "1 lb 2 oz". */
  more?: { amount: Fraction; unit: UnitRead }
  words: string
  /** A spoon of which nobody says how large it is. */
  spoon?: string
}

const ITEM: UnitRead = { unit: 'item', times: 1, note: '' }
const FILLED =
  /^(?:heaped|heaping|rounded|level|scant|generous|good|big|large|lge?\.?|sm\.?|med\.?|small|little|tiny|medium|short|long|thick|thin) (?=\S)/i

/** What stands between the number and the food: a unit, a size in brackets, the same in other units, something more. */
export function afterNumber(number: Leading, system: System, notes: string[]): Head {
  const tin = container(number, system, notes)
  number.rest = number.rest.replace(/^[x×] (?=\p{L})/iu, '')
  if (tin) return tin
  const vague = vagueSpoon(number.rest)
  if (vague) return { unit: unitWord(vague.unit, system) ?? ITEM, words: vague.rest, spoon: vague.called }
  skipSizes(number, system, notes)
  const { unit, words: after } = unitCut(number, system)
  const words = aside(after, system, notes)
  const plus = /^(?:\+|plus|and|&) (.+)$/i.exec(words)
  const added = leadingNumber(plus?.[1] ?? words)
  if (!added) return { unit, words: dropOf(words) }
  const second = unitCut(added, system)
  const same = unitOf(second.unit.unit).dimension === unitOf(unit.unit).dimension
  // "1 lb 2 oz" is one amount; "1 pint 400 g tin" is none.
  if (!plus && (!same || second.unit === ITEM || unitOf(unit.unit).dimension === 'count'))
    return { unit, words: dropOf(words) }
  return { unit, more: { amount: added.amount, unit: second.unit }, words: dropOf(second.words) }
}

/** "small handful", "heaped tsp": a size before a unit goes to the notes; before a food it is the food's. */
function skipSizes(number: Leading, system: System, notes: string[]): void {
  for (let m = FILLED.exec(number.rest); m; m = FILLED.exec(number.rest)) {
    const after = number.rest.slice(m[0].length)
    const next = /^[^\s,(/+]+/.exec(after)?.[0] ?? ''
    const filled = /^(?:heaped|heaping|rounded|level|scant|generous|good) /i.test(m[0])
    if (!filled && !FILLED.test(after) && !isUnitHere(next, after, system)) return
    if (!filled && FILLED.test(after) && !/^(?:\S+ )+\S/.test(after)) return
    notes.push(m[0].trim().toLowerCase())
    number.rest = after
  }
}
/** A word that is a unit, with a food behind it: "small handful mint"; "small ears" alone is none. */
const isUnitHere = (word: string, text: string, system: System): boolean =>
  unitWord(word, system) !== null && text.slice(word.length).trim() !== ''

/** The rough cut: the parser says what of the words is a unit; which unit it is in this system, `unitWord` says. */
function unitCut(number: Leading, system: System): { unit: UnitRead; words: string } {
  const { rest } = number
  // "T" and "t" are told apart by case, which the parser does not keep.
  const first = /^[^\s,(/+]+/.exec(rest)?.[0] ?? ''
  const own = unitWord(first, system)
  const behind = rest.slice(first.length).trim()
  // "4 rounds" with nothing behind are things; so are "2 ears" and "3 strips".
  if (own && behind === '' && unitOf(own.unit).dimension === 'count') return { unit: ITEM, words: rest }
  if (own) return { unit: own, words: behind }
  const [rough] = parseIngredient(`1 ${rest}`, { ignoreUOMs: ['small', 'medium', 'large'] })
  const known = rough?.unitOfMeasure ? unitWord(rough.unitOfMeasure, system) : null
  if (!known) return { unit: ITEM, words: rough?.unitOfMeasure ? rest : (rough?.description ?? rest) }
  return { unit: known, words: behind }
}

const dropOf = (words: string): string => words.replace(/^(?:of |(?:full|worth) of )(?:the )?/i, '').trim()

/** "(400 g) tin", "400 g tin", "x 400 g tins", "tin (400 g)": so many tins, the size as a note. */
function container(number: Leading, system: System, notes: string[]): Head | null {
  const inside =
    /^(?:x )?\(?(?:each )?(\d[\d./ ]*(?:-\d[\d./]*)?)[ -]*([a-z.]+)(?: each)?\)? ?((?:small|large|big|medium) )?([a-z]+)\b ?(.*)$/i.exec(
      number.rest,
    )
  if (inside?.[1] && inside[2] && inside[4]) {
    const box = unitWord(inside[4], system)
    const size = unitWord(inside[2], system)
    if (box && size && CONTAINERS.has(box.unit) && unitOf(size.unit).dimension !== 'count') {
      notes.push(`${inside[1].trim()} ${inside[2]}${number.amount.compare(1) > 0 ? ' each' : ''}`)
      return { unit: box, words: dropOf(inside[5] ?? '') }
    }
  }
  const alone = /^[ -]?([a-z.]+)[ -]([a-z]+)\b ?(.*)$/i.exec(number.rest)
  const measure = alone?.[1] ? unitWord(alone[1], system) : null
  const boxAlone = alone?.[2] ? unitWord(alone[2], system) : null
  if (
    alone?.[1] &&
    measure &&
    boxAlone &&
    CONTAINERS.has(boxAlone.unit) &&
    unitOf(measure.unit).dimension !== 'count'
  ) {
    notes.push(`${toText(number.amount)} ${alone[1]}`)
    number.amount = ratio(1)
    return { unit: boxAlone, words: dropOf(alone[3] ?? '') }
  }
  const times = /^x (\d[\d./ ]*) ?([a-z.]+) (.+)$/i.exec(number.rest)
  const size = times?.[2] ? unitWord(times[2], system) : null
  if (!times?.[1] || !size || !times[3]) return null
  const each = leadingNumber(times[1].trim())
  if (!each) return null
  notes.push(`${toText(number.amount)} of ${times[1].trim()} ${times[2] ?? ''}`)
  number.amount = number.amount.mul(each.amount)
  return { unit: size, words: dropOf(times[3]) }
}

/** The same amount in other units, "/4 oz" or "(125 g)", and the size of a tin: notes. */
function aside(words: string, system: System, notes: string[]): string {
  const found =
    /^(?:\/ ?|\((?=[^)]*\)))(?:about |around |approx\.? |or |a |ca\.? )?(\d[\d./ -]*[ -]?[a-z.]+(?: [a-z]+)?)\)? ?(.*)$/i.exec(
      words,
    )
  if (!found?.[1]) return words
  const other = /^([\d./ -]+) ?([a-z.]+)(?: (.+))?$/i.exec(found[1])
  if (!other?.[2] || !unitWord(other[2], system)) return words
  notes.push(`${other[1]?.trim() ?? ''} ${other[2]}`)
  return `${words.startsWith('(') ? '' : (other[3] ?? '')} ${found[2] ?? ''}`.trim()
}

/** The sum in the first unit, exact; what measures something else stays a note. */
export function addTo(
  amount: Fraction,
  unit: UnitRead,
  more: { amount: Fraction; unit: UnitRead },
  notes: string[],
): Ratio | null {
  const base = ratio(amount).mul(unit.times)
  const added = convert(ratio(more.amount).mul(more.unit.times), more.unit.unit, unit.unit)
  if (added) return toText(base.add(added))
  notes.push(`plus ${toText(more.amount)} ${more.unit.unit}`)
  return toText(base)
}
