/**
 * What the words of a concern mean: "Milk", "dairy", "nuts", "shellfish", "gluten". A person writes them on a card as the family says
 * them; a word that Lea does not understand is a reason to ask at every food, never 'nothing found'.
 * Source: the words of labels (core/data/label-words.json) and what families say (common practice, from memory).
 */
import { remembered } from '../amount/memo'
import { ALLERGENS, allergenName, allergenOf, isOrUnder } from './allergens'
import { resolveExactly } from './foods'
import { readLabel } from './label/read'
import { normaliseLabel } from './label/text'

export interface ParsedConcern {
  /** Ids of core/data/allergens.json. */
  ids: string[]
  /** True where the words, or some of them, say nothing to Lea. */
  open: boolean
}

/** Words that name more than one, or that no label uses. `+` at the end: there is more of it than Lea has ids for. */
const SAID = new Map(
  Object.entries({
    dairy: 'milk',
    gluten: 'gluten-cereals',
    lactose: 'lactose-intolerance',
    celiac: 'coeliac',
    'coeliac disease': 'coeliac',
    'celiac disease': 'coeliac',
    cereal: 'gluten-cereals',
    cereals: 'gluten-cereals',
    nut: 'tree-nuts peanut',
    nuts: 'tree-nuts peanut',
    'all nuts': 'tree-nuts peanut',
    monkeynut: 'peanut',
    'monkey nut': 'peanut',
    'monkey nuts': 'peanut',
    seafood: 'fish crustaceans molluscs',
    shellfish: 'crustaceans molluscs',
    legume: 'legumes peanut soya lupin',
    legumes: 'legumes peanut soya lupin',
    pulses: 'legumes peanut soya lupin',
    seed: 'seeds sesame mustard +',
    seeds: 'seeds sesame mustard +',
    rubber: 'latex',
    latex: 'latex',
    'alpha gal': 'meat-alpha-gal',
    'red meat': 'meat-alpha-gal',
    meat: 'meat-alpha-gal +',
    berry: 'strawberry raspberry +',
    berries: 'strawberry raspberry +',
    nightshade: 'tomato capsicum potato +',
    nightshades: 'tomato capsicum potato +',
    squash: 'pumpkin',
    colouring: 'colours-azo cochineal annatto +',
    colourings: 'colours-azo cochineal annatto +',
    'food colouring': 'colours-azo cochineal annatto +',
    preservatives: 'sulphites +',
  }),
)
/** They say that it is an allergy, not to what. */
const ABOUT =
  'a allergic allergy allergies any in intolerance intolerant intolerances is of severe the to'.split(' ')
/** They add nothing to what stands beside them. */
const FILLERS = new Set([
  ...ABOUT,
  ...'all and cooked fresh fruit fruits or powder products protein raw'.split(' '),
])

/** "prawn / shrimp / scampi" are names of one; a name with a comma or brackets is a description. */
const synonyms = (name: string): string[] => (/[,(>]|gelatine$/.test(name) ? [] : name.split('/'))
const BY_NAME = new Map(
  ALLERGENS.flatMap((a) =>
    [a.id, a.id.replaceAll('-', ' '), allergenName(a.id), ...synonyms(a.name)].map(
      (name) => [normaliseLabel(name.trim()), a.id] as const,
    ),
  ),
)

/** @param words an id, a name, or what a person wrote, in any case */
export const parseConcern = (words: string): ParsedConcern =>
  allergenOf(words) ? { ids: [words], open: false } : readWords(words)
const readWords = remembered(2000, read)

function read(words: string): ParsedConcern {
  const whole = normaliseLabel(words)
  const without = (these: ReadonlySet<string>): string =>
    whole
      .split(' ')
      .filter((w) => w !== '' && !these.has(w))
      .join(' ')
  const core = without(FILLERS)
  for (const phrase of [whole, without(new Set(ABOUT)), core]) {
    const said = SAID.get(phrase)?.split(' ')
    if (said) return { ids: said.filter((x) => x !== '+'), open: said.includes('+') }
    const id = BY_NAME.get(phrase) ?? BY_NAME.get(phrase.replace(/s$/, ''))
    if (id) return { ids: [id], open: false }
  }
  const label = readLabel(words)
  const ids = [...new Set(label.words.flatMap((w) => (allergenOf(w.id) ? [w.id] : [])))]
  // "Wheat" is wheat, though a label that lists it lists a cereal with gluten as well.
  const own = ids.filter((id) => !ids.some((other) => other !== id && isOrUnder(other, id)))
  const spans = label.words.filter((w) => allergenOf(w.id))
  let open = false
  // Both stand in the order of the text: each is passed once.
  const inOrder = [...spans].sort((a, b) => a.start - b.start)
  let next = 0
  for (const t of tokens(words)) {
    while ((inOrder[next]?.end ?? Infinity) <= t.start) next += 1
    const at = inOrder[next]
    const span = at && at.start < t.end ? at : undefined
    // "Nuts" in a list is what it is alone; in "pine nuts" it is not.
    const said = span && span.end - span.start > t.text.length ? undefined : SAID.get(normaliseLabel(t.text))
    if (said) own.push(...said.split(' ').filter((x) => x !== '+'))
    if (said?.includes('+') || (!said && !span && !FILLERS.has(normaliseLabel(t.text)))) open = true
  }
  const all = [...new Set(own)]
  return { ids: all, open: all.length === 0 || open ? resolveExactly(core) === null : false }
}

const tokens = (words: string): { text: string; start: number; end: number }[] =>
  [...words.matchAll(/[\p{L}\p{N}]+/gu)].map((m) => ({
    text: m[0],
    start: m.index,
    end: m.index + m[0].length,
  }))

/** "None", "no known allergies", "-": the answer of a family that has nothing to say. */
export const isNoAllergyAnswer = (words: string): boolean =>
  /^(((none|no|nil|nothing|keine)( known)?( (food )?allerg(y|ies))?( known)?)|n\/a|-|–|0)?$/i.test(
    words.trim().replace(/[.!]$/, ''),
  )

/** The id where the words are one allergen's name and no more; else the words as they stand. */
export function allergenOfWords(words: string): string {
  const [id, ...more] = parseConcern(words).ids
  const exact = SAID.get(normaliseLabel(words)) ?? BY_NAME.get(normaliseLabel(words))
  return id !== undefined && more.length === 0 && exact === id ? id : words.trim()
}

/** What Lea takes the words for, to be looked at by whoever wrote them; empty where they are an allergen's own name. */
export function parsedConcernText(words: string): string {
  if (words.trim() === '' || allergenOf(words)) return ''
  const { ids, open } = parseConcern(words)
  const known =
    ids.length > 0
      ? `read as ${ids.map(allergenName).join(', ')}`
      : open
        ? 'not known to Lea'
        : 'looked for by its name'
  const says = open
    ? `${known}${ids.length > 0 ? ', and may mean more' : ''}: asked about at every food`
    : known
  return `“${words.trim()}”: ${says}.`
}
