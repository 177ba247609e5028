/** A line that holds several: numbered steps in a row, a list and then the telling, a title and then the rest. */
import { unitWord } from '../../../amount/unit-words'
import type { FoodBook } from '../../../food/foods'
import { beginsAsStep } from '../steps/verbs'
import type { PlainLine } from './clean'
import { headedList, listOn } from './lists'
import { headingOf } from './looks'

/** "1 Mix the sauce." "2 Tear the tortillas.": numbers without a stop before what is done, one after another. */
export function bareNumbers(lines: readonly PlainLine[]): PlainLine[] {
  const found = lines.map((l) => {
    const m = l.number === null ? /^(\d{1,2})\s+(\p{L}.+)$/u.exec(l.text) : null
    return m?.[1] && m[2] && beginsAsStep(m[2]) && unitWord(/^\p{L}+/u.exec(m[2])?.[0] ?? '', 'm') === null
      ? { number: Number(m[1]), text: m[2] }
      : null
  })
  const numbers = found.flatMap((f) => (f ? [f.number] : []))
  const inOrder = numbers.length >= 2 && numbers.every((n, i) => n === (numbers[0] ?? 0) + i)
  return inOrder ? lines.map((l, i) => ({ ...l, ...found[i] })) : [...lines]
}

const INLINE =
  /(?<=[.!)])\s+(?=(?:ingredients?|method|directions?|you(?:['’]ll| will)? need|what you need|equipment)\b\s*:)|(?<=[.!])\s+(?=(?:serves|makes|yields?) [^.]{1,40}\.?$)/iu

/** A line as the lines that it holds. */
export const parted =
  (foods: FoodBook) =>
  (line: PlainLine, at: number): PlainLine[] => {
    const pieces = line.text.split(INLINE).flatMap(numberedApart)
    return pieces.flatMap((text, i): PlainLine[] => {
      const own = { ...line, text, ...(i > 0 && { apart: false, number: null, heading: false }) }
      const numbered = /^(\d{1,2})[.):]\s+/.exec(text)
      if (pieces.length > 1 && numbered)
        return [{ ...own, text: text.slice(numbered[0].length), number: Number(numbered[1]) }]
      return firstApart(own, foods, at === 0 && i === 0)
    })
  }

const numberedApart = (text: string): string[] => {
  const marks = [...text.matchAll(/(?:^|\s)(\d{1,2})[.):]\s+(?=\p{L})/gu)].map((m) => Number(m[1]))
  const inOrder =
    marks.length >= 2 &&
    (marks[0] ?? 9) <= 2 &&
    marks.every((n, i) => i === 0 || n === (marks[i - 1] ?? 0) + 1)
  return inOrder ? text.split(/\s+(?=\d{1,2}[.):]\s+\p{L})/u) : [text]
}

const GREETS = /^(?:hi|hello|hey|dear|yes|ok|thanks|subject)\b/i
/** "Crackers, about 30: 150 g flour, 50 g butter. Rub the butter in." and "Cheese scones. Heat the oven." are two lines each. */
function firstApart(line: PlainLine, foods: FoodBook, first: boolean): PlainLine[] {
  const whole = (): PlainLine[] => (first ? colonApart(line) : [line])
  const at = /(?<=(?:[^\d\s]{2}|\bfor \d{1,2})[.!?])\s+(?=\p{L})/u.exec(line.text)
  if (!at) return whole()
  const head = line.text.slice(0, at.index)
  const rest = line.text.slice(at.index + at[0].length)
  const list = headedList(head, foods) ?? listOn(head, foods)
  const title =
    !GREETS.test(head) &&
    line.number === null &&
    !line.bullet &&
    head.length < 50 &&
    !/\d\s?(?:g|ml|°|min)/.test(head) &&
    !beginsAsStep(head) &&
    beginsAsStep(rest)
  const titled =
    title &&
    !/^(?:serves|makes)\b/i.test(head) &&
    head.split(' ').length <= 8 &&
    !/^(?:it|this|they|we|you|the|a|i)\b/i.test(head)
  if (!list && !titled) return whole()
  return [
    { ...line, text: head.replace(/[.]$/, '') },
    { ...line, text: rest, apart: true, heading: false },
  ]
}

/** "Overnight oats: each child mixes": a title with its telling on one line. */
function colonApart(line: PlainLine): PlainLine[] {
  const m = /^(?:to make (?:the )?)?([\p{L}][\p{L} '’&-]{2,40}): (\p{L}.{30,})$/u.exec(line.text)
  if (!m?.[1] || !m[2] || line.number !== null || line.bullet || !line.text.includes('. ')) return [line]
  if (headingOf(line.text) || /^(?:an? )?(?:adult|grown|tip|note|make|for|do)/i.test(m[1])) return [line]
  return beginsAsStep(m[2])
    ? [
        { ...line, text: m[1] },
        { ...line, text: m[2], apart: false, heading: false },
      ]
    : [line]
}
