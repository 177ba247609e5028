/** The words after the amount: the food itself, its preparation, and what is neither. */
import { resolveFood } from '../food/food-names'
import type { FoodBook, FoodFact } from '../food/foods'

export interface FoodWords {
  food: string
  prep: string
  rest: string
  /** What stood in brackets, and sizes: notes. */
  extra: string[]
}

const PREPARED =
  'chopped|sliced|diced|grated|shredded|minced|crushed|crumbled|melted|softened|peeled|cored|stoned|pitted|deseeded|mashed|' +
  'beaten|whisked|sifted|sieved|toasted|roasted|cooked|boiled|steamed|chilled|cooled|cubed|halved|quartered|trimmed|torn|' +
  'snipped|rinsed|drained|washed|squeezed|separated|packed|thawed|defrosted|warmed|room-temperature'
const HOW = 'finely|coarsely|roughly|thinly|thickly|freshly|lightly|well|very|firmly|loosely|gently'
const STATE = 'fresh|ripe|cold|warm|hot|tepid|lukewarm|boiling'
const BEFORE = new RegExp(`^((?:(?:${HOW}|${PREPARED}|${STATE})(?: and | )?)+)(?=\\S)`, 'i')
const AFTER = new RegExp(
  `[\\s,]+((?:(?:${HOW}) )*(?:${PREPARED})(?:(?: and |, | or )(?:(?:${HOW}) )*(?:${PREPARED}))*)$`,
  'i',
)
const SIZE = /^(extra[- ]large|large|medium(?:[- ]sized)?|small|big|little)(?: |$)/i

/** Splits "large eggs, beaten" into the food, how it is prepared, and sizes as notes. */
export function splitFood(words: string, foods: FoodBook): FoodWords {
  const extra: string[] = []
  let text = words.replace(/\s*\(([^()]*)\)/g, (_, inside: string) => {
    if (inside.trim()) extra.push(inside.trim())
    return ''
  })
  text = text.replace(/\s+/g, ' ').replace(/^[\s,;:.-]+|[\s,;:.-]+$/g, '')
  const alternative = / (or (?!more\b).+)$/i.exec(text.split(/[,;]/)[0] ?? '')
  const rest = alternative?.[1] ?? ''
  if (rest) text = text.replace(` ${rest}`, '')
  const plus = / ((?:plus|\+) (?:extra|more|some|a little).*)$/i.exec(text)
  if (plus?.[1]) {
    extra.push(plus[1])
    text = text.slice(0, plus.index)
  }
  const [first = '', ...tail] = text.split(/\s*[,;]\s*|\s+[-–]\s+/)
  const prep = tail.filter((t) => t !== '')
  let food = first
  const size = SIZE.exec(food)
  if (size?.[1]) {
    extra.push(size[1].toLowerCase())
    food = food.slice(size[0].length)
  }
  // "ground almonds" and "dried apricots" are foods: what Lea knows by its whole name is left as it is.
  if (!isWhole(food, foods)) {
    const before = BEFORE.exec(food)
    if (before?.[1] && food.length > before[0].length) {
      prep.unshift(before[1].trim().replace(/ and$/, ''))
      food = food.slice(before[0].length)
    }
    const after = AFTER.exec(food)
    if (after?.[1]) {
      prep.unshift(after[1])
      food = food.slice(0, after.index)
    }
  }
  return { food: food.trim(), prep: prep.join(', '), rest, extra }
}

function isWhole(words: string, foods: FoodBook): boolean {
  const found = resolveFood(words, foods)
  return found !== null && isWholeName(words, found)
}

/** True where the words are a name of the food, not only its beginning or end. */
const isWholeName = (words: string, { name, plural, aliases }: FoodFact): boolean => {
  const plain = words.toLowerCase().trim()
  return [name, plural ?? '', ...aliases].some((n) => n.toLowerCase() === plain)
}
