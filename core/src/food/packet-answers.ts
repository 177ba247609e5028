/**
 * What two adults say of one packet, word by word. What is open stays open until somebody answers it: a word on a card that Lea does not
 * understand, and a word on the packet that could hide something, each have an answer of their own before anybody signs.
 */
import { allergenOf, isOrUnder } from './allergens'
import { dietOfKey } from './diets'
import { readLabel, type LabelWord } from './label/read'
import { parseConcern } from './card/parse-concern'

/** What stands on the packet of one concern: listed, in a warning, or looked for and not there. */
export type PacketAnswer = 'lists' | 'may' | 'not'
/** Of an open word of the packet: the maker or the family said that it holds nothing of what is avoided here; or nobody knows yet. */
export type WordAnswer = 'asked' | 'open'

export interface OpenWord {
  /** As it stands on the packet. */
  word: string
  why: string
  /** It could hide what a child here avoids. */
  here: boolean
}
export interface PacketQuestions {
  /** Words of cards that Lea does not understand: silence is no answer to them. */
  concerns: string[]
  /** Open words of the packet, those first that could hide something of this table. */
  words: OpenWord[]
}

/**
 * @param label the packet's words; empty where only ticks are given
 * @param asked concerns and diets that are looked for
 * @param here the concerns of children at this table
 */
export function packetQuestions(
  label: string,
  asked: readonly string[],
  here: readonly string[],
): PacketQuestions {
  const ids = here.flatMap((c) => (dietOfKey(c) === null ? parseConcern(c).ids : []))
  const hidesHere = (w: LabelWord): boolean =>
    (w.hides ?? []).some(
      (h) => h === 'any' || h.startsWith('which') || ids.some((id) => isOrUnder(id, h) || isOrUnder(h, id)),
    )
  const seen = new Map<string, OpenWord>()
  for (const w of label.trim() === '' ? [] : readLabel(label).words) {
    if (w.mark !== 'ask') continue
    const word = label.slice(w.start, w.end)
    const before = seen.get(word)
    seen.set(word, { word, why: before?.why ?? w.why, here: (before?.here ?? false) || hidesHere(w) })
  }
  const words = [...seen.values()]
  return {
    concerns: asked.filter((c) => dietOfKey(c) === null && !allergenOf(c) && parseConcern(c).open),
    words: [...words.filter((w) => w.here), ...words.filter((w) => !w.here)],
  }
}

export interface PacketAnswers {
  found: Readonly<Record<string, PacketAnswer | undefined>>
  words: Readonly<Record<string, WordAnswer | undefined>>
}

/** What still stands between the answers and a signature, in words; empty where nothing does. */
export function packetFault(questions: PacketQuestions, answers: PacketAnswers): string {
  const concern = questions.concerns.find((c) => answers.found[c] === undefined)
  if (concern !== undefined)
    return `“${concern}” on a card needs its own answer: lists it, may contain, or looked and not there.`
  const word = questions.words.find((w) => answers.words[w.word] === undefined)
  if (word !== undefined) return `“${word.word}” on the packet needs an answer: asked, or not known yet.`
  return ''
}

/** The answers as the plan takes them. What nobody knows stays open, and with it whatever is not listed. */
export function packetReading(
  asked: readonly string[],
  questions: PacketQuestions,
  answers: PacketAnswers,
): { lists: string[]; may: string[]; lookedFor: string[]; open: string[] } {
  const of = (what: PacketAnswer): string[] =>
    Object.keys(answers.found).filter((id) => answers.found[id] === what)
  return {
    lists: of('lists'),
    may: of('may'),
    lookedFor: asked.filter((c) => !questions.concerns.includes(c) || answers.found[c] !== undefined),
    open: questions.words.flatMap((w) => (answers.words[w.word] === 'asked' ? [] : [w.word])),
  }
}
