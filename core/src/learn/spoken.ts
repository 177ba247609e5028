/**
 * Amounts as they are said: "1 1/2 cups" is "one and a half cups", "1/4 cup" is "a quarter of a cup" in the UK and "a quarter cup" in
 * the US. For reading aloud; on the page the figures stay. Source: learning.md B0 (from memory).
 */
import type { Locale } from './fact/saying'
import { numberWord } from './number-words'

const PART_NAMES: Record<number, [string, string]> = {
  2: ['half', 'halves'],
  3: ['third', 'thirds'],
  4: ['quarter', 'quarters'],
  5: ['fifth', 'fifths'],
  6: ['sixth', 'sixths'],
  8: ['eighth', 'eighths'],
  10: ['tenth', 'tenths'],
  12: ['twelfth', 'twelfths'],
}
const said = (n: number, locale: Locale): string => numberWord(n, locale)?.word ?? String(n)

function partSaid(n: number, d: number, locale: Locale): string | null {
  const names = locale === 'en-US' && d === 4 && n > 1 ? (['fourth', 'fourths'] as const) : PART_NAMES[d]
  if (!names) return null
  if (n !== 1) return `${said(n, locale)} ${names[1]}`
  return d === 2 ? 'half' : `${/^[aeiou]/.test(names[0]) ? 'an' : 'a'} ${names[0]}`
}

/** Whole, part and what follows: `1 3/4 cups`, `1/2 cup`, `3/4`. */
const AMOUNT =
  /(?<![\d:.,/])(?:(\d+) )?(\d+)\/(\d+)(?![\d/])(?: (cups?|tsp|tbsp|teaspoons?|tablespoons?|litres?|liters?)\b)?/g
const UNIT_SAID: Record<string, string> = { tsp: 'teaspoon', tbsp: 'tablespoon' }

/** A text with its fractions in words; what has no name stays as it is. */
export function spokenText(text: string, locale: Locale = 'en-GB'): string {
  return text.replace(AMOUNT, (all, whole: string | undefined, n: string, d: string, unit?: string) => {
    const part = partSaid(Number(n), Number(d), locale)
    if (part === null) return all
    const one = unit ? (UNIT_SAID[unit] ?? unit.replace(/s$/, '')) : ''
    if (whole !== undefined) {
      const joined = `${said(Number(whole), locale)} and ${part === 'half' ? 'a half' : part}`
      return one ? `${joined} ${one}s` : joined
    }
    if (!one) return part === 'half' ? 'a half' : part
    if (part === 'half') return `half a ${one}`
    return locale === 'en-US' ? `${part} ${one}` : `${part} of a ${one}`
  })
}
