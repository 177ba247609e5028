/** A packet's words cut into pieces, those that matter marked, for a screen. */
import { allergenName } from '../allergens'
import type { Region } from './regions'
import { readLabel, type LabelMark, type LabelReading } from './read'

export interface LabelPiece {
  text: string
  /** Empty: plain words. */
  mark: LabelMark | ''
  /** "milk: listed"; empty for plain words. */
  why: string
}

const nameOf = (id: string): string =>
  id === 'ask' ? 'ask' : id === 'unknown' ? 'not known' : allergenName(id)

/** @returns the pieces in their order, which joined give the text; the reading; and why each word is marked */
export function labelPieces(
  text: string,
  region?: Region,
): {
  text: string
  pieces: LabelPiece[]
  reading: LabelReading
  whys: { words: string; why: string }[]
} {
  const reading = readLabel(text, region)
  const pieces: LabelPiece[] = []
  let at = 0
  for (const w of reading.words) {
    if (w.start < at) continue
    if (w.start > at) pieces.push({ text: text.slice(at, w.start), mark: '', why: '' })
    const same = reading.words.filter((o) => o.start === w.start)
    pieces.push({
      text: text.slice(w.start, w.end),
      mark: w.mark,
      why: `${same.map((o) => nameOf(o.id)).join(', ')}: ${w.why}`,
    })
    at = w.end
  }
  if (at < text.length) pieces.push({ text: text.slice(at), mark: '', why: '' })
  const whys = reading.words.map((w) => ({
    words: text.slice(w.start, w.end),
    why: `${nameOf(w.id)}, ${w.why}`,
  }))
  return { text, pieces, reading, whys }
}
