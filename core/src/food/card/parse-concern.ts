/**
 * What the words of a concern mean: "Milk", "dairy", "nuts", "CMPA", "alergia a la leche", "citrus but lemon ok". A person writes them on a
 * card as the family says them; a word that Lea does not understand is a reason to ask at every food, never 'nothing found'.
 * Source: the words of labels (core/data/label-words.json) and of cards (core/data/card-words.json; common practice, from memory).
 */
import { remembered } from '../../amount/memo'
import { allergenName, allergenOf, isOrUnder } from '../allergens'
import { ABOUT, ALLOWED, BAKED, BY_NAME, EXCEPT, FILLERS, isNone, noneBefore, SAID } from './words'
import type { Level } from '../concern'
import { resolveExactly } from '../food-names'
import { findHits, isNameInRow } from '../label/find-hits'
import { spell, type Read } from '../label/spelling'
import { normaliseLabel, wordsOfText } from '../label/text'
import { levelsIn } from './levels'

export interface ParsedConcern {
  /** Ids of core/data/allergens.json. */
  ids: string[]
  /** True where the words, or some of them, say nothing to Lea. */
  open: boolean
}

/** A card's words, read: `./lea calc card`. */
export interface CardReading {
  ids: string[]
  /** How strictly, where the words say so, by id. */
  levels: Record<string, Level>
  /** Ids that the family excepts ("but lemon ok"): their group stays, and it is asked about. */
  allowed: string[]
  /** The family says that there is nothing. */
  none: boolean
  /** The words that stay open, as they stand. */
  ask: string[]
}

/** @param words an id, a name, or what a person wrote, in any case */
export const parseConcern = (words: string): ParsedConcern =>
  allergenOf(words) ? { ids: [words], open: false } : parsed(words)
const parsed = remembered(2000, (words: string): ParsedConcern => {
  const { ids, ask, none } = readCard(words)
  return { ids, open: !none && (ask.length > 0 || ids.length === 0) && !isFoodName(words) }
})
/** A word that names a food and nothing that Lea has an id for is looked for by its name. */
const isFoodName = (words: string): boolean => {
  const { ids } = readCard(words)
  const whole = normaliseLabel(words)
  return (
    ids.length === 0 && (resolveExactly(whole) !== null || resolveExactly(without(whole, FILLERS)) !== null)
  )
}

const without = (text: string, these: ReadonlySet<string>): string =>
  text
    .split(' ')
    .filter((w) => w !== '' && !these.has(w))
    .join(' ')

/** @param text what a family wrote on a child's card, in any of the languages that are read, at most some hundred words */
export const readCard = remembered(2000, read)

function read(text: string): CardReading {
  if (isNone(text)) return { ids: [], levels: {}, allowed: [], none: true, ask: [] }
  const whole = normaliseLabel(text)
  for (const phrase of [whole, without(whole, ABOUT), without(whole, FILLERS)]) {
    const said = SAID.get(phrase)?.split(' ')
    const id = BY_NAME.get(phrase) ?? BY_NAME.get(phrase.replace(/s$/, ''))
    const ids = said?.filter((x) => x !== '+') ?? (id === undefined ? null : [id])
    if (ids)
      return {
        ids,
        levels: levelsIn(text, ids),
        allowed: [],
        none: false,
        ask: said?.includes('+') ? [text.trim()] : [],
      }
  }
  return inParts(text)
}

/** Words that say nothing, that except, or that mean allergens: each gets its place. */
interface Meaning {
  from: number
  to: number
  ids: string[]
  more: boolean
  unsure: boolean
}

function inParts(text: string): CardReading {
  // "Fever" and "see" are no misspelt food.
  const words = spell(wordsOfText(text)).map((w) =>
    w.readAs !== undefined && saysNothing(w.readAs) ? { ...w, text: w.readAs, unsure: false } : w,
  )
  const plain = words.map((w) => w.text)
  const meanings = meaningsOf(words)
  // "No known allergies except peanut": what is excepted from nothing is the allergy.
  const nothing = noneBefore(plain)
  const excepted = exceptions(words, nothing)
  const out = new Set(excepted.flatMap(([from, to]) => Array.from({ length: to - from }, (_, k) => from + k)))
  const isExcepted = (m: Meaning): boolean => out.has(m.from)
  const held = meanings.filter((m) => !isExcepted(m))
  const own = narrowed(unique(held.flatMap((m) => m.ids)))
  const allowed = narrowed(unique(meanings.filter(isExcepted).flatMap((m) => m.ids)))
  const baked = BAKED.some((p) => at(plain, p) >= 0)
  // "Egg, baked ok": the family allows a form of it; the allergy stays.
  const ids = own.length === 0 && (baked || nothing === 0) ? unique([...own, ...allowed]) : own
  const kept = allowed.filter((id) => !ids.includes(id))
  const covered = new Array<boolean>(words.length).fill(false)
  for (const { from, to } of meanings) covered.fill(true, from, to)
  for (const [from, to] of excepted) covered.fill(true, from, to)
  const ask = unique([
    ...words.flatMap((w, i) =>
      i >= nothing && !covered[i] && !saysNothing(w.text) ? [text.slice(w.start, w.end)] : [],
    ),
    ...meanings
      .filter((m) => m.more || m.unsure)
      .map((m) => text.slice(words[m.from]?.start, words[m.to - 1]?.end)),
    ...excepted.flatMap(([from, to]) =>
      to > from ? [text.slice(words[from]?.start, words[to - 1]?.end)] : [],
    ),
  ])
  const none = nothing > 0 && ids.length === 0 && ask.length === 0
  return { ids, levels: levelsOf(text, words, held, ids), allowed: kept, none, ask }
}

