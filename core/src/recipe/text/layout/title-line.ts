/** Which of the lines before the list is the title, and what it says of the yield. */
import { capitalised } from '../../../amount/letter-case'

export interface TitleLine {
  text: string
  /** It was set off as a heading. */
  heading: boolean
  /** A greeting, a sentence, talk: only where nothing better is there. */
  poor?: boolean
}

export const YIELD =
  /[\s,–—:-]*(?:\(\s*((?:serves|makes|feeds|for|pour|für|per|para|about|enough for)?\s*(?:about |approx\.? |around )?\d[^()]{0,40}?|[^()]{0,12}\b(?:serves|makes|feeds)\b[^()]{0,40})\)|(?:[-–—,/]\s*)?\b((?:serves|makes|feeds)\b.{1,40}|(?:for|pour|für|per|para|voor|för|til|dla) (?:about |approx\.? )?(?:\d+|six|eight|ten|twelve)(?: \p{L}+)?(?: environ)?|about \d+|\d+ (?:porcj[ei]|servings?|portions?|people|persons?|personen|personnes|personas|persone|pessoas)))\s*$/iu
const FIRST =
  /^(?:recipe(?: of the \w+)?\s*:\s*|name\s*:\s*|title\s*:\s*|subject\s*:\s*(?:(?:fwd?|re)\s*:\s*)*|(?:ok,? )?so (?=\p{L})|(?:hey,? )?it['’]?s |here(?:['’]s| is) |this month\s*:\s*|today\s*:\s*|my (?:version|recipe)\s*:\s*|from (?:the |my |our )[^-–:]{3,30}\s[-–:]\s+)/iu

/** One capital word at the end of a letter. */
const NAME = /^\p{Lu}\p{Ll}+(?: \p{Lu}\p{Ll}+)?$/u
const GREETING = /^(?:hi|hello|hey|dear|best|love|thanks?|cheers|yes|ok|see|x+)\b/i

/** @returns the title in a calm voice, what it says of how much, and the lines that are no title */
export function titleFrom(lines: readonly TitleLine[]): { title: string; about: string[]; rest: string[] } {
  const good = lines.filter((l) => !l.poor)
  const named = lines.find((l) => /^(?:recipe(?: of the \w+)?|name|title|this month|today)\s*:/i.test(l.text))
  const best =
    named ??
    good.find((l) => l.heading) ??
    good[0] ??
    lines.find((l) => FIRST.test(l.text)) ??
    lines.find(
      (l) =>
        l.text.length < 50 &&
        !/[?]|[.!]\s+\p{L}/u.test(l.text) &&
        !GREETING.test(l.text) &&
        !NAME.test(l.text),
    )
  if (!best) {
    // "Here is the recipe of the spinach parcels!"
    const said = lines
      .map(
        (l) =>
          /\brecipe (?:of|for) (?:the |my |our )?([\p{L}][\p{L} '’-]{2,40}?)(?=[.!?,:]|$)/iu.exec(
            l.text,
          )?.[1],
      )
      .find((t) => t !== undefined)
    return {
      title: said ? capitalised(said) : '',
      about: [],
      rest: lines.map((l) => l.text),
    }
  }
  const about: string[] = []
  let text = best.text
    .replace(FIRST, '')
    .replace(/^recipe for [^:]{2,30}: /i, '')
    .replace(/\.$/, '')
  const box = /^\(([^)]*\d[^)]*)\)\s*/.exec(text)
  if (box) text = text.slice(box[0].length)
  for (let m = YIELD.exec(text); m && m.index > 2; m = YIELD.exec(text)) {
    about.push((m[1] ?? m[2] ?? '').trim())
    text = text.slice(0, m.index)
  }
  const dotted = /^(.{3,60}?)\.\s+((?:makes|serves)\b.{1,40})$/i.exec(text)
  if (dotted?.[1] && dotted[2]) {
    text = dotted[1]
    about.push(dotted[2])
  }
  const title = calm(text.replace(/\s*[.:=–—-]+\s*$/, '').trim())
  return { title, about, rest: lines.filter((l) => l !== best).map((l) => l.text) }
}

/** A title in capitals is said in a calm voice: PEAR CUPS is "Pear cups". What stands in small letters stays. */
function calm(title: string): string {
  const words = title.replace(/\([^)]*\)/g, '')
  if (words !== words.toUpperCase() || words === words.toLowerCase()) return title
  const small = title.replace(/[\p{L}'’]+/gu, (w) => (w === w.toUpperCase() ? w.toLowerCase() : w))
  return capitalised(small)
}
