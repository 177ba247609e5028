/**
 * Faults of a camera in a scanned page: mended only where one reading makes sense ("l00 g", "5O ml", "55q", "tornatoes", "180oC"); what could
 * be read in two ways stays as it stands and is asked about where it stands.
 */
import { resolveExactly, resolveFood } from '../../../food/food-names'

const UNIT = 'g|kg|ml|mL|l|oz|lb|tsp|tbsp|cups?|cm|min|mins|minutes|C|°'
const MENDS: [RegExp, string][] = [
  // O and o among digits are noughts; l and I are ones.
  [/(?<=\d[Oo]*)[Oo](?=[\dOo]|\s?(?:g|ml|oC|kg)\b|\s?[°º])/g, '0'],
  [/(?<=\d)[Oo](?=\d|0)/g, '0'],
  [/(?<![\p{L}\d])[lI](?=\d)/gu, '1'],
  [/(?<=\d)[lI](?=\d)/g, '1'],
  [/^(\s*)(?:l(?= {1,2}\p{L})|I(?= {2,}\p{L}))/gmu, '$11'],
  [/(?<=\bmakes |\bserves |\bfor )[lI](?=\d)/gi, '1'],
  [/(?<=\d ?)q\b/g, 'g'],
  [/\b1(?=itres?\b)/g, 'l'],
  [/(\d)\s?[oº]\s?(?=C\b)/g, '$1°'],
  [/(?<=\d)(?:°|º|o)\s?(?=[CF]\b)/g, '°'],
  // A digit inside a word is a letter.
  [/(?<=\p{L}{2})1+(?![\d/])|(?<=\p{Ll})1(?=\p{Ll})/gu, '\u0001'],
  [/(?<=\p{Lu})0(?=\p{Lu})/gu, 'O'],
  [/(?<=\p{L})0(?=\p{Ll})/gu, 'o'],
  [new RegExp(`^(\\s*)(\\d) (\\d{2}) ?(?=(?:${UNIT})\\b)`, 'gm'), '$1$2$3 '],
  [/\bS\. ?R\. (?=flour)/g, 'self-raising '],
  [/(?<=\d) pt\. /g, ' pint '],
]
/** Kitchen words in which a camera reads "rn" for "m". */
const WITH_M = new Set(
  'minutes minute min mins medium mix mixture melt mash warm cream simmer lemon lemons tomato tomatoes tomatoe mushroom mushrooms milk ham lamb lime limes marmalade almond almonds cumin cinnamon room temperature bottom smooth foam'.split(
    ' ',
  ),
)

/** @param lines of the page */
export function mendScan(lines: readonly string[]): string[] {
  return lines.map((line) => {
    let text = line
    for (const [words, to] of MENDS)
      text =
        to === '\u0001' ? text.replace(words, (ones) => 'l'.repeat(ones.length)) : text.replace(words, to)
    const one = /^I (\p{L}[\p{L} ]+)$/u.exec(text.trim())
    if (one?.[1] && resolveFood(one[1]) !== null) text = `1 ${one[1]}`
    return text.replace(/\p{L}*rn\p{L}*/giu, mended)
  })
}

/** "tornatoes" is tomatoes; "corn", "turn" and "burn" are words of their own. */
function mended(word: string): string {
  const other = word.replace(/rn/gi, (at) => (at === 'RN' ? 'M' : 'm'))
  const known = WITH_M.has(other.toLowerCase()) && resolveExactly(word) === null
  return known ? other : word
}
