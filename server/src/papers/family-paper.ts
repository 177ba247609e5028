import { countText } from '@lea/core/amount'
import { foodBook } from '@lea/core/food'
import { type FamilySheet, familySheet } from '@lea/core/session'
import type { Content } from 'pdfmake/interfaces'
import { dayWords, matPicture, matsOf, nameOf, say, type Paper } from './paper'
import { heading, list, small, table, words, styled, type Page } from './pdf'

export interface FamilyWish {
  /** Null for the group. */
  child: string | null
  portions: number
  measures: 'cups' | 'grams'
}

export function sheetOf(paper: Paper, wish: FamilyWish): FamilySheet {
  const own = paper.children.find((c) => c.id === wish.child)
  const guest = paper.session.guests.find((g) => g.id === wish.child)
  return familySheet({
    plan: paper.plan,
    state: paper.state,
    recipe: paper.recipe,
    decisions: paper.session.decisions,
    foods: foodBook(paper.setting.foods),
    languages: own?.languages ?? guest?.languages ?? [],
    ...wish,
  })
}

/** One page for a family. It names no other child. */
export function familyPaper(paper: Paper, wish: FamilyWish): Page {
  const sheet = sheetOf(paper, wish)
  const who = wish.child ? nameOf(paper, wish.child) : ''
  const section = (title: string, body: Content[]): Content[] =>
    body.length > 0 ? [heading(title, 13), ...body] : []
  const steps = sheet.steps.map((s) => words([s.title, s.says].filter(Boolean).join(': ')))
  return {
    title: `${sheet.title}${who ? `: ${who}` : ''}`,
    foot: `${paper.setting.name} · ${dayWords(paper.session.date)}`,
    content: [
      {
        columns: [
          ...(wish.child ? [styled(matPicture(matsOf(paper)(wish.child), 42), { width: 52 })] : []),
          {
            width: '*',
            stack: [
              heading(sheet.title, 24),
              small(
                `${who ? `${who} made this with us` : 'We made this'} on ${dayWords(paper.session.date)}.`,
              ),
            ],
          },
        ],
      },
      words(sheet.about),
      ...(sheet.did.length > 0
        ? [words(`${who ? `${who}’s hands` : 'Our hands'}: ${sheet.did.join(', ')}.`)]
        : []),
      ...section('To ask at home', [words(`“${say(paper, sheet.ask)}”`, { bold: true, size: 12 })]),
      ...section(`At home, ${countText(sheet.portions, 'portion')}`, [
        {
          columns: [
            {
              width: '45%',
              stack: sheet.lines.map((l) =>
                words(`${l.amount} ${l.name}${l.prep ? `, ${l.prep}` : ''}`, { bold: false }),
              ),
            },
            { width: '*', ol: steps },
          ],
          columnGap: 12,
        },
      ]),
      ...section(
        'Our words',
        sheet.words.length > 0
          ? [
              table(
                ['Word', 'At home'],
                sheet.words.map((w): Content[] => [
                  words(w.word, { bold: true }),
                  words(w.home.map((h) => h.word).join(', ')),
                ]),
                [120, '*'],
              ),
            ]
          : [],
      ),
      ...section('Guessed and found out', [
        ...sheet.guessed.map((g) => words(g)),
        ...sheet.said.map((s) => words(`“${s}”`)),
      ]),
      ...section('Met today', sheet.met.length > 0 ? [list(sheet.met)] : []),
      ...section(
        'Try again, without pressing',
        sheet.tryAgain.length > 0
          ? [words(`${sheet.tryAgain.join(', ')}. Many foods want to be met ten times and more.`)]
          : [],
      ),
      ...section(
        'Left over',
        sheet.leftovers.map((l) =>
          words(`${l.amount || 'Some'}: at 5 °C or below, eaten until ${dayWords(l.until)}.`),
        ),
      ),
      styled(
        words(
          `The recipe as we cooked it lists: ${sheet.lists.join(', ') || 'none of the allergens Lea knows'}.${sheet.unknown.length > 0 ? ` Not known: ${sheet.unknown.join(', ')}.` : ''} Other packets may list more: read yours. Heat and blades are an adult’s.`,
          { size: 9 },
        ),
        { margin: [0, 10, 0, 0] },
      ),
    ],
  }
}
