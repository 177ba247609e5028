/** What a paper is made of: A4 or Letter, black and white legible, the same hand as the screen. Plain data, set by set-pdf.ts. */
import type { Content } from 'pdfmake/interfaces'
import { type Country, wordsOf } from '@lea/core/amount'
import { runsOf } from './fonts'

export interface Page {
  title: string
  /** What stands at the foot of each page. */
  foot: string
  wide?: boolean
  content: Content[]
}

/** What somebody wrote: no country's words are put into it. */
export const asWritten = (content: Content): Content => styled(content, { asWritten: true })

/** A page in the words of its country: all of its texts, and nothing else of it. */
export function inCountry(page: Page, country: Country): Page {
  const turned = (value: unknown, key = ''): unknown => {
    if (typeof value === 'string')
      return key === 'text' || key === 'ul' || key === '' ? wordsOf(value, country) : value
    if (Array.isArray(value)) return value.map((v) => turned(v, key))
    if (value === null || typeof value !== 'object' || 'asWritten' in value) return value
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, turned(v, k)]))
  }
  return country === 'us'
    ? {
        ...page,
        foot: wordsOf(page.foot, country),
        content: page.content.map((c) => turned(c, 'text') as Content),
      }
    : page
}

export const INK = '#17312B'
const SOFT = '#4a5d57'
export const LINE = '#9fb0aa'

interface Look {
  size?: number
  bold?: boolean
  colour?: string
}
/** Words in the text font, whatever their script. */
export const words = (text: string, { size = 10, bold = false, colour = INK }: Look = {}): Content => ({
  text: runsOf(text).map((r) => ({ ...r, bold })),
  fontSize: size,
  color: colour,
})
export const heading = (text: string, size = 20): Content => ({
  text: runsOf(text, true).map((r) => ({ ...r, bold: true })),
  fontSize: size,
  color: INK,
  margin: [0, size / 3, 0, size / 5],
})
/** The same with a width, a margin, a place. */
export const styled = (content: Content, more: Record<string, unknown>): Content =>
  ({ ...(content as object), ...more }) as unknown as Content
export const small = (text: string): Content => words(text, { size: 8, colour: SOFT })
export const list = (items: readonly string[], size = 10): Content => ({
  ul: items.map((i) => words(i, { size })),
})

/** Rows with a head; thin lines, no colour needed. */
export function table(
  head: readonly string[],
  rows: readonly Content[][],
  widths: (string | number)[],
): Content {
  return {
    table: {
      headerRows: 1,
      widths,
      dontBreakRows: true,
      body: [head.map((h) => words(h, { bold: true, size: 9 })), ...rows],
    },
    layout: 'rows',
  }
}
