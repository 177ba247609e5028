/**
 * Pass 3, portion: each bowl's lines scaled exactly to its children.
 *
 * Does little yet: every line is scaled in proportion; eggs that do not come out whole are said, not solved; tins, cases
 * and leftovers come later.
 */
import { amountText } from '../amount/show'
import { isWhole, ratio, toText } from '../amount/ratio'
import { eggCount, factorBetween, scale } from '../amount/scale'
import { foodName } from '../food/foods'
import { standsIn } from './bowls'
import type { AdaptedLine, Pass, Portioned, Shaped } from './draft'
import { finding, type Finding } from './finding'
import type { Bowl } from './plan'

/** Edible grams of one egg. Source: SR, US large, from memory. */
const EGG_GRAMS = '50'

export const portion: Pass<Shaped, Portioned> = (draft) => {
  const findings: Finding[] = []
  const bowls: Bowl[] = draft.bowls.map((bowl) => {
    const factor = factorBetween(draft.recipe.serves, bowl.children.length)
    const lines = draft.lines
      .filter((line) => standsIn(line, bowl.id))
      .map((line) => {
        const amount = scale(line.amount, factor).amount
        return {
          ...line,
          amount,
          name: foodName(draft.foods.of(line.food), line.unit === 'item' && ratio(amount).compare(1) > 0),
          text: amountText(amount, line.unit),
          recipeText: amountText(line.amount, line.unit),
        }
      })
    return { ...bowl, lines }
  })
  for (const line of draft.lines) findings.push(...eggFinding(line, bowls))
  return { draft: { ...draft, bowls }, findings }
}

function eggFinding(line: AdaptedLine, bowls: readonly Bowl[]): Finding[] {
  if (line.food !== 'egg-hen' || line.unit !== 'item') return []
  const amounts = bowls.flatMap((b) => b.lines.filter((l) => l.id === line.id).map((l) => ratio(l.amount)))
  if (amounts.every(isWhole)) return []
  const each = [...new Set(amounts.filter((a) => !isWhole(a)).map(toText))].map((text) => {
    const count = eggCount(text, ratio(1), EGG_GRAMS, EGG_GRAMS)
    return count.suggest === 'whole'
      ? `${amountText(text, 'item')}: ${count.nearest} is near enough`
      : `${amountText(text, 'item')}: beat ${count.roundUp} and use ${amountText(count.needed_g, 'g')}`
  })
  return [
    finding({
      rule: 'whole-eggs',
      pass: 'portion',
      grade: 'know',
      subject: { line: line.id },
      touches: [],
      says: `Eggs do not come out whole. ${each.join('. ')}.`,
      because: 'Within 10 % a whole egg is near enough; otherwise beat and weigh.',
      source: 'common practice',
      fixes: [],
      restsOn: amounts.map(toText),
    }),
  ]
}
