/** The ingredient lines of a recipe: read one by one, each kept beside the words it was read from. */
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { isUnknown, type FoodBook, type FoodFact } from '../../food/foods'
import { resolveFood } from '../../food/food-names'
import { shapeIn } from '../../food/by-age/forms'
import { namedBeside } from '../line/line-food'
import { lineFromText, type LineFromText } from '../line/line-from-text'
import { splitLine } from '../line/split-line'
import type { RecipeLine } from '../recipe'
import { idFor } from './ids'
import { keyIn } from './keys'
import { listOn } from './layout/lists'
import type { PlacedText } from './layout/placed'
import { MENTIONED, OUT, type Answers, type LineRead, type Unread } from './understood'

const MOST = 40
/** More than this no recipe has: what stands behind is named, not read. */
const READ_MOST = 150
/** Lines that somebody typed where none was found. */
const NO_LINES = 'add:lines'

export interface LinesRead {
  lines: RecipeLine[]
  read: LineRead[]
  unread: Unread[]
  notes: string[]
  /** The heading of each line, by its id. */
  parts: Map<string, string>
  /** The words of each line's food as they stand, by its id. */
  words: Map<string, string>
  /** Lines that one printed line held go by the same number. */
  printed: Map<string, number>
}
interface Source {
  key: string
  text: string
  part?: string
  /** Which of the printed lines it is of. */
  printed?: number
  /** A step named it, and somebody typed the line. */
  typed?: true
}

/**
 * @param answers by key: another text for a line, or that it is out; `add:…` are lines that only a step named
 * @param serves what is "for each child" is as many times
 */
export function readLines(
  texts: readonly PlacedText[],
  system: System,
  foods: FoodBook,
  answers: Answers,
  serves: number,
): LinesRead {
  const out: LinesRead = {
    lines: [],
    read: [],
    unread: [],
    notes: [],
    parts: new Map(),
    words: new Map(),
    printed: new Map(),
  }
  if (texts.length > READ_MOST)
    out.unread.push({
      part: 'ingredient',
      text: texts
        .slice(READ_MOST, READ_MOST + 5)
        .map((t) => t.text)
        .join(', ')
        .slice(0, 400),
      why: `and ${texts.length - READ_MOST} more stand behind the first ${READ_MOST}: paste one recipe`,
      key: 'line:too-many',
      kind: 'line',
    })
  for (const source of sourcesOf(texts.slice(0, READ_MOST), foods, answers))
    readOne(source, out, system, foods, answers, serves)
  if (out.lines.length === 0)
    out.unread.push({
      part: 'ingredient',
      text: '',
      why: 'no ingredient line was found',
      key: NO_LINES,
      kind: 'none',
    })
  return out
}

/** Every line once, and what was typed for foods that only a step names, in an order that hangs on no order of answers. */
function sourcesOf(texts: readonly PlacedText[], foods: FoodBook, answers: Answers): Source[] {
  const taken = new Map<string, number>()
  const list = texts.flatMap(({ text, part }, printed) =>
    splitLine(text.slice(0, 400), foods).map((t): Source => ({
      key: keyIn(taken, 'line', t),
      text: t,
      printed,
      ...(part !== undefined && { part }),
    })),
  )
  const typed = Object.keys(answers)
    .filter((k) => k.startsWith('add:') && !k.includes('#') && answers[k] !== MENTIONED)
    .sort()
    .flatMap((key) =>
      (answers[key] ?? '')
        .split(/\n+/)
        .flatMap((t) => listOn(t, foods) ?? [t])
        .filter((t) => t.trim() !== '')
        .map((text, i): Source => ({ key: i === 0 ? key : `${key}#${i}`, text, typed: true })),
    )
  return [...list, ...typed]
}

function readOne(
  { key, text, part, printed, typed }: Source,
  out: LinesRead,
  system: System,
  foods: FoodBook,
  answers: Answers,
  serves: number,
): void {
  const answer = typed ? text : answers[key]
  if (answer === OUT) {
    out.read.push({ key, text, line: null, out: true })
    out.notes.push(`left out: ${text}`)
    return
  }
  const words = answer ?? text
  try {
    const one = lineFromText(words.slice(0, 400), system, foods, { byEye: true, serves })
    if (out.lines.length >= MOST) throw new AmountError(`is one line more than the ${MOST} there may be`)
    const shape = shapeIn(one.line.prep)
    const id = idFor(one.line.food.replace(/^own:/, ''), 'line', out.lines)
    out.lines.push({ id, ...one.line, ...(shape && { shape }), ...(isOptional(text) && { optional: true }) })
    if (part !== undefined) out.parts.set(id, part)
    out.words.set(id, one.read.food)
    if (printed !== undefined) out.printed.set(id, printed)
    out.read.push({ key, text: typed ? words : text, line: id, ...(answer !== undefined && { answer }) })
    out.notes.push(...one.says.map((s) => `${words}: ${s}`))
    out.unread.push(...openOf(key, words, one, answer !== undefined, foods))
  } catch (fault) {
    if (!(fault instanceof AmountError)) throw fault
    out.read.push({ key, text, line: null })
    out.unread.push({ part: 'ingredient', text: words, why: fault.message, key, kind: 'line' })
  }
}

