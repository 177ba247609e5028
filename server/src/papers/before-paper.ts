import { foodBook } from '@lea/core/food'
import { type Bring, beforeSheet } from '@lea/core/session'
import { keptInRecipe } from '@lea/core/setting'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, type Paper } from './paper'
import { heading, small, table, words, type Page } from './pdf'

/** To send before the day: for every family alike, without any child's name. */
export function beforePaper(paper: Paper): Page {
  const { plan, session, setting } = paper
  const here = new Set([...session.children, ...session.guests.map((g) => g.id)])
  const cards = [...paper.children, ...session.guests]
    .filter((p) => here.has(p.id))
    .flatMap((p) => p.concerns)
  const recipe = keptInRecipe(paper.recipe, session.decisions) ?? paper.recipe
  const sheet = beforeSheet(plan, recipe, foodBook(setting.foods), cards)
  const foods = (list: readonly Bring[]): Content =>
    table(
      ['What', 'For one child', 'How it travels'],
      list.map((b): Content[] => [words(b.name, { bold: true, size: 12 }), words(b.amount), words(b.how)]),
      [130, 90, '*'],
    )
  const nothing = sheet.choose.length === 0 && sheet.each.length === 0
  return {
    title: `Before the day: ${sheet.title}`,
    foot: `${setting.name} · ${dayWords(session.date)}`,
    content: [
      heading(sheet.title, 24),
      words(`We cook on ${dayWords(session.date)} at ${session.start}.`, { bold: true, size: 12 }),
      words(sheet.about),
      ...(nothing ? [words('Nothing has to be brought.')] : []),
      ...sheet.choose.flatMap((c) => [heading(c.says, 14), foods(c.foods)]),
      ...(sheet.each.length > 0 ? [heading('Please bring', 14), foods(sheet.each)] : []),
      ...(sheet.leave.length > 0
        ? [
            heading('Please leave at home', 14),
            words(`Anything that holds, or may contain: ${sheet.leave.join(', ')}.`, {
              bold: true,
              size: 12,
            }),
            words(
              'It could make somebody in the room seriously ill. Read the packet to its end; in doubt, bring something else.',
            ),
          ]
        : []),
      heading('What is in what we make', 14),
      words(`Lists: ${sheet.lists.join(', ') || 'none of the allergens Lea knows'}.`, { bold: true }),
      ...(sheet.unknown.length > 0 ? [words(`Not known to Lea: ${sheet.unknown.join(', ')}.`)] : []),
      words('Tell us before the day if your child must not have any of it, or if something new has come up.'),
      heading('To wear', 14),
      words(sheet.wear),
      small('Keep the packet, or a picture of its list: two adults read each one on the day.'),
    ],
  }
}
