/** Letters and halves of words that stand apart: `M I L K`, `soy a`, `but-` + `ter`, `mi|k`. */
import { beginsKnown, isKnown, languagesOf, phraseAt } from './label-words'
import type { Word } from './text'

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
export function joinLetters(words: readonly Word[]): Word[] {
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
export function joinSplit(words: readonly Word[]): Word[] {
  const out: Word[] = []
  for (const word of words) {
    const before = out.at(-1)
    // A bar between letters of one word is an l: "mi|k".
    const barred =
      before && word.gap === '|' && before.end + 1 === word.start ? `${before.text}l${word.text}` : ''
    if (before && barred !== '' && (phraseAt([{ text: barred }], 0, () => false)?.ids.length ?? 0) > 0) {
      out[out.length - 1] = { ...before, text: barred, end: word.end }
      continue
    }
    const hyphen = before && word.gap === '-' && word.line
    const near = before && (word.gap === '' || hyphen)
    if (before && near && (!isKnown(before.text) || !isKnown(word.text) || hyphen)) {
      const whole = merged([before, word])
      // By a stem ("orzech*") any word that begins so is known: two words are joined only where the whole is a word.
      const isWord = hyphen ? isKnown(whole.text) : languagesOf(whole.text) !== undefined
      const mended = isWord && (hyphen || whole.text.length > 3)
      if (mended) {
        out[out.length - 1] = whole
        continue
      }
    }
    out.push(word)
  }
  return out
}
