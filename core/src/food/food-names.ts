/**
 * Which food words name. A name resolves whole or not at all: every word beside it must be one that says nothing of what is in it
 * ("finely chopped", "large", "to serve"). "Fish stock" is not stock, "walnut oil" is no oil that Lea may pick: what is left over is a
 * question. Words by common practice, from memory.
 */
import { wordsOf } from '../amount/nation/words'
import { SHIPPED_BOOK, type FoodBook, type FoodFact } from './foods'
import { normaliseLabel } from './label/text'

const singular = (word: string): string =>
  word
    .replace(/ies$/, 'y')
    .replace(/(ch|sh|x|ss|o)es$/, '$1')
    .replace(/(?<![sui])s$/, '')

const key = (words: string): string => normaliseLabel(words).split(' ').map(singular).join(' ')

const byName = new WeakMap<FoodBook, Map<string, FoodFact>>()

function namesOf(book: FoodBook): Map<string, FoodFact> {
  const known = byName.get(book)
  if (known) return known
  const map = new Map<string, FoodFact>()
  for (const food of book.all) map.set(food.id, food)
  // The names that foods go by stand over the other names of other foods.
  for (const names of [
    (f: FoodFact) => [f.name, f.plural ?? ''],
    (f: FoodFact) => [...f.aliases, f.id.replace(/-/g, ' ')],
    // What Lea itself says to a US setting it reads as well.
    (f: FoodFact) => [f.name, ...f.aliases].map((n) => wordsOf(n, 'us')),
  ])
    for (const food of book.all)
      for (const name of names(food)) if (name && !map.has(key(name))) map.set(key(name), food)
  byName.set(book, map)
  return map
}

/** The food whose name, plural or synonym the words are, whole. */
export const resolveExactly = (words: string, book: FoodBook = SHIPPED_BOOK): FoodFact | null =>
  namesOf(book).get(words) ?? namesOf(book).get(key(words)) ?? null

const list = (text: string): ReadonlySet<string> => new Set(text.split(' ').map(singular))

/** What is done to a food before or while it goes in, and how; sizes, quality, amounts: nothing of it changes what the food holds. */
const SAYS_NOTHING = list(
  'a an the of some few little bit more extra about around approx each well very or-so and to for at in into if only just ' +
    'taste serve serving dusting greasing frying brushing decorating decoration sprinkling rolling topping garnish optional needed required desired ' +
    'room temperature finely coarsely roughly thinly thickly freshly lightly firmly loosely gently evenly neatly ' +
    'chopped sliced diced cubed grated shredded minced crushed crumbled melted softened peeled unpeeled cored stoned pitted deseeded mashed ' +
    'beaten whisked sifted sieved toasted roasted chilled cooled halved quartered trimmed torn snipped rinsed drained washed squeezed separated ' +
    'packed thawed defrosted warmed juiced scrubbed hulled topped tailed shelled skinned patted cut broken flaked crumbled julienned ' +
    'fresh ripe overripe unripe cold warm hot tepid lukewarm boiling large medium small big little medium-sized sized thick thin firm whole half ' +
    'sodium low reduced soft low-sodium reduced-sodium low-salt no-salt reduced-salt nonstick non-stick crumbles old-fashioned jumbo ready ready-rolled ready-to-eat ready-made rolled eat made ready-prepared ' +
    'good quality best organic free range free-range local seasonal homegrown skinless boneless lean unsalted salted plain natural frozen virgin ' +
    'heaped heaping level scant generous rounded good handful sprig bunch clove bulb head stalk piece slice ' +
    'chunk cube wedge segment ring strip leaf leaves halves floret fillet rasher spear ear crosswise lengthwise unsweetened',
)
/** How much of it, where it stands before the food: "a tin of peas"; behind it ("peanut butter cups") it is another food. */
const SAYS_HOW_MUCH = list(
  'pinch dash drop splash knob stick one two three four five six seven eight nine ten dozen cup tbsp tsp tablespoon teaspoon g kg ml l oz lb ' +
    'tin tinned can canned packet pack pkg jar bag carton tub pot tray sheet ball bottle block sachet',
)
/** "crusts removed", "skin on": what is taken off says nothing of the rest. */
const TAKEN_OFF =
  /[,\s]+(?:crusts?|skins?|seeds?|stones?|pips?|bones?|cores?|stalks?|stems?|rind|fat|shells?|ends?|leaves)(?: and \w+)? (?:removed|off|on|taken out|discarded|trimmed)\b|[,\s]+in (?:(?:its|their) own |natural )?(?:spring water|water|brine|oil|olive oil|sunflower oil|juice|syrup)\b/gi
