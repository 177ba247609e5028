/**
 * The parts of a recipe as people write it: title, yield, ingredient lines, steps; with headings, without, or with them in any order.
 */
import { SHIPPED_BOOK, type FoodBook } from '../../../food/foods'
import { plainLines } from './clean'
import { AMOUNT, headingOf, looksOf } from './looks'
import { bareNumbers, parted } from './parted'
import type { Sections } from './placed'
import { Placing, type Line } from './placing'
import { titleFrom } from './title-line'

export function sectionsOf(text: string, foods: FoodBook = SHIPPED_BOOK): Sections {
  const lines = bareNumbers(plainLines(text))
    .flatMap(parted(foods))
    .map((line): Line => ({ ...line, looks: looksOf(line.text, foods) }))
  const placing = new Placing(foods)
  // Where a heading says where the list and the telling begin, what stands before them is talk.
  const first = lines.findIndex((l) => !AMOUNT.test(l.text) && headingOf(l.text) !== null)
  const introduced = lines
    .slice(0, Math.max(0, first))
    .some((l) => l.looks.listed === 'yes' || l.number !== null)
  lines.forEach((line, i) => {
    if (i < first && !introduced && line.looks.telling && line.looks.sentence && !line.looks.about && i > 0)
      placing.titles.push({ text: line.text, heading: false, poor: true })
    else placing.place(line, lines[i + 1])
  })
  const { parts } = placing
  const { title, about, rest } = titleFrom(placing.titles)
  parts.title = title
  parts.about.unshift(...about)
  parts.other.push(...rest)
  return parts
}
