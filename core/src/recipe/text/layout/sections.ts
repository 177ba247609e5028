/**
 * The parts of a recipe as people write it: title, yield, ingredient lines, steps; with headings, without, or with them in any order. A line
 * is placed by its look and its neighbours. Every line goes somewhere: what fits nowhere is handed on as `other`.
 */
import { unitWord } from '../../../amount/unit-words'
import { SHIPPED_BOOK, type FoodBook } from '../../../food/foods'
import { beginsAsStep } from '../steps/verbs'
import { plainLines, type PlainLine } from './clean'
import { headedList, listOn } from './lists'
import { AMOUNT, headingOf, looksOf, partOf, type Looks, type Section } from './looks'
import { titleFrom, YIELD, type TitleLine } from './title-line'

export interface PlacedText {
  text: string
  /** The heading that it stands under: "For the dough". */
  part?: string
}
export interface Sections {
  title: string
  /** Lines that say how much it makes, how long it takes. */
  about: string[]
  ingredients: PlacedText[]
  steps: PlacedText[]
  /** What stands under a heading of its own. */
  tools: string[]
  storage: string[]
  other: string[]
  /** The list is one child's. */
  perChild?: boolean
}

const looksShort = (text: string): boolean => text.length < 30 && !/\d/.test(text)
const PER_CHILD =
  /^(?:(?:amounts? |ingredients? )?(?:per|for (?:each|every|one)) (?:child|person|kid|head|jar|pot|portion)s?|each (?:child|person) needs?|for one)\b[^.]{0,20}:?$/i

interface Line extends PlainLine {
  looks: Looks
}
class Placing {
  readonly parts: Sections = {
    title: '',
    about: [],
    ingredients: [],
    steps: [],
    tools: [],
    storage: [],
    other: [],
  }
  readonly titles: TitleLine[] = []
  here: Section | null = null
  part: string | undefined
  /** "Love," stood there: what follows is a name. */
  signedOff = false
  last: 'ingredients' | 'steps' | 'other' | null = null

  private readonly foods: FoodBook
  constructor(foods: FoodBook) {
    this.foods = foods
  }

  add(where: 'ingredients' | 'steps', text: string): void {
    if (text.trim() === '') return
    this.parts[where].push({ text: text.trim(), ...(this.part !== undefined && { part: this.part }) })
    this.last = where
  }
  addList(list: readonly string[]): void {
    for (const text of list) this.add('ingredients', text)
  }
  get begun(): boolean {
    return this.parts.ingredients.length > 0 || this.parts.steps.length > 0
  }

