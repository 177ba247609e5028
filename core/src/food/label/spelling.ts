/**
 * Small typing and camera errors: `m1lk`, `whaet`, `soy a`, `but-` + `ter`, `M I L K`, `milkeggwheat`. Only a word that the reader does not
 * know is changed; an allergen is preferred where two readings are as near (a false alarm costs less). What is not a camera's error stays
 * open beside its reading: a fish that Lea does not know must not become bread.
 */
import { remembered } from '../../amount/memo'
import { claimedBy, compoundIds } from './compound'
import { joinLetters, joinSplit } from './join'
import { isKnown, isSpelt, languagesOf, lexiconWords, phraseAt } from './label-words'
import type { Word } from './text'

export interface Read extends Word {
  /** What stands on the packet, where it was read as something else. */
  readAs?: string
  /** Read as the nearest word, which it may not be. */
  unsure?: boolean
}

/** What only a camera writes: a number within a word, two strokes for one letter. */
const CAMERA: [RegExp, string][] = [
  [/0/g, 'o'],
  [/1/g, 'l'],
  [/1/g, 'i'],
  [/3/g, 'e'],
  [/4/g, 'a'],
  [/5/g, 's'],
  [/8/g, 'b'],
  [/6/g, 'g'],
  [/9/g, 'g'],
  [/rn/g, 'm'],
  [/vv/g, 'w'],
]
/** What a camera may have written, and a hand as well. */
const EITHER: [RegExp, string][] = [
  [/q/g, 'g'],
  [/^l/g, 'i'],
  [/l/g, 'i'],
  [/cl/g, 'd'],
  [/li/g, 'h'],
]

/** Readings of a word with letters that cameras take for each other put right; at most two kinds at once. */
function cameraReadings(word: string, kinds: readonly [RegExp, string][]): string[] {
  const out = new Set<string>()
  for (const [from, to] of kinds) {
    const once = word.replace(from, to)
    if (once === word) continue
    out.add(once)
    for (const [from2, to2] of kinds) out.add(once.replace(from2, to2))
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

/** English stands on packets everywhere; of other languages only the one of this text is compared with. */
const isOf = (word: string, language: string): boolean => {
  const languages = languagesOf(word)
  return languages === undefined || languages.has('en') || language === '' || languages.has(language)
}

/** The allergen word that a misspelt word most likely is, or null. Short words must keep their first letter. */
function nearest(word: string, language: string): string | null {
  if (word.length < 4 || word.length > 24) return null
  const most = word.length >= 9 ? 2 : 1
  let best: { word: string; steps: number } | null = null
  for (const candidate of lexiconWords()) {
    if (candidate.length < 4 || (word.length < 6 && candidate[0] !== word[0])) continue
    if (Math.abs(candidate.length - word.length) > most || !isOf(candidate, language)) continue
    const steps = distance(word, candidate, most)
    if (steps <= most && (best === null || steps < best.steps)) best = { word: candidate, steps }
  }
  return best?.word ?? null
}

/** The language that most words of a text are known in; empty where none stands out. */
function mainLanguage(words: readonly Word[]): string {
  const votes = new Map<string, number>()
  for (const { text } of words)
    for (const language of languagesOf(text) ?? []) votes.set(language, (votes.get(language) ?? 0) + 1)
  const [first, second] = [...votes].sort((a, b) => b[1] - a[1])
  return first && first[1] > (second?.[1] ?? 0) ? first[0] : ''
}

/** Words with small errors put right, split and run-together words mended. */
export function spell(words: readonly Word[]): Read[] {
  const joined = joinSplit(joinLetters(words))
  const language = mainLanguage(joined)
  return joined.flatMap((word): Read[] => {
    // "Soya1": the number of a footnote.
    const footnote = /^(\p{L}{3,})\d{1,2}$/u.exec(word.text)?.[1]
    if (footnote !== undefined && isKnown(footnote)) return [{ ...word, text: footnote, readAs: word.text }]
    if (word.text.length < 3 || isSpelt(word.text)) return [word]
    const [read, ...more] = meantBy(`${language} ${word.text}`)
    if (read === undefined) return [word]
    if (more.length === 0)
      return [{ ...word, text: read.text, readAs: word.text, ...(read.unsure && { unsure: true }) }]
    return apart(word, [read, ...more])
  })
}

/** The words that run together in one, each at its place. */
function apart(word: Word, parts: readonly { text: string }[]): Read[] {
  const placed = word.end - word.start === word.text.length
  let at = word.start
  return parts.map(({ text }, i) => {
    const start = placed ? at : word.start
    at += text.length
    return {
      text,
      start,
      end: placed ? at : word.end,
      gap: i === 0 ? word.gap : '',
      line: i === 0 && word.line,
      readAs: text,
    }
  })
}

type Meant = { text: string; unsure?: boolean }[]
/** What an unknown word most likely is, one word or several run together; empty where it is none that is known. */
const meantBy = remembered(5000, (question: string): Meant => {
  const [language = '', word = ''] = question.split(' ')
  if (word.length > 60) return []
  const clear = (/\d/.test(word) || word.length >= 4) && word.length <= longestKnown() + 2
  const known = (r: string): boolean => isKnown(r) && isOf(r, language)
  const camera = clear ? cameraReadings(word, CAMERA).find(known) : undefined
  if (camera !== undefined) return [{ text: camera }]
  const maybe = clear ? cameraReadings(word, [...CAMERA, ...EITHER]).find(known) : undefined
  if (maybe !== undefined) return [{ text: maybe, unsure: true }]
  // What a stem explains to its last letter is left as it stands.
  if (claimedBy(word) !== null && compoundIds(claimedBy(word) ?? '')) return []
  const stems = compoundIds(word)
  // "Penut" ends as nuts do, and is nearer to another word.
  const isNuts = stems?.ids.join() === 'tree-nuts'
  if (stems && !stems.rest && !isNuts) return []
  const parts = runTogether(word, language)
  if (parts) return parts.map((text) => ({ text }))
  const near = nearest(word, language)
  return near === null ? [] : [{ text: near, unsure: true }]
})

/** Short words that run together with others; of any three letters some word can be made. */
const SHORT = new Set(['egg', 'soy', 'nut', 'rye', 'oat', 'cod', 'and', 'may', 'oil', 'und'])

/** "milkeggwheat", "maycontainnuts": known words that make the whole of it, one of them an allergen; the fewest there are. */
function runTogether(word: string, language: string): string[] | null {
  if (word.length < 6 || !/^\p{L}+$/u.test(word)) return null
  const best: (string[] | undefined)[] = [[]]
  for (let end = 3; end <= word.length; end++)
    for (let from = Math.max(0, end - 20); from <= end - 3; from++) {
      const before = best[from]
      const piece = word.slice(from, end)
      if (!before || (piece.length < 4 && !SHORT.has(piece))) continue
      if (!isSpelt(piece) || !isOf(piece, language)) continue
      if (before.length + 1 < (best[end]?.length ?? Infinity)) best[end] = [...before, piece]
    }
  const parts = best[word.length]
  const means = (text: string): boolean => (phraseAt([{ text }], 0, () => false)?.ids.length ?? 0) > 0
  return parts && parts.length > 1 && parts.some(means) ? parts : null
}

let longest = 0
/** Characters of the longest word that labels are read by. */
const longestKnown = (): number => (longest ||= Math.max(...[...lexiconWords()].map((w) => w.length)))
