/**
 * Units that are written in several words, or that stand behind or around the number, brought into one word before a line is read.
 * Kitchen words of English, German, French, Spanish, Italian, Portuguese, Polish, Dutch, Swedish, Ukrainian; from memory.
 */

/** What is written, and the one word for it that `unitWord` knows. */
const PHRASES: [RegExp, string][] = [
  [/(?<![\p{L}])(?:c(?:uill(?:ères?|erées?|\.)?)?\.?|cs)[ ]?(?:à|a)[ ]?(?:s(?:oupe)?\b\.?|table\b)/giu, 'EL'],
  [/(?<![\p{L}])(?:c(?:uill(?:ères?|erées?|\.)?)?\.?)[ ]?(?:à|a)[ ]?(?:c(?:af[ée])?\b\.?|th[ée]\b)/giu, 'TL'],
  [/\bcolher(?:es)? de sopa\b/gi, 'EL'],
  [/\bcolher(?:es)? de (?:chá|café)(?![\p{L}])/giu, 'TL'],
  [/\bcolher(?:es)? de sobremesa\b/gi, 'dessertspoon'],
  [/\bcucharadas? soperas?\b/gi, 'EL'],
  [/\bcucharaditas? de (?:té|café)(?![\p{L}])/giu, 'TL'],
  [/(?<![\p{L}])ст(?:олов[аиі]\p{L}*|\.)? ?л(?:ож\p{L}*|\.)?(?![\p{L}])/giu, 'EL'],
  [/(?<![\p{L}])ч(?:айн[аиі]\p{L}*|\.)? ?л(?:ож\p{L}*|\.)?(?![\p{L}])/giu, 'TL'],
  [/\btable ?-?spoons?(?:fuls?)?\b/gi, 'tbsp'],
  [/\btea ?-?spoons?(?:fuls?)?\b/gi, 'tsp'],
  [/\bdessert ?-?spoons?(?:fuls?)?\b/gi, 'dsp'],
  [/\b(?:soup|serving) ?spoons?(?:fuls?)?\b/gi, 'tbsp'],
  [/\bfl(?:uid)?\.? ?(?:oz\b\.?|ounces?\b)/gi, 'floz'],
  [/\b15 ?-?m[lL](?: measuring)? spoons?\b/gi, 'tbsp'],
  [/\b5 ?-?m[lL](?: measuring)? spoons?\b/gi, 'tsp'],
  [
    /(?<=[\d½¼¾⅓⅔] ?)(?:in|inch|cm)(?:es)?\b(?=[- ]?(?:piece|chunk|knob|thumb|stick|slice|length|bit)\b)/gi,
    'inch',
  ],
]

/** "3 EL" for "3 c. à s.": one word a unit. */
export const plainUnits = (line: string): string =>
  PHRASES.reduce((text, [words, unit]) => text.replace(words, unit), line)

/**
 * A spoon or measure of which nobody says how large it is: "3 big spoons", "2 spoons", "a small spoon".
 * @returns the unit that Lea takes it for, and what it was called
 */
export function vagueSpoon(words: string): { unit: string; called: string; rest: string } | null {
  const m =
    /^((?:(?:big|large|heaped|heaping|wooden|small|little|tiny|good|level) )*)(spoons?(?:fuls?)?)\b(?: of)? ?(.*)$/i.exec(
      words,
    )
  if (!m) return null
  const size = m[1] ?? ''
  return {
    unit: /small|little|tiny/i.test(size) ? 'tsp' : 'tbsp',
    called: `${size}${m[2] ?? ''}`.trim().toLowerCase(),
    rest: m[3] ?? '',
  }
}
