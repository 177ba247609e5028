import { moneyText } from '@lea/core/amount'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, footOf, type Paper } from './paper'
import { heading, small, table, words, type Page } from './pdf'

/** What to buy, in packs, with what it costs; and what the cupboard has. */
export function shoppingPaper(paper: Paper): Page {
  const { plan, session } = paper
  const money = (minor: string | number): string => moneyText(minor, plan.cost.currency)
  const rows = (enough: boolean): Content[][] =>
    plan.shopping
      .filter((s) => s.enough === enough)
      .map((s) => [
        words(s.got ? '[x]' : '[ ]'),
        words(s.name, { bold: true }),
        words(s.buy?.text ?? (s.enough ? s.have : s.why || s.text)),
        words(s.buy?.cost == null ? '' : money(s.buy.cost)),
        words(s.need?.text ?? s.text, { size: 9 }),
      ])
  const [buy, have] = [rows(false), rows(true)]
  const head = ['', 'Food', 'Buy', 'About', 'Needed']
  const widths = [18, 120, '*', 50, 100]
  return {
    title: `Shopping: ${plan.recipe.title}`,
    foot: footOf(paper),
    content: [
      heading(`Shopping for ${plan.recipe.title}`),
      small(`${dayWords(session.date)}, ${plan.children.length} children`),
      buy.length > 0 ? table(head, buy, widths) : words('Nothing to buy.'),
      ...(have.length > 0
        ? [heading('In the cupboard', 13), table(['', 'Food', 'There is', '', 'Needed'], have, widths)]
        : []),
      heading('Read every packet', 13),
      words(
        'Buy the same packet as before where a child depends on it, and read its words again: recipes of packets change.',
      ),
    ],
  }
}
