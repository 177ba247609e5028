/**
 * Pass 8, gather: the kit, what to do ahead, and what to buy in all.
 */
import { preparationText } from '../../food/by-age/choking'
import type { Clocked, Gathered, Pass } from '../model/draft'
import { nameToken } from '../model/finding'
import type { Plan } from '../model/plan'
import { fewTools, kitOf } from './kit'
import { missingPlaces } from './places'
import { shoppingOf } from './shopping'

export const gather: Pass<Clocked, Gathered> = (draft, request) => {
  const { rows, cost } = shoppingOf(draft, request)
  const turnCounts = draft.totals.perChild.map((p) => p.turns)
  return {
    draft: {
      ...draft,
      kit: kitOf(draft, request),
      ahead: aheadOf(draft),
      shopping: rows,
      cost,
      bounds: { leastTurns: Math.min(...turnCounts), mostTurns: Math.max(...turnCounts) },
    },
    findings: [...missingPlaces(draft, request), ...fewTools(draft, request)],
  }
}

function aheadOf(draft: Clocked): Plan['ahead'] {
  const ahead: Plan['ahead'] = []
  for (const b of draft.background)
    ahead.push({
      when: b.sitting === 1 ? b.at : `${b.at}, sitting ${b.sitting}`,
      says: `${b.says}, ${b.adult ? nameToken(b.adult) : 'an adult'}.`,
    })
  for (const line of draft.lines) {
    if (line.prep) ahead.push({ when: 'before', says: `${line.name}: ${line.prep}` })
    else if (line.shape) ahead.push({ when: 'before', says: `${line.name}: ${preparationText(line.shape)}` })
    if (line.method)
      ahead.push({ when: 'before', says: `instead of ${line.swappedFrom ?? line.name}: ${line.method}` })
  }
  ahead.push({ when: 'on the day', says: 'Two adults read every packet and sign.' })
  return ahead.filter((a, i) => ahead.findIndex((b) => b.says === a.says) === i)
}
