/** Whose book a recipe is from, by its words: a US recipe pasted in a UK house has US cups all the same. Words by common practice, from memory. */
import type { System } from '../../amount/unit-words'

const US: RegExp[] = [
  /\d\s*(?:°|º|degrees?)?\s*F\b/,
  /\b(?:[34]\d0|4[27]5|3[27]5)\s*(?:°|degrees)(?!\s*C)/i,
  /\ball[- ]purpose\b/i,
  /\bkosher salt\b/i,
  /\bsticks?\b(?: \([^)]*\))? (?:of )?(?:cold |soft |unsalted |salted )*butter\b/i,
  /\b(?:confectioners|powdered) ?['’]?s? sugar\b/i,
  /\b(?:cilantro|zucchini|eggplant|scallions?|arugula|cornmeal|garbanzo|heavy cream|half[- ]and[- ]half|molasses|baking soda|graham|cornstarch|ground (?:beef|turkey|pork)|bell pepper|canola)\b/i,
  /\b(?:skillet|broil(?:er)?|cookie sheet|parchment|baking sheet|saran|ziploc|dutch oven)\b/i,
  /\b(?:8|9|13)[- ]?(?:x|by|×)[- ]?(?:8|9|13)(?:[- ]inch| in\b|")?/i,
  /\b(?:15|14\.5|8|28)(?:[- ]ounce|[- ]oz)\b/i,
  /\b(?:color|flavor|favorite|liters?)\b/i,
]
const UK: RegExp[] = [
  /\bgas(?: mark)? ?\d/i,
  /\b(?:plain|self[- ]raising|strong(?: white)?|wholemeal) flour\b/i,
  /\b(?:caster|icing|demerara|golden syrup|treacle|bicarbonate of soda|bicarb)\b/i,
  /\b(?:courgettes?|aubergines?|rocket|swede|mangetout|coriander leaves|spring onions?|double cream|single cream|cornflour|mince\b|tin of|baking tray|greaseproof|cling ?film|hob|grill)\b/i,
  /\d\s*(?:°|º)?\s*C\b/,
  /\d\s*(?:g|kg|ml|litres?)\b/i,
]

export interface SystemRead {
  system: System
  /** Said where it is not the house's own. */
  because?: string
}

/** @param given the house's own; the words stand over it only where they are plain */
export function systemIn(text: string, given: System): SystemRead {
  const us = US.filter((w) => w.test(text)).length
  const uk = UK.filter((w) => w.test(text)).length
  const spoons = /\b(?:cups?|c\.|tbsp|tablespoons?|tsp|teaspoons?|fl\.? ?oz|pints?|quarts?|sticks?)\b/i.test(
    text,
  )
  if (!spoons) return { system: given }
  if (given !== 'us' && us >= 2 && us > uk)
    return { system: 'us', because: 'its words are those of a US book: cups and spoons are read as US ones' }
  if (given === 'us' && uk >= 2 && us === 0)
    return {
      system: 'uk',
      because: 'its words are those of a UK book: cups and spoons are read as metric ones',
    }
  return { system: given }
}
