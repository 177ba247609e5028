/**
 * Reads the free text of a packet: what it lists, what it may contain, what it claims to be free from, which words to ask
 * about, and which words Lea does not know. Rules: allergens.md A4 (EU 1169/2011, FDA, FSA practice), from memory.
 * Lea never says that a packet is safe: an empty answer is "no allergen word found on this text".
 */
import { allergenOf, parentOf } from '../allergens'
import { askHits } from './ask'
import { findHits, itemAround } from './find-hits'
import { openHits, placeBases, placeClaims, placeHits } from './gate'
import type { Hit } from './hit'
import { languagesOf } from './label-words'
import { languageAround } from './language'
import { byLaw, type Region } from './regions'
import { scopes, type Scoped } from './scope'
import { spell, type Read } from './spelling'
import { tableVerdicts } from './table'
import { wordsOfText } from './text'
import { quietWords, unknownWords } from './unknown'

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
  /** What a word to ask about could hide, where that is known; `any` where it could be whatever there is. */
  hides?: string[]
}
export interface LabelReading {
  contains: string[]
  mayContain: string[]
  freeFrom: string[]
  /** The vague words, as they stand. */
  ask: string[]
  /** Ids that no law asks to be named, as plain ingredients. */
  extras: string[]
  /** Such ids in a warning: no report needs them, a child with that allergy does. */
  mayExtras: string[]
  /** Words Lea does not know: they are *ask* too, never 'nothing found'. */
  unknown: string[]
  /** Claims that a word of the list beats. */
  conflicts: string[]
  /** Allergens that packets of the region need not name, though others must; empty where no region is given. */
  unnamed: string[]
  /** False where most of the text is in no language Lea reads: all of it is to be asked about. */
  read: boolean
  words: LabelWord[]
}

/**
 * @param text the words of a packet as they stand, in any case, with any brackets
 * @param region where it was packed for; it changes what is said to be asked, and never hides a word
 */
export function readLabel(text: string, region?: Region): LabelReading {
  const words = spell(wordsOfText(text))
  const languages = new Map<number, string | null>()
  const language = (at: number): string | null => {
    const known = languages.get(at)
    if (known !== undefined) return known
    // A word that is an item by itself is a name, whatever the language around it.
    const [from, to] = itemAround(words, at)
    const found = to - from === 1 ? null : languageAround(words, at, languagesOf)
    languages.set(at, found)
    return found
  }
  const hits = findHits(words, language)
  const isHit = new Array<boolean>(words.length).fill(false)
  for (const h of hits) if (h.ids.length > 0) isHit.fill(true, h.from, h.to)
  const parts = scopes(words, (i) => isHit[i] === true)
  const verdicts = tableVerdicts(text)
  for (const [start, end] of verdicts.flatMap((v) => v.cells))
    words.forEach((w, i) => {
      const part = parts[i]
      if (part && start <= w.start && w.end <= end) parts[i] = { ...part, opens: true }
    })
  const open = hits.filter((h) => !(parts[h.from]?.opens ?? false))
  placeHits(open, words, parts, verdicts)
  placeClaims(open, words, parts)
  placeBases(open, words, parts)
  const { unknown, read } = unknownWords(text, words, open, parts)
  return report(text, words, open, parts, unknown, read, region)
}

/** Each id with its group (A4.1); a group that no list takes along (`legumes`, `seeds`) is left out. */
function withGroups(ids: readonly string[]): string[] {
  const WIDE = new Set(['legumes', 'seeds'])
  return ids.flatMap((id) => {
    const parent = parentOf(id)
    return parent === null || WIDE.has(parent) ? [id] : [parent, id]
  })
}

const LACTOSE = /^(lact?os|laktos|laktoz|лактоз|لاکتوز|لیکٹوز|lattosio)/

const isRegulated = (id: string): boolean => allergenOf(id)?.kind === 'regulated'

function report(
  text: string,
  words: readonly Read[],
  hits: readonly Hit[],
  parts: readonly Scoped[],
  unknown: readonly number[],
  read: boolean,
  region: Region | undefined,
): LabelReading {
  const isQuiet = quietWords(words, parts)
  const { asks: vague, suppressed } = askHits(
    text,
    words,
    hits,
    (list) => withGroups(list.flatMap((h) => h.ids)),
    isQuiet,
  )
  const place = (from: number, to: number) => ({
    start: words[from]?.start ?? 0,
    end: words[to - 1]?.end ?? 0,
  })
  const asks = [
    ...vague,
    ...openHits(hits, words).map(({ from, to, why, hides }) => {
      const { start, end } = place(from, to)
      return { words: text.slice(start, end), start, end, why, hides }
    }),
  ]
  const asOf = (scope: Scoped['scope']): Hit[] => hits.filter((h) => h.scope === scope && !h.dropped)
  const counted = (scope: Scoped['scope']): Hit[] =>
    asOf(scope).filter((h) => !suppressed.has(h) && !isOnlyAsked(h))
  const found = withGroups(counted('contains').flatMap((h) => h.ids))
  const contains = unique(found.filter(isRegulated))
  const warned = withGroups(counted('may').flatMap((h) => h.ids))
  const mayAll = unique(warned.filter(isRegulated))
  // Free from lactose is not free from milk (allergens.md B6).
  const ofLactose = (h: Hit): boolean => LACTOSE.test(words[h.from]?.text ?? '')
  const freeFrom = unique(
    withGroups(
      asOf('free')
        .filter((h) => !ofLactose(h) && h.open === undefined)
        .flatMap((h) => h.ids),
    ).filter(isRegulated),
  )
  const out: LabelWord[] = []
  for (const h of hits.filter((x) => !x.dropped && !suppressed.has(x) && !isOnlyAsked(x))) {
    if (h.open !== undefined && h.scope !== 'contains' && h.scope !== 'may') continue
    for (const id of h.ids)
      out.push({ ...place(h.from, h.to), id, mark: MARK[h.scope], why: whyOf(h, words) })
  }
  const law = region && byLaw(region)
  for (const ask of asks)
    out.push({
      start: ask.start,
      end: ask.end,
      id: 'ask',
      mark: 'ask',
      why: law ? `${ask.why}; ${law.says}` : ask.why,
      hides: ask.hides,
    })
  for (const i of unknown)
    out.push({ ...place(i, i + 1), id: 'unknown', mark: 'ask', why: whyUnknown(words[i]), hides: ['any'] })
  const unknownWords = unique(unknown.map((i) => text.slice(words[i]?.start, words[i]?.end)))
  return {
    contains,
    mayContain: mayAll.filter((id) => keepsMay(id, contains, mayAll, counted('may'))),
    freeFrom,
    ask: unique([...asks.map((a) => a.words), ...(read ? [] : unknownWords)]),
    extras: unique(found.filter((id) => !isRegulated(id))),
    mayExtras: unique(warned.filter((id) => !isRegulated(id) && !found.includes(id))),
    unknown: unknownWords,
    conflicts: freeFrom.filter((id) => contains.includes(id)),
    unnamed: law?.unnamed ?? [],
    read,
    words: out.sort((a, b) => a.start - b.start || a.end - b.end),
  }
}

/** One thing or two over the end of a line, and plant or flavoured dairy: asked about, with nothing listed of it. */
const isOnlyAsked = (hit: Hit): boolean =>
  hit.open !== undefined && (hit.scope === 'free' || hit.scope === 'none' || hit.open.startsWith('made of'))

const whyUnknown = (word: Read | undefined): string =>
  word?.unsure ? `read as “${word.text}”: is it?` : 'Lea does not know this word'

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
