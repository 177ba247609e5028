/**
 * Words that make what is spoken of hot, and words that end it. Common practice, from memory; after CAPT, RoSPA and NHS on scalds: a liquid
 * that has just boiled scalds a small child for half an hour.
 */

/** Boiling water, oil, caramel: an adult's at every age here. */
const SCALDING =
  /\b(?:boil(?:s|ed|ing)?|just boiled|kettle|simmer(?:s|ed|ing)?|bubbl(?:e|es|ed|ing)|scald(?:s|ed|ing)?|sizzl(?:e|es|ing)|hot oil|oil is hot|deep fr(?:y|ies|ied|ying)|smoking hot|caramel|hot sugar|melt(?:ed|ing)? sugar|molten|sugar syrup|piping hot|red hot)\b/
const HOT =
  /\b(?:hot|steaming|steam|melt(?:s|ing)?|melted over|over (?:the |a )?(?:hot|simmering|low|medium|gentle|high)(?: \w+)? ?(?:heat|water|flame)?|on the (?:heat|hob|stove|grill|griddle|barbecue|fire|embers)|under the grill|fr(?:y|ies|ied|ying)(?! up)|saut[eé](?:s|ed|ing)?|grill(?:s|ed|ing)?|embers|flames?|over (?:the|a|an)(?: open)? (?:fire|camp ?fire|coals|barbecue)|(?:out of|from) the (?:oven|grill|pan|toaster|microwave|air fryer)|straight from|heat (?:the|it|gently|through|up)|warm through|bring to (?:a|the)|sear(?:s|ed|ing)?|toast(?:s|ing)? (?:the|in)|blowtorch)\b/
/** "A hot dog" is cold, "hard-boiled eggs" were hot yesterday, "a hot oven" waits. */
const NOT_MEANT =
  /\b(?:hot dogs?|hot cross buns?|hot (?:pepper )?sauce|hot chilli(?:es)?|hot smoked|hot water bottle|hard boiled eggs?|(?:soft |hard )?boiled eggs?|boiled sweets?|boiled (?:potato(?:es)?|rice|pasta|carrots?|beetroot|ham)|fried onions|(?:hot|preheated|heated|warm) oven|caramels|grilled (?:peppers?|aubergines?)|steam(?:ed)? puddings?|do not heat|no heat|without heat|hot (?:and|&) cold tap|not hot|no longer hot|hot cold taps?|grill pan|never hot)\b/g
/** "Off the heat" ends the flame, not the heat. */
const COOL =
  /\b(?:cool(?:s|ed|ing)?(?! place)|lukewarm|tepid|hand warm|hand hot|body warm|cold|chill(?:s|ed|ing)?|fridge|freezer|room temperature|set aside (?:to|until)|until (?:warm|cold)|barely warm|just warm|warm not hot|leftover|left over)\b/
const NOT_COOL =
  /\b(?:cold pressed|before it cools|do not let it cool|not cool(?:ed)?|while (?:it is |still )?(?:hot|warm)|still (?:hot|warm)|uncooled|not yet cool)\b/g
const PAN = /\b(?:sauce ?pans?|frying pans?|skillets?|woks?|stock ?pots?|in the pan|the pan)\b/
const COLD_PAN =
  /\b(?:cold|clean|empty|baking|cake|loaf|roasting|muffin|pie|tart|brownie) (?:sauce ?)?pans?\b/g

const plain = (text: string): string =>
  ` ${text.toLowerCase().replace(/[’'`]/g, ' ').replace(/[-‐‑]/g, ' ').replace(/\s+/g, ' ')} `

/** How hot the words are: `scalding` (boiled, hot oil, caramel), `hot`, or null. */
export function heatIn(text: string): 'scalding' | 'hot' | null {
  const words = plain(text).replace(NOT_MEANT, ' ')
  if (SCALDING.test(words)) return 'scalding'
  return HOT.test(words) ? 'hot' : null
}

/** The words end a heat: cooled, lukewarm, cold, in the fridge. */
export const coolsIn = (text: string): boolean => COOL.test(plain(text).replace(NOT_COOL, ' '))

/** A pan of which it is not said that it is cold. */
export const panIn = (text: string): boolean => PAN.test(plain(text).replace(COLD_PAN, ' '))

/** Where the last word of heat stands after the last word that ends it. */
export function stillHot(text: string): 'scalding' | 'hot' | null {
  const words = plain(text)
  const cool = lastOf(
    words.replace(NOT_COOL, (m) => ' '.repeat(m.length)),
    COOL,
  )
  const heat = heatIn(text)
  if (heat === null || cool < 0) return heat
  const from = words.slice(cool)
  return heatIn(from)
}

function lastOf(words: string, pattern: RegExp): number {
  let last = -1
  for (const m of words.matchAll(new RegExp(pattern, 'g'))) last = m.index + m[0].length
  return last
}
