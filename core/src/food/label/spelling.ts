/**
 * Small typing and camera errors: `m1lk`, `whaet`, `soy a`, `but-` + `ter`, `M I L K`, `wheatflour`. Only a word that the
 * reader does not know is changed; an allergen is preferred where two readings are as near (a false alarm costs less).
 */
import { remembered } from '../../amount/memo'
import type { Word } from './text'
import { beginsKnown, isKnown, lexiconWords } from './label-words'

export interface Read extends Word {
  /** What stands on the packet, where it was read as something else. */
  readAs?: string
}

const CAMERA: [RegExp, string][] = [
  [/0/g, 'o'],
  [/1/g, 'l'],
  [/1/g, 'i'],
  [/3/g, 'e'],
  [/4/g, 'a'],
  [/5/g, 's'],
  [/8/g, 'b'],
  [/6/g, 'g'],
  [/\|/g, 'l'],
  [/^l/g, 'i'],
  [/l/g, 'i'],
  [/rn/g, 'm'],
  [/vv/g, 'w'],
  [/cl/g, 'd'],
  [/li/g, 'h'],
]

/** Readings of a word with letters that cameras take for each other put right; at most two kinds at once. */
function cameraReadings(word: string): string[] {
  const out = new Set<string>()
  for (const [from, to] of CAMERA) {
    const once = word.replace(from, to)
    if (once === word) continue
    out.add(once)
    for (const [from2, to2] of CAMERA) out.add(once.replace(from2, to2))
  }
  return [...out]
}

/** Edit distance with neighbours swapped as one step (Damerau-Levenshtein, adjacent), no further than `most`. */
function distance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1
  let before: number[] = []
  let last = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const row = [i]
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1
      let best = Math.min((last[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, (last[j - 1] ?? 0) + same)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, (before[j - 2] ?? 0) + 1)
      row.push(best)
    }
    before = last
    last = row
  }
  return last[b.length] ?? most + 1
}

/** The allergen word that a misspelt word most likely is, or null. Short words must keep their first letter. */
function nearest(word: string): string | null {
  if (word.length < 4 || word.length > 24) return null
  const most = word.length >= 9 ? 2 : 1
  let best: { word: string; steps: number } | null = null
  for (const candidate of lexiconWords()) {
    if (candidate.length < 4 || (word.length < 6 && candidate[0] !== word[0])) continue
    const steps = distance(word, candidate, most)
    if (steps <= most && (best === null || steps < best.steps)) best = { word: candidate, steps }
  }
  return best?.word ?? null
}

/** Words with small errors put right, split and run-together words mended. */
export function spell(words: readonly Word[]): Read[] {
  return joinSplit(joinLetters(words)).map((word) => {
    if (isKnown(word.text) || word.text.length < 3) return word
    const read = meantBy(word.text)
    return read === null ? word : { ...word, text: read, readAs: word.text }
  })
}
/** What an unknown word most likely is. Longer than any that is known, it is none of them. */
const meantBy = remembered(5000, (word: string): string | null =>
  word.length > longestKnown() + 2 ? null : (cameraReadings(word).find((r) => isKnown(r)) ?? nearest(word)),
)
let longest = 0
/** Characters of the longest word that labels are read by. */
const longestKnown = (): number => (longest ||= Math.max(...[...lexiconWords()].map((w) => w.length)))

const merged = (words: readonly Word[]): Word => {
  const [first] = words
  const last = words.at(-1)
  if (!first || !last) throw new Error('nothing to merge')
  return { ...first, text: words.map((w) => w.text).join(''), end: last.end }
}

/** Where the longest known word ends that the letters from here on make; here, where they make none. */
function endOfWord(run: readonly Word[], from: number): number {
  let text = ''
  let end = from
  for (let at = from; at < run.length; at++) {
    text += run[at]?.text ?? ''
    if (!beginsKnown(text)) break
    if (isKnown(text)) end = at + 1
  }
  return end
}

/** "M I L K": single letters with spaces between them. */
function joinLetters(words: readonly Word[]): Word[] {
  const out: Word[] = []
  for (let at = 0; at < words.length;) {
    let end = at
    while (end < words.length && words[end]?.text.length === 1 && (end === at || words[end]?.gap === ''))
      end += 1
    const run = words.slice(at, end)
    if (run.length >= 3) {
      for (let from = 0; from < run.length;) {
        const to = endOfWord(run, from)
        const found = to > from + 2
        out.push(found ? merged(run.slice(from, to)) : merged(run.slice(from, from + 1)))
        from = found ? to : from + 1
      }
      at = end
    } else {
      const word = words[at]
      if (word) out.push(word)
      at += 1
    }
  }
  return out
}

/** "but-" at the end of a line and "ter"; "soy a": joined where a word results and a part alone is none. */
function joinSplit(words: readonly Word[]): Word[] {
  const out: Word[] = []
  for (const word of words) {
    const before = out.at(-1)
    const hyphen = before && word.gap === '-' && word.line
    const near = before && (word.gap === '' || hyphen)
    if (before && near && (!isKnown(before.text) || !isKnown(word.text) || hyphen)) {
      const whole = merged([before, word])
      const mended = isKnown(whole.text) && (hyphen || whole.text.length > 3)
      if (mended) {
        out[out.length - 1] = whole
        continue
      }
    }
    out.push(word)
  }
  return out
}