/** Of plants: colours, and that they are frozen or young. "White chocolate" and "red wine" are other things. */
const OF_PLANTS = list(
  'red green yellow white golden purple orange black pink raw baby young seedless sweet cooking eating dessert',
)
/** Of milk and what is made of it: how fat, how sour. */
const OF_DAIRY = list(
  'sharp extra plain natural full fat low reduced half semi skimmed pasteurised pasteurized thick set mild mature strong block sachet',
)
/** Of herbs and spices: how they come. */
const OF_SEASONING = list('dried ground powdered crushed mild hot')
/** Of what is not raw meat, fish or egg: that it is cooked. A raw food that is cooked is another food. */
const COOKED = list('cooked boiled steamed baked blanched parboiled')

function saysNothing(word: string, food: FoodFact, before: boolean): boolean {
  if (before && SAYS_HOW_MUCH.has(word)) return true
  if (SAYS_NOTHING.has(word) || /^\d/.test(word)) return true
  const group = food.group ?? ''
  if ((group === 'fruit' || group === 'vegetable') && OF_PLANTS.has(word)) return true
  if (group === 'dairy' && OF_DAIRY.has(word)) return true
  if (group === 'seasoning' && OF_SEASONING.has(word)) return true
  return COOKED.has(word) && food.raw === undefined
}

/** More words than any line has are none: reading must end in time. */
const MOST = 24

/**
 * The food that words name whole: by id, by its name or a synonym (UK and US, singular or plural), and nothing beside it but words that say
 * nothing of what is in it ("finely chopped fresh parsley", "butter, softened").
 * @returns null where a word is left over or two foods are named: it is then a question, never guessed
 */
export function resolveFood(words: string, book: FoodBook = SHIPPED_BOOK): FoodFact | null {
  const direct = resolveExactly(words, book)
  if (direct) return direct
  const tokens = key(words.slice(0, 400).replace(TAKEN_OFF, ' '))
    .split(' ')
    .filter((t) => t !== '')
  if (tokens.length > MOST) return null
  const names = namesOf(book)
  for (let length = tokens.length; length >= 1; length--) {
    for (let from = 0; from + length <= tokens.length; from++) {
      const found = names.get(tokens.slice(from, from + length).join(' '))
      if (!found) continue
      const before = tokens.slice(0, from).every((t) => saysNothing(t, found, true))
      if (before && tokens.slice(from + length).every((t) => saysNothing(t, found, false))) return found
    }
  }
  return null
}

/** A food whose name stands in words, and the words by which it stands there. */
export interface FoodStanding {
  food: FoodFact
  name: string
}

/** Foods whose names stand in the words, the longest names first and none inside another: "almond drink" is no almond. */
export function foodsStanding(words: string, book: FoodBook = SHIPPED_BOOK): FoodStanding[] {
  const plain = normaliseLabel(words)
    .split(' ')
    .filter((t) => t !== '')
    .slice(0, MOST)
  const tokens = plain.map(singular)
  const names = namesOf(book)
  const taken = new Set<number>()
  const out: FoodStanding[] = []
  for (let length = Math.min(tokens.length, 6); length >= 1; length--)
    for (let from = 0; from + length <= tokens.length; from++) {
      const places = Array.from({ length }, (_, i) => from + i)
      if (places.some((i) => taken.has(i))) continue
      const food = names.get(tokens.slice(from, from + length).join(' '))
      if (!food || (length === 1 && SAYS_NOTHING.has(tokens[from] ?? ''))) continue
      places.forEach((i) => taken.add(i))
      out.push({ food, name: plain.slice(from, from + length).join(' ') })
    }
  return out
}

/** Foods whose names stand in the words, the longest first: an offer ("Is it …?") beside a question, never an answer. */
export function foodsNamed(words: string, book: FoodBook = SHIPPED_BOOK, most = 3): FoodFact[] {
  const tokens = key(words)
    .split(' ')
    .filter((t) => t !== '')
    .slice(0, MOST)
  const names = namesOf(book)
  const out: FoodFact[] = []
  for (let length = tokens.length; length >= 1; length--)
    for (let from = tokens.length - length; from >= 0; from--) {
      const found = names.get(tokens.slice(from, from + length).join(' '))
      if (found && !out.includes(found) && !SAYS_NOTHING.has(tokens[from] ?? '')) out.push(found)
    }
  return out.slice(0, most)
}