/** Each allergen by the clause that it stands in; what makes one stricter holds for all that is named. */
function levelsOf(
  text: string,
  words: readonly Read[],
  held: readonly Meaning[],
  ids: readonly string[],
): Record<string, Level> {
  const bounds = [
    0,
    ...words.flatMap((w, i) => (i > 0 && (/[,;.]/.test(w.gap) || w.line) ? [i] : [])),
    words.length,
  ]
  const out: Record<string, Level> = {}
  bounds.slice(0, -1).forEach((from, k) => {
    const to = bounds[k + 1] ?? words.length
    const own = held.filter((m) => m.from >= from && m.from < to).flatMap((m) => m.ids)
    const clause = text.slice(words[from]?.start ?? 0, words[to - 1]?.end ?? text.length)
    Object.assign(
      out,
      levelsIn(
        clause,
        ids.filter((id) => own.includes(id)),
      ),
    )
  })
  const whole = levelsIn(text, ids)
  for (const [id, level] of Object.entries(whole))
    if (STRICT.has(level) || bounds.length === 2 || ids.length === 1) out[id] = level
  return out
}
const STRICT: ReadonlySet<Level> = new Set<Level>(['not-in-room', 'anaphylaxis-risk', 'allergy-strict'])

/** Where each word or phrase of the text means an allergen: what families say first, then the words of labels. */
function meaningsOf(words: readonly Read[]): Meaning[] {
  const out: Meaning[] = []
  // Of a word that means different things in two languages a card means both: families mix their languages.
  const hits = new Map(
    findHits(words, () => null)
      .filter((h) => h.ids.length > 0)
      .map((h) => [h.from, h]),
  )
  for (let i = 0; i < words.length;) {
    const said = saidAt(words, i)
    const hit = hits.get(i)
    // "Pine nuts" are what they are, not nuts and so peanut; "nuts" in a list is what it is alone.
    if (said && said.length >= (hit ? hit.to - hit.from : 0)) {
      const ids = said.ids.filter((x) => x !== '+')
      out.push({
        from: i,
        to: i + said.length,
        ids: hit ? unique([...ids, ...lactose(hit.ids, ids)]) : ids,
        more: said.ids.includes('+'),
        unsure: false,
      })
      i += said.length
    } else if (hit) {
      const row =
        isNameInRow(words, hit, true) && !hit.ids.includes('milk') && hit.to - hit.from > 1 && isList(words)
      // Inside a word nuts are what "nuts" are.
      const nuts = hit.note === 'part of this word' && hit.ids.includes('tree-nuts') ? ['peanut'] : []
      const unsure = words.slice(hit.from, hit.to).some((w) => w.unsure) || hit.rest === true
      out.push({
        from: i,
        to: hit.to,
        ids: [...hit.ids, ...nuts, ...(row ? ['milk'] : [])],
        more: hit.hides?.[0] === 'any',
        unsure,
      })
      i = hit.to
    } else i += 1
  }
  return out
}
/** Of "lactose" the label knows milk; a card means both. */
const lactose = (label: readonly string[], said: readonly string[]): string[] =>
  said.includes('lactose-intolerance') ? [...label] : []
const isList = (words: readonly Read[]): boolean => words.length > 2

function saidAt(words: readonly Read[], at: number): { ids: string[]; length: number } | null {
  for (let n = Math.min(5, words.length - at); n > 0; n--) {
    const some = words.slice(at, at + n)
    if (some.slice(1).some((w) => /[,;.:•|/–&]/.test(w.gap))) continue
    const said = SAID.get(some.map((w) => w.text).join(' '))
    if (said) return { ids: said.split(' '), length: n }
  }
  const word = words[at]?.text ?? ''
  // "Laktoseintoleranz", "lactose-intolerant".
  if (/^la[ck]t[oó][sz].*(intoler|unvertrag)/.test(word)) return { ids: ['lactose-intolerance'], length: 1 }
  return null
}

