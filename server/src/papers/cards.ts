import { jobCards } from '@lea/core/plan'
import { wordCards } from '@lea/core/session'
import type { Content } from 'pdfmake/interfaces'
import { footOf, matFrame, matPicture, matsOf, nameOf, type Paper } from './paper'
import { heading, small, words, styled, type Page } from './pdf'

/** Cards to cut out, so many in a row; none is cut by the end of a page. */
export function cardGrid(cards: readonly Content[], across: number): Content {
  const rows: Content[][] = []
  for (let i = 0; i < cards.length; i += across)
    rows.push(Array.from({ length: across }, (_, k) => cards[i + k] ?? ''))
  return {
    table: { widths: Array.from({ length: across }, () => '*'), dontBreakRows: true, body: rows },
    layout: 'cut',
  }
}

export function jobCardsPaper(paper: Paper): Page {
  const mat = matsOf(paper)
  const cards = jobCards(paper.plan).map((c): Content => ({
    stack: [
      {
        columns: [
          styled(matPicture(mat(c.child), 36), { width: 44 }),
          { width: '*', stack: [words(nameOf(paper, c.child), { bold: true, size: 15 }), small(c.bowl)] },
        ],
      },
      ...c.rows.map((r): Content => ({
        columns: [
          {
            width: '*',
            stack: [
              words([r.job, r.how].filter(Boolean).join(', '), { bold: true }),
              ...r.helps.map((h) => words(h, { size: 9, bold: true })),
              small(r.cue),
            ],
          },
          styled(words(r.times > 1 ? String(r.times) : '', { bold: true, size: 16 }), { width: 24 }),
        ],
        margin: [0, 4, 0, 0],
      })),
      ...(c.instead.length > 0 ? [words(`Instead: ${c.instead.join(', ')}`, { size: 9 })] : []),
      ...(c.waiting.length > 0 ? [small(`While you wait: ${c.waiting.join(', ')}`)] : []),
    ],
  }))
  return {
    title: `Job cards: ${paper.plan.recipe.title}`,
    foot: footOf(paper),
    content: cards.length > 0 ? [cardGrid(cards, 2)] : [words('Nobody has a job in this plan.')],
  }
}

export function wordCardsPaper(paper: Paper): Page {
  const cards = wordCards(paper.plan, paper.setting.words).map((c): Content => ({
    stack: [
      words(c.word, { bold: true, size: 22 }),
      ...c.home.map((h) =>
        styled(words(`${h.word}${h.askSpeaker ? ' *' : ''}`, { size: 16 }), {
          alignment: h.rightToLeft ? 'right' : 'left',
        }),
      ),
      small(c.step),
    ],
  }))
  return {
    title: `Word cards: ${paper.plan.recipe.title}`,
    foot: footOf(paper),
    content: [
      ...(cards.length > 0 ? [cardGrid(cards, 3)] : [words('This plan has no words.')]),
      small('* have a speaker look at it first'),
    ],
  }
}

/** One mat a page, landscape: the weave all around, the name in the middle, room for a plate. */
export function placeMats(paper: Paper): Page {
  const mat = matsOf(paper)
  const seats = paper.plan.children.map((c) => c.id)
  return {
    title: 'Place mats',
    foot: footOf(paper),
    wide: true,
    content: seats.map((id, i) =>
      styled(
        {
          stack: [
            matFrame(mat(id)),
            styled(heading(nameOf(paper, id), 64), {
              alignment: 'center',
              absolutePosition: { x: 34, y: 225 },
            }),
          ],
        },
        i < seats.length - 1 ? { pageBreak: 'after' } : {},
      ),
    ),
  }
}
