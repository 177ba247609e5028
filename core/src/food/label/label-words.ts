/**
 * The words of labels: what means an allergen, what only looks like one, what is vague, what carries none.
 * Source: core/data/label-words.json (classes by Regulation (EU) 1169/2011 and US law; words from memory).
 */
import data from '../../../data/label-words.json'
import foods from '../../../data/foods.json'
import { normaliseLabel } from './text'

type Kind = 'allergen' | 'extra' | 'friend' | 'ask'
interface Row {
  kind: Kind
  ids: string[]
  lang: string
  words: string[]
  note?: string
  source: string
}

/** What a phrase says. */
export interface Phrase {
  /** Ids it means; empty for a false friend and for a vague word. */
  ids: string[]
  /** What a vague word could hide; undefined where it is not vague. */
  hides?: string[]
  friend: boolean
  note: string
  length: number
}

interface Node {
  next: Map<string, Node>
  /** Next words by their first letters: Polish and Ukrainian endings. */
  stems: [string, Node][]
  phrase?: Phrase
}

interface Lexicon {
  root: Node
  /** Every word that the reader knows, whatever it means. */
  known: Set<string>
  /** The longest first. */
  stems: string[]
  allergenWords: string[]
}

const node = (): Node => ({ next: new Map(), stems: [] })

const plainPhrase = (phrase: string): string[] =>
  phrase
    .split(' ')
    .flatMap((w) => (w.endsWith('*') ? [`${normaliseLabel(w.slice(0, -1))}*`] : normaliseLabel(w).split(' ')))

function add({ root, known, stems }: Lexicon, tokens: string[], row: Row): void {
  let at = root
  for (const token of tokens) {
    if (token.endsWith('*')) {
      const stem = token.slice(0, -1)
      if (!stems.includes(stem)) stems.push(stem)
      let branch = at.stems.find(([s]) => s === stem)
      if (!branch) at.stems.push((branch = [stem, node()]))
      at = branch[1]
    } else {
      known.add(token)
      let branch = at.next.get(token)
      if (!branch) at.next.set(token, (branch = node()))
      at = branch
    }
  }
  const old = at.phrase
  const means =
    row.kind === 'allergen' || row.kind === 'extra' || (row.kind === 'friend' && row.ids.length > 0)
  const ids = [...new Set([...(old?.ids ?? []), ...(means ? row.ids : [])])]
  const hides = row.kind === 'ask' ? row.ids : old?.hides
  at.phrase = {
    ids,
    ...(hides && { hides }),
    friend: row.kind === 'friend' && ids.length === 0 && !hides,
    note: row.note ?? old?.note ?? '',
    length: tokens.length,
  }
}

function build(): Lexicon {
  const words: Lexicon = { root: node(), known: new Set(), stems: [], allergenWords: [] }
  const know = (text: string): void => {
    for (const w of normaliseLabel(text).split(' ')) words.known.add(w)
  }
  for (const row of data.rows as Row[]) {
    for (const phrase of row.words) {
      const tokens = plainPhrase(phrase)
      add(words, tokens, row)
      const only = tokens.length === 1 ? tokens[0] : undefined
      if (row.kind === 'allergen' && only && !only.endsWith('*')) words.allergenWords.push(only)
    }
  }
  Object.values(data.benign).forEach(know)
  for (const food of foods.foods) [food.name, ...food.aliases].forEach(know)
  for (const list of Object.values(TRIGGERS)) for (const p of list) for (const w of p) words.known.add(w)
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

export const isKnown = (word: string): boolean =>
  variants(word).some((v) => lexicon().known.has(v) || lexicon().stems.some((s) => v.startsWith(s)))

let begun: ReadonlySet<string> | undefined
/** Does any word that is known begin so? For letters that stand apart: reading on is worth it only while one does. */
export function beginsKnown(text: string): boolean {
  const beginnings = (word: string): string[] =>
    Array.from({ length: word.length }, (_, i) => word.slice(0, i + 1))
  begun ??= new Set([...lexicon().known, ...lexicon().stems].flatMap(beginnings))
  return variants(text).some((v) => begun?.has(v)) || /^[\u0600-\u06ff]{1,3}$/.test(text)
}

/** The longest phrase that begins at a word, or null. `joined` says whether a word follows the one before directly. */
export function phraseAt(
  words: readonly { text: string }[],
  at: number,
  joined: (index: number) => boolean,
): Phrase | null {
  let best: Phrase | null = null
  const walk = (from: Node, index: number): void => {
    if (from.phrase && (best === null || from.phrase.length > best.length)) best = from.phrase
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
  return best
}

const phrases = (text: string): string[][] => text.split('|').map((p) => normaliseLabel(p).split(' '))
const T = data.triggers
/** Phrases that open a part of a label: its list, its summary, its warning, its claims. */
export const TRIGGERS = {
  ingredients: phrases(T.ingredients),
  contains: phrases(T.contains),
  may: phrases(T.may),
  whole: phrases(T.whole),
  made: phrases(T.made),
  place: phrases(T.place),
  free: phrases(T.free),
  suitable: phrases(T.suitable),
  stop: phrases(T.stop),
} as const
export type Trigger = keyof typeof TRIGGERS
