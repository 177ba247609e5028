/**
 * Vague words to ask about (allergens.md A4.4-5, B3, B4; EU 1169/2011 and US practice, from memory): not where a source or
 * a full breakdown stands beside them, and not where all they could hide is listed already.
 */
import { bracketAfter, listAfter } from './base'
import type { Hit } from './hit'
import { isLoose, isTight } from './text'
import type { Read } from './spelling'

export interface VagueWord {
  /** The words as they stand. */
  words: string
  start: number
  end: number
  why: string
  /** Ids that it could hide; `any` where it could hide whatever there is. */
  hides: string[]
}

const SOURCES =
  /^(maize|corn|potato|potatoes|tapioca|rice|pea|peas|sunflower|rapeseed|canola|soya|soy|wheat|beef|pork|fish|bovine|porcine|barley|oat|oats|lentil|chickpea|palm|coconut|olive|milk|egg|bean|fava|maïs|chicken|vegetable|lupin|hemp|malt|cider|wine|spirit|distilled|rice)$/
const EXEMPT = /^(glucose|dextrose|maltodextrin|dextrin|syrup)$/
const looseAt = (words: readonly Read[], at: number): boolean => {
  const word = words[at]
  return word !== undefined && isLoose(word)
}
const NAMED_NUT = new Set(['almond'])

export function askHits(
  text: string,
  words: readonly Read[],
  hits: readonly Hit[],
  idsOf: (hits: readonly Hit[]) => string[],
  isQuiet: (index: number) => boolean,
): { asks: VagueWord[]; suppressed: Set<Hit> } {
  const suppressed = new Set<Hit>()
  const asks: VagueWord[] = []
  const ask = (from: number, to: number, why: string, closing = false, hides: string[] = ['any']): void => {
    const start = words[from]?.start ?? 0
    let end = words[to - 1]?.end ?? 0
    if (closing) end += /^\s*[)\]}]/.exec(text.slice(end))?.[0].length ?? 0
    asks.push({ words: text.slice(start, end), start, end, why, hides })
  }
  exempt(words, hits, suppressed, ask)
  coconutOnly(words, hits, suppressed, ask)
  const listed = idsOf(hits.filter((h) => h.scope === 'contains' && !h.dropped && !suppressed.has(h)))
  for (const hit of hits) {
    if (!hit.hides || hit.scope === 'free' || hit.scope === 'none' || suppressed.has(hit)) continue
    if (isQuiet(hit.from) || isColour(hit, words)) continue
    const bracket = bracketAfter(words, pastProportions(words, hit.to))
    const inside = bracket.length > 0 ? bracket : headed(hit, words)
    const named = namedFlavour(hit, inside, hits)
    if (named) {
      suppressed.add(named)
      if (!listed.filter((id) => id === 'almond').length || onlyHit(named, hits))
        ask(hit.from, named.to, 'named after an allergen: synthetic, kernel or nut?', true)
      continue
    }
    const nuts = hit.hides[0] === 'which-nut'
    if (nuts ? nutsAreNamed(hit, inside, words, hits) : isNamed(hit, inside, words, hits)) continue
    if (isProteinFigure(hit, text, words)) continue
    const left = hit.hides.filter((id) => !listed.includes(id))
    if (hit.hides[0] === 'any' || nuts || hit.hides[0] === 'which-shellfish' || left.length > 0)
      ask(hit.from, hit.to, whyAsk(hit, left), false, hit.hides[0] === 'any' ? ['any'] : left)
  }
  return { asks: dropInner(asks), suppressed }
}

const PROPORTIONS =
  /^(in|en|em|w|varying|variable|variables|variabile|variabili|proportions?|proporcion(es)?|proporcoes|proporzioni?|proportii|wechselnden|anteilen|zmiennych|proporcjach|wisselende|verhoudingen|degisen|oranlarda|mixed)$/
/** "Vegetable oils in varying proportions (rapeseed, palm)": where the bracket is looked for. */
function pastProportions(words: readonly Read[], at: number): number {
  let to = at
  while (to - at < 4 && PROPORTIONS.test(words[to]?.text ?? '') && looseAt(words, to)) to += 1
  return to
}

/** "Vegetable broth: water, carrots": a heading with its list behind it. */
function headed(hit: Hit, words: readonly Read[]): number[] {
  // "Soft margarine: ...": words before it in its item are part of the heading.
  let start = hit.from
  while (start > 0 && hit.from - start < 4 && words[start] !== undefined && isTight(words[start] as Read))
    start -= 1
  const first = words[start]
  const begins = start === 0 || (first !== undefined && (first.line || /[.;•¶]/.test(first.gap)))
  const list = begins ? listAfter(words, hit.to) : []
  return list.length > 1 ? list : []
}

/** "colour: plain caramel", "caramel color": the colour is no sweet. */
function isColour(hit: Hit, words: readonly Read[]): boolean {
  const colour =
    /^(colou?rs?|colou?ring|colorants?|colorantes?|corantes?|farbstoffe?|barwniki?|барвник.*|colorant[ei]|kleurstof.*|renklendirici.*|e150.*)$/
  if (!/^(carame|карамел|karmel|karamel)/.test(words[hit.from]?.text ?? '')) return false
  return [-3, -2, -1, 0, 1].some((k) => colour.test(words[k < 0 ? hit.from + k : hit.to + k]?.text ?? ''))
}

const onlyHit = (hit: Hit, hits: readonly Hit[]): boolean =>
  !hits.some((h) => h !== hit && h.scope === 'contains' && h.ids.some((id) => hit.ids.includes(id)))

