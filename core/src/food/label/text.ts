/**
 * A packet's text as words with their places. Case, accents, emphasis marks and line breaks are taken away; the place of
 * each word in the text as it stands is kept, and so is what parted it from the word before.
 */
import { additiveAt, isAdditiveClass } from './additives'

export interface Word {
  /** Lower case, without accents: what is matched. */
  text: string
  /** Place in the text as it stands: `[start, end)`. */
  start: number
  end: number
  /**
   * What stands between the word before and this one, without spaces and emphasis: punctuation as it is, `•` for a bullet, `–` for a dash
   * with spaces, `#` for a number that is no word, `¶` for an empty line, `¦` for a tab between words that are parted by spaces.
   */
  gap: string
  /** A line ended between the word before and this one. */
  line: boolean
}

const LIGATURES: Record<string, string> = {
  ß: 'ss',
  æ: 'ae',
  œ: 'oe',
  ø: 'o',
  ł: 'l',
  đ: 'd',
  ı: 'i',
  '‐': '-',
  '‑': '-',
  // Arabic-script letters that look alike and are typed for each other.
  ك: 'ک',
  ي: 'ی',
  ى: 'ی',
  ہ: 'ه',
  ۃ: 'ه',
  ة: 'ه',
  ھ: 'ه',
}
const IGNORED = /[\p{M}\u00ad\u200b-\u200f\u2060\ufeff\u0640*_~`]/u

/** The letters of one character as they are matched: none, one or several. */
function plainChar(char: string): string {
  let out = ''
  for (const c of char.normalize('NFKD').toLowerCase()) {
    if (!IGNORED.test(c)) out += LIGATURES[c] ?? c
  }
  return out
}

/** Words and phrases in the form in which they are matched. */
export const normaliseLabel = (text: string): string =>
  wordsOfText(text)
    .map((w) => w.text)
    .join(' ')

const TAG = /<\/?(b|i|u|em|strong|span)(\s[^>]*)?>/giy
const OTHER_TAG = /<\/?[a-z][^>]*>/giy

/** Length of an emphasis tag at a place, and whether it parts words. */
function tagAt(text: string, at: number): { length: number; parts: boolean } | null {
  TAG.lastIndex = at
  const own = TAG.exec(text)
  if (own) return { length: own[0].length, parts: false }
  OTHER_TAG.lastIndex = at
  const other = OTHER_TAG.exec(text)
  return other ? { length: other[0].length, parts: true } : null
}

const LETTER = /[\p{L}\p{N}]/u
const COMMAS = '\u3001\u060c\uff0c'
const BULLETS = '\u2022\u00b7\u25cf\u25aa\u25e6\u2023'
const isBlank = (char: string | undefined): boolean => char === undefined || /\s/.test(char)

/** What a mark between two words says of them. */
function gapOf(char: string, before: string | undefined): string {
  if (COMMAS.includes(char)) return ','
  if (BULLETS.includes(char)) return '•'
  if (char === '۔' || char === '。') return '.'
  // "- milk" and "soya - milk" part two names; "dairy- and gluten-free" and "but-" at a line's end join.
  if (/[-\u2010\u2011]/.test(char)) return isBlank(before) ? '–' : '-'
  return char
}

const NUMBER = /^\d+([.,]\d+)?(g|kg|mg|ml|l|kj|kcal|oz|lb|cl)?$/

/** All words of a text. Bare numbers and amounts ("12", "100g") are no words, but where they stand is kept in the gap. */
export function wordsOfText(text: string): Word[] {
  const words: Word[] = []
  const tabs = text.includes('\t') && text.includes(' ')
  let current: Word | null = null
  let gap = ''
  let line = false
  // Numbers right after "preservative" name additives, in brackets and over commas too.
  let additives = false
  const close = (): void => {
    if (current === null) return
    const isNumber = NUMBER.test(current.text)
    if (
      additives &&
      /^\d{3,4}[a-z]{0,2}$/.test(current.text) &&
      !/^\s*(g|kg|mg|ml|l|kj|kcal|%)\b/i.test(text.slice(current.end, current.end + 6))
    )
      current.text = `e${current.text}`
    if (isNumber && /^\d/.test(current.text)) gap = `${current.gap}#`
    else {
      words.push(current)
      gap = ''
      line = false
      additives =
        isAdditiveClass(current.text) || (additives && /^e\d|^(and|und|et|y|e|i|ve)$/.test(current.text))
    }
    current = null
  }
  for (let at = 0; at < text.length;) {
    const char = String.fromCodePoint(text.codePointAt(at) ?? 0)
    const tag = char === '<' ? tagAt(text, at) : null
    if (tag) {
      if (tag.parts) {
        close()
        gap += ' '
      }
      at += tag.length
      continue
    }
    const additive = current === null ? additiveAt(text, at, words.at(-1)?.text) : null
    if (additive) {
      words.push({ text: additive.text, start: at, end: at + additive.length, gap, line })
      gap = ''
      line = false
      additives = true
      at += additive.length
      continue
    }
    const next = at + char.length
    if (char === '*' && isBlank(text[at - 1]) && isBlank(text[next])) {
      close()
      gap += '•'
      at = next
      continue
    }
    // "коров'яче": in Cyrillic an apostrophe is a part of the word.
    if (
      /['’ʼ]/.test(char) &&
      /\p{Script=Cyrillic}/u.test(text[at - 1] ?? '') &&
      /\p{Script=Cyrillic}/u.test(text[next] ?? '')
    ) {
      at = next
      continue
    }
    const plain = plainChar(char)
    if (plain !== '' && LETTER.test(plain)) {
      current ??= { text: '', start: at, end: next, gap, line }
      current.text += plain
      current.end = next
    } else if (plain !== '') {
      const decimal = /[.,]/.test(char) && /\d/.test(text[at - 1] ?? '') && /\d/.test(text[next] ?? '')
      if (current !== null) close()
      if (/\n|\r/.test(char)) {
        if (line && /\n\s*$/.test(text.slice(Math.max(0, at - 40), at))) gap += '¶'
        line = true
      } else if (char === '\t' && tabs) gap += '¦'
      else if (!/\s/.test(char) && !decimal) gap += gapOf(char, text[at - 1])
    }
    at = next
  }
  close()
  return words
}

/** Nothing parts the two words but a space, a hyphen or an apostrophe: a word may change what the next one means. */
export const isTight = (word: Pick<Word, 'gap' | 'line'>): boolean => !word.line && /^['’¦-]?$/.test(word.gap)
/** As tight, or a line ended: on a packet a line ends where the paper does. */
export const isLoose = (word: Pick<Word, 'gap'>): boolean => /^['’¦\-/]?$/.test(word.gap)
