/**
 * Reads the free text of a packet: what it lists, what it may contain, what it claims to be free from, which words to ask
 * about, and which words Lea does not know. Rules: allergens.md A4 (EU 1169/2011, FDA, FSA practice), from memory.
 * Lea never says that a packet is safe: an empty answer is "no allergen word found on this text".
 */
import { allergenOf, parentOf } from '../allergens'
import { askHits } from './ask'
import { baseIsNamed } from './base'
import { compoundIds } from './compound'
import type { Hit } from './hit'
import { isPlainGap, scopes, type Scoped } from './scope'
import { spell, type Read } from './spelling'
import { wordsOfText } from './text'
import { isKnown, phraseAt } from './label-words'

export type LabelMark = 'lists' | 'may' | 'claim' | 'ask'
export interface LabelWord {
  /** Place in the text as it stands: `[start, end)`. */
  start: number
  end: number
  /** Allergen id; for a vague word `ask`, for a word Lea does not know `unknown`. */
  id: string
  /** What it is in the text: listed, a warning, a claim or a mention, or a word to ask about. */
  mark: LabelMark
  why: string
}
export interface LabelReading {
  contains: string[]
  mayContain: string[]
  freeFrom: string[]
  /** The vague words, as they stand. */
  ask: string[]
  /** Ids that no law asks to be named, as plain ingredients. */
  extras: string[]
  /** Words Lea does not know: they are *ask* too, never 'nothing found'. */
  unknown: string[]
  /** Claims that a word of the list beats. */
  conflicts: string[]
  /** False where most of the text is in no language Lea reads: all of it is to be asked about. */
  read: boolean
  words: LabelWord[]
}

/** @param text the words of a packet as they stand, in any case, with any brackets */
export function readLabel(text: string): LabelReading {
  const words = spell(wordsOfText(text))
  const hits = findHits(words)
  const parts = scopes(words, (i) => hits.some((h) => h.from <= i && i < h.to && h.ids.length > 0))
  for (const hit of hits) hit.scope = parts[hit.from]?.scope ?? 'contains'
  const open = hits.filter((h) => !(parts[h.from]?.opens ?? false))
  claims(open, words, parts)
  for (const hit of open) if (hit.scope !== 'free' && baseIsNamed(hit, open, words)) hit.dropped = true
  const unknown = words.flatMap((w, i) =>
    !parts[i]?.opens && w.text.length > 2 && !isKnown(w.text) && !hits.some((h) => h.from <= i && i < h.to)
      ? [i]
      : [],
  )
  const solid = words.filter((w) => w.text.length > 2).length
  const read = unknown.length < 2 || unknown.length * 2 <= solid
  return report(text, words, open, unknown, read)
}

function findHits(words: readonly Read[]): Hit[] {
  const hits: Hit[] = []
  const joined = (i: number): boolean => isPlainGap(words[i]?.gap ?? '') || words[i]?.gap === '&'
  for (let at = 0; at < words.length;) {
    const phrase = phraseAt(words, at, joined)
    const word = words[at]
    if (phrase) {
      hits.push({ ...phrase, from: at, to: at + phrase.length, scope: 'contains', why: '', dropped: false })
      at += phrase.length
      continue
    }
    if (word && !isKnown(word.text)) {
      const found = compoundIds(word.text)
      if (found)
        hits.push({
          ...found,
          friend: false,
          length: 1,
          from: at,
          to: at + 1,
          scope: 'contains',
          why: '',
          dropped: false,
        })
    } else if (word && /^(coeliacs?|celiacs?)$/.test(word.text)) {
      hits.push({
        ids: ['gluten-cereals'],
        friend: false,
        note: 'not suitable for coeliacs',
        length: 1,
        from: at,
        to: at + 1,
        scope: 'contains',
        why: '',
        dropped: false,
      })
    }
    at += 1
  }
  return hits
}

const CONNECTS = /^(and|or|und|oder|y|o|et|ou|e|i|lub)$/

/** "X-free" and "X free": the word before is a claim. In "cannot guarantee X-free" it stays a warning. */
function claims(hits: Hit[], words: readonly Read[], parts: readonly Scoped[]): void {
  for (const hit of hits) {
    if (hit.note === 'not suitable for coeliacs' && hit.scope !== 'may') hit.dropped = true
    const after = words[hit.to]
    const next = words[hit.to + 1]?.text ?? ''
    const claimed =
      after?.text === 'free' && /^-?$/.test(after.gap) && !/^(range|flowing|from|of|run)$/.test(next)
    if (!claimed || parts[hit.from]?.firm || hit.ids.length === 0) continue
    hit.scope = 'free'
    claimBefore(hit, hits, words)
  }
}

