/**
 * The words of labels: what means an allergen, what only looks like one, what is vague, what carries none; each in its language, since one
 * word may be powder in one and octopus in another.
 * Source: core/data/label-words.json (classes by Regulation (EU) 1169/2011 and US law; words from memory), and the names of Lea's foods.
 */
import data from '../../../data/label-words.json'
import foods from '../../../data/foods.json'
import { remembered } from '../../amount/memo'
import type { FoodFact } from '../foods'
import { isAdditive } from './additives'
import { meaningAt, type Meaning, type Phrase } from './meaning'
import { normaliseLabel } from './text'
import { TRIGGERS } from './triggers'

type Kind = 'allergen' | 'extra' | 'friend' | 'ask'
interface Row {
  kind: Kind
  ids: string[]
  lang: string
  words: string[]
  note?: string
  source: string
}

interface Node {
  next: Map<string, Node>
  /** Next words by their first letters: Polish and Ukrainian endings. */
  stems: [string, Node][]
  phrase?: Phrase
  /** What it means in each language that has it. */
  languages?: Map<string, Meaning>
}

interface Lexicon {
  root: Node
  /** Words that are known by themselves, and in which languages. */
  known: Map<string, Set<string>>
  /** Words that carry nothing, by language. */
  benign: Map<string, Set<string>>
  /** Words that stand in phrases: alone they say nothing, and they are no spelling of something else. */
  parts: Set<string>
  /** Beginnings that make a word known, the longest first; and those that stand in phrases only. */
  stems: string[]
  partStems: string[]
  allergenWords: string[]
}

const node = (): Node => ({ next: new Map(), stems: [] })

const plainPhrase = (phrase: string): string[] =>
  phrase
    .split(' ')
    .flatMap((w) => (w.endsWith('*') ? [`${normaliseLabel(w.slice(0, -1))}*`] : normaliseLabel(w).split(' ')))
    .filter((w) => w !== '')

const putIn = (map: Map<string, Set<string>>, word: string, lang: string): void => {
  const known = map.get(word)
  if (known) known.add(lang)
  else map.set(word, new Set([lang]))
}

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)]

function add({ root, known, parts, stems, partStems }: Lexicon, tokens: string[], row: Row): void {
  let at = root
  for (const token of tokens) {
    if (token.endsWith('*')) {
      const stem = token.slice(0, -1)
      // "Lecytyna z soj*" does not make every word known that begins so.
      const list = tokens.length === 1 ? stems : partStems
      if (!list.includes(stem)) list.push(stem)
      let branch = at.stems.find(([s]) => s === stem)
      if (!branch) at.stems.push((branch = [stem, node()]))
      at = branch[1]
    } else {
      if (tokens.length === 1) putIn(known, token, row.lang)
      else parts.add(token)
      let branch = at.next.get(token)
      if (!branch) at.next.set(token, (branch = node()))
      at = branch
    }
  }
  const old = at.phrase
  const means =
    row.kind === 'allergen' || row.kind === 'extra' || (row.kind === 'friend' && row.ids.length > 0)
  const given: Meaning = {
    ids: means ? row.ids : [],
    ...(row.kind === 'ask' && { hides: row.ids }),
    note: row.note ?? '',
  }
  const ids = unique([...(old?.ids ?? []), ...given.ids])
  const hides = given.hides ? unique([...(old?.hides ?? []), ...given.hides]) : old?.hides
  at.phrase = {
    ids,
    ...(hides && { hides }),
    friend: row.kind === 'friend' && ids.length === 0 && !hides,
    note: row.note ?? old?.note ?? '',
    length: tokens.length,
  }
  at.languages ??= new Map()
  const before = at.languages.get(row.lang)
  at.languages.set(row.lang, {
    ids: unique([...(before?.ids ?? []), ...given.ids]),
    ...((given.hides ?? before?.hides) && {
      hides: unique([...(before?.hides ?? []), ...(given.hides ?? [])]),
    }),
    note: given.note || (before?.note ?? ''),
  })
}

