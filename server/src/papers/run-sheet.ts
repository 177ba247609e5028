import { watchOnPaper, weave, whoUsesWhat } from '@lea/core/plan'
import { sheetRows } from '@lea/core/session'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, footOf, nameOf, names, say, type Paper } from './paper'
import { heading, small, table, words, styled, type Page } from './pdf'

/** The whole session on one page: when, what, who, which measure, who stands where. */
export function runSheet(paper: Paper): Page {
  const { plan } = paper
  const bowls = plan.bowls.map((b) => ({ ...b, columns: weave(plan, b.id) }))
  const rows = sheetRows(plan).map((row): Content[] => {
    if ('ready' in row) {
      const { at, says, adult } = row.ready
      return [
        words(at, { size: 8 }),
        styled(
          words(`${says}, ${adult ? nameOf(paper, adult) : 'an adult'}`, {
            bold: true,
            size: 8,
          }),
          { colSpan: bowls.length + 1 },
        ),
        ...bowls.map(() => ''),
      ]
    }
    return [
      words(row.step.at, { size: 8 }),
      words(`${row.step.title}, ${bowls[0]?.columns[row.index]?.minutes ?? 0} min`, { bold: true, size: 8 }),
      ...bowls.map((b, i): Content => {
        const column = b.columns[row.index]
        if (!column) return ''
        return {
          stack: [
            ...column.measure.map((m) => words(`${m.amount} ${m.food}: ${m.how}`, { size: 8, bold: true })),
            ...column.handsShort.map((h) =>
              words(
                [h.job, names(paper, h.children)].filter(Boolean).join(': ') +
                  (h.adult ? ` (${nameOf(paper, h.adult)})` : ''),
                { size: 8 },
              ),
            ),
            ...watchOnPaper(column, i).map((w) => words(`! ${say(paper, w.says)}`, { size: 8 })),
          ],
        }
      }),
    ]
  })
  return {
    title: `Run sheet: ${plan.recipe.title}`,
    foot: footOf(paper),
    wide: true,
    content: [
      heading(plan.recipe.title),
      small(
        `${dayWords(paper.session.date)}, ${plan.totals.startsAt} to ${plan.totals.endsAt} · ${names(paper, plan.adults)}`,
      ),
      table(['When', 'Step', ...bowls.map((b) => `${b.name}: ${names(paper, b.children)}`)], rows, [
        30,
        62,
        ...bowls.map(() => '*'),
      ]),
      ...whoTable(paper),
    ],
  }
}

/** Which child has which blade or hot thing, and who stands next to it. */
function whoTable(paper: Paper): Content[] {
  const { columns, rows, adults } = whoUsesWhat(paper.plan)
  const cells = rows.map((r): Content[] => [
    words(nameOf(paper, r.child), { bold: true, size: 8 }),
    ...r.cells.map((c) => words(say(paper, c.says), { size: 8, bold: c.has })),
  ])
  return [
    ...(columns.length > 0
      ? [
          heading('Who uses what', 11),
          table(['Who', ...columns.map((c) => c.name)], cells, [62, ...columns.map(() => '*')]),
        ]
      : []),
    ...adults.map((a) => small(`${nameOf(paper, a.adult)} does alone: ${a.jobs.join(', ')}`)),
  ]
}
