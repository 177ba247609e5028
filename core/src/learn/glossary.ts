/**
 * The glossary: words in English and in the languages spoken at home, with a setting's own words over them.
 * Source: core/data/glossary.json (from memory; an entry marked M(xx) wants a speaker of xx).
 */
import data from '../../data/glossary.json'
import type { Locale } from './fact/saying'
import { LANGUAGES, runsRightToLeft } from './languages'

export interface GlossaryRow {
  id: string
  kind: string
  confidence: string
  [language: string]: string
}
export interface HomeWord {
  language: string
  word: string
  roman?: string
  rightToLeft: boolean
  /** True where a speaker of the language should check it first. */
  askSpeaker: boolean
}
export interface StepWord {
  id: string
  word: string
  home: HomeWord[]
}

export const WORD_KINDS = ['food', 'tool', 'verb', 'concept', 'phrase'] as const
export type WordKind = (typeof WORD_KINDS)[number]
/** A word of the setting: a new one, or its own say over one of Lea's. */
export interface OwnWord {
  id: string
  kind: WordKind
  /** In English; none: as the glossary has it. */
  english?: string | undefined
  home: { language: string; word: string; reading?: string | undefined; checked?: boolean | undefined }[]
}

const ROWS = new Map((data.words as GlossaryRow[]).map((r) => [r.id, r]))
/** Glossary row of a word, or undefined where the glossary does not hold it. */
export const glossaryRow = (id: string): GlossaryRow | undefined => ROWS.get(id)
/** Lea’s own words (core/data/glossary.json), each with its confidence by language. */
export const GLOSSARY_ROWS: readonly GlossaryRow[] = [...ROWS.values()]

/** A phrase in a home language; null where Lea has none. */
export const phraseIn = (id: string, language: string, locale?: Locale): HomeWord | null =>
  new Glossary([], locale).home(id, language)

/** Lea's words with a setting's own over them. */
export class Glossary {
  private readonly own: ReadonlyMap<string, OwnWord>
  private readonly locale: Locale
  constructor(own: readonly OwnWord[] = [], locale: Locale = 'en-GB') {
    this.own = new Map(own.map((w) => [w.id, w]))
    this.locale = locale
  }

  has(id: string): boolean {
    return ROWS.has(id) || this.own.has(id)
  }
  kind(id: string): string | undefined {
    return this.own.get(id)?.kind ?? ROWS.get(id)?.kind
  }
  english(id: string): string {
    const row = ROWS.get(id)
    return this.own.get(id)?.english ?? plainWord(row?.[this.locale] ?? row?.['en-GB'] ?? id)
  }

  /** The word with its home words, in the order of the languages. */
  word(id: string, languages: readonly string[]): StepWord {
    return { id, word: this.english(id), home: languages.flatMap((l) => this.home(id, l) ?? []) }
  }

  /** What the setting says stands over what Lea has. */
  home(id: string, language: string): HomeWord | null {
    const own = this.own.get(id)?.home.find((h) => h.language === language)
    if (own)
      return {
        language,
        word: own.word,
        ...(own.reading && { roman: own.reading }),
        rightToLeft: runsRightToLeft(own.word),
        askSpeaker: own.checked !== true,
      }
    const row = ROWS.get(id)
    // As homes in the US say it, where that is another word.
    const there = `${language}_us`
    const key = this.locale === 'en-US' && row?.[there] ? there : language
    const word = row?.[key]
    if (!row || !word || !LANGUAGES[language]) return null
    const roman = row[`${language}_roman`]
    return {
      language,
      word,
      ...(roman ? { roman } : {}),
      rightToLeft: runsRightToLeft(word),
      askSpeaker: wantsSpeaker(row.confidence, key),
    }
  }
}

/** `M`: every word of the row; `M(cy;ur_roman)`: the word, or its reading, of these languages. */
const wantsSpeaker = (confidence: string, key: string): boolean =>
  confidence === 'M' ||
  (/\((.*)\)/.exec(confidence)?.[1]?.split(';') ?? []).some(
    (k) => k.trim() === key || k.trim() === `${key}_roman`,
  )

const plainWord = (text: string): string => text.replace(/\s*\([^)]*\)\s*/g, ' ').trim()

/** Home languages beside one another, or one at a time: that of the child whose turn it is. */
export const LANGUAGE_RULES = ['side-by-side', 'one-at-a-time'] as const
export type LanguageRule = (typeof LANGUAGE_RULES)[number]

/** The home words to show: all, or those of this child's languages; none of its own is no word. */
export const shownHome = (
  word: StepWord,
  rule: LanguageRule | undefined,
  spoken: readonly string[],
): StepWord['home'] =>
  rule === 'one-at-a-time' ? word.home.filter((h) => spoken.includes(h.language)) : word.home
