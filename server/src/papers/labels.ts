import { allergenName, foodBook } from '@lea/core/food'
import { holdsOf } from '@lea/core/recipe'
import { KEPT_WORDS } from '@lea/core/session'
import { keptInRecipe } from '@lea/core/setting'
import type { Content } from 'pdfmake/interfaces'
import { cardGrid } from './cards'
import { dayWords, footOf, type Paper } from './paper'
import { small, words, type Page } from './pdf'

/** How cold it is kept there. Source: FSA, from memory. */
const COLD = { fridge: ', 5 °C or below', freezer: ', −18 °C', room: '', home: ': at 5 °C or below' }

/** Labels for what is left: what it is, when it was made, until when it is eaten, what it lists. */
export function labelsPaper(paper: Paper): Page {
  const { plan, session, state, setting } = paper
  const recipe = keptInRecipe(paper.recipe, session.decisions) ?? paper.recipe
  const { lists, unknown } = holdsOf(recipe, foodBook(setting.foods))
  const cards = state.leftovers.map((l): Content => ({
    stack: [
      words(plan.recipe.title, { bold: true, size: 16 }),
      words(l.amount),
      words(`Made ${dayWords(session.date)}`),
      words(`Eat until ${dayWords(l.until)}`, { bold: true, size: 13 }),
      words(`${KEPT_WORDS[l.place]}${COLD[l.place]}`),
      words(`Lists: ${lists.map(allergenName).join(', ') || 'none of the allergens Lea knows'}`, {
        bold: true,
        size: 9,
      }),
      ...(unknown.length > 0 ? [words(`Not known to Lea: ${unknown.join(', ')}`, { size: 9 })] : []),
      small('Check the packets. Not from a child’s plate. Reheat once, piping hot.'),
    ],
  }))
  return {
    title: `Labels: ${plan.recipe.title}`,
    foot: footOf(paper),
    content: cards.length > 0 ? [cardGrid(cards, 2)] : [words('Nothing that is left was noted.')],
  }
}