  place(line: Line, next: Line | undefined): void {
    const { text } = line
    if (/^(?:name|title)\s*:\s*\S/i.test(text) && !this.begun) {
      this.titles.push({ text, heading: true })
      return
    }
    if (this.signedOff && looksShort(text)) {
      this.titles.push({ text, heading: false, poor: true })
      return
    }
    if (!this.begun && /\((?:per|for (?:each|every|one)) (?:child|person|kid)\)/i.test(text))
      this.parts.perChild = true
    if (PER_CHILD.test(text)) {
      this.parts.perChild = true
      if (/jar|pot/.test(text)) this.part = undefined
      return
    }
    const heading = AMOUNT.test(text) ? null : headingOf(text)
    const people = /\((for [^)]*\d[^)]*|serves [^)]*)\)/i.exec(text)
    if (heading && people?.[1]) this.parts.about.push(people[1])
    if (
      heading &&
      !(
        heading.inline === '' &&
        this.here === 'steps' &&
        heading.section === 'ingredients' &&
        line.number !== null
      )
    ) {
      this.head(heading.section, heading.inline)
      return
    }
    if (line.looks.about && line.looks.listed !== 'yes') {
      this.parts.about.push(...text.split(/\s+[|·•]\s+|\s{2,}/).filter((t) => t !== ''))
      return
    }
    if (line.looks.about && /^(?:serves|makes|yields?|for)\b/i.test(text)) {
      this.parts.about.push(text)
      return
    }
    if (line.looks.storage) {
      this.parts[
        /^(?:store|keeps?|freezes?|will keep|best eaten|can be)/i.test(text) ? 'storage' : 'other'
      ].push(text)
      return
    }
    if (this.isFirstWithYield(line)) {
      this.titles.push({ text, heading: line.heading })
      return
    }
    const headed = line.number === null || this.here !== 'steps' ? headedList(text, this.foods) : null
    if (headed) {
      if (!this.begun && this.titles.every((t) => t.poor) && !/^(?:for|to) /i.test(headed.head))
        this.titles.push({ text: headed.head, heading: true })
      else this.part = headed.head
      this.addList(headed.list)
      return
    }
    const list = line.looks.telling && !/^\d|^[½⅓⅔¼¾]/.test(text) ? null : listOn(text, this.foods)
    if (list) {
      this.addList(list)
      return
    }
    this.placeOne(line, next)
  }

  /** "Flatbreads (8)", "Noodle bowl, serves 5": the title says how much; it is no line of the list. */
  private isFirstWithYield({ text, number, looks }: Line): boolean {
    if (
      this.begun ||
      this.here !== null ||
      number !== null ||
      this.titles.some((t) => !t.poor) ||
      AMOUNT.test(text)
    )
      return false
    return !looks.sentence && text.length < 80 && YIELD.test(text)
  }

  private head(section: Section, inline: string): void {
    if (inline === '') {
      this.here = section
      this.part = undefined
      return
    }
    if (section === 'ingredients') {
      this.here = section
      this.part = undefined
      this.addList(listOn(inline, this.foods) ?? [inline])
    } else if (section === 'steps') {
      this.here = section
      this.part = undefined
      this.add('steps', inline)
    } else this.parts[section].push(inline)
  }

  private placeOne(line: Line, next: Line | undefined): void {
    const { text, looks } = line
    if (
      line.number === 1 &&
      !this.begun &&
      this.here === null &&
      !looks.telling &&
      !looks.sentence &&
      looks.listed === null &&
      this.titles.every((t) => t.poor)
    ) {
      this.titles.push({ text, heading: true })
      return
    }
    if (/^subject\s*:/i.test(text)) {
      this.titles.push({ text, heading: false, poor: true })
      return
    }
    const inBlock = this.here === 'tools' || this.here === 'storage' || this.here === 'other'
    if (this.here === 'tools' && !line.apart && line.number === null) {
      this.parts.tools.push(text)
      return
    }
    if (inBlock && looks.listed !== 'yes' && line.number === null && !(looks.telling && line.apart)) {
      this.parts[this.here as 'tools' | 'storage' | 'other'].push(text)
      return
    }
    if (this.placePart(line, next)) return
    if (looks.listed === 'yes' && !(this.here === 'steps' && line.number !== null && looks.sentence)) {
      this.add('ingredients', text)
      return
    }
    if (looks.talk && line.number === null && !(this.here === 'steps' && looks.telling)) {
      this.titles.push({ text, heading: line.heading, poor: true })
      this.signedOff = this.begun && /^(?:best|love|thanks|cheers|kind regards|regards|yours)\b/i.test(text)
      return
    }
    if (line.number !== null && !(this.here === 'ingredients' && !looks.telling)) {
      this.add('steps', text)
      return
    }
    if (this.mayBeTitle(line, next)) {
      this.titles.push({
        text,
        heading: line.heading,
        ...(/[.?]$/.test(text) && text.length >= 50 && { poor: true }),
      })
      return
    }
    if (looks.telling) {
      this.addTelling(text)
      return
    }
    if (looks.listed === 'maybe') {
      const beside =
        this.here === 'ingredients' ||
        this.last === 'ingredients' ||
        (next !== undefined && next.looks.listed !== null && !next.apart)
      this.add(this.here !== 'steps' && beside ? 'ingredients' : 'steps', text)
      return
    }
    if (this.here === 'ingredients' && !looks.sentence && text.length < 70) this.add('ingredients', text)
    else if (this.here === 'steps' || this.parts.steps.length > 0) this.add('steps', text)
    else if (this.last === 'ingredients' && looks.short && !looks.sentence && (!line.apart || line.bullet))
      this.add('ingredients', text)
    else if (this.begun) this.addTelling(text)
    else this.titles.push({ text, heading: line.heading, ...(looks.sentence && { poor: true }) })
  }

  /** "Shape: divide the dough": the head is its part. */
  private addTelling(text: string): void {
    const m = /^(?:(?:make|for) )?(?:the )?([\p{L} ]{3,24}?)(?: first)?:\s+(\p{L}.+)$/iu.exec(text)
    const who = /^(?:an? )?(?:adult|grown|me|you|children|kids|everyone|each|tip|note|then|safety|step)/i
    if (m?.[1] && m[2] && !who.test(m[1])) {
      this.part = m[1]
      this.add('steps', m[2])
    } else {
      const about = /^for the ([\p{L} ]{3,24}), /iu.exec(text)
      if (about?.[1]) this.part = about[1]
      this.add('steps', text)
    }
  }

  private placePart(line: Line, next: Line | undefined): boolean {
    const { text, looks } = line
    if (line.number !== null || looks.listed === 'yes' || looks.sentence || looks.talk) return false
    const part = partOf(text, line.heading, this.foods)
    const bareHead =
      part === null &&
      looks.short &&
      !/\d/.test(text) &&
      !looks.telling &&
      (looks.listed === null ? text.split(' ').length <= 3 : line.apart && !line.bullet) &&
      next !== undefined &&
      (next.looks.listed === 'yes' || listOn(next.text, this.foods) !== null) &&
      !next.apart &&
      this.titles.some((t) => !t.poor)
    const nested = line.bullet && next !== undefined && next.indent > line.indent && !/\d/.test(text)
    if (part === null && !bareHead && !nested) return false
    const untitled = !this.begun && this.titles.every((t) => t.poor) && this.here === null
    if (untitled && !/^(?:for|to) the\b/i.test(text) && !(/:$/.test(text) && next?.looks.listed === 'yes'))
      return false
    if (
      part !== null &&
      !/^(?:for|to) /i.test(text) &&
      looks.listed === 'maybe' &&
      next?.looks.listed !== 'yes' &&
      !/:$/.test(text) &&
      !line.heading
    )
      return false
    this.part = part ?? text
    // Amounts under it: the list goes on, whatever stood before.
    if (next?.looks.listed === 'yes') this.here = 'ingredients'
    return true
  }

  private mayBeTitle(line: Line, next: Line | undefined): boolean {
    const { text, looks } = line
    const late =
      this.parts.steps.length === 0 &&
      this.titles.every((t) => t.poor) &&
      line.apart &&
      text.length < 50 &&
      looks.listed === null &&
      !/[.,;:]/.test(text)
    if ((this.begun && !late) || (this.here !== null && !late) || line.number !== null) return false
    if (looks.listed === 'yes' || text.length > 90) return false
    if (line.heading) return true
    if (looks.sentence && /[.!?]\s+\p{L}/u.test(text)) return false
    const first = this.titles.every((t) => t.poor)
    const short = text.length < 60 && !/[.?]$/.test(text)
    if (!looks.telling) return first || looks.sentence || looks.short || short
    return first && !looks.sentence && text.length < 60 && next !== undefined && !/[,;&+]/.test(text)
  }
}