/** "dairy- and gluten-free", and a sentence that is nothing but a claim: "Dairy, egg and nut free." */
function claimBefore(hit: Hit, hits: Hit[], words: readonly Read[]): void {
  let start = hit.from
  while (start > 0 && !/[.!?¶;:([{]/.test(words[start]?.gap ?? '')) start -= 1
  const end = words[hit.to + 1]
  const ends = end === undefined || /[.!?¶]/.test(end.gap)
  const inside = (i: number): boolean => hits.some((h) => h.from <= i && i < h.to && h.ids.length > 0)
  const onlyClaim = words.slice(start, hit.from).every((w, i) => CONNECTS.test(w.text) || inside(start + i))
  for (const other of hits.filter((h) => h.to <= hit.from && h.from >= start && h.ids.length > 0)) {
    const joinedByHyphen = words[other.to]?.gap === '-' && CONNECTS.test(words[other.to]?.text ?? '')
    if ((onlyClaim && ends) || joinedByHyphen) other.scope = 'free'
  }
}

/** Each id with its group (A4.1); a group that no list takes along (`legumes`, `seeds`) is left out. */
function withGroups(ids: readonly string[]): string[] {
  const WIDE = new Set(['legumes', 'seeds'])
  return ids.flatMap((id) => {
    const parent = parentOf(id)
    return parent === null || WIDE.has(parent) ? [id] : [parent, id]
  })
}

const LACTOSE = /^(lact?os|laktos|laktoz|лактоз|لاکتوز|لیکٹوز)/

const isRegulated = (id: string): boolean => allergenOf(id)?.kind === 'regulated'

function report(
  text: string,
  words: readonly Read[],
  hits: readonly Hit[],
  unknown: readonly number[],
  read: boolean,
): LabelReading {
  const asOf = (scope: Scoped['scope']): Hit[] => hits.filter((h) => h.scope === scope && !h.dropped)
  const { asks, suppressed } = askHits(text, words, hits, (list) => withGroups(list.flatMap((h) => h.ids)))
  const counted = (scope: Scoped['scope']): Hit[] => asOf(scope).filter((h) => !suppressed.has(h))
  const found = withGroups(counted('contains').flatMap((h) => h.ids))
  const contains = unique(found.filter(isRegulated))
  const mayAll = unique(withGroups(counted('may').flatMap((h) => h.ids)).filter(isRegulated))
  // Free from lactose is not free from milk (allergens.md B6).
  const ofLactose = (h: Hit): boolean => LACTOSE.test(words[h.from]?.text ?? '')
  const freeFrom = unique(
    withGroups(
      asOf('free')
        .filter((h) => !ofLactose(h))
        .flatMap((h) => h.ids),
    ).filter(isRegulated),
  )
  const out: LabelWord[] = []
  const place = (from: number, to: number) => ({
    start: words[from]?.start ?? 0,
    end: words[to - 1]?.end ?? 0,
  })
  for (const h of hits.filter((x) => !x.dropped && !suppressed.has(x))) {
    for (const id of h.ids)
      out.push({ ...place(h.from, h.to), id, mark: MARK[h.scope], why: whyOf(h, words) })
  }
  for (const ask of asks) out.push({ start: ask.start, end: ask.end, id: 'ask', mark: 'ask', why: ask.why })
  for (const i of unknown)
    out.push({ ...place(i, i + 1), id: 'unknown', mark: 'ask', why: 'Lea does not know this word' })
  const unknownWords = unique(unknown.map((i) => text.slice(words[i]?.start, words[i]?.end)))
  return {
    contains,
    mayContain: mayAll.filter((id) => keepsMay(id, contains, mayAll, counted('may'))),
    freeFrom,
    ask: unique([...asks.map((a) => a.words), ...(read ? [] : unknownWords)]),
    extras: unique(found.filter((id) => !isRegulated(id))),
    unknown: unknownWords,
    conflicts: freeFrom.filter((id) => contains.includes(id)),
    read,
    words: out.sort((a, b) => a.start - b.start || a.end - b.end),
  }
}

/** A warning's id that the list holds already says nothing more, but a group of which *another* member is meant does. */
function keepsMay(
  id: string,
  contains: readonly string[],
  may: readonly string[],
  hits: readonly Hit[],
): boolean {
  if (!contains.includes(id)) return true
  const members = may.filter((m) => parentOf(m) === id)
  if (members.length > 0) return false
  // The group is named alone ("other nuts"), and the list names a member of it.
  return hits.some((h) => h.ids.includes(id)) && contains.some((c) => parentOf(c) === id)
}

const MARK: Record<Hit['scope'], LabelMark> = { contains: 'lists', may: 'may', free: 'claim', none: 'claim' }

function whyOf(hit: Hit, words: readonly Read[]): string {
  const read = words.slice(hit.from, hit.to).find((w) => w.readAs !== undefined)
  const where = { contains: 'listed', may: 'in a warning', free: 'in a claim', none: 'mentioned' }[hit.scope]
  const spelt = read
    ? `, read as “${words
        .slice(hit.from, hit.to)
        .map((w) => w.text)
        .join(' ')}”`
    : ''
  return `${where}${spelt}${hit.note ? `: ${hit.note}` : ''}`
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)]
