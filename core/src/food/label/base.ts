/**
 * Base words that mean an allergen only while no other source stands with them: oat *milk*, rice *flour*, *flour* (maize).
 * The bare word keeps its legal default: milk is cow's milk, flour is wheat (allergens.md A4.2, B2; from memory).
 */
import type { Hit } from './hit'
import { isPlainGap } from './scope'
import type { Read } from './spelling'

const MILK_BASE =
  /^(milks?|creams?|butters?|yoghurts?|yogurts?|yoghourt|cheeses?|custards?|curds?|kefir|ice cream)$/
const MILK_SOURCE =
  /^(coconut|almonds?|soya|soy|oats?|rice|hemp|peas?|cashews?|hazelnuts?|peanuts?|cocoa|cacao|shea|apple|mango|nuts?|seeds?|sunflower|pumpkin|walnuts?|macadamia|pistachio|quinoa|flax|pecan|body|tiger|millet|spelt|barley|bean|potato)$/
const FLOUR_BASE =
  /^(flours?|semolina|couscous|cous|pasta|noodles?|breadcrumbs?|crumbs?|tortillas?|wraps?|spaghetti|vermicelli|macaroni|farina|puffs?|pancakes?)$/
const FLOUR_SOURCE =
  /^(rice|corn|maize|potato|gram|chickpea|lentils?|peas?|buckwheat|rye|oats?|barley|soya|soy|lupin|coconut|almonds?|masa|tapioca|cassava|teff|sorghum|millet|quinoa|banana|chestnut|mustard|beans?|amaranth|plantain|hazelnuts?|seed|flaxseed|cauliflower|konjac|peanuts?)$/
const NOT_WHEAT =
  /^(rice|corn|maize|potato|gram|chickpeas?|lentils?|peas?|buckwheat|soya|soy|tapioca|cassava|teff|sorghum|millet|quinoa|oats?|almonds?|coconut|reis|mais|riz|arroz)$/

/** Does a source beside a base word take its default away? */
export function baseIsNamed(hit: Hit, hits: readonly Hit[], words: readonly Read[]): boolean {
  if (hit.to - hit.from !== 1) return false
  const word = words[hit.from]
  const before = words[hit.from - 1]
  if (!word) return false
  const beside = before !== undefined && /^[-]?$/.test(word.gap) ? before.text : ''
  const next = words[hit.to]
  if (hit.ids.includes('milk') && MILK_BASE.test(word.text)) {
    // "almond milk chocolate" is milk chocolate with almonds.
    const chocolate = next !== undefined && isPlainGap(next.gap) && /^chocolate/.test(next.text)
    return MILK_SOURCE.test(beside) && !chocolate
  }
  if (!hit.ids.includes('wheat') || !FLOUR_BASE.test(word.text)) return false
  if (FLOUR_SOURCE.test(beside)) return true
  return bracketNames(hit, hits, words)
}

/** "flour (rice, potato)": a bracket that names sources, none of them wheat. */
function bracketNames(hit: Hit, hits: readonly Hit[], words: readonly Read[]): boolean {
  const inside = bracketAfter(words, hit.to)
  if (inside.length === 0) return false
  const wheat = hits.some((h) => h !== hit && inside.includes(h.from) && h.ids.includes('wheat'))
  return !wheat && inside.some((i) => NOT_WHEAT.test(words[i]?.text ?? ''))
}

/** Indices of the words in the bracket that opens directly before word `at`; empty where none opens there. */
export function bracketAfter(words: readonly Read[], at: number): number[] {
  const first = words[at]
  if (!first || !/^[-:]?[([{]/.test(first.gap)) return []
  const inside: number[] = []
  let depth = 0
  for (let i = at; i < words.length; i++) {
    for (const char of words[i]?.gap ?? '') {
      if (/[([{]/.test(char)) depth += 1
      else if (/[)\]}]/.test(char)) depth -= 1
      if (depth === 0 && /[)\]}]/.test(char)) return inside
    }
    inside.push(i)
  }
  return inside
}