const at = (words: readonly string[], phrase: readonly string[], from = 0): number => {
  for (let i = from; i + phrase.length <= words.length; i++)
    if (phrase.every((p, k) => words[i + k] === p)) return i
  return -1
}

/** What ends an exception: it is short. */
const ENDS = /[,.;!?¶•|–]/
/** Words that turn a sentence and except only with an "ok" behind them. */
const BUT = new Set(
  'but unless however mais aber pero mas ale ond але لکن لیکن مگر ma maar dar ama'
    .split(' ')
    .map(normaliseLabel),
)
/** "Not ok", "can have a reaction to": no exception, whatever stands beside it. */
const VETO =
  /^(not|no|never|t|cannot|cant|isnt|nicht|kein|keine|nie|pas|non|nao|nu|niet|geen|ddim|не|لا|ليس|نہیں|degil|worse|severe|severely|strict|strictly|traces?)$|reac|reak|allerg|alerg|uczul|swell|rash|hives|anaph|anaf|sick|vomit/

/** Stretches of words that are excepted: behind "but" or "except", and before "ok" up to a comma. */
function exceptions(words: readonly Read[], nothing: number): [number, number][] {
  const plain = words.map((w) => w.text)
  const out: [number, number][] = []
  for (let i = 0; i < plain.length; i++) {
    const except = EXCEPT.find((p) => at(plain.slice(i, i + p.length), p) === 0)
    if (except) {
      const from = i + except.length
      let to = from
      while (to < plain.length && !(to > from && ENDS.test(words[to]?.gap ?? ''))) to += 1
      const some = plain.slice(from, to)
      // "Milk, but peanut is worse" excepts nothing: only "... but lemon is ok" does.
      const really = !BUT.has(except.join(' ')) || ALLOWED.some((p) => at(some, p) >= 0)
      // What is excepted from nothing at all is the allergy.
      if (really && !(nothing > 0 && i <= nothing) && !some.some((w) => VETO.test(w))) out.push([from, to])
      i = to - 1
      continue
    }
    const allowed = ALLOWED.find((p) => at(plain.slice(i, i + p.length), p) === 0)
    if (!allowed) continue
    let from = i
    while (from > 0 && !/[,.;!?¶•|–:]/.test(words[from]?.gap ?? '') && !words[from]?.line) from -= 1
    let to = i + allowed.length
    while (to < plain.length && !/[,.;!?¶•|–]/.test(words[to]?.gap ?? '')) to += 1
    if (!plain.slice(from, to).some((w) => VETO.test(w))) out.push([from, to])
    i = to - 1
  }
  return out
}

const LINKS = new Set([...EXCEPT, ...ALLOWED, ...BAKED].flat())
const saysNothing = (word: string): boolean => FILLERS.has(word) || LINKS.has(word)

/** "Wheat" is wheat, though a label that lists it lists a cereal with gluten as well; of a group and its member the member stays. */
const narrowed = (ids: readonly string[]): string[] =>
  ids.filter((id) => id === 'tree-nuts' || !ids.some((other) => other !== id && isOrUnder(other, id)))

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)]

/** "None", "no known allergies", "-": the answer of a family that has nothing to say. */
export const isNoAllergyAnswer = (words: string): boolean => isNone(words.trim())

/** The id where the words are one allergen's name and no more; else the words as they stand. */
export function allergenOfWords(words: string): string {
  const [id, ...more] = parseConcern(words).ids
  const exact = SAID.get(normaliseLabel(words)) ?? BY_NAME.get(normaliseLabel(words))
  return id !== undefined && more.length === 0 && exact === id ? id : words.trim()
}

/** What Lea takes the words for, to be looked at by whoever wrote them; empty where they are an allergen's own name. */
export function parsedConcernText(words: string): string {
  if (words.trim() === '' || allergenOf(words)) return ''
  const { ids, open } = parseConcern(words)
  const { allowed, none } = readCard(words)
  if (none) return `“${words.trim()}”: the family names nothing.`
  const known =
    ids.length > 0
      ? `read as ${ids.map(allergenName).join(', ')}`
      : open
        ? 'not known to Lea'
        : 'looked for by its name'
  const except = allowed.length > 0 ? `; the family excepts ${allowed.map(allergenName).join(', ')}` : ''
  const more = open && ids.length > 0 && allowed.length === 0 ? ', and may mean more' : ''
  const says = open ? `${known}${except}${more}: asked about at every food` : `${known}${except}`
  return `“${words.trim()}”: ${says}.`
}
