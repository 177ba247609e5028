/** Tools, tins and cut sizes that a recipe's words name. Common kitchen words, from memory. */
import type { Tin } from '../../amount/packs'
import { ratio, toText, type Ratio } from '../../amount/ratio'

const TOOLS: [RegExp, string][] = [
  [/\b(large|big|mixing) bowls?\b/i, 'big bowl'],
  [/\bbaking (tray|sheet)s?\b/i, 'baking tray'],
  [/\b(muffin|bun) tins?\b/i, 'bun tin'],
  [/\bloaf tins?\b/i, 'loaf tin'],
  [/\bfrying pans?\b|\bskillets?\b/i, 'frying pan'],
  [/\bsauce ?pans?\b|\b(large|big|small) pans?\b|\bpots? of (boiling )?water\b/i, 'big pan'],
  [/\bgriddles?\b/i, 'griddle'],
  [/\brolling pins?\b/i, 'small rolling pins'],
  [/\bcutters?\b|\bcut out\b/i, 'cutters'],
  [/\bgraters?\b|\bgrate\b/i, 'grater'],
  [/\bwhisks?\b/i, 'whisk'],
  [/\bsieves?\b|\bsift\b|\bcolander\b/i, 'sieve'],
  [/\bmashers?\b|\bmash\b/i, 'mashers'],
  [/\bscissors\b|\bsnip\b/i, 'child scissors'],
  [/\b(chop|slice|dice|halve|quarter|cut)\b(?! out)/i, 'boards'],
  [/\bpeel(er)?\b/i, 'peeler'],
  [/\b(pastry )?brush(es)?\b/i, 'brush'],
  [/\bbaking (paper|parchment)\b|\bparchment\b|\bgreaseproof\b/i, 'baking paper'],
  [/\b(kitchen )?foil\b/i, 'foil'],
  [/\b(paper|muffin|bun|cup ?cake) cases\b/i, 'paper cases'],
  [/\bjars?\b/i, 'jars with lids'],
  [/\bkettle\b/i, 'kettle (adult)'],
  [/\bblender\b|\bfood processor\b/i, 'blender (adult)'],
  [/\bthermometer\b/i, 'probe thermometer'],
]

/** Names of tools in the order of the list; what hands do names some of them too ("mash"). */
export const toolsIn = (texts: readonly string[]): string[] => {
  const all = texts.join('\n')
  return TOOLS.filter(([words]) => words.test(all)).map(([, name]) => name)
}

const ACROSS =
  /(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|in(?:ch(?:es)?)?|")\s*-?\s*(round|square)?\s*-?\s*(?:deep |loose-bottomed |springform )*(?:cake |baking )?(?:tin|pan)\b/i
const SIDES =
  /(\d{1,2}(?:\.\d)?)\s*(?:cm|in(?:ch(?:es)?)?|")?\s*[x×]\s*(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|in(?:ch(?:es)?)?|")\s*-?\s*(?:\p{L}+ )?(?:tin|pan|dish)\b/iu
const unitOf = (word: string | undefined): 'cm' | 'in' => (word?.toLowerCase() === 'cm' ? 'cm' : 'in')

const side = (digits: string | undefined): Ratio => toText(ratio(digits ?? '1'))

/** The tin that the amounts are written for, where its size is said: round where no shape is. */
export function tinIn(texts: readonly string[]): Tin | undefined {
  for (const text of texts) {
    const sides = SIDES.exec(text)
    if (sides) return { shape: 'rect', a: side(sides[1]), b: side(sides[2]), unit: unitOf(sides[3]) }
    const across = ACROSS.exec(text)
    if (!across) continue
    const [, size = '', unit, shape] = across
    return /square/i.test(shape ?? '')
      ? { shape: 'square', s: side(size), unit: unitOf(unit) }
      : { shape: 'round', d: side(size), unit: unitOf(unit) }
  }
  return undefined
}

const CUT =
  /\b(?:about )?(\d+(?:\.\d+)?)\s*-?\s*(mm|cm|in(?:ch(?:es)?)?)\s*-?\s*(cubes?|dice|pieces?|chunks?|slices?|rounds?|sticks?|strips?)\b/gi
/** "1 cm cubes": how small a firm food is cut is kept as a note, for whether it suits the youngest is judged by its shape. */
export const cutSizesIn = (texts: readonly string[]): string[] => [
  ...new Set(
    texts.flatMap((t) => [...t.matchAll(CUT)].map((m) => `${m[1] ?? ''} ${m[2] ?? ''} ${m[3] ?? ''}`)),
  ),
]