const isOptional = (text: string): boolean =>
  /\b(optional|if you like|if liked|for those who like|if wanted)\b/i.test(text)

/** What a line leaves open: another food, two numbers, a spoon, a measure, an amount. */
function openOf(key: string, words: string, one: LineFromText, answered: boolean, foods: FoodBook): Unread[] {
  const base = { part: 'ingredient' as const, text: words, key }
  const beside = besideOf(words, one, foods)
  // Another food in the words would be looked for in nobody's allergies: that comes first.
  if (beside) return [{ ...base, ...beside, kind: 'alternative' }]
  if (answered) return []
  const { read } = one
  const { food } = read
  switch (one.open) {
    case 'range':
      return [{ ...base, why: 'gives two numbers', kind: 'range', choices: read.ends ?? [] }]
    case 'spoon':
      return [
        {
          ...base,
          why: `does not say how large the ${read.spoon ?? 'spoon'} is`,
          kind: 'range',
          choices: ['tsp', 'tbsp'].map(
            (u) => `${typeof read.amount === 'string' ? read.amount : '1'} ${u} ${food}`,
          ),
        },
      ]
    case 'unit':
      return [
        {
          ...base,
          why: `measures in “${read.oddUnit ?? ''}”, which is no measure that Lea knows`,
          kind: 'unit',
          choices: ['', 'tbsp ', 'cup '].map(
            (u) => `${typeof read.amount === 'string' ? read.amount : '1'} ${u}${food}`,
          ),
        },
      ]
    case 'amount':
      return [
        {
          ...base,
          why: 'gives no amount',
          kind: 'amount',
          choices: [`1 pinch ${food}`, `1 tsp ${food}`, `1 tbsp ${food}`, `1 ${food}`],
        },
      ]
    default:
      return []
  }
}

const holds = (f: FoodFact): string[] => [...f.contains, ...f.extras]

/** A second food in the words of a line: named after "or", in brackets, in the preparation. */
function besideOf(
  words: string,
  one: LineFromText,
  foods: FoodBook,
): { why: string; choices: string[]; minor?: true } | null {
  const own = foods.of(one.line.food)
  const { rest, note, prep } = one.read
  const others = namedBeside(`${rest} · ${note} · ${prep}`, foods).filter(
    (f) => f.id !== own.id && (rest !== '' || f.contains.length > 0 || f.extras.length > 0),
  )
  const known = isUnknown(own) ? [] : holds(own)
  const news = others.filter((f) => !holds(f).every((a) => known.includes(a)))
  if (rest === '' && news.length === 0) return null
  if (rest !== '' && others.length > 0 && news.length === 0)
    return { why: `not taken over: ${rest}`, choices: either(words, one, foods), minor: true }
  const named = news.map((f) => f.name).join(', ')
  return {
    why: rest !== '' ? `not taken over: ${rest}` : `also names ${named}`,
    choices: rest !== '' ? either(words, one, foods) : [words.replace(/\s*\([^()]*\)/g, '').trim()],
  }
}

/** "50 g sunflower oil or butter": the line with the one, and with the other. */
function either(words: string, { read }: LineFromText, foods: FoodBook): string[] {
  const inBrackets = /^(.*?)\s*\(\s*or (.+?)\)(.*)$/i.exec(words)
  const plain = inBrackets
    ? `${inBrackets[1] ?? ''}${inBrackets[3] ?? ''} or ${inBrackets[2] ?? ''}`
    : words.replace(/\s*\([^)]*\)/g, '')
  const parts = /^(.*?),?\s+or\s+(.+)$/i.exec(plain)
  if (!parts) return []
  const [, first = '', second = ''] = parts
  const at = first.toLowerCase().indexOf(read.food.toLowerCase())
  const head = at > 0 ? first.slice(0, at) : first.slice(0, headEnd(first))
  const noun =
    read.food.split(' ').length === 1 && second.split(' ').length > 1
      ? second.split(/[,;]/)[0]?.split(' ').at(-1)
      : undefined
  // "almond or oat milk": the one noun belongs to both.
  const one =
    noun !== undefined && resolveFood(`${read.food} ${noun}`, foods) !== null ? `${first} ${noun}` : first
  return [one, /^[\d½¼¾⅓⅔]/.test(second) ? second : `${head.trim()} ${second}`.trim()]
}

/** Where number and unit end: before the first word that is neither. */
export const headEnd = (line: string): number =>
  /^[\d\s/.,½⅓⅔¼¾⅛⅜⅝⅞-]+(?:(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?|pinch(?:es)? of|tins?(?: of)?)\b\.?)?/i.exec(
    line,
  )?.[0].length ?? 0
