/**
 * A packet's text as words with their places. Case, accents, emphasis marks and line breaks are taken away; the place of
 * each word in the text as it stands is kept.
 */

export interface Word {
  /** Lower case, without accents: what is matched. */
  text: string
  /** Place in the text as it stands: `[start, end)`. */
  start: number
  end: number
  /** Punctuation between the word before and this one, without spaces and emphasis. */
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
const LIST_STOP = '\u2022\u00b7\u25cf\u3001\u060c'

/** All words of a text. Bare numbers and amounts ("12", "100g") are no words. */
export function wordsOfText(text: string): Word[] {
  const words: Word[] = []
  let current: Word | null = null
  let gap = ''
  let line = false
  const close = (): void => {
    if (current && !/^\d+([.,]\d+)?(g|kg|mg|ml|l|kj|kcal|oz|lb|cl)?$/.test(current.text)) {
      words.push(current)
      gap = ''
      line = false
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
    const plain = plainChar(char)
    const next = at + char.length
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
      } else if (!/\s/.test(char) && !decimal)
        gap += LIST_STOP.includes(char) ? ',' : char === '۔' ? '.' : char
    }
    at = next
  }
  close()
  return words
}
