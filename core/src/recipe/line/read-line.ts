/**
 * Reading one ingredient line as recipes print it: amount (exact), unit with its system, food, preparation, notes.
 *
 * A general ingredient-line parser makes the rough cut (what is number, what is unit, what is left); numbers are read again
 * exactly, and what it does not know is set right around it: tins in brackets, `2 x 400 g`, `1 lb 2 oz`, `100g/4oz`, `eggs x3`,
 * `juice of 1 lemon`, `a pinch of`, decimal commas. Nothing is dropped: what was not understood stands in `note` or `rest`.
 */
import { AmountError, ratio, toText, type Ratio } from '../../amount/ratio'
import { leadingNumber, plainNumbers, type Leading, type Range } from '../../amount/read'
import { plainUnits } from '../../amount/unit-phrases'
import { unitWord, type System } from '../../amount/unit-words'
import { unitOf } from '../../amount/units'
import { SHIPPED_BOOK, type FoodBook } from '../../food/foods'
import type { ByEye } from '../recipe'
import { foodOfLine } from './food-of-line'
import { splitFood } from './line-food'
import { addTo, afterNumber, type Head } from './number-and-unit'

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
  byEye?: ByEye
  /** So much for each child or portion. */
  each?: true
  /** A spoon of which nobody says how large it is, as it was called. */
  spoon?: string
  /** A word between number and food that is no measure that Lea knows: "2 bowls of rice". */
  oddUnit?: string
  /** A range as its two ends with the words around them: "2 tbsp water", "3 tbsp water". */
  ends?: [string, string]
}

const ABOUT =
  /^(?:about|approximately|approx\.?|around|roughly|circa|ca\.?|ung\.?|env\.?|environ|scant|generous|good|up to|at least|max\.?|enough|another|additional) /i
const TASTE = /\s*[,(]?\s*\b(?:or )?(?:to|according to) (?:your )?taste\b\)?/i
const NEEDED =
  /\s*[,(]?\s*\b(?:as (?:needed|required|desired|you like)|for (?:serving|frying|greasing|dusting|brushing|drizzling|the (?:tin|pan|tray))|to (?:serve|garnish|decorate|glaze|finish))\b\)?/i
