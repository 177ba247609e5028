/** What families write on a card, in the languages that are read: core/data/card-words.json (common practice, from memory). */
import data from '../../../data/card-words.json'
import { ALLERGENS, allergenName } from '../allergens'
import { normaliseLabel } from '../label/text'

const plain = (text: string): string => normaliseLabel(text)
const words = (text: string): ReadonlySet<string> => new Set(text.split(/\s+/).map(plain).filter(Boolean))
const phrases = (text: string): string[][] =>
  text
    .split('|')
    .map((p) => plain(p).split(' ').filter(Boolean))
    .filter((p) => p.length > 0)
    .sort((a, b) => b.length - a.length)

/** Words that name more than one, or that no label uses. `+` at the end: there is more of it than Lea has ids for. */
export const SAID: ReadonlyMap<string, string> = new Map(
  Object.entries(data.said).map(([k, v]) => [plain(k), v]),
)
/** They say that it is an allergy, how it shows, whose it is; or name an allergy to what is no food. */
export const ABOUT = words(data.about)
/** They add nothing to what stands beside them. */
export const FILLERS: ReadonlySet<string> = new Set([...ABOUT, ...words(data.fillers)])
export const EXCEPT = phrases(data.except)
export const ALLOWED = phrases(data.allowed)
export const BAKED = phrases(data.baked)

const NONE = new Set(
  data.none
    .split('|')
    .map((p) => plain(p))
    .filter(Boolean),
)
/** A dash, a nought, or a family's word for nothing. */
export const isNone = (text: string): boolean =>
  /^[-–—\s.0]*$/.test(text) || NONE.has(plain(text.replace(/[.!]+$/, '')))

/** How many words of a text a "none" takes up at its beginning: "no known allergies except peanut". */
export function noneBefore(tokens: readonly string[]): number {
  for (let n = Math.min(tokens.length, 7); n > 0; n--) if (NONE.has(tokens.slice(0, n).join(' '))) return n
  return 0
}

/** "prawn / shrimp / scampi" are names of one; a name with a comma or brackets is a description. */
const synonyms = (name: string): string[] => (/[,(>]|gelatine$/.test(name) ? [] : name.split('/'))
/** The names of allergens, as they are matched. */
export const BY_NAME: ReadonlyMap<string, string> = new Map(
  ALLERGENS.flatMap((a) =>
    [a.id, a.id.replaceAll('-', ' '), allergenName(a.id), ...synonyms(a.name)].map(
      (name) => [plain(name.trim()), a.id] as const,
    ),
  ),
)
