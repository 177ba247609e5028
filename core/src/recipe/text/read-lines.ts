/** The ingredient lines of a recipe: read one by one, each kept beside the words it was read from. */
import { AmountError } from '../../amount/ratio'
import type { System } from '../../amount/unit-words'
import { allergenName } from '../../food/allergens'
import type { FoodBook } from '../../food/foods'
import { readLabel } from '../../food/label/read'
import { nameHolds } from '../../food/own-foods'
import { lineFromText } from '../line-from-text'
import { readLine } from '../read-line'
import type { RecipeLine } from '../recipe'
import { idFor } from './ids'
import { shapeIn } from '../../food/by-age/forms'
import type { Answers, LineRead, Unread } from './understood'

const MOST = 40

/** @param answers `line:N` replaces the Nth text, or says that it is out; `add:N` are lines that only a step named */
export function readLines(
  texts: readonly string[],
  system: System,
  foods: FoodBook,
  answers: Answers,
): { lines: RecipeLine[]; read: LineRead[]; unread: Unread[]; notes: string[] } {
  const lines: RecipeLine[] = []
  const read: LineRead[] = []
  const unread: Unread[] = []
  const notes: string[] = []
  const all = [
    ...texts.map((text, i) => ({ key: `line:${i}`, text })),
    ...Object.keys(answers)
      .filter((k) => k.startsWith('add:') && answers[k] !== MENTIONED)
      .map((key) => ({ key, text: '' })),
  ]
  for (const { key, text } of all) {
    const answer = answers[key]
    if (answer === OUT) {
      read.push({ key, text, line: null, out: true })
      notes.push(`left out: ${text}`)
      continue
    }
    const words = answer ?? text
    try {
      const { line, says } = lineFromText(words.slice(0, 400), system, foods)
      if (lines.length >= MOST) throw new AmountError(`is one line more than the ${MOST} there may be`)
      const shape = shapeIn(line.prep)
      const id = idFor(line.food.replace(/^own:/, ''), 'line', lines)
      lines.push({ id, ...line, ...(shape && { shape }), ...(isOptional(text) && { optional: true }) })
      read.push({ key, text: text || words, line: id, ...(answer !== undefined && { answer }) })
      notes.push(...says.map((s) => `${words}: ${s}`))
      // An alternative that is not taken over would be looked for in nobody's allergies.
      const lost = says.find((s) => s.startsWith('not taken over'))
      if (lost)
        unread.push({
          part: 'ingredient',
          text,
          why: lost,
          key,
          kind: 'alternative',
          choices: either(words, system),
        })
    } catch (fault) {
      if (!(fault instanceof AmountError)) throw fault
      read.push({ key, text: text || words, line: null })
      unread.push({ part: 'ingredient', text: words, why: fault.message, key, ...kindOf(words, system) })
    }
  }
  if (lines.length === 0) unread.push({ part: 'ingredient', text: '', why: 'no ingredient line was found' })
  return { lines, read, unread, notes }
}

/** The answer that a line is not wanted; and that what a step names is only mentioned. */
export const OUT = 'out'
export const MENTIONED = 'mentioned'

const isOptional = (text: string): boolean => /\b(optional|if you like|for those who like)\b/i.test(text)

/** "50 g sunflower oil or butter": the line with the one, and with the other. */
function either(text: string, system: System): string[] {
  const parts = /^(.*?)\s+or\s+(.+)$/i.exec(text.replace(/\s*\([^)]*\)/g, ''))
  if (!parts) return []
  const [, first = '', second = ''] = parts
  const { amount, unit } = readLine(first, system)
  if (typeof amount !== 'string') return [first]
  const head = unit === 'item' ? amount : first.slice(0, headEnd(first))
  return [first, /^\d/.test(second) ? second : `${head.trim()} ${second}`]
}
/** Where number and unit end: before the first word that is neither. */
export const headEnd = (line: string): number =>
  /^[\d\s/.,½⅓⅔¼¾⅛⅜⅝⅞-]+(?:(?:g|kg|ml|l|oz|lb|cups?|tbsp|tsp|tablespoons?|teaspoons?|pinch(?:es)? of|tins?(?: of)?)\b\.?)?/i.exec(
    line,
  )?.[0].length ?? 0

/** What may be answered to a line that was not read. */
function kindOf(text: string, system: System): Pick<Unread, 'kind' | 'choices'> {
  try {
    const { amount, food } = readLine(text, system)
    if (food === '') return { kind: 'line' }
    if (amount === null)
      return { kind: 'amount', choices: [`1 pinch ${food}`, `1 tsp ${food}`, `1 tbsp ${food}`] }
    if (typeof amount !== 'string')
      return {
        kind: 'range',
        choices: [amount.from, amount.to].map((n) => withNumber(text, n)),
      }
  } catch (fault) {
    if (!(fault instanceof AmountError)) throw fault
  }
  return { kind: 'line' }
}
const withNumber = (text: string, n: string): string =>
  text.replace(/^([^\d½⅓⅔¼¾⅛]*)[\d½⅓⅔¼¾⅛./ ]*\d?[½⅓⅔¼¾⅛]?\s*(?:-|–|to|or)\s*[\d½⅓⅔¼¾⅛./]+/i, `$1${n}`)

/** What hands do, and no food: "an adult fries them". */
const VERBS = /^(fries|rolls|toasts|wraps|dips|butters|oils|salts|peppers|dates|waters)$/i

/**
 * Words of a step, a preparation or a note that name an allergen of no line: "brush with egg" where no egg is listed. What is in no line
 * is looked for in nobody's allergies, so it is asked. The label reader finds the words.
 * @param settled words of lines that are asked about, or that were answered otherwise than they stand
 */
export function unlisted(
  texts: readonly string[],
  lines: readonly RecipeLine[],
  foods: FoodBook,
  answers: Answers,
  settled = '',
): Unread[] {
  const listed = new Set(
    lines.flatMap((l) => {
      const food = foods.all.find((f) => f.id === l.food)
      // A food that nobody knows holds at least what its name says.
      const said = food ?? nameHolds(l.food.replace(/^own:/, '').replaceAll('-', ' '))
      return [...said.contains, ...said.extras]
    }),
  )
  // A word of a line that is still to be settled is asked there; one of a line that was settled otherwise means what stands there now.
  const spoken = settled.toLowerCase()
  const isSettled = (word: string): boolean => spoken.includes(word.toLowerCase().replace(/(es|s)$/, ''))
  return texts.flatMap((text, i): Unread[] => {
    if (text === '' || answers[`add:${i}`] === MENTIONED) return []
    // Prose is not a label: only words as they stand, none that the reader mends ("your" is no yoghurt).
    const exact = readLabel(text).words.filter(
      (w) =>
        w.why === 'listed' &&
        !VERBS.test(text.slice(w.start, w.end)) &&
        !isSettled(text.slice(w.start, w.end)),
    )
    const named = [...new Set(exact.map((w) => w.id))].filter((id) => !listed.has(id))
    const words = named.map(allergenName).join(', ')
    return named.length === 0
      ? []
      : [
          {
            part: 'ingredient',
            text,
            why: `names ${words}, and no line of the recipe has it`,
            key: `add:${i}`,
            kind: 'named',
          },
        ]
  })
}
