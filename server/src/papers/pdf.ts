/** Paper as PDF: A4 or Letter, black and white legible, the same hand as the screen. */
import pdfmake from 'pdfmake'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { FONT_FILES, runsOf } from './fonts'

export const PAPER_SIZES = ['A4', 'Letter'] as const
export type PaperSize = (typeof PAPER_SIZES)[number]

export interface Page {
  title: string
  /** What stands at the foot of each page. */
  foot: string
  wide?: boolean
  content: Content[]
}

pdfmake.setFonts(FONT_FILES)
// Papers are made of what is here: nothing is fetched, no other file is read.
const own = new Set(Object.values(FONT_FILES).flatMap((f) => Object.values(f)))
pdfmake.setUrlAccessPolicy(() => false)
pdfmake.setLocalAccessPolicy((path: string) => own.has(path))

export const INK = '#17312B'
export const SOFT = '#4a5d57'
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
    layout: {
      hLineWidth: (i: number) => (i === 1 ? 1.2 : 0.5),
      vLineWidth: () => 0,
      hLineColor: (i: number) => (i === 1 ? INK : LINE),
      paddingTop: () => 3,
      paddingBottom: () => 3,
    },
  } as Content
}

export async function toPdf(page: Page, size: PaperSize): Promise<Buffer> {
  const doc: TDocumentDefinitions = {
    pageSize: size === 'A4' ? 'A4' : 'LETTER',
    pageOrientation: page.wide ? 'landscape' : 'portrait',
    pageMargins: [34, 34, 34, 40],
    info: { title: page.title, creator: 'Lea', producer: 'Lea' },
    language: 'en-GB',
    defaultStyle: { font: 'text', fontSize: 10, color: INK, lineHeight: 1.15 },
    footer: (now: number, all: number): Content => ({
      columns: [small(page.foot), styled(small(`${now} of ${all}`), { alignment: 'right' })],
      margin: [34, 12, 34, 0],
    }),
    content: page.content,
  }
  return pdfmake.createPdf(doc).getBuffer() as Promise<Buffer>
}
