/** A fact in a few words, to choose it by. */
import { toMixed, ratio } from '../amount/ratio'
import type { Fact } from './facts'

export function factLabel(fact: Fact): string {
  switch (fact.kind) {
    case 'scoop':
      return `scoops of ${fact.food}`
    case 'count':
      return fact.aloud ? `counting aloud to ${fact.n}` : `${fact.n} ${fact.food}`
    case 'share':
      return `sharing ${fact.n} ${fact.food}`
    case 'timer':
      return `a wait of ${fact.minutes} min`
    case 'order':
      return 'what comes first and next'
    case 'jug':
      return `how full the ${fact.vessel} is`
    case 'cut':
      return `${fact.food} in ${fact.pieces} pieces`
    case 'vessel':
      return `${fact.food}: ${fact.parts.map((p) => `${p.n} × ${p.name}`).join(' + ')}`
    case 'layers':
      return `${fact.core.join(', ')} from below`
    case 'layer':
      return `the pattern ${fact.core.join(', ')}`
    case 'tin':
      return `${fact.rows} rows of ${fact.cols}`
    case 'weigh':
      return `${toMixed(ratio(fact.grams))} g of ${fact.food}`
    case 'compare':
      return `${fact.a.name} beside ${fact.b.name}`
    case 'price':
      return 'what it costs'
    case 'scale':
      return `the recipe for ${fact.from}, and us ${fact.to}`
    case 'temp':
      return 'hot and cold'
    case 'shape':
      return `the shape: ${fact.shape}`
    case 'mirror':
      return `${fact.food}, left and right`
    case 'tastes':
      return `the tastes: ${fact.foods.join(', ')}`
    case 'vote':
      return 'who would like more'
    case 'tell':
      return 'only words'
  }
}
