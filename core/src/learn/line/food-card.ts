/**
 * A small card by food: its family, which part of the plant it is, its food group, what it gives, one reason, two relatives, where it
 * grows. Source: core/data/talk/food-cards.json (from memory; groups of the UK's Eatwell Guide and the US MyPlate).
 */
import { capitalised } from '../../amount/letter-case'
import { remembered } from '../../amount/memo'
import data from '../../../data/talk/food-cards.json'
import type { Fact } from '../facts'
import { either } from '../fact/phrases'
import type { Locale, Values } from '../fact/saying'
import { foodWords } from './grammar'
import { soundValues } from './sounds'

interface Row {
  family?: string
  part?: string
  uk?: string
  us?: string
  gives: string
  reason: string
  relatives?: string[]
  grows?: string
  place?: string
  notPlace?: string
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
  grows?: string
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
    ...(row.grows !== undefined && { grows: row.grows }),
    claps: row.claps,
    rhymes: row.rhymes ?? [],
    tasted: row.smells === true && row.us !== 'gr',
  }
}

const PARTS = ['root', 'stem', 'leaf', 'fruit', 'seed']
const a = (word: string): string => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`

/** What can be said of a food by name. */
export const foodValues = (id: string | undefined, name: string, locale: Locale = 'en-GB'): Values =>
  knownValues({ id, name, locale })
interface AskedFood {
  id: string | undefined
  name: string
  locale: Locale
}
const knownValues = remembered(500, valuesOfFood, ({ id, name, locale }) => `${locale} ${id ?? ''} ${name}`)

function valuesOfFood({ id, name, locale }: AskedFood): Values {
  const words = foodWords(name)
  const row = id === undefined ? undefined : ROWS[id]
  const card = id === undefined ? undefined : foodCardOf(id, locale)
  if (!row || !card) return words
  const { part, group } = card
  // Two to put beside it: of what is pressed or ground nobody has the relatives in view.
  const shown = row.touch === true || row.smells === true || row.uk === 'da'
  const relatives = shown && card.relatives.length > 1 ? card.relatives : []
  const whole = part !== undefined && row.touch === true && row.us !== 'gr'
  const other = PARTS.find((p) => p !== part && !part?.includes(p)) ?? 'root'
  const wrongGroup = Object.values(locale === 'en-US' ? GROUPS.us : GROUPS.uk).find((g) => g !== group)
  return {
    ...words,
    ...soundValues(card),
    leafy: part === 'leaf' ? 'yes' : undefined,
    strong: row.smells && row.uk === undefined ? 'yes' : undefined,
    smells: row.smells ? 'yes' : undefined,
    touch: row.touch ? 'yes' : undefined,
    skin: /^(fruit|root|tuber)$/.test(part ?? '') ? 'yes' : undefined,
    growsText: card.grows,
    growsOr:
      row.place !== undefined && row.notPlace !== undefined
        ? capitalised(either(row.place, row.notPlace))
        : undefined,
    // Of salt and white sugar there is nothing to be seen that one would speak of.
    seen: (row.us !== undefined && row.us !== 'no') || row.touch || row.smells ? 'yes' : undefined,
    // Of what is pressed, ground or dried nobody sees the part.
    plantPart: whole ? a(part) : undefined,
    partOr: whole ? either(a(part), a(other)) : undefined,
    partText: whole ? `The part that we eat is ${a(part)}.` : undefined,
    relatives: relatives.length === 0 ? undefined : relatives.join(' and '),
    relativesText:
      relatives.length === 0
        ? undefined
        : card.family === undefined
          ? `Put beside it: ${relatives.join(' or ')}.`
          : `In the same family: ${relatives.join(' and ')}.`,
    relativeOr:
      relatives[0] === undefined
        ? undefined
        : capitalised(either(relatives[0], card.family === 'rose' ? 'carrot' : 'apple')),
    groupName: group,
    groupText: group === undefined ? undefined : `Its food group: ${group}.`,
    groupOr: group === undefined ? undefined : capitalised(either(group, wrongGroup ?? '')),
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
