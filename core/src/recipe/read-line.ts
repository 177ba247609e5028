/**
 * Reading one ingredient line as recipes print it: amount (exact), unit with its system, food, preparation, notes.
 *
 * A general ingredient-line parser makes the rough cut (what is number, what is unit, what is left); numbers are read again
 * exactly, and what it does not know is set right around it: tins in brackets, `2 x 400 g`, `½ cup + 1 tbsp`, `100g/4oz`,
 * `juice of 1 lemon`, `a pinch of`, decimal commas. Nothing is dropped: what was not understood stands in `note` or `rest`.
 */
import { parseIngredient } from 'parse-ingredient'
import type Fraction from 'fraction.js'
import { AmountError, ratio, toText, type Ratio } from '../amount/ratio'
import { leadingNumber, plainNumbers, type Leading, type Range } from '../amount/read'
import { unitWord, type System, type UnitRead } from '../amount/unit-words'
import { convert, unitOf } from '../amount/units'
import { resolveFood } from '../food/food-names'
import { SHIPPED_BOOK, type FoodBook } from '../food/foods'
import { splitFood } from './line-food'

export interface ReadLine {
  /** Exact, or a range; null where the line gives none ("salt, to taste"). */
  amount: Ratio | Range | null
  /** A unit id, a count word (`item`, `tin`, `clove`), or empty where there is no amount. */
  unit: string
  food: string
  foodId: string | null
  prep: string
  note: string
  /** Words that belong to none of these ("or margarine"). */
  rest: string
}

const CONTAINERS = new Set(
  'tin can packet pack package sachet envelope jar bottle carton tub bag box block bar'.split(' '),
)
const ABOUT =
  /^(?:about|approximately|approx\.?|around|roughly|circa|ca\.?|scant|generous|heaped|heaping|rounded|level|good|up to) /i

/**
 * @param text one line, at most 400 characters
 * @param system whose cups and spoons: `us`, `uk`, `m` (250/15/5) or `au` (250/20/5)
 * @param locale how numbers are written; English where it is not given
 * @throws AmountError naming the fault: empty, too long, a zero under the line, a range that goes down
 */
export function readLine(
  text: string,
  system: System,
  locale?: string,
  foods: FoodBook = SHIPPED_BOOK,
): ReadLine {
  if (text.length > 400) throw new AmountError('is longer than 400 characters: give one line')
  const notes: string[] = []
  let line = spaced(plainNumbers(text.replace(/^\s*[-–•*·▢☐]\s+/, ''), locale))
  if (line === '') throw new AmountError('is empty: write a line such as 2 cups plain flour')
  line = takeOut(line, /\s*[,(]?\s*\b(optional|to taste)\b\)?/i, notes)
  line = partOf(line, notes)
  line = takeOut(line, ABOUT, notes)
  const number = firstNumber(line) ?? oneOf(line, system)
  if (!number) return noAmount(line, notes, foods)
  if (number.amount.compare(0) <= 0) throw new AmountError('must be more than 0')
  const head = afterNumber(number, system, notes)
  const { food, prep, rest, extra } = splitFood(head.words, foods)
  notes.push(...extra)
  const stick = head.unit.note.startsWith('a US stick') && !/\b(butter|margarine|spread)\b/i.test(food)
  const unit = stick ? { unit: 'stick', times: 1, note: '' } : head.unit
  if (unit.note) notes.push(unit.note)
  const times = (v: Fraction): Ratio => toText(v.mul(unit.times))
  const sum = head.more ? addTo(number.amount, unit, head.more, notes) : null
  return {
    amount:
      sum ?? (number.upTo ? { from: times(number.amount), to: times(number.upTo) } : times(number.amount)),
    unit: unit.unit,
    food,
    foodId: foodOf(food, foods, unit.unit),
    prep,
    note: notes.join('; '),
    rest,
  }
}

/** The food of the words; null where a word is left over or they name two ("salt and sesame"): one alone would hide the other's allergens. */
function foodOf(words: string, foods: FoodBook, unit = ''): string | null {
  const tinned = unit === 'tin' ? resolveFood(`tinned ${words}`, foods) : null
  if (tinned?.id.endsWith('-tin')) return tinned.id
  return resolveFood(words, foods)?.id ?? null
}

/** "pinch of cinnamon" is one pinch. */
function oneOf(line: string, system: System): Leading | null {
  const [first = '', ...rest] = line.split(' ')
  const unit = first.length > 1 ? unitWord(first, system) : null
  return unit && rest.length > 0 && unitOf(unit.unit).dimension === 'count'
    ? { amount: ratio(1), rest: line }
    : null
}

/** A space between a number and the letters after it: `200g` as `200 g`, `2x400g` as `2 x 400 g`. */
const spaced = (line: string): string =>
  line
    .replace(/(\d)\s*[x×]\s*(?=\d)/gi, '$1 x ')
    .replace(/(\d)(?=[a-z])/gi, '$1 ')
    .replace(/\s+/g, ' ')
    .trim()

function takeOut(line: string, what: RegExp, notes: string[]): string {
  const found = what.exec(line)
  if (!found) return line
  notes.push((found[1] ?? found[0]).trim().toLowerCase())
  return (line.slice(0, found.index) + ' ' + line.slice(found.index + found[0].length))
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:]+|[\s,;:]+$/g, '')
}

