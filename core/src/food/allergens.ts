/**
 * The allergen vocabulary: which words of a food or packet a child's concern meets.
 * Ids and hierarchy: core/data/allergens.json (EU 1169/2011 Annex II, FALCPA 2004, FASTER Act 2021; from memory).
 */
import data from '../../data/allergens.json'

export interface Allergen {
  id: string
  name: string
  parent: string | null
  kind: string
  uk14: boolean
  us9: boolean
  note: string
  confidence: string
  source: string
}

/** Every allergen that Lea knows (core/data/allergens.json), each with its source. */
export const ALLERGENS: readonly Allergen[] = data.allergens
const BY_ID = new Map(ALLERGENS.map((a) => [a.id, a]))

export const allergenOf = (id: string): Allergen | undefined => BY_ID.get(id)

/** Where the first word of the name is not the one that people say. */
const SAID_NAMES = new Map([
  ['coeliac', 'gluten'],
  ['lactose-intolerance', 'lactose'],
  ['bean', 'beans'],
  ['gelatine', 'gelatine'],
  ['stone-fruit', 'stone fruit'],
  ['yeast', 'yeast'],
  ['sheep-milk', 'sheep milk'],
  ['mustard', 'mustard'],
  ['sulphites', 'sulphites'],
  ['cochineal', 'cochineal'],
  ['annatto', 'annatto'],
  ['colours-azo', 'azo colours'],
])

/** The word people read: `soya`, `milk`; free words stay as they are. */
export const allergenName = (id: string): string =>
  SAID_NAMES.get(id) ?? (BY_ID.get(id)?.name ?? id).split(/[,:(/]| incl/)[0]?.trim() ?? id

/** How an allergen stands in a field that is written in words: "lactose"; coeliac disease is more than gluten. Free words stay. */
export const allergenInField = (id: string): string => (id === 'coeliac' ? id : allergenName(id))

const BY_WORDS = new Map(ALLERGENS.map((a) => [allergenInField(a.id).toLowerCase(), a.id]))
/** The allergen that a field says by its very name; any other words as they are. */
export const allergenFromField = (words: string): string =>
  BY_WORDS.get(words.trim().toLowerCase()) ?? words.trim()

/** Nuts that are all but the same to the immune system: a child with one is treated as having both. Source: IUIS. */
const PAIRS: Record<string, string> = {
  cashew: 'pistachio',
  pistachio: 'cashew',
  walnut: 'pecan',
  pecan: 'walnut',
}

/** Groups within which an unnamed or a sibling member is a reason to ask. Source: IUIS, from memory. */
const CROSS_REACTING = new Set(['tree-nuts', 'fish', 'crustaceans', 'molluscs'])

const PARENTS = new Map(ALLERGENS.map((a) => [a.id, a.parent?.split(' ')[0] ?? null]))
export const parentOf = (id: string): string | null => PARENTS.get(id) ?? null

/** Is this the group itself, or a member of it at any depth? */
export const isOrUnder = (id: string, group: string): boolean => {
  for (let at: string | null = id; at !== null; at = parentOf(at)) if (at === group) return true
  return false
}

/** How a list of allergen ids meets one allergen. `unsure` is a reason to ask, never a clearance. */
export type ListMatch = 'yes' | 'unsure' | 'no'

/**
 * Does a list of ids (what a food contains) hold this allergen?
 * A group named alone ("nuts") holds every member that could be meant. A sibling of a cross-reacting group is `unsure`.
 */
export function listHolds(ids: readonly string[], allergen: string): ListMatch {
  const wanted = [allergen, PAIRS[allergen]].filter((x): x is string => x !== undefined)
  if (ids.some((id) => wanted.some((w) => isOrUnder(id, w)))) return 'yes'
  if (allergen === 'coeliac') {
    const gluten = ids.filter((id) => isOrUnder(id, 'gluten-cereals'))
    if (gluten.length === 0) return 'no'
    return gluten.some((id) => id !== 'oats' && id !== 'gluten-cereals') || !gluten.includes('oats')
      ? 'yes'
      : 'unsure'
  }
  if (allergen === 'lactose-intolerance') return ids.some((id) => isOrUnder(id, 'milk')) ? 'yes' : 'no'
  const group = parentOf(allergen)
  if (group === null || !ids.includes(group)) return 'no'
  const named = ids.filter((id) => id !== group && isOrUnder(id, group))
  if (named.length === 0) return 'yes'
  return CROSS_REACTING.has(group) ? 'unsure' : 'no'
}
