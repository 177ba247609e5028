/**
 * Where each line of a recipe goes: by its look, its neighbours and the heading before it. Every line goes somewhere: what fits nowhere is
 * handed on as `other`.
 */
import type { FoodBook } from '../../../food/foods'
import type { PlainLine } from './clean'
import { headedList, listOn } from './lists'
import { AMOUNT, headingOf, partOf, type Looks, type Section } from './looks'
import type { Sections } from './placed'
import { YIELD, type TitleLine } from './title-line'

const looksShort = (text: string): boolean => text.length < 30 && !/\d/.test(text)
const PER_CHILD =
  /^(?:(?:amounts? |ingredients? )?(?:per|for (?:each|every|one)) (?:child|person|kid|head|jar|pot|portion)s?|each (?:child|person) needs?|for one)\b[^.]{0,20}:?$/i

export interface Line extends PlainLine {
  looks: Looks
}
export class Placing {
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
  /** The heading that the last line of the list stood under. */
  private listedUnder: string | null = null
  /** "Love," stood there: what follows is a name. */
  signedOff = false
  last: 'ingredients' | 'steps' | 'other' | null = null

  private readonly foods: FoodBook
  constructor(foods: FoodBook) {
    this.foods = foods
  }

  add(where: 'ingredients' | 'steps', text: string): void {
    if (text.trim() === '') return
    // A heading of the list is none of the telling.
    if (where === 'steps' && this.listedUnder !== null && this.listedUnder === this.part)
      this.part = undefined
    if (where === 'ingredients') this.listedUnder = this.part ?? null
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
    // A numbered line that does not begin with an amount tells.
    if (list && (line.number === null || AMOUNT.test(text))) {
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
