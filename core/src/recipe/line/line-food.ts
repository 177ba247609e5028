/** The words after the amount: the food itself, its preparation, and what is neither. */
import { foodsStanding, resolveFood } from '../../food/food-names'
import type { FoodBook, FoodFact } from '../../food/foods'
import { foreignFood } from './food-of-line'

export interface FoodWords {
  food: string
  prep: string
  rest: string
  /** What stood in brackets, and sizes: notes. */
  extra: string[]
}

const PREPARED =
  'chopped|sliced|diced|grated|shredded|minced|crushed|crumbled|melted|softened|peeled|cored|stoned|pitted|deseeded|seeded|mashed|' +
  'beaten|whisked|sifted|sieved|toasted|roasted|cooked|boiled|steamed|chilled|cooled|cubed|halved|quartered|trimmed|torn|' +
  'snipped|rinsed|drained|washed|squeezed|separated|packed|thawed|defrosted|warmed|room-temperature|flaked|julienned|shelled|' +
  'skinned|scrubbed|sieved|squashed|pureed|puréed|cut'
const HOW = 'finely|coarsely|roughly|thinly|thickly|freshly|lightly|well|very|firmly|loosely|gently|ready'
const STATE = 'fresh|ripe|cold|warm|hot|tepid|lukewarm|boiling|just-boiled|cooled|stale'
const BEFORE = new RegExp(
  `^((?:(?:${HOW}|${PREPARED}|${STATE})(?![\\p{L}-])(?:,? and |, | & | )?)+)(?=\\S)`,
  'iu',
)
const AFTER = new RegExp(
  `[\\s,]+((?:(?:${HOW}) )*(?:${PREPARED})(?:(?:,? and |, | or |,? & |,? then )(?:(?:${HOW}) )*(?:${PREPARED}))*(?: (?:thin|small|smal+|fine|into .+|in .+|lengthways|lengthwise|longways))?)$`,
  'i',
)
/** Brackets that say what is done to the food, or how it comes. */
const SAYS_PREP = new RegExp(
  `\\b(?:${PREPARED}|frozen|fresh|lengthways|lengthwise|longways|ribbons|quarters|halves|sticks|cubes|slices|strips|by an? adult|skin(?:s|ned)?|seed(?:s|ed)? removed|in quarters|(?:no|without) (?:seeds?|stones?|skins?|bones?))\\b`,
  'i',
)
const SIZE = /^(extra[- ]large|large|lge?\.?|sm\.?|med\.?|medium(?:[- ]sized)?|small|big|little)(?: |$)/i

/** Splits "large eggs, beaten" into the food, how it is prepared, and sizes as notes. */
export function splitFood(words: string, foods: FoodBook): FoodWords {
  const extra: string[] = []
  const said: string[] = []
  let rest = ''
  // "cashews/cream" is one or the other; whole names with a stroke in them are rare, and asked about.
  const plain = words.replace(/(?<=\p{L}{3})\s*\/\s*(?=\p{L}{3})/gu, ' or ')
  let text = plain.replace(/\s*\(([^()]*)\)?/g, (_, inside: string) => {
    const note = inside.trim()
    if (/^or (?!more\b|less\b|so\b|to taste)/i.test(note)) rest = note
    else if (note !== '' && SAYS_PREP.test(note) && !/\d/.test(note))
      said.push(note.replace(/\s*\+\s*/g, ' and '))
    else if (note !== '') extra.push(note)
    return ' '
  })
  text = text.replace(/\s+/g, ' ').replace(/^[\s,;:.=–-]+|[\s,;:.=–-]+$/g, '')
  const alternative = / (or (?!more\b|less\b|so\b)[^,;]+)/i.exec(text)
  // "chopped or sliced" and "fresh or frozen" are ways, not foods.
  if (alternative?.[1] && !isWays(alternative[1])) {
    rest = alternative[1]
    text = text.replace(` ${rest}`, '').replace(/[,\s]+$/, '')
  }
  const plus = /,? ((?:plus|\+) (?:extra|more|some|a (?:little|bit)).*)$/i.exec(text)
  if (plus?.[1]) {
    extra.push(plus[1])
    text = text.slice(0, plus.index)
  }
  const parts = partsOf(text, foods)
  // "stock (veg)": the kind stands behind the name.
  const kind = extra.find(
    (e) => resolveFood(parts.food, foods) === null && resolveFood(`${e} ${parts.food}`, foods) !== null,
  )
  if (kind !== undefined) parts.food = `${kind} ${parts.food}`
  let { food } = parts
  const prep = [...parts.tail, ...said]
  const size = SIZE.exec(food)
  if (size?.[1] && size[0].length < food.length) {
    extra.push(size[1].toLowerCase())
    food = food.slice(size[0].length)
  }
  // "ground almonds" and "dried apricots" are foods: what Lea knows by its whole name is left as it is.
  if (!isWhole(food, foods) || isSameWithout(food, foods)) {
    const before = BEFORE.exec(food)
    if (before?.[1] && food.length > before[0].length) {
      prep.unshift(before[1].trim().replace(/(?:,| and| &)$/, ''))
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

const WAY = new RegExp(
  `^or (?:(?:${HOW}) )*(?:${PREPARED}|frozen|fresh|dried|tinned|cut|large|small|whole)\\b(?!.*\\bor\\b)`,
  'i',
)
const isWays = (alternative: string): boolean => WAY.test(alternative) && alternative.split(' ').length <= 3

/**
 * The food and what stands behind it. It parts at the first comma or dash; where what stands before the comma is no food ("skinless, boneless
 * cod", "Flour, plain") the part that completes the name goes with it.
 */
function partsOf(text: string, foods: FoodBook): { food: string; tail: string[] } {
  const [first = '', ...tail] = text.split(/\s*[,;]\s*|\s+[-–]\s+/).filter((t) => t !== '')
  if (tail.length === 0 || standsFor(first, foods)) return { food: first, tail }
  const [next = '', ...more] = tail
  for (const words of [`${next} ${first}`, `${first} ${next}`, next])
    if (standsFor(words, foods) && (words !== next || isAdjectives(first)))
      return { food: words === next ? next : words, tail: words === next ? [first, ...more] : more }
  return { food: first, tail }
}
const isAdjectives = (words: string): boolean =>
  /^(?:skinless|boneless|unsalted|salted|roasted|large|small|ripe|raw|fresh|organic|lean|whole|medium|soft|cold|free[- ]range|good|firm|unwaxed)(?: \w+)?$/i.test(
    words,
  )
const standsFor = (words: string, foods: FoodBook): boolean =>
  (resolveFood(words, foods) ?? foreignFood(words, foods)) !== null

/** "grated cheddar" is cheddar, and grated: the name says how it comes, and the food is the same without it. */
function isSameWithout(food: string, foods: FoodBook): boolean {
  const bare = food.replace(BEFORE, '')
  return bare !== food && bare !== '' && resolveFood(bare, foods)?.id === resolveFood(food, foods)?.id
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

/** Foods that the words beside the food name: in brackets, notes, alternatives. Each is a question until somebody settles it. */
export const namedBeside = (words: string, foods: FoodBook): FoodFact[] =>
  foodsStanding(words, foods).map((s) => s.food)
