/**
 * The gate: every allergen word of a packet ends somewhere. What a rule takes away without being sure of it (a claim that may have ended, a
 * sentence about whom it suits, plant or flavoured dairy, a name over the end of a line) is asked about.
 */
import { baseReading } from './base'
import { isNameInRow, itemAround } from './find-hits'
import type { Hit } from './hit'
import { TRIGGERS } from './triggers'
import { matches, type Scoped } from './scope'
import type { Read } from './spelling'
import { isTight } from './text'
import type { CellVerdict } from './table'

/** Puts each hit into the part of the packet that it stands in; what is not sure becomes `open`. */
export function placeHits(
  hits: readonly Hit[],
  words: readonly Read[],
  parts: readonly Scoped[],
  verdicts: readonly CellVerdict[],
): void {
  for (const hit of hits) {
    const part = parts[hit.from]
    const start = words[hit.from]?.start ?? 0
    const verdict = verdicts.find((v) => v.start <= start && start < v.end)
    if (verdict) {
      hit.scope = verdict.says === 'ask' ? 'contains' : verdict.says
      if (verdict.says === 'ask') hit.open = 'the box or the cell does not say'
    } else if (hit.why !== 'claim') {
      hit.scope = part?.scope ?? 'contains'
      if (hit.scope === 'free' && part?.loose) hit.open = 'a claim that may have ended before it'
      if (hit.scope === 'none') hit.open = 'named where it is said whom the food suits'
    } else if (part?.scope === 'may') hit.scope = 'may'
    hit.why = ''
  }
}

const CONNECTS = /^(and|or|und|oder|y|o|et|ou|e|i|lub|nor|és|ve|si|و|اور)$/

/** "X-free", "X free", "X سے پاک": the word before is a claim. In "cannot guarantee X-free" it stays a warning. */
export function placeClaims(hits: readonly Hit[], words: readonly Read[], parts: readonly Scoped[]): void {
  for (const hit of hits) {
    if (hit.note === 'not suitable for coeliacs' && hit.scope !== 'may') hit.dropped = true
    const after = TRIGGERS.after.find((p) => matches(words, hit.to, p))
    const first = words[hit.to]
    const next = words[hit.to + (after?.length ?? 0)]?.text ?? ''
    if (!after || !first || !isTight(first) || hit.ids.length === 0) continue
    if (parts[hit.from]?.firm || /^(range|flowing|from|of|run)$/.test(next)) continue
    hit.scope = 'free'
    delete hit.open
    claimBefore(hit, hits, words, parts)
  }
}

/** "dairy- and gluten-free", and a sentence that is nothing but a claim: "Dairy, egg and nut free." */
function claimBefore(hit: Hit, hits: readonly Hit[], words: readonly Read[], parts: readonly Scoped[]): void {
  let start = hit.from
  while (start > 0 && !/[.!?¶;:([{•|–—]/.test(words[start]?.gap ?? '') && !words[start]?.line) start -= 1
  const before = hits.filter((h) => h.to <= hit.from && h.from >= start && h.ids.length > 0)
  const inside = (i: number): boolean => before.some((h) => h.from <= i && i < h.to)
  const between = words.slice(start, hit.from)
  // A list that was opened as one ("Allergens: milk, egg, gluten free") is no claim.
  const listed =
    parts.slice(start, hit.from).some((p) => p.summary || p.opens) || parts[hit.from]?.summary === true
  const onlyClaim = !listed && between.every((w, i) => CONNECTS.test(w.text) || inside(start + i))
  // "Milk, egg, gluten free" may be a list with a claim at its end; "milk, egg and gluten free" is one claim.
  const joins = between.some((w) => CONNECTS.test(w.text)) || /&/.test(words[hit.from]?.gap ?? '')
  for (const other of before) {
    const joinedByHyphen = words[other.to]?.gap === '-' && CONNECTS.test(words[other.to]?.text ?? '')
    if (joinedByHyphen || (onlyClaim && joins)) other.scope = 'free'
    else if (onlyClaim) other.open = 'listed, or part of the claim behind it?'
    if (joinedByHyphen || (onlyClaim && joins)) delete other.open
  }
}

/** What stands beside a base word: oat *milk*, rice *flour*. In a list of names no name changes its neighbour. */
export function placeBases(hits: readonly Hit[], words: readonly Read[], parts: readonly Scoped[]): void {
  for (const hit of hits) {
    if (hit.scope === 'free' || hit.scope === 'none') continue
    const inRow = isNameInRow(words, hit, parts[hit.from]?.summary === true)
    if (inRow && !hit.ids.includes('milk')) hit.ids = [...hit.ids, 'milk']
    if (inRow) continue
    if (isChocolate(hit, words)) hit.ids = [...hit.ids, 'milk']
    const reading = baseReading(hit, hits, words)
    if (reading === 'taken') hit.dropped = true
    if (reading === 'ask') hit.open = 'made of the plant, or dairy with its flavour?'
  }
}

/** "Hazelnut milk chocolate" is milk chocolate. */
function isChocolate(hit: Hit, words: readonly Read[]): boolean {
  const last = words[hit.to - 1]
  const next = words[hit.to]
  return (
    hit.to - hit.from > 1 &&
    last?.text === 'milk' &&
    next !== undefined &&
    isTight(next) &&
    /^choc/.test(next.text)
  )
}

export interface OpenHit {
  from: number
  to: number
  why: string
  hides: string[]
}

/** What is left to ask about, with the words that it stands in. */
export function openHits(hits: readonly Hit[], words: readonly Read[]): OpenHit[] {
  return hits.flatMap((h): OpenHit[] => {
    if (h.open === undefined || h.dropped || h.ids.length === 0) return []
    const [from] = h.open.startsWith('made of') ? itemAround(words, h.from) : [h.from]
    return [{ from: Math.max(from, h.from - 2), to: h.to, why: h.open, hides: h.ids }]
  })
}
