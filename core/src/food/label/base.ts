/**
 * Base words that mean an allergen only while no other source stands with them: oat *milk*, rice *flour*, *flour* (maize).
 * The bare word keeps its legal default: milk is cow's milk, flour is wheat (allergens.md A4.2, B2; from memory). A flavour takes nothing
 * away: mango yoghurt is milk.
 */
import type { Hit } from './hit'
import type { Read } from './spelling'
import { isTight } from './text'

/** Which plants are drunk, spread or whipped, and under which word of dairy: of other pairs the plant is a flavour. Common practice. */
const PLANT_DAIRY: [base: RegExp, plants: RegExp][] = [
  [
    /^milks?$/,
    /^(coconut|almonds?|soya|soy|oats?|rice|hemp|peas?|cashews?|hazelnuts?|peanuts?|nuts?|macadamia|pistachio|quinoa|flax|pecan|walnuts?|tiger|millet|spelt|barley|potato|seeds?|sesame|lupin|body)$/,
  ],
  [/^creams?$/, /^(coconut|cashews?|soya|soy|oats?|rice|body|hand)$/],
  [
    /^butters?$/,
    /^(peanut|peanuts|almonds?|cashews?|hazelnuts?|walnuts?|pecan|pistachio|macadamia|cocoa|cacao|shea|nuts?|seeds?|sunflower|pumpkin|sesame|coconut|soya|soy|apple|mango|body|hemp|tahini|granola|fruit|kokum|illipe)$/,
  ],
  [/^(yoghurts?|yogurts?|yoghourts?|cheeses?|custards?|kefir)$/, /^(soya|soy|oats?)$/],
  [/^curds?$/, /^(beans?|soya|soy)$/],
]
/** Plant or flavoured dairy: the packet has to say. */
const EITHER: [base: RegExp, plants: RegExp][] = [
  [/^creams?$/, /^(almonds?|hazelnuts?|macadamia|pistachio|hemp|peas?)$/],
  [
    /^(yoghurts?|yogurts?|yoghourts?|cheeses?|custards?|kefir)$/,
    /^(coconut|almonds?|cashews?|rice|peas?|hemp|macadamia)$/,
  ],
]

const FLOUR_BASE =
  /^(flours?|semolina|couscous|cous|pasta|noodles?|breadcrumbs?|crumbs?|spaghetti|vermicelli|macaroni|farina|puffs?)$/
const FLOUR_SOURCE =
  /^(rice|corn|maize|potato|gram|chickpea|lentils?|peas?|buckwheat|rye|oats?|barley|soya|soy|lupin|coconut|almonds?|masa|tapioca|cassava|teff|sorghum|millet|quinoa|banana|chestnut|mustard|beans?|amaranth|plantain|hazelnuts?|walnuts?|cashews?|pistachio|peanuts?|sesame|hemp|seed|flaxseed|cauliflower|konjac|tigernut|fonio|acorn|carob)$/
const SHELL_BASE = /^(tortillas?|wraps?)$/
const SHELL_SOURCE = /^(corn|maize|masa|rice|coconut|cassava|cauliflower)$/

/** Flour in the other languages, where the source stands behind it: "harina de almendra", "борошно люпинове". */
const FLOUR_WORD =
  /^(harinas?|farines?|farinhas?|farina|farine|semola|semoule|semolina|maka|maki|make|борошн.*|blawd|flawd|mlawd|دقیق|طحین|اٹا|meel|bloem|faina|unu|un)$/
const OF = /^(de|d|del|di|du|des|da|do|z|ze|von|van|من|کا|کی|din)$/

/** Sources that are no wheat, in the languages that are read, as they begin. */
const NOT_WHEAT =
  /^(rice|corn|maize|potato|gram|chickpeas?|lentils?|peas?|buckwheat|soya|soy|tapioca|cassava|teff|sorghum|millet|quinoa|oats?|almonds?|coconut|lupin|lupins|hazelnuts?|chestnuts?|amaranth|barley|rye|reis|mais|riz|arroz|riso|rijst|orez|pirinc|рис.*|ryz.*|kukurydz.*|кукурудз.*|maiz|milho|mais|porumb|misir|batata|patata|patate|pomme|ziemniacz.*|картопл.*|aardappel.*|garbanzos?|ceci|pois|lupin.*|lubin.*|люпин.*|tremoco|altramuz|amend.*|almendr.*|amande|amandes|almon|migdal.*|мигдал.*|mandel.*|mandorle|amandel.*|badem|لوز|ترمس|ارز|ذرة|ذره|بادام|چاول|مکئی|castana|chataigne|castagne|kastanien.*|avellana|noisettes?|nocciole|coco|cocco|kokos.*|soja|soia|соев.*|sojow.*|saraceno|sarrasin|gryczan.*|гречан.*|avena|avoine|aveia|owsian.*|вівсян.*|centeno|seigle|centeio|segale|zytni.*|житн.*|cebada|orge|cevada|orzo|jeczmien.*|ячмінн.*|mandioca|tapioca|linhaca|lino|nohut|naut|hindistan|yulaf|ceirch|reis|corn|tatws|haidd|rhyg|soia|castan)$/