export function sectionsOf(text: string, foods: FoodBook = SHIPPED_BOOK): Sections {
  const lines = bareNumbers(plainLines(text))
    .flatMap(parted(foods))
    .map((line): Line => ({ ...line, looks: looksOf(line.text, foods) }))
  const placing = new Placing(foods)
  // Where a heading says where the list and the telling begin, what stands before them is talk.
  const first = lines.findIndex((l) => !AMOUNT.test(l.text) && headingOf(l.text) !== null)
  const introduced = lines.slice(0, Math.max(0, first)).some((l) => l.looks.listed === 'yes' || l.number !== null)
  lines.forEach((line, i) => {
    if (i < first && !introduced && line.looks.telling && line.looks.sentence && !line.looks.about && i > 0) placing.titles.push({ text: line.text, heading: false, poor: true })
    else placing.place(line, lines[i + 1])
  })
  const { parts } = placing
  const { title, about, rest } = titleFrom(placing.titles)
  parts.title = title
  parts.about.unshift(...about)
  parts.other.push(...rest)
  return parts
}

/** "1 Mix the sauce." "2 Tear the tortillas.": numbers without a stop before what is done, one after another. */
function bareNumbers(lines: readonly PlainLine[]): PlainLine[] {
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

/** A line that holds several: numbered steps in a row, a list and then the telling, a title and then the rest. */
const parted =
  (foods: FoodBook) =>
  (line: PlainLine): PlainLine[] => {
    const pieces = line.text.split(INLINE).flatMap(numberedApart)
    return pieces.flatMap((text, i): PlainLine[] => {
      const own = { ...line, text, ...(i > 0 && { apart: false, number: null, heading: false }) }
      const numbered = /^(\d{1,2})[.):]\s+/.exec(text)
      if (pieces.length > 1 && numbered)
        return [{ ...own, text: text.slice(numbered[0].length), number: Number(numbered[1]) }]
      return firstApart(own, foods)
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
function firstApart(line: PlainLine, foods: FoodBook): PlainLine[] {
  const at = /(?<=(?:[^\d\s]{2}|\bfor \d{1,2})[.!])\s+(?=\p{L})/u.exec(line.text)
  if (!at) return colonApart(line)
  const first = line.text.slice(0, at.index)
  const rest = line.text.slice(at.index + at[0].length)
  const list = headedList(first, foods) ?? listOn(first, foods)
  const title =
    !GREETS.test(first) &&
    line.number === null &&
    !line.bullet &&
    first.length < 50 &&
    !/\d\s?(?:g|ml|°|min)/.test(first) &&
    !beginsAsStep(first) &&
    beginsAsStep(rest)
  const titled =
    title &&
    !/^(?:serves|makes)\b/i.test(first) &&
    first.split(' ').length <= 8 &&
    !/^(?:it|this|they|we|you|the|a|i)\b/i.test(first)
  if (!list && !titled) return colonApart(line)
  return [
    { ...line, text: first.replace(/[.]$/, '') },
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
