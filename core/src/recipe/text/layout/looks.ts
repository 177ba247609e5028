/** What a line of a recipe looks like by itself: a heading, a list, a line of the list, telling, how much it makes, talk. */
import { resolveFood } from '../../../food/food-names'
import type { FoodBook } from '../../../food/foods'
import { unitWord } from '../../../amount/unit-words'
import { unitOf } from '../../../amount/units'
import { foreignFood } from '../../line/food-of-line'
import { beginsAsStep } from '../steps/verbs'

export type Section = 'ingredients' | 'steps' | 'tools' | 'storage' | 'other'

const HEADINGS: [Section, RegExp][] = [
  [
    'ingredients',
    /^(?:the )?(?:ingredients?(?: list)?|you(?:['’]?ll| will)? need|what you(?:['’]?ll| will)? need|what(?:['’]s| is| goes) in(?: it)?|here['’]s what you need|we need|needs?|shopping(?: list)?|for the shopping|zutaten|ingr[ée]dients?|ingredientes|ingredienti|składniki|ingrediënten|ingredienser|інгредієнти)\b(?!\s+(?:to|a (?:big|clean|large)))/i,
  ],
  [
    'steps',
    /^(?:the )?(?:method|directions?|instructions?|preparation|steps?|what (?:to|you|we) do|how to(?: make(?: it| them)?| do it)?|here['’]s how|how (?:it['’]s|it is) done|how (?:do )?(?:we|you) (?:make|do) (?:it|them)|do this|to make|making (?:it|them)|let['’]s cook|do|zubereitung|pr[ée]paration|preparaci[óo]n|preparazione|prepara[çc][ãa]o|przygotowanie|wykonanie|bereiding|g[öo]r s[åa] h[äa]r|tillagning|приготування)(?=\s*[:.?\-–]|\s*$)/i,
  ],
  [
    'steps',
    /^(?:day (?:\d|one|two|three)|the (?:night|day) before|(?:the )?next (?:day|morning)|in the (?:morning|evening))(?=\s*[:.\-–]?\s*$)/i,
  ],
  [
    'tools',
    /^(?:equipment|tools|utensils|kitchen kit|kit|you(?:['’]ll| will)? also need)(?=\s*[:.\-–]|\s*$)/i,
  ],
  ['storage', /^(?:storage|to store|storing|keeping|how to keep it|keeps?)(?=\s*[:.\-–]|\s*$)/i],
  [
    'other',
    /^(?:notes?|tips?|cook['’]s (?:notes?|tips?)|top tips?|nutrition(?:al)?(?: info(?:rmation)?)?(?: per serving)?|learning|variations?|serving suggestions?|age|why)(?=\s*[:.\-–]|\s*$)/i,
  ],
]

/** A heading, with what stands on its line behind it. */
export function headingOf(text: string): { section: Section; inline: string } | null {
  for (const [section, words] of HEADINGS) {
    const m = words.exec(text)
    if (!m) continue
    const rest = text.slice(m[0].length)
    const inline = rest
      .replace(/^\s*\([^)]*\)/, '')
      .replace(/^\s*[:.?\-–]?\s*/, '')
      .trim()
    const open = /^\s*(?:\([^)]*\))?\s*[:.\-–]/.test(rest)
    if (inline === '') return { section, inline: '' }
    // "You need 2 cups of oats" goes on as a list; "Steps to heaven" is no heading.
    if (open || (section === 'ingredients' && AMOUNT.test(inline))) return { section, inline }
    if (section === 'ingredients' && /^for (?:the )?[\p{L}\d ]{2,30}$/iu.test(inline))
      return { section, inline: '' }
  }
  return null
}

const GLYPH = '½⅓⅔¼¾⅛⅜⅝⅞'
/** An amount at the head: "200 g", "½ cup", "2 eggs", "a pinch of". */
export const AMOUNT = new RegExp(
  `^(?!\\d+[ -]?(?:minutes?|mins?|hours?|ingredients?|steps?|days?|course)\\b)(?:about |approx\\.? |around |ca\\.? |~ ?)?(?:\\d|[${GLYPH}]|(?:half|quarter)(?: of)? (?:an?|the)\\b|(?:an?|one|two|three|four|five|six|half an?|some|few)(?: (?:small|large|big|good|generous|few|little|tiny|heaped|level|couple|clean|ripe))*(?: of)? (?:pinch|handful|knob|splash|tin|can|cup|spoonful|spoon|drizzle|glug|squeeze|thumb|mug|bunch|tsp|tbsp|teaspoon|tablespoon|bit|little|few|drops?|sprig|clove|jar|packet|pot|tub|slice|sheet|grating|carton|bag|punnet|stick|dash|litre|lemon|lime|onion|carrot|egg|cucumber|leaves|leek|apple|banana|orange)|(?:the )?(?:juice|zest|rind|grated zest)(?: and (?:juice|zest))? of\\b|(?:small |large |big |good |generous |tiny )?(?:pinch|handful|knob|splash|glug|drizzle|squeeze|bunch|dash|dollop|sprig|grating|bit|few|bunch)(?:es)?\\b(?: of)? )`,
  'iu',
)
/** The amount behind the food: "Flour 300 g", "eggs x3", "carrots (3)". */
const AMOUNT_LAST = new RegExp(
  `^[\\p{L}][\\p{L} ,'’&/-]{1,40}?(?:[\\s:,.=–-]+(?:about )?(?:[\\d${GLYPH}]|half\\b)[\\d${GLYPH}/., -]*\\s?(?:[\\p{L}]{1,12}\\.?(?: \\p{L}{1,8})?)?|\\s*[x×]\\s*\\d+|\\s*\\((?:about )?[\\d${GLYPH}][^()]{0,20}\\))(?:,.{0,40}|\\s*\\([^)]*\\))?$`,
  'iu',
)
/** What ends in a time or a heat, or begins as a phrase of the telling, is no line of a list. */
const NO_LINE =
  /^(?:on|in|at|for|to|with|then|until|and|or|from)\b|\d\s?(?:mins?|minutes?|hours?|hrs?|secs?|°\s?[CF]?)\b|\b(?:oven|fan|gas(?: mark)?|step|no\.?|page)\s?\d/i
const SENTENCE = /[.!?]\s*$|[.!?]\s+\p{Lu}|[.!?]\s+\p{Ll}{3,}/u

const foodsIn = (text: string, foods: FoodBook): boolean => {
  const plain = text
    .replace(/\([^)]*\)/g, '')
    .replace(/[:.,;]+$/, '')
    .trim()
  return plain.length < 60 && (resolveFood(plain, foods) ?? foreignFood(plain, foods)) !== null
}

export interface Looks {
  /** Of the list of ingredients: surely, by its amount; or maybe, by its food alone. */
  listed: 'yes' | 'maybe' | null
  telling: boolean
  sentence: boolean
  about: boolean
  talk: boolean
  storage: boolean
  short: boolean
}

const ABOUT =
  /^\W*(?:(?:serves|servings?|makes|make(?= \d)|yields?|portions?|feeds|quantity|gives|enough for|(?:it|this)(?: quantity| recipe| amount)? (?:does|makes|serves|feeds|gives))\b\s*:?\s*(?:about |approx\.? |around |\d|[a-z]+ ?\b)|for (?:about )?(?:\d+|two|three|four|five|six|eight|ten|twelve)(?: (?:people|children|kids|portions|servings|persons))?\s*$|(?:\d+|four|six|eight|ten|twelve) (?:servings?|portions|people|porcje|porcji)\s*$|(?:time|age|ages?|quantity|level)\s*:|(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|chill(?:ing)?|active|hands-on|ready|time)(?: time\b\s*:?| in\b|\s*:)\s*(?:about |under )?(?:\d|half|an hour|one|two)|takes? \d|difficulty|level:|age:|ages? \d|course:|cuisine:|category:|für \d|pour \d|per \d|para \d|na \d)/i
const TALK =
  /^(?:(?:hi|hello|hey|dear|hiya|morning|evening)\b.{0,60}$|(?:best|love|thanks?|thank you|cheers|kind regards|regards|yours|see you|take care|happy (?:baking|cooking)|bon app|enjoy!?$|you['’]re|lovely|looks? (?:great|good|lovely)|can (?:you|the)|who\b|do you\b|does\b|would you\b|these (?:were|are) (?:great|lovely|delicious)|yes\b:?$|ok\b:?$|here (?:it|you)|you asked|as promised|recipe card\b|by \p{Lu}|posted|published|updated|popular|share|follow|menu|home\b|search|photo|image|source:|adapted from|see \[|see the original|i (?:grew|made|love|used|found|have)|we (?:made|love|had)|this (?:is|month|week|one)\b|my (?:mum|nan|gran)))/iu
const STORAGE =
  /^(?:stores?\b|keeps\b|freezes?\b|best eaten|will keep|can be (?:frozen|kept)|leftovers\b|keep .*\b(?:airtight|container|fridge|days?|weeks?|freezer)\b)/i
const TIP =
  /^(?:(?:top )?tips?|notes?|nb|ps|p\.s\.|remember|variation|serving suggestion|to make ahead|good to know)\b\s*[:!-]/i

/** @param text one line without its bullet */
export function looksOf(text: string, foods: FoodBook): Looks {
  const about =
    (!AMOUNT.test(text) || /^\d+ (?:servings?|portions|people)\b/i.test(text)) &&
    ABOUT.test(text) &&
    !/^makes? (?:a|an|the|four|sure|it)\b/i.test(text) &&
    text.length < 110
  const sentence = SENTENCE.test(
    text.replace(/\b(?:tbsp|tsp|oz|approx|min|mins|pkg|lb|pt|c|T|t|lbs|fl|qt|S|R|ca|Pck|Pkg|g)\./gi, ''),
  )
  const listed = about ? null : listedness(text, foods, sentence)
  const telling = listed !== 'yes' && (beginsAsStep(text) || (sentence && text.length > 60))
  return {
    listed,
    telling,
    sentence,
    about,
    talk: (TALK.test(text) || (/\?\s*\p{L}?$/u.test(text) && !beginsAsStep(text))) && listed !== 'yes',
    storage: STORAGE.test(text) || TIP.test(text),
    short: text.length < 42 && text.split(' ').length <= 6,
  }
}

/** Counts that stand alone for one: "pinch salt". */
const SMALL = new Set(
  'pinch handful knob bunch clove splash glug squeeze dash sprig drizzle grating'.split(' '),
)

function listedness(text: string, foods: FoodBook, sentence: boolean): Looks['listed'] {
  if (text.length > 160) return null
  if (AMOUNT.test(text)) {
    const after = text.replace(/^\D{0,9}[\d\s./½⅓⅔¼¾⅛⅜⅝⅞–-]+/, '')
    const first = /^\p{L}+/u.exec(after)?.[0] ?? ''
    const numberedStep =
      /^\d{1,2}\s+\p{L}/u.test(text) &&
      unitWord(first, 'm') === null &&
      beginsAsStep(after) &&
      !foodsIn(after.split(/[,(]/)[0] ?? '', foods)
    if (numberedStep || /^\d{1,3}\s?(?:°|degrees|minutes?|mins?|hours?|seconds?)/i.test(text)) return null
    return sentence && beginsAsStep(after) ? null : sentence && /[.!?]\s+\p{L}/u.test(text) ? 'maybe' : 'yes'
  }
  if (!sentence && text.length < 80 && AMOUNT_LAST.test(text) && !beginsAsStep(text) && !NO_LINE.test(text))
    return 'yes'
  // "snufje zout", "EL Öl", "pinch salt": a measure, and a food behind it. "Drop scones" measures nothing.
  const unit = /^(\p{L}+\.?) (?:of )?(\p{L}.*)$/u.exec(text)
  const measure = unit?.[1] ? unitWord(unit[1], 'm') : null
  const measures = measure !== null && (unitOf(measure.unit).dimension !== 'count' || SMALL.has(measure.unit))
  if (!sentence && measures && foodsIn((unit?.[2] ?? '').split(/[,(]/)[0] ?? '', foods)) return 'yes'
  if (!sentence && foodsIn(text.split(/[,–(]| - /)[0] ?? '', foods)) return 'maybe'
  return null
}

/** A heading of a part: "For the dough:", "FILLING", "To decorate". */
export function partOf(text: string, heading: boolean, foods: FoodBook): string | null {
  const bare = text.replace(/[:.]\s*$/, '').trim()
  if (
    bare === '' ||
    bare.length > 40 ||
    /\d/.test(bare.replace(/^for \d+$/i, '')) ||
    bare.split(' ').length > 6
  )
    return null
  if (/^(?:for|to) (?:the |each |every )?(?!taste)[\p{L} ]{2,30}$/iu.test(bare) && !/[.!?]$/.test(text))
    return bare
  if (heading || /:$/.test(text)) return bare
  if (bare === bare.toUpperCase() && /\p{Lu}{3}/u.test(bare)) return bare
  return foodsIn(bare, foods) ? null : null
}
