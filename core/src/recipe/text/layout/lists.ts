/** A list on one line: "200 g flour, 100 g butter, 2 eggs", "Filling: 100 g butter; 1 dl sugar", "flour 300 g / butter 100 g". */
import { resolveFood } from '../../../food/food-names'
import type { FoodBook } from '../../../food/foods'
import { unitWord } from '../../../amount/unit-words'
import { beginsAsStep } from '../steps/verbs'
import { foreignFood } from '../../line/food-of-line'
import { AMOUNT } from './looks'

const DASHES = /\s+[-–]\s+/gu
const SEPARATOR =
  /\s*;\s*|\s*,\s+(?:and\s+|&\s+|plus\s+)?|\s+\/\s+|\s+[•·▪|]\s+|\s+\+\s+|\s+(?:and|plus|&)\s+(?=\d|half |an? )/iu
const LAST =
  /^[\p{L}][\p{L} '’-]*\s*(?:\(\s*[\d½¼¾⅓⅔][^)]*\)|[x×]\s*\d+|\d[\d./]*\s?\p{L}{0,5}(?: \p{L}{3,12})?)$/iu

const isFood = (text: string, foods: FoodBook): boolean => {
  const plain = text
    .replace(/\([^)]*\)/g, '')
    .replace(/\b(?:for|to) (?:frying|serve|taste|dust)\b.*$/i, '')
    .trim()
  return (resolveFood(plain, foods) ?? foreignFood(plain, foods)) !== null
}

/** A part that tells what to do, or how long and how hot, makes no list. */
const isTelling = (part: string): boolean => {
  const bare = part.replace(/^[\d½⅓⅔¼¾./ -]+/, '')
  return (
    TIMES.test(part) || /^(?:for|to|in|on|at) (?:the )?/i.test(part) || (beginsAsStep(bare) && !isUnit(bare))
  )
}
const TIMES =
  /^(?:about )?[\d½¼¾ -]+\s?(?:mins?|minutes?|hours?|hrs?|secs?|seconds?|°|degrees?|cm\b|inch)|^\d{3} ?[cf]\b|\b(?:oven|fan|gas) \d/i
const isUnit = (text: string): boolean => unitWord(/^[\p{L}.]+/u.exec(text)?.[0] ?? '', 'm') !== null

/** @returns its parts, each with an amount or a food; null where it is no list */
export function listOn(text: string, foods: FoodBook): string[] | null {
  const held: string[] = []
  const plain = text.replace(/\([^)]*\)/g, (inside) => `‹${held.push(inside) - 1}›`)
  const dashed = (plain.match(DASHES) ?? []).length >= 2 && !plain.includes(',')
  const parts = plain
    .replace(/[.\s]+$/, '')
    .split(dashed ? /\s+[-–]\s+/u : SEPARATOR)
    .map((p) => p.replace(/‹(\d+)›/g, (_, n: string) => held[Number(n)] ?? '').trim())
    .filter((p) => p !== '')
  if (parts.length < 2 || parts.some((p) => isTelling(p))) return null
  const out: string[] = []
  let amounts = 0
  for (const part of parts) {
    const amount = AMOUNT.test(part) || LAST.test(part)
    const more = /^[\d½¼¾]+ (?:more )?(?:for|to) /i.test(part)
    if (more && out.length > 0) {
      out[out.length - 1] = `${out.at(-1) ?? ''}, plus ${part.replace(/^([\d½¼¾]+) (?!more)/, '$1 more ')}`
      continue
    }
    const own = amount || (out.length > 0 && isFood(part, foods) && part.split(' ').length <= 4)
    if (amount) amounts += 1
    if (own || out.length === 0) out.push(part)
    else out[out.length - 1] = `${out.at(-1) ?? ''}, ${part}`
  }
  const first = out[0] ?? ''
  if (amounts < 2 || out.length < 2 || !(AMOUNT.test(first) || LAST.test(first) || isFood(first, foods)))
    return null
  // What goes on for long behind its amount is telling: "add 2 eggs, then ...".
  return out.every((p) => p.length < 90) ? out : null
}

export interface Headed {
  head: string
  list: string[]
}
const HEAD = /^(.{2,60}?)(?:\s*[:=]\s+|\s+[-–—]\s+|[.!]+\s+|\s+(?=[•·▪]\s))(.+)$/u

/** A list with its heading on one line: "potato rosti: 3 big potatoes, 1 onion". */
export function headedList(text: string, foods: FoodBook): Headed | null {
  if (beginsAsStep(text)) return null
  const m = HEAD.exec(text)
  if (!m?.[1] || !m[2] || AMOUNT.test(m[1])) return null
  if (beginsAsStep(m[2])) return null
  const list = listOn(m[2].replace(/^[•·▪]\s+/, '').replace(/^(?:you )?needs?:? /i, ''), foods)
  return list ? { head: m[1].trim(), list } : null
}
