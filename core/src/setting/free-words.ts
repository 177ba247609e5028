/** Free words in which somebody's name stands: where they are, and what is left of them when it is blanked. */

/** What a stored thing is that people type words into. */
export type WordsIn = 'event' | 'session' | 'recipe' | 'child' | 'rules'

/** Where that is, for a list of places. */
export const WORDS_IN: Record<WordsIn, string> = {
  event: 'noted at the table',
  session: 'written into the plan',
  recipe: 'in the recipe',
  child: 'on the card of',
  rules: 'in your own rules',
}

/** By thing, the fields that hold words somebody typed; what stands in no field of these is Lea's own, or an id. */
const FIELDS: Record<WordsIn, ReadonlySet<string>> = {
  event: new Set([
    ...['text', 'done', 'lines', 'word', 'says', 'truth', 'amount', 'reason', 'name'],
    // Of what is left, what was measured and what is thrown away; of an incident it is one of a list.
    'what',
  ]),
  session: new Set(['says', 'answer', 'why', 'buy']),
  recipe: new Set([
    ...['title', 'about', 'storage', 'says', 'why', 'how', 'prep', 'what', 'name', 'text', 'note', 'layers'],
    ...['of', 'asks', 'answers', 'variety'],
    'equipment',
  ]),
  // What a card says of allergies is never blanked, whatever it is called.
  child: new Set(['carePlan']),
  rules: new Set(['ownRules']),
}

const MARK = /\p{M}/gu
/** Small letters without accents, letter for letter, so that a place in it is the same place in the text. */
const plain = (text: string): string =>
  Array.from(text, (letter) => {
    const bare = letter.normalize('NFD').replace(MARK, '').toLowerCase()
    return bare.length === letter.length ? bare : letter
  }).join('')

const placesOf = (text: string, name: string): number[] => {
  const [hay, needle] = [plain(text), plain(name.normalize('NFC').trim())]
  if (needle === '') return []
  const places: number[] = []
  const letter = /[\p{L}\p{M}\p{N}]/u
  for (let at = hay.indexOf(needle); at >= 0; at = hay.indexOf(needle, at + 1)) {
    const before = Array.from(hay.slice(0, at)).at(-1) ?? ' '
    const after = Array.from(hay.slice(at + needle.length))[0] ?? ' '
    if (!letter.test(before) && !letter.test(after)) places.push(at)
  }
  return places
}

/** Whether a name stands in a text as a word of its own: whatever the case and the accents, and with an 's' of its own. */
export const nameStandsIn = (text: string, name: string): boolean =>
  placesOf(text.normalize('NFC'), name).length > 0

/** What stands where a name was. */
export const BLANK = '…'

/** A text without that name. */
export function withoutName(text: string, name: string): string {
  let left = text.normalize('NFC')
  const length = name.normalize('NFC').trim().length
  for (const at of placesOf(left, name).reverse()) left = left.slice(0, at) + BLANK + left.slice(at + length)
  return left
}

/** The texts of a stored thing that somebody typed and in which the name stands, each once. */
export function textsWith(of: WordsIn, thing: unknown, name: string): string[] {
  const found = new Set<string>()
  const walk = (value: unknown, field: string): void => {
    if (typeof value === 'string') {
      if (FIELDS[of].has(field) && nameStandsIn(value, name)) found.add(value)
    } else if (Array.isArray(value)) for (const one of value) walk(one, field)
    else if (value && typeof value === 'object')
      for (const [key, one] of Object.entries(value)) walk(one, key)
  }
  walk(thing, '')
  return [...found]
}

/** A stored thing in which these texts, wherever they stand in it, have lost the name; nothing else of it changes. */
export function withoutNameIn<T>(thing: T, texts: readonly string[], name: string): T {
  const walk = (value: unknown): unknown => {
    if (typeof value === 'string')
      return texts.reduce((text, one) => text.replaceAll(one, () => withoutName(one, name)), value)
    if (Array.isArray(value)) return value.map(walk)
    if (value && typeof value === 'object')
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, walk(one)]))
    return value
  }
  return walk(thing) as T
}