function whyAsk(hit: Hit, left: readonly string[]): string {
  if (hit.hides?.[0] === 'any') return 'could hold any allergen; no source named'
  if (hit.hides?.[0]?.startsWith('which')) return hit.note || 'which kind?'
  return `${hit.note}; could hold ${left.map((id) => id.replace(/-/g, ' ')).join(', ')}`
}

/** "glucose syrup (wheat)": the cereal of an exempt derivative is asked about, not listed. */
function exempt(
  words: readonly Read[],
  hits: readonly Hit[],
  suppressed: Set<Hit>,
  ask: (from: number, to: number, why: string, closing?: boolean) => void,
): void {
  words.forEach((word, i) => {
    if (!EXEMPT.test(word.text)) return
    const inside = bracketAfter(words, i + 1)
    const cereals = hits.filter(
      (h) => inside.includes(h.from) && h.ids.some((id) => id === 'wheat' || id === 'barley'),
    )
    const plain = inside.every((k) =>
      /^(from|of|based|source|contains|wheat|barley|and|or|maize|corn)$/.test(words[k]?.text ?? ''),
    )
    if (cereals.length === 0 || !plain) return
    for (const h of cereals) suppressed.add(h)
    let from = i
    while (
      from > 0 &&
      /^(glucose|fructose|syrup|dried|dextrose)$/.test(words[from - 1]?.text ?? '') &&
      looseAt(words, from)
    )
      from -= 1
    ask(from, (inside.at(-1) ?? i) + 1, 'legally exempt in the EU and UK: tell the family', true)
  })
}

/** "tree nuts (coconut)": coconut is an extra, and the phrase is asked about. */
function coconutOnly(
  words: readonly Read[],
  hits: readonly Hit[],
  suppressed: Set<Hit>,
  ask: (from: number, to: number, why: string, closing?: boolean) => void,
): void {
  for (const hit of hits) {
    if (hit.ids.length !== 1 || hit.ids[0] !== 'tree-nuts') continue
    const inside = bracketAfter(words, hit.to)
    const kinds = hits.filter((h) => inside.includes(h.from) && h.ids.length > 0)
    if (kinds.length === 0 || !kinds.every((h) => h.ids.every((id) => id === 'coconut'))) continue
    suppressed.add(hit)
    const why = 'coconut is no tree nut in the EU, nor on the US list since 2025'
    ask(hit.from, (inside.at(-1) ?? hit.from) + 1, why, true)
  }
}

/** "flavouring (almond)": the nut in the bracket names a taste. */
function namedFlavour(hit: Hit, inside: readonly number[], hits: readonly Hit[]): Hit | null {
  if (hit.hides?.[0] !== 'any' || inside.length === 0) return null
  const only = hits.filter((h) => inside.includes(h.from))
  const [first] = only
  return first &&
    only.length === 1 &&
    first.to - first.from === inside.length &&
    first.ids.every((id) => NAMED_NUT.has(id))
    ? first
    : null
}

/** A source before it ("maize starch"), or a full breakdown behind it ("spices (coriander, cumin)"). */
function isNamed(hit: Hit, inside: readonly number[], words: readonly Read[], hits: readonly Hit[]): boolean {
  const word = words[hit.from]
  const before = words[hit.from - 1]
  const spices = hit.hides?.includes('fenugreek') ?? false
  // "Lecithin soya", in the languages that put the source behind.
  const behind = hits.find((h) => h.from === hit.to && h.ids.length > 0)
  const next = words[hit.to]
  if (
    behind &&
    !spices &&
    (hit.hides?.length ?? 0) <= 5 &&
    next &&
    isTight(next) &&
    hit.hides?.[0] !== 'any' &&
    behind.ids.some((id) => hit.hides?.includes(id))
  )
    return true
  if (!spices && hit.hides?.[0] !== 'any' && word && before && isTight(word)) {
    if (SOURCES.test(before.text) && before.text !== 'vegetable') return true
    if (/^modified$/.test(before.text) && SOURCES.test(words[hit.from - 2]?.text ?? '') && isTight(before))
      return true
  }
  const [first] = inside
  if (first === undefined) return false
  const opening = words[first]?.text ?? ''
  if (
    /^(including|includes|incl|contains|contain|containing|with|may|dont|incluye|inkl|notamment)$/.test(
      opening,
    )
  )
    return false
  // A bracket that is itself only a vague word, or only a warning, breaks nothing down.
  return !inside.every((i) => hits.some((h) => h.from <= i && i < h.to && h.hides && h.ids.length === 0))
}

/** Bare "nuts" is asked about where no kind is named beside it and peanut stands nowhere on the label. */
function nutsAreNamed(
  hit: Hit,
  inside: readonly number[],
  words: readonly Read[],
  hits: readonly Hit[],
): boolean {
  const kinds = hits.filter((h) => inside.includes(h.from) && h.ids.length > 0)
  if (kinds.length > 0) {
    return true
  }
  const isBare = /^nuts?$/.test(words[hit.from]?.text ?? '') && hit.to - hit.from === 1
  return isBare && hits.some((h) => h.ids.includes('peanut') && h.scope !== 'free')
}

/** "Protein 8 g" in a table of nutrition is no ingredient. */
function isProteinFigure(hit: Hit, text: string, words: readonly Read[]): boolean {
  const word = words[hit.to - 1]
  return /^proteins?$/.test(word?.text ?? '') && /^[\s:]*[<~]?\d/.test(text.slice(word?.end ?? 0))
}

function dropInner(asks: readonly VagueWord[]): VagueWord[] {
  const sorted = [...asks].sort((a, b) => a.start - b.start || b.end - a.end)
  return sorted.filter((a, i) => !sorted.slice(0, i).some((b) => b.start <= a.start && a.end <= b.end))
}
