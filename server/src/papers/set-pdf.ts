/** Sets papers as PDF; in a worker, for it takes long (work/desk-worker.ts). */
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { FONT_FILES } from './fonts'
import type { PaperSize } from './paper-size'
import { INK, LINE, small, styled, type Page } from './pdf'

interface PdfTask {
  page: Page
  size: PaperSize
}

/** Loaded when the first paper is set: whoever asks for a record only does not wait for it. */
let loaded: ReturnType<typeof load> | undefined
const setter = () => (loaded ??= load())

async function load() {
  const { default: pdfmake } = await import('pdfmake')
  pdfmake.setFonts(FONT_FILES)
  // Papers are made of what is here: nothing is fetched, no other file is read.
  const own = new Set(Object.values(FONT_FILES).flatMap((f) => Object.values(f)))
  pdfmake.setUrlAccessPolicy(() => false)
  pdfmake.setLocalAccessPolicy((path: string) => own.has(path))

  pdfmake.addTableLayouts({
    rows: {
      hLineWidth: (i: number) => (i === 1 ? 1.2 : 0.5),
      vLineWidth: () => 0,
      hLineColor: (i: number) => (i === 1 ? INK : LINE),
      paddingTop: () => 3,
      paddingBottom: () => 3,
    },
    cut: {
      hLineStyle: () => ({ dash: { length: 4 } }),
      vLineStyle: () => ({ dash: { length: 4 } }),
      hLineWidth: () => 0.7,
      vLineWidth: () => 0.7,
      paddingTop: () => 8,
      paddingBottom: () => 8,
      paddingLeft: () => 8,
      paddingRight: () => 8,
    },
  })
  return pdfmake
}

/** One paper. @returns the bytes of the file */
export async function toPdf({ page, size }: PdfTask): Promise<Uint8Array> {
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
  return new Uint8Array(await (await setter()).createPdf(doc).getBuffer())
}
