/**
 * Where allergens, extras, vague words and false friends stand in the words of a label. A phrase that takes an allergen away ("cocoa
 * butter", "almond milk") joins over a space or a hyphen only; one that adds may run over the end of a line.
 */
import { remembered } from '../../amount/memo'
import { isOrUnder } from '../allergens'
import { claimedBy, compoundIds } from './compound'
import { hitOf, type Hit } from './hit'
import { isKnown, languagesOf, phraseAt } from './label-words'
import type { Phrase } from './meaning'
import type { Read } from './spelling'
import { isLoose, isTight } from './text'

/** Of each language: the bare word for cow's milk, which a list may name beside any other. */
const MILK =
  /^(milk|milch|lait|leche|leite|mleko|mleka|llaeth|laeth|молоко|молока|حلیب|دودھ|دوده|latte|melk|lapte|sut)$/

const alone = remembered(10_000, (word: string): Phrase | null => phraseAt([{ text: word }], 0, () => false))

/** What the words of a phrase mean one by one and the phrase does not. */
function takenAway(words: readonly Read[], from: number, phrase: Phrase): string[] {
  const apart = words.slice(from, from + phrase.length).flatMap((w) => alone(w.text)?.ids ?? [])
  return apart.filter((id) => !phrase.ids.some((own) => isOrUnder(own, id)))
}

/**
 * @param language the language around a word, null where none stands out
 */
export function findHits(words: readonly Read[], language: (index: number) => string | null): Hit[] {
  const hits: Hit[] = []
  const tight = (i: number): boolean => words[i] !== undefined && isTight(words[i])
  const loose = (i: number): boolean => words[i] !== undefined && (isLoose(words[i]) || words[i].gap === '&')
  // A list with commas ends its lines where the paper ends; a column has a name a line.
  const isColumn = words.filter((w) => w.gap.includes(',')).length < 2
  for (let at = 0; at < words.length;) {
    const word = words[at]
    if (!word) break
    const claim = claimIn(word, at)
    if (claim) {
      hits.push(claim)
      at += 1
      continue
    }
    const far = phraseAt(words, at, loose, () => language(at))
    const near = far && far.length > 1 ? phraseAt(words, at, tight, () => language(at)) : far
    let phrase = near
    let open: string | undefined
    if (far && near && far.length > near.length) {
      const taken = takenAway(words, at, far)
      const wraps = words.slice(at + 1, at + far.length).every((w) => isTight(w) || (w.line && w.gap === ''))
      if (taken.length === 0) phrase = far
      else if (wraps && !isColumn) {
        phrase = far
        open = 'a line ends in it: one thing or two?'
      }
    } else if (far && !near) phrase = far
    if (phrase) {
      // By its beginning a word may be of another language ("małż", "Malzmehl"): what stands in it counts too.
      const foreign = phrase.length === 1 && word.text.length > 7 && !languagesOf(word.text)
      const stems = foreign ? compoundIds(word.text) : null
      const ids = stems ? [...new Set([...phrase.ids, ...stems.ids])] : phrase.ids
      hits.push(hitOf({ ...phrase, ids }, at, open === undefined ? {} : { open }))
      at += phrase.length
      continue
    }
    const hit = isKnown(word.text) ? notForCoeliacs(word, at) : inside(word, at)
    if (hit) hits.push(hit)
    at += 1
  }
  return hits
}

const plain = (ids: string[], note: string): Phrase => ({ ids, friend: false, note, length: 1 })

const notForCoeliacs = (word: Read, at: number): Hit | null =>
  /^(coeliacs?|celiacs?|zoliakie|celiacos?|celiaci|coeliaques?)$/.test(word.text)
    ? hitOf(plain(['gluten-cereals'], 'not suitable for coeliacs'), at)
    : null

/** "milchfrei", "glutenvrij", "glutensiz": a claim in one word. */
function claimIn(word: Read, at: number): Hit | null {
  const about = languagesOf(word.text) ? null : claimedBy(word.text)
  if (about === null) return null
  const found = alone(about) ?? alone(about.replace(/n$/, '')) ?? compound(about)
  return found && found.ids.length > 0
    ? hitOf(plain(found.ids, 'a claim'), at, { scope: 'free', why: 'claim' })
    : null
}

/** An allergen's stem inside a word that is not known as a whole. */
function inside(word: Read, at: number): Hit | null {
  const found = compoundIds(word.text)
  return found ? hitOf(plain(found.ids, found.note), at, { rest: found.rest }) : null
}
const compound = (word: string): Phrase | null => {
  const found = compoundIds(word)
  return found ? plain(found.ids, found.note) : null
}

/** Words between two gaps that part. */
export function itemAround(words: readonly Read[], at: number): [from: number, to: number] {
  let from = at
  while (from > 0 && at - from < 12 && words[from] !== undefined && isTight(words[from] as Read)) from -= 1
  let to = at + 1
  while (to < words.length && to - at < 12 && words[to] !== undefined && isTight(words[to] as Read)) to += 1
  return [from, to]
}

/**
 * "Contains soya milk egg": names in a row. Where several stand together, or a summary lists them, milk beside a plant is a name of its own.
 */
export function isNameInRow(
  words: readonly Read[],
  hit: Pick<Hit, 'from' | 'to'>,
  inSummary: boolean,
): boolean {
  const at = words.findIndex((w, i) => i >= hit.from && i < hit.to && MILK.test(w.text))
  if (at < 0) return false
  const [from, to] = itemAround(words, at)
  const names = words.slice(from, to)
  const all = names.filter((w) => (alone(w.text)?.ids.length ?? 0) > 0)
  if (inSummary) return all.length > 1
  return names.length > Math.max(2, hit.to - hit.from) && all.length === names.length
}
