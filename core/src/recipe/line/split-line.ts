/**
 * One printed line that holds several foods, parted into a line for each: "salt and pepper", "1 tsp each salt and sugar", "1 egg beaten with
 * 2 tbsp milk", "2 carrots and 1 leek". The second food of a line must never hide behind the first.
 */
import { leadingNumber, plainNumbers } from '../../amount/read'
import type { FoodBook } from '../../food/foods'
import { foodOfLine } from './food-of-line'
import { splitFood } from './line-food'

const NUMBER = String.raw`(?:\d+(?:[.,/]\d+)?(?: \d+\/\d+)?|[½⅓⅔¼¾⅛])`
const WITH =
  /^(.+?),? ((?:lightly )?(?:beaten|mixed|whisked|blended|dissolved|stirred|mashed|tossed|combined)(?: together| up)?) (?:with|in|into) (.+)$/i
const EACH_OF = /^(.*?)\s*\beach(?: of)?:? (.+)$/i
const AND = /\s+(?:and|&|\+|plus)\s+/i
/** Words before which a second food begins by itself. */
const AMOUNT_AT_HEAD = new RegExp(
  `^(?:${NUMBER}|(?:an?|half an?|one|two|three|four|the|some|few) |(?:pinch|handful|knob|splash|juice|zest|glug|squeeze|drizzle|dash)\\b)`,
  'i',
)

const foodIn = (text: string, foods: FoodBook): string | null => {
  const plain = plainNumbers(text)
  const rest = leadingNumber(plain)?.rest ?? plain
  // Unit words before the food say nothing to the names.
  return foodOfLine(splitFood(rest, foods).food, foods)?.id ?? null
}

/** @returns one text for each food; the text itself where it holds one, or where it cannot be parted surely */
export function splitLine(text: string, foods: FoodBook): string[] {
  const plain = text
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/\b(salt) (and|&|\+) (?=pepper\b)/i, '$1 $2 black ')
  if (plain.length > 300) return [text]
  // An alternative is asked about as a whole.
  if (/\sor\s/i.test(plain)) return [text]
  const mixed = WITH.exec(plain)
  if (mixed?.[1] && mixed[2] && mixed[3] && foodIn(mixed[1], foods) && foodIn(mixed[3], foods))
    return [`${mixed[1]}, ${mixed[2]}`, mixed[3]]
  const each = EACH_OF.exec(plain)
  if (each?.[1] && each[2]) {
    const list = each[2].split(/,\s*(?:and\s+)?|\s+(?:and|&)\s+/).filter((p) => p !== '')
    if (list.length > 1 && list.every((p) => foodIn(p, foods)))
      return list.map((p) => `${each[1] ?? ''} ${p}`)
  }
  const joined = parted(plain, foods)
  if (joined.length > 1) return joined
  return inTheMiddle(plain, foods) ?? [text]
}

/** "2 carrots and 1 leek", "salt and pepper": each part has its amount, or none of them has. */
function parted(plain: string, foods: FoodBook): string[] {
  const outside = plain.replace(/\([^)]*\)/g, (inside) => inside.replace(/ /g, '\u0001'))
  const parts = outside.split(AND).map((p) => p.replaceAll('\u0001', ' '))
  if (parts.length < 2 || parts.length > 4) return [plain]
  const amounts = parts.map((p) => AMOUNT_AT_HEAD.test(p))
  const same = amounts.slice(1).every((a) => a === amounts[0])
  if (!same || parts.some((p) => foodIn(p, foods) === null)) return [plain]
  // "macaroni and cheese" is one food where the book says so; a number before the first only holds for both or for one: asked.
  if (foodIn(plain, foods) !== null && !/[&+]/.test(plain)) return [plain]
  return parts
}

/** "3 oz cheddar grated 1 egg yolk": a second amount in the middle with a food behind it. */
function inTheMiddle(plain: string, foods: FoodBook): string[] | null {
  const at = new RegExp(`^(${NUMBER}.*?\\p{L}{3,}.*?)[,;]? (?:plus |\\+ )?(${NUMBER} ?\\p{L}.*)$`, 'iu').exec(
    plain.replace(/\([^)]*\)/g, ''),
  )
  if (!at?.[1] || !at[2]) return null
  return foodIn(at[1], foods) && foodIn(at[2], foods) ? [at[1], at[2]] : null
}
