/** Which rows of a table free words name, and what the words say of each. */
import { normaliseLabel } from '../label/text'

const padded = (text: string): string => ` ${normaliseLabel(text)} `

/** The same words are asked about again and again; a few thousand are kept. */
const PADDED = new Map<string, string>()
function paddedOnce(text: string): string {
  const known = PADDED.get(text)
  if (known !== undefined) return known
  if (PADDED.size > 4000) PADDED.clear()
  const words = padded(text)
  PADDED.set(text, words)
  return words
}

/** Does the phrase stand in the words, whole? */
export const hasWord = (text: string, phrase: string): boolean =>
  paddedOnce(text).includes(paddedOnce(phrase))

/** After one of these a food's name is only where it comes from: almond milk, tomato ketchup, carrot cake. */
const MADE_OF = new Set(
  (
    'milk drink oil flour extract essence powder syrup vinegar stock broth sauce ketchup puree paste jam marmalade cake cakes muffin muffins pie ' +
    'soup crumble curry juice starch gum seasoning flavour flavouring flavor flavoring biscuit biscuits cookie cookies cereal cereals yoghurt yogurt ' +
    'smoothie sorbet chutney relish passata cordial squash essential blossom flower leaves leaf bouillon gravy dip spread'
  ).split(' '),
)

interface Row {
  names: readonly string[]
  not?: readonly string[]
}
export interface RowNamed<R> {
  row: R
  /** The name that was met, as it is matched. */
  name: string
}

/**
 * Rows whose name stands in the words; a name inside a longer one that also stands there is not meant.
 * @param whole a name before "milk", "oil", "sauce" is not meant: of what is eaten as it is
 */
export function rowsNamed<R extends Row>(rows: readonly R[], words: string, whole = true): RowNamed<R>[] {
  const text = padded(words)
  const hits = rows.flatMap((row) => {
    const others = (row.not ?? []).map(padded).filter((n) => text.includes(n))
    return namesOf(row).flatMap((name) =>
      placesOf(text, name).filter((at) => !(whole && MADE_OF.has(wordAfter(text, at, name)))).length > 0 &&
      !others.some((n) => n.includes(` ${name} `))
        ? [{ row, name }]
        : [],
    )
  })
  const kept = hits.filter(
    (h) => !hits.some((o) => o.name !== h.name && ` ${o.name} `.includes(` ${h.name} `)),
  )
  return [...new Map(kept.map((h) => [h.row, h])).values()]
}

const NAMES = new WeakMap<Row, string[]>()
function namesOf(row: Row): string[] {
  let names = NAMES.get(row)
  if (!names) NAMES.set(row, (names = row.names.map(normaliseLabel)))
  return names
}

function placesOf(text: string, name: string): number[] {
  const out: number[] = []
  for (let at = text.indexOf(` ${name} `); at >= 0; at = text.indexOf(` ${name} `, at + 1)) out.push(at)
  return out
}
const wordAfter = (text: string, at: number, name: string): string =>
  text.slice(at + name.length + 2).split(' ')[0] ?? ''