/** "juice of 1 lemon" is 1 lemon, with its part in the note. */
function partOf(line: string, notes: string[]): string {
  const found =
    /^((?:finely )?(?:grated )?(?:juice|zest|rind|peel)(?: and (?:grated )?(?:juice|zest|rind))?) (?:of|from) (.+)$/i.exec(
      line,
    )
  if (!found?.[1] || !found[2]) return line
  notes.push(found[1].toLowerCase())
  return found[2]
}

/** The number at the head; or one at the end ("Flour: 200 g"), where the line begins with the food. */
function firstNumber(line: string): Leading | null {
  const atHead = leadingNumber(line)
  if (atHead && atHead.rest !== '') return atHead
  const atEnd = /^([\p{L}][\p{L} '-]*?)[\s:,-]+(\d.*)$/u.exec(line)
  if (!atEnd?.[1] || !atEnd[2]) return atHead
  const number = leadingNumber(atEnd[2])
  return number && { ...number, rest: `${number.rest} ${atEnd[1]}`.trim() }
}

function noAmount(line: string, notes: readonly string[], foods: FoodBook): ReadLine {
  const { food, prep, rest, extra } = splitFood(line, foods)
  return {
    amount: null,
    unit: '',
    food,
    foodId: foodOf(food, foods),
    prep,
    note: [...notes, ...extra].join('; '),
    rest,
  }
}

interface Head {
  unit: UnitRead
  /** What is added in another unit: "+ 1 tbsp". */
  more?: { amount: Fraction; unit: UnitRead }
  words: string
}

const ITEM: UnitRead = { unit: 'item', times: 1, note: '' }

/** What stands between the number and the food: a unit, a size in brackets, the same in other units, something more. */
function afterNumber(number: Leading, system: System, notes: string[]): Head {
  const tin = container(number, system, notes)
  if (tin) return tin
  const filled = /^(?:heaped|heaping|rounded|level|scant|generous|good) /i.exec(number.rest)
  if (filled) {
    notes.push(filled[0].trim().toLowerCase())
    number.rest = number.rest.slice(filled[0].length)
  }
  const { unit, words: after } = cut(number, system)
  const words = aside(after, system, notes)
  const plus = /^(?:\+|plus|and) (.+)$/i.exec(words)
  const added = plus?.[1] ? leadingNumber(plus[1]) : null
  if (!added) return { unit, words: dropOf(words) }
  const second = cut(added, system)
  return { unit, more: { amount: added.amount, unit: second.unit }, words: dropOf(second.words) }
}

/** The rough cut: the parser says what of the words is a unit; which unit it is in this system, `unitWord` says. */
function cut(number: Leading, system: System): { unit: UnitRead; words: string } {
  const { rest } = number
  const ounces = /^fl(?:uid)?\.? ?(?:oz|ounces?)\.? /i.exec(`${rest} `)
  if (ounces)
    return { unit: unitWord('floz', system) ?? ITEM, words: rest.slice(ounces[0].trimEnd().length).trim() }
  // "T" and "t" are told apart by case, which the parser does not keep.
  const first = /^[^\s,(/+]+/.exec(rest)?.[0] ?? ''
  const [rough] = parseIngredient(`1 ${rest}`, { ignoreUOMs: ['small', 'medium', 'large'] })
  const known =
    unitWord(first, system) ?? (rough?.unitOfMeasure ? unitWord(rough.unitOfMeasure, system) : null)
  if (!known) return { unit: ITEM, words: rough?.unitOfMeasure ? rest : (rough?.description ?? rest) }
  return { unit: known, words: rest.slice(first.length).trim() }
}

const dropOf = (words: string): string => words.replace(/^of (?:the )?/i, '').trim()

/** "(400 g) tin", "400 g tin", "x 400 g tins", "tin (400 g)": so many tins, the size as a note. */
function container(number: Leading, system: System, notes: string[]): Head | null {
  const inside = /^(?:x )?\(?(?:each )?(\d[\d./ ]*)[ -]?([a-z.]+)(?: each)?\)? ([a-z]+)\b ?(.*)$/i.exec(
    number.rest,
  )
  if (inside?.[1] && inside[2] && inside[3]) {
    const box = unitWord(inside[3], system)
    const size = unitWord(inside[2], system)
    if (box && size && CONTAINERS.has(box.unit) && unitOf(size.unit).dimension !== 'count') {
      notes.push(`${inside[1].trim()} ${inside[2]}${number.amount.compare(1) > 0 ? ' each' : ''}`)
      return { unit: box, words: dropOf(inside[4] ?? '') }
    }
  }
  const alone = /^([a-z.]+) ([a-z]+)\b ?(.*)$/i.exec(number.rest)
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
  const found = /^(?:\/ ?|\()(?:about |or )?(\d[\d./ -]*[ -]?[a-z.]+(?: [a-z]+)?)\)? ?(.*)$/i.exec(words)
  if (!found?.[1]) return words
  const other = /^([\d./ -]+) ?([a-z.]+)(?: (.+))?$/i.exec(found[1])
  if (!other?.[2] || !unitWord(other[2], system)) return words
  notes.push(`${other[1]?.trim() ?? ''} ${other[2]}`)
  return `${other[3] ?? ''} ${found[2] ?? ''}`.trim()
}

/** The sum in the first unit, exact; what measures something else stays a note. */
function addTo(
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