/** What a base word becomes where a source stands beside it. */
export type BaseReading = 'kept' | 'taken' | 'ask'

/** Does a source beside a base word take its default away? */
export function baseReading(hit: Hit, hits: readonly Hit[], words: readonly Read[]): BaseReading {
  if (hit.to - hit.from !== 1) return 'kept'
  const word = words[hit.from]
  const before = words[hit.from - 1]
  if (!word) return 'kept'
  const beside = before !== undefined && isTight(word) ? before.text : ''
  const next = words[hit.to]
  if (hit.ids.includes('milk')) {
    // "almond milk chocolate" is milk chocolate with almonds.
    const chocolate = next !== undefined && isTight(next) && /^(chocolate|choc)/.test(next.text)
    if (chocolate || beside === '') return 'kept'
    const pairs = (list: readonly [RegExp, RegExp][]): boolean =>
      list.some(([base, plants]) => base.test(word.text) && plants.test(beside))
    return pairs(PLANT_DAIRY) ? 'taken' : pairs(EITHER) ? 'ask' : 'kept'
  }
  if (!hit.ids.includes('wheat')) return 'kept'
  if (SHELL_BASE.test(word.text))
    return SHELL_SOURCE.test(beside) || bracketNames(hit, hits, words) ? 'taken' : 'kept'
  if (FLOUR_BASE.test(word.text)) {
    if (FLOUR_SOURCE.test(beside)) return 'taken'
    return bracketNames(hit, hits, words) ? 'taken' : 'kept'
  }
  return FLOUR_WORD.test(word.text) && sourceBehind(hit, words) ? 'taken' : 'kept'
}

/** "harina de almendra", "mąka z łubinu": the source that stands behind its flour. */
function sourceBehind(hit: Hit, words: readonly Read[]): boolean {
  let at = hit.to
  const of = words[at]
  if (of && OF.test(of.text) && isTight(of)) at += 1
  const source = words[at]
  const before = words[hit.from - 1]
  if (source && isTight(source) && NOT_WHEAT.test(source.text)) return true
  // Urdu, Turkish and the adjectives of Ukrainian stand before it.
  const own = words[hit.from]
  const behind = before && own && isTight(own) ? before : undefined
  if (behind && NOT_WHEAT.test(behind.text)) return true
  const far = words[hit.from - 2]
  return (
    behind !== undefined &&
    far !== undefined &&
    OF.test(behind.text) &&
    isTight(behind) &&
    /[\u0600-\u06ff]/.test(far.text) &&
    NOT_WHEAT.test(far.text)
  )
}

/** "flour (rice, potato)": a bracket that names sources, none of them wheat. */
function bracketNames(hit: Hit, hits: readonly Hit[], words: readonly Read[]): boolean {
  const inside = bracketAfter(words, hit.to)
  if (inside.length === 0) return false
  const wheat = hits.some((h) => h !== hit && inside.includes(h.from) && h.ids.includes('wheat'))
  return !wheat && inside.some((i) => NOT_WHEAT.test(words[i]?.text ?? ''))
}

/** Indices of the words in the bracket that opens directly before word `at`, percentages apart; empty where none opens there. */
export function bracketAfter(words: readonly Read[], at: number): number[] {
  const first = words[at]
  if (!first || !/^(\(#[,.#]*%?\))?[-:#%]*[([{]/.test(first.gap)) return []
  const inside: number[] = []
  let depth = 0
  const opening = first.gap.replace(/^\(#[,.#]*%?\)/, '')
  for (let i = at; i < words.length; i++) {
    for (const char of i === at ? opening : (words[i]?.gap ?? '')) {
      if (/[([{]/.test(char)) depth += 1
      else if (/[)\]}]/.test(char)) depth -= 1
      if (depth === 0 && /[)\]}]/.test(char)) return inside
    }
    inside.push(i)
  }
  return inside
}

/** "Vegetable broth: water, carrots": indices of the list behind a heading, up to the sentence's end; empty where there is none. */
export function listAfter(words: readonly Read[], at: number): number[] {
  const first = words[at]
  if (!first || !/^[#%]*:/.test(first.gap)) return []
  const list: number[] = []
  for (let i = at; i < words.length; i++) {
    if (i > at && /[.!?¶]/.test(words[i]?.gap ?? '')) break
    list.push(i)
  }
  return list
}
