/**
 * A small card by food: its family, which part of the plant it is, its food group, what it gives, one reason, two relatives, where it
 * grows. Source: core/data/talk/food-cards.json (from memory; groups of the UK's Eatwell Guide and the US MyPlate).
 */
import data from '../../../data/talk/food-cards.json'
import type { Fact } from '../facts'
import { either } from '../fact/phrases'
import type { Locale, Values } from '../fact/saying'
import { foodWords } from './grammar'

interface Row {
  family?: string
  part?: string
  uk?: string
  us?: string
  gives: string
  reason: string
  relatives?: string[]
  grows: string
  place: string
  notPlace: string
  claps: string
  rhymes?: string[]
  smells?: boolean
  touch?: boolean
}
const ROWS = data.foods as Readonly<Record<string, Row>>
const GROUPS = data.groups as { uk: Record<string, string>; us: Record<string, string> }

/** What Lea knows of a food, in words, for one country's plate. */
export interface FoodCard {
  family?: string
  /** Root, stem, leaf, flower, fruit, seed … */
  part?: string
  group?: string
  gives: string
  reason: string
  relatives: readonly string[]
  grows: string
  /** "ap-ple" */
  claps: string
  rhymes: readonly string[]
  /** It can be found in a dish by its taste. */
  tasted: boolean
}

/** The card of a food by its id; undefined where Lea has none. */
export function foodCardOf(id: string, locale: Locale = 'en-GB'): FoodCard | undefined {
  const row = ROWS[id]
  if (!row) return undefined
  const group = locale === 'en-US' ? GROUPS.us[row.us ?? ''] : GROUPS.uk[row.uk ?? '']
  return {
    ...(row.family !== undefined && { family: row.family }),
    ...(row.part !== undefined && { part: row.part }),
    ...(group !== undefined && { group }),
    gives: row.gives,
    reason: row.reason,
    relatives: row.relatives ?? [],
    grows: row.grows,
    claps: row.claps,
    rhymes: row.rhymes ?? [],
    tasted: row.smells === true && row.us !== 'gr',
  }
}

const PARTS = ['root', 'stem', 'leaf', 'fruit', 'seed']
const a = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`
const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase())

/** What can be said of a food by name. */
export function foodValues(id: string | undefined, name: string, locale: Locale = 'en-GB'): Values {
  const words = foodWords(name)
  const row = id === undefined ? undefined : ROWS[id]
  const card = id === undefined ? undefined : foodCardOf(id, locale)
  if (!row || !card) return words
  const { part, group, relatives } = card
  const other = PARTS.find((p) => p !== part && !part?.includes(p)) ?? 'root'
  const wrongGroup = Object.values(locale === 'en-US' ? GROUPS.us : GROUPS.uk).find((g) => g !== group)
  return {
    ...words,
    smells: row.smells ? 'yes' : undefined,
    touch: row.touch ? 'yes' : undefined,
    skin: /^(fruit|root|tuber)$/.test(part ?? '') ? 'yes' : undefined,
    growsText: card.grows,
    growsOr: capital(either(row.place, row.notPlace)),
    plantPart: part === undefined ? undefined : a(part),
    partOr: part === undefined ? undefined : either(a(part), a(other)),
    partText: part === undefined ? undefined : `The part that we eat is ${a(part)}.`,
    relatives: relatives.length === 0 ? undefined : relatives.join(' and '),
    relativesText:
      relatives.length === 0 ? undefined : card.family === undefined ? `Put beside it: ${relatives.join(' or ')}.` : `In the same family: ${relatives.join(' and ')}.`,
    relativeOr:
      relatives[0] === undefined
        ? undefined
        : capital(either(relatives[0], card.family === 'rose' ? 'carrot' : 'apple')),
    groupName: group,
    groupText: group === undefined ? undefined : `It belongs with ${group}.`,
    groupOr: group === undefined ? undefined : capital(either(group, wrongGroup ?? '')),
    gives: card.gives.startsWith('nothing') ? undefined : card.gives,
    givesText: card.gives.startsWith('nothing') ? undefined : `It gives us ${card.gives}.`,
    reason: card.reason,
  }
}

/** What a telling can speak of. */
export function tellValues(fact: Extract<Fact, { kind: 'tell' }>, locale: Locale = 'en-GB'): Values {
  if (!('about' in fact)) return foodWords(fact.food)
  const { title, serves, people } = fact
  return {
    ...(fact.food !== '' && foodValues(fact.foodId, fact.food, locale)),
    title,
    serves,
    people,
    firstFood: fact.food || undefined,
  }
}
