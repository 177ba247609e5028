/** Ingredients that only the telling names, with their amounts: "rub 60 g butter into 250 g flour". */
import { unitOf } from '../../../amount/units'
import type { System } from '../../../amount/unit-words'
import type { FoodBook } from '../../../food/foods'
import { AmountError } from '../../../amount/ratio'
import { englishFood } from '../../line/food-of-line'
import { readLine } from '../../line/read-line'

const GLYPH = '½⅓⅔¼¾⅛'
const START = new RegExp(
  `(?<![\\p{L}\\d.,/${GLYPH}-])(?:about )?(?:(?:\\d+(?:[.,/]\\d+)?(?:\\s?[${GLYPH}]|\\s\\d\\/\\d)?|[${GLYPH}])(?=[\\s\\p{L}])|(?:half an?|half|a quarter|quarter|a little|some|a bit|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|the juice of|juice of|the zest of)(?=\\s))`,
  'giu',
)
const STOP =
  /[,.;:!?]|\s(?:and|into|in|with|on|onto|to|over|for|until|then|from|at|by|or|using|between|through|per|so|as|under|it|them)\s|[()]|$/giu
/** What is made, or what it is as large as, goes in nowhere: "into 12 rolls", "the size of a walnut". */
const MADE =
  /\b(?:into|shape|makes?|form|divide|cut|size of|as big as|roll|like|for|makes about|grease|line)(?: the \p{L}+)?(?: into| out)?\s+$/iu
const VESSEL =
  /^[\s-]*(?:\p{L}+ )?(?:tins?|pans?|cases?|cups?|trays?|cutters?|holes?|bowls?|liners?|towels?|spoons?|mashers?|peelers?|ricers?|kni(?:fe|ves)|graters?|boards?|pots?)\b/iu
const NO_FOOD =
  /^(?:about )?(?:[\d½⅓⅔¼¾⅛/., -]+|\p{L}+\s)\s*(?:cm|mm|inch|in|min|mins|minutes?|hours?|hrs?|seconds?|°|degrees?|times|days?)\b/iu

export interface AmountPhrase {
  text: string
  food: string
  unit: string
}

/** Amounts with a food that Lea knows, in the order of the telling; the longest words that name one food whole. */
export function phrasesIn(text: string, system: System, foods: FoodBook): AmountPhrase[] {
  const out: AmountPhrase[] = []
  let from = 0
  for (const m of text.matchAll(START)) {
    const made = MADE.test(text.slice(Math.max(0, m.index - 40), m.index))
    if (m.index < from || NO_FOOD.test(text.slice(m.index, m.index + 24))) continue
    const found = longest(text.slice(m.index, m.index + 90), system, foods)
    if (
      !found ||
      (made && unitOf(found.unit).dimension === 'count') ||
      (found.unit === 'pot' && found.food === 'water') ||
      VESSEL.test(text.slice(m.index + found.text.length))
    )
      continue
    out.push(found)
    from = m.index + found.text.length
  }
  return out
}

function longest(text: string, system: System, foods: FoodBook): AmountPhrase | null {
  const ends = [...text.matchAll(STOP)]
    .map((m) => m.index)
    .filter((i) => i > 2)
    .slice(0, 3)
  for (const end of ends) {
    const phrase = text.slice(0, end).trim()
    const tries = [
      phrase,
      phrase.split(' ').slice(0, 5).join(' '),
      phrase.split(' ').slice(0, 4).join(' '),
      phrase.split(' ').slice(0, 3).join(' '),
      phrase.split(' ').slice(0, 2).join(' '),
    ]
    for (const words of [...new Set(tries)])
      try {
        const read = readLine(words, system, undefined, foods)
        if (
          read.foodId !== null &&
          englishFood(read.food, foods) !== null &&
          (read.amount !== null || read.byEye !== undefined)
        )
          return { text: words, food: read.foodId, unit: read.unit }
      } catch (fault) {
        if (!(fault instanceof AmountError)) throw fault
      }
    if (/^[.;:!?]/.test(text.slice(end))) return null
  }
  return null
}