type NamedFood = Pick<
  FoodFact,
  'name' | 'plural' | 'aliases' | 'contains' | 'extras' | 'mayContain' | 'compound'
>

/** The name of a food that Lea knows is a phrase too: it holds what the food holds; of a compound one its packet has to say. */
function addFood(words: Lexicon, food: NamedFood): void {
  for (const name of [food.name, food.plural ?? '', ...food.aliases]) {
    const tokens = plainPhrase(name)
    if (tokens.length === 0 || phraseOf(words, tokens)) continue
    const holds = [...food.contains, ...food.extras]
    // "Strawberry milk" says of itself what it holds; "tortilla chips" are no tortilla.
    const said = tokens
      .flatMap((t) => phraseOf(words, [t])?.ids ?? [])
      .filter((id) => !food.extras.includes(id))
    const plants = said.filter((id) => !food.contains.includes(id) && food.mayContain.includes(id))
    if (
      food.compound &&
      said.length > plants.length &&
      said.every((id) => food.contains.includes(id) || plants.includes(id))
    )
      continue
    // What is made of several things is vague without its own list; a word alone that carries nothing stays what it is.
    const hides = [...food.contains, ...food.mayContain]
    if (food.compound && food.contains.length === 0 && tokens.every((t) => words.known.has(t))) continue
    if (food.compound && food.extras.length > 0)
      add(words, tokens, { kind: 'extra', ids: food.extras, lang: 'en', words: [], source: '' })
    if (food.compound && hides.length > 0)
      add(words, tokens, {
        kind: 'ask',
        ids: hides,
        lang: 'en',
        words: [],
        source: '',
        note: 'made of several: its own list says of what',
      })
    else if (holds.length > 0)
      add(words, tokens, { kind: 'allergen', ids: holds, lang: 'en', words: [], source: '' })
    else if (tokens.length === 1) {
      putIn(words.known, tokens[0] ?? '', 'en')
    } else add(words, tokens, { kind: 'friend', ids: [], lang: 'en', words: [], source: '' })
  }
}

function phraseOf({ root }: Lexicon, tokens: readonly string[]): Phrase | undefined {
  let at: Node | undefined = root
  for (const token of tokens) at = at?.next.get(token)
  return at?.phrase
}

function build(): Lexicon {
  const words: Lexicon = {
    root: node(),
    known: new Map(),
    benign: new Map(),
    parts: new Set(),
    stems: [],
    partStems: [],
    allergenWords: [],
  }
  for (const row of data.rows as Row[]) {
    for (const phrase of row.words) {
      // Bare numbers are no words of a label: "red 40" would be any red.
      const tokens = /(^|\s)\d+(\s|$)/.test(phrase) ? [] : plainPhrase(phrase)
      if (tokens.length === 0) continue
      add(words, tokens, row)
      const only = tokens.length === 1 ? tokens[0] : undefined
      if ((row.kind === 'allergen' || row.kind === 'extra') && only && !only.endsWith('*'))
        words.allergenWords.push(only)
    }
  }
  for (const [lang, text] of Object.entries(data.benign))
    for (const w of normaliseLabel(text).split(' ')) {
      putIn(words.known, w, lang)
      putIn(words.benign, w, lang)
    }
  for (const food of foods.foods as NamedFood[]) addFood(words, food)
  for (const list of Object.values(TRIGGERS))
    for (const p of list) for (const w of p) if (!words.known.has(w)) words.parts.add(w)
  for (const list of Object.values(TRIGGERS))
    for (const [only, more] of list)
      if (only && more === undefined && !words.root.next.get(only)?.phrase) putIn(words.known, only, 'any')
  words.stems.sort((a, b) => b.length - a.length)
  return words
}