const NEEDED_IF = /\s*[,(]?\s*\bif (?:it is |it['’]s )?(?:needed|necessary|dry|wanted|too \w+)\b\)?/i
/** "For each child": the amount is one child's. "2 tins, 400 g each" is none. */
const EACH =
  /[\s,(]*\b(?:each|apiece|per (?:child|person|head|portion|jar|pot|cup|serving)|for (?:each|every) (?:child|person|one|jar|pot|cup))\b\)?[\s,.]*$/i
const FEW =
  /^(?:an? )?(?:few|little|bit|some|several|dab|touch|good (?:bit|amount)|plenty|lots?)(?: (?:more|extra))?(?: of)? /i

/** Units of the eye: nobody measures a glug. */
const LOOSE = new Set(
  'glug splash drizzle squeeze grating twist grind sprinkle dollop spray shake'.split(' '),
)

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
  let line = spaced(plainUnits(plainNumbers(bare(text), locale)))
  if (line === '') throw new AmountError('is empty: write a line such as 2 cups plain flour')
  line = takeOut(line, /\s*[,(]?\s*\b(optional|if (?:you )?lik(?:e|ed)|if wanted)\b\)?/i, notes)
  const taste = TASTE.test(line)
  line = takeOut(line, TASTE, notes)
  line = takeOut(line, ABOUT, notes)
  line = partOf(line, notes)
  const each = EACH.test(line) && !/\d[^\d,(]*\beach\b\)?\s*$/i.test(line.replace(/^[\d\s./-]+/, ''))
  if (each) line = takeOut(line, EACH, notes)
  const few = FEW.exec(`${line} `)
  if (few && !/^an? (?:half|quarter|third)/i.test(line))
    return { ...unmeasured(takeOut(line, FEW, notes), notes, foods, system), byEye: 'eye' }
  line = takeOut(line, NEEDED_IF, notes)
  const number = firstNumber(line, system, notes) ?? oneOf(line, system)
  if (!number) {
    const open = unmeasured(takeOut(line, NEEDED, notes), notes, foods, system)
    return { ...open, ...((taste || open.foodId !== null) && { byEye: taste ? 'taste' : 'eye' }) }
  }
  if (number.amount.compare(0) <= 0) throw new AmountError('must be more than 0')
  const read = measured(line, number, system, notes, foods)
  return { ...read, ...(each && { each }), ...(LOOSE.has(read.unit) && { byEye: 'eye' }) }
}

function measured(line: string, number: Leading, system: System, notes: string[], foods: FoodBook): ReadLine {
  const tail = number.rest
  const head = unitBehind(afterNumber(number, system, notes), foods)
  const { food, prep, rest, extra } = splitFood(head.words, foods)
  notes.push(...extra)
  const stick = head.unit.note.startsWith('a US stick') && !/\b(butter|margarine|spread)\b/i.test(food)
  const unit = stick ? { unit: 'stick', times: 1, note: '' } : head.unit
  if (unit.note) notes.push(unit.note)
  const times = (v: Leading['amount']): Ratio => toText(v.mul(unit.times))
  const sum = head.more ? addTo(number.amount, unit, head.more, notes) : null
  const found = foodOfLine(food, foods, unit.unit)
  const odd = found ? null : oddUnit(food, foods)
  return {
    amount:
      sum ?? (number.upTo ? { from: times(number.amount), to: times(number.upTo) } : times(number.amount)),
    unit: unit.unit,
    food: odd ? odd.food : food,
    foodId: found?.id ?? odd?.id ?? null,
    prep,
    note: notes.join('; '),
    rest,
    ...(head.spoon && { spoon: head.spoon }),
    ...(odd && { oddUnit: odd.word }),
    ...(number.upTo && { ends: [`${toText(number.amount)} ${tail}`, `${toText(number.upTo)} ${tail}`] }),
  }
}

/** Cuts and parts, which make another food of it: asked about as a whole. */
const CUTS =
  /^(?:neck|leg|shoulder|breast|rack|loin|shank|side|rind|skin|bones?|head|heart|hearts|fillet|cream|oil|milk|flour|juice)$/i
/** "2 bowls of rice", "3 EZ sugar": a word after the number that is part of no food, with a food behind it, measures. */
function oddUnit(words: string, foods: FoodBook): { word: string; food: string; id: string } | null {
  const of = /^([\p{L}.'-]+(?: [\p{L}.'-]+)?) of (.+)$/iu.exec(words)
  const short = /^(\p{L}{1,4}\.|[A-ZÀ-Ž]{2,3}|\p{L}{1,2}) (.+)$/u.exec(words)
  const m = of ?? short
  if (!m?.[1] || !m[2] || CUTS.test(m[1])) return null
  const found = foodOfLine(m[2], foods)
  return found ? { word: m[1], food: m[2], id: found.id } : null
}

/** "2 garlic cloves" are two cloves of garlic. */
function unitBehind(head: Head, foods: FoodBook): Head {
  const m =
    head.unit.unit === 'item'
      ? /^(.+?) (cloves?|sprigs?|rashers?|slices?|stalks?)(?=$|[,(])(.*)$/i.exec(head.words)
      : null
  const unit = m?.[2] ? unitWord(m[2], 'm') : null
  return m?.[1] && unit && foodOfLine(splitFood(m[1], foods).food, foods) !== null
    ? { ...head, unit, words: `${m[1]}${m[3] ?? ''}` }
    : head
}

/** "pinch of cinnamon" is one pinch. */
function oneOf(line: string, system: System): Leading | null {
  const sized = /^(?:(?:small|large|big|good|generous|tiny|little|heaped|level) )?(\S+) (?:of )?\S/i.exec(
    line,
  )
  const unit = sized?.[1] && sized[1].length > 1 ? unitWord(sized[1], system) : null
  return unit && unit.unit !== 'item' && !/^(?:g|l|t|c|m)$/i.test(sized?.[1] ?? '')
    ? { amount: ratio(1), rest: line }
    : null
}

/** Bullets, boxes and dots that lead the eye are gone. */
const bare = (text: string): string =>
  text
    .replace(/^\s*(?:[-–•*·▢☐▪●○◦‣⁃🔸🔹✔✓®>»]|\[[ x]?\])\s+/u, '')
    .replace(/\s*(?:\.{3,}|…+|_{3,})\s*/g, ' ... ')
    .replace(/[*_]{1,2}(?=\S)([^*_]+)(?<=\S)[*_]{1,2}/g, '$1')
    .replace(/[!?]+\s*(?=\)|$)/g, '')
    .replace(/\s*\.\s*$/, '')

/** A space between a number and the letters after it: `200g` as `200 g`, `2x400g` as `2 x 400 g`. */
const spaced = (line: string): string =>
  line
    .replace(/(\d)\s*[x×]\s*(?=\d)/gi, '$1 x ')
    .replace(/(\d)(?=\p{L})/giu, '$1 ')
    .replace(/(\d)\s*["”]/g, '$1 inch')
    .replace(/\s+/g, ' ')
    .trim()

function takeOut(line: string, what: RegExp, notes: string[]): string {
  const found = what.exec(line)
  if (!found) return line
  const says = (found[1] ?? found[0]).replace(/[(),]/g, '').trim().toLowerCase()
  if (says !== '') notes.push(says)
  return (line.slice(0, found.index) + ' ' + line.slice(found.index + found[0].length))
    .replace(/\s+/g, ' ')
    .replace(/^[\s,;:]+|[\s,;:]+$/g, '')
}

/** "juice of 1 lemon" is 1 lemon, with its part in the note. */
function partOf(line: string, notes: string[]): string {
  const found =
    /^((?:the )?(?:finely )?(?:grated )?(?:juice|zest|rind|peel)(?: (?:and|&) (?:grated )?(?:juice|zest|rind))?) (?:of|from) (.+)$/i.exec(
      line,
    )
  if (!found?.[1] || !found[2]) return line
  notes.push(found[1].toLowerCase())
  return found[2]
}

/** The number at the head; or one at the end ("Flour: 200 g", "eggs x3", "potatoes (4)"), where the line begins with the food. */
function firstNumber(line: string, system: System, notes: string[]): Leading | null {
  const atHead = leadingNumber(line)
  if (atHead && atHead.rest !== '') return atHead
  const times = /^(\p{L}.*?)\s*[x×]\s*(\d+(?:[./]\d+)?)$/iu.exec(line)
  if (times?.[1] && times[2]) return { amount: ratio(times[2]), rest: times[1] }
  const behind =
    /^(\p{L}[\p{L} '’-]*?)\s*[,:–-]\s*an? ((?:(?:small|large|good|big|generous) )?\p{L}+)$/iu.exec(line)
  const unitBehind = behind?.[2] ? unitWord(behind[2].split(' ').at(-1) ?? '', system) : null
  if (behind?.[1] && behind[2] && unitBehind) return { amount: ratio(1), rest: `${behind[2]} ${behind[1]}` }
  const box =
    /^([\p{L}][^()\d]*?)\s*\((?:about |approx\.? |around |ca\.? )?(\d[^()]*|(?:half|an?|one|two) [^()]*)\)\s*(.*)$/iu.exec(
      line,
    )
  if (box?.[1] && box[2]) {
    const number = leadingNumber(plainNumbers(box[2]))
    const unit = number && unitWord(/^\S+/.exec(number.rest)?.[0] ?? '', system)
    if (number && (number.rest === '' || (unit && number.rest.split(' ').length <= 2)))
      return { ...number, rest: `${number.rest} ${box[1]}${box[3] ? `, ${box[3]}` : ''}`.trim() }
  }
  const atEnd =
    /^([\p{L}][\p{L} ,'’&-]*?)[\s:,.=–-]+((?:about |approx\.? |around |ca\.? )?(?:\d.*|(?:half|a quarter)(?: of (?:it|one))?))$/iu.exec(
      line,
    )
  if (!atEnd?.[1] || !atEnd[2]) return atHead
  const about = /^(?:about |approx\.? |around |ca\.? )/i.exec(atEnd[2])?.[0] ?? ''
  if (about) notes.push(about.trim())
  const number = leadingNumber(atEnd[2].slice(about.length).replace(/ of (?:it|one)$/i, ''))
  return number && { ...number, rest: `${number.rest} ${atEnd[1]}`.trim() }
}

/** A line without a number; or with one in brackets that says how much about: "enough milk (about 150 ml)". */
function unmeasured(line: string, notes: string[], foods: FoodBook, system: System): ReadLine {
  const first = /^\S+/.exec(line)?.[0] ?? ''
  const unit = unitWord(first, system)
  const counted = unit !== null && unitOf(unit.unit).dimension === 'count' && unit.unit !== 'item'
  const words = counted ? line.slice(first.length).replace(/^ of /i, ' ').trim() : line
  const { food, prep, rest, extra } = splitFood(words, foods)
  return {
    amount: null,
    unit: counted ? unit.unit : '',
    food,
    foodId: foodOfLine(food, foods)?.id ?? null,
    prep,
    note: [...notes, ...extra].join('; '),
    rest,
  }
}
