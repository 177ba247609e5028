/**
 * The fonts of printed papers, shipped with the application, and which of them has a letter: Latin, Cyrillic, Arabic. Text is cut into
 * runs of one font; words that read from right to left are put in the order in which they are seen, each shaped by its font.
 */
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { create as openFont, type Font } from 'fontkit'

const require = createRequire(import.meta.url)
const file = (family: string, subset: string, weight: number): string =>
  require.resolve(`@fontsource/${family}/files/${family}-${subset}-${weight}-normal.woff`)

/** The first that has a letter sets it. */
const FAMILIES = [
  ['text', 'atkinson-hyperlegible-next', 'latin'],
  ['textExt', 'atkinson-hyperlegible-next', 'latin-ext'],
  ['cyrillic', 'noto-sans', 'cyrillic'],
  ['cyrillicExt', 'noto-sans', 'cyrillic-ext'],
  ['arabic', 'noto-naskh-arabic', 'arabic'],
  ['devanagari', 'noto-sans', 'devanagari'],
  ['more', 'noto-sans', 'latin-ext'],
  ['moreLatin', 'noto-sans', 'latin'],
] as const
const TITLES = ['title', 'bricolage-grotesque', 'latin'] as const

export const FONT_FILES = Object.fromEntries(
  [...FAMILIES, TITLES].map(([name, family, subset]) => [
    name,
    {
      normal: file(family, subset, 400),
      bold: file(family, subset, 700),
      italics: file(family, subset, 400),
      bolditalics: file(family, subset, 700),
    },
  ]),
)

const opened = new Map<string, Font>()
function fontOf(name: string): Font {
  const known = opened.get(name)
  if (known) return known
  const path = FONT_FILES[name]?.normal ?? ''
  const font = openFont(readFileSync(path)) as Font
  opened.set(name, font)
  return font
}

export interface Run {
  text: string
  font: string
}

const ARABIC = /[\u0600-\u06ff\u0750-\u077f\ufb50-\ufdff\ufe70-\ufeff]/
const chosen = new Map<string, string>()
function fontFor(letter: string): string {
  const known = chosen.get(letter)
  if (known) return known
  const code = letter.codePointAt(0) ?? 0
  const found = FAMILIES.find(([name]) => fontOf(name).hasGlyphForCodePoint(code))?.[0] ?? ''
  chosen.set(letter, found)
  return found
}

/** What no shipped font has, in letters that they have. */
const INSTEAD: Record<string, string> = {
  '⅓': '1/3',
  '⅔': '2/3',
  '⅕': '1/5',
  '⅙': '1/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '→': '-',
  '≥': 'at least ',
  '≤': 'at most ',
  '\u00a0': ' ',
  '\n': ' ',
}

/** Text as runs of one font each; a letter that no font has is left out rather than shown as a box. */
export function runsOf(text: string, title = false): Run[] {
  const runs: Run[] = []
  const known = Array.from(text, (l) => (fontFor(l) === '' ? (INSTEAD[l] ?? '') : l)).join('')
  for (const letter of known) {
    const plain = title && fontOf('title').hasGlyphForCodePoint(letter.codePointAt(0) ?? 0)
    const last = runs.at(-1)
    // A space stays with the run before it.
    const font = letter === ' ' && last ? last.font : plain ? 'title' : fontFor(letter)
    if (last?.font === font) last.text += letter
    else runs.push({ text: letter, font })
  }
  return runs.map((r) => (ARABIC.test(r.text) ? { ...r, text: seenOrder(r.text) } : r))
}

/** A line is set from left to right: of several words the last stands first. */
const seenOrder = (text: string): string => {
  const [, before = '', words = '', after = ''] = /^(\s*)(.*?)(\s*)$/s.exec(text) ?? []
  const list = words.split(' ').reverse()
  // The space of a word stands at its left once it is shaped: the last one brings its own.
  return before + list.join(' ') + (list.length > 1 ? ' ' : '') + after
}