let built: Lexicon | undefined
/** Built when the first label is read: a planner that reads none does not wait for it. */
const lexicon = (): Lexicon => (built ??= build())

/** Single words that mean an allergen: what a misspelt word is compared with. */
export const lexiconWords = (): readonly string[] => lexicon().allergenWords

/** Arabic words with the article or a joined particle in front are looked up without it too. */
function variants(word: string): string[] {
  const bare = /^(?:وال|بال|لل|ال|و|ب)(.{2,})$/u.exec(word)?.[1]
  return /[\u0600-\u06ff]/.test(word) && bare ? [word, bare, bare.replace(/^ال/, '')] : [word]
}

/** A word that says something, or carries nothing, by itself; one that is only a part of phrases is not known without its phrase. */
export const isKnown = remembered(
  20_000,
  (word: string): boolean =>
    isAdditive(word) ||
    variants(word).some((v) => lexicon().known.has(v) || lexicon().stems.some((s) => v.startsWith(s))),
)

let endings: ReadonlySet<string> | undefined
/**
 * A word that carries nothing with another ending ("пастеризовані", "seleccionados"): the same but for its last letters, and long enough
 * that nothing else begins so.
 */
export function isInflected(word: string): boolean {
  const beginnings = (w: string): string[] =>
    Array.from({ length: 4 }, (_, cut) => w.slice(0, w.length - cut)).filter((b) => b.length >= 8)
  endings ??= new Set([...lexicon().benign.keys()].flatMap(beginnings))
  return beginnings(word).some((b) => endings?.has(b))
}

/** Known, or a part of a phrase: no misspelling of anything. */
export const isSpelt = (word: string): boolean =>
  isKnown(word) ||
  variants(word).some((v) => lexicon().parts.has(v) || lexicon().partStems.some((s) => v.startsWith(s)))

/** The languages in which a word is known by itself. */
export const languagesOf = (word: string): ReadonlySet<string> | undefined => lexicon().known.get(word)

let begun: ReadonlySet<string> | undefined
/** Does any word that is known begin so? For letters that stand apart: reading on is worth it only while one does. */
export function beginsKnown(text: string): boolean {
  const beginnings = (word: string): string[] =>
    Array.from({ length: word.length }, (_, i) => word.slice(0, i + 1))
  begun ??= new Set(
    [...lexicon().known.keys(), ...lexicon().stems, ...lexicon().partStems].flatMap(beginnings),
  )
  return variants(text).some((v) => begun?.has(v)) || /^[\u0600-\u06ff]{1,3}$/.test(text)
}

/**
 * The longest phrase that begins at a word, or null.
 * @param joined whether a word follows the one before directly
 * @param language see `meaningAt`
 */
export function phraseAt(
  words: readonly { text: string }[],
  at: number,
  joined: (index: number) => boolean,
  language: () => string | null = () => null,
): Phrase | null {
  let best: Node[] = []
  const walk = (from: Node, index: number): void => {
    const length = from.phrase?.length ?? 0
    const most = best[0]?.phrase?.length ?? 0
    if (length > most) best = [from]
    else if (length > 0 && length === most && !best.includes(from)) best.push(from)
    const word = words[index]
    if (word === undefined || (index > at && !joined(index))) return
    for (const v of variants(word.text)) {
      const exact = from.next.get(v)
      if (exact) walk(exact, index + 1)
      // The longest stem speaks first; a shorter one only where a phrase goes on from it.
      const stems = from.stems.filter(([s]) => v.startsWith(s)).sort((a, b) => b[0].length - a[0].length)
      stems.forEach(([, branch], i) => {
        if (i === 0 || branch.next.size + branch.stems.length > 0) walk(branch, index + 1)
      })
    }
  }
  walk(lexicon().root, at)
  return best.length === 0
    ? null
    : meaningAt(
        best,
        best[0]?.phrase?.length === 1 ? lexicon().benign.get(words[at]?.text ?? '') : undefined,
        language,
      )
}
