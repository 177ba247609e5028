/** Two cards of one child side by side: what somebody else saved meanwhile, and what is about to be saved. */
import { allergenName } from '../food/allergens'
import { LEVEL_WORDS, type Concern } from '../food/concern'
import { dietName, type AnyDiet } from '../food/diets'
import { languageName } from '../learn/languages'
import { digest } from '../plan/model/digest'
import { monthText } from '../amount/days'
import { techniqueOf } from '../craft/techniques'
import type { StoredProfile } from './assemble'

export type Card = StoredProfile & { birth: string }
type Field = Exclude<keyof Card, 'mat'>
/** What stands on a card, in the words of the form. */
const FIELDS: Record<Field, string> = {
  nickname: 'nickname',
  birth: 'birth month',
  concerns: 'allergies',
  diets: 'diets',
  languages: 'home languages',
  hand: 'hand',
  needs: 'needs',
  carePlan: 'care plan',
  limits: 'techniques left out',
}

export interface CardDifference {
  field: Field
  /** In words: "allergies". */
  name: string
  /** As the two cards say it; "nothing" where one says nothing. */
  theirs: string
  mine: string
}

const listed = (words: readonly string[]): string => (words.length === 0 ? 'nothing' : words.join(', '))
const concern = ({ allergen, level }: Concern): string => `${allergenName(allergen)}: ${LEVEL_WORDS[level]}`
function inWords(card: Card, field: Field, own: (diet: AnyDiet) => string): string {
  switch (field) {
    case 'nickname':
      return card.nickname
    case 'birth':
      return monthText(card.birth)
    case 'concerns':
      return listed(card.concerns.map(concern))
    case 'diets':
      return listed(card.diets.map(own))
    case 'languages':
      return listed(card.languages.map((l) => languageName(l) ?? l))
    case 'hand':
      return card.hand ?? 'nothing'
    case 'needs':
      return listed(card.needs.map((n) => n.replaceAll('-', ' ')))
    case 'carePlan':
      return card.carePlan ? `“${card.carePlan}”` : 'nothing'
    case 'limits':
      return listed((card.limits ?? []).map((t) => techniqueOf(t)?.name ?? t))
  }
}

const empty = (value: unknown): unknown =>
  value === undefined || value === '' || (Array.isArray(value) && value.length === 0) ? null : value
const fields = Object.keys(FIELDS) as Field[]

/** What two cards of one child say differently; empty where they say the same. @param theirs as it was saved meanwhile */
export function cardDifferences(
  theirs: Card,
  mine: Card,
  own: (diet: AnyDiet) => string = dietName,
): CardDifference[] {
  return fields
    .filter((f) => digest(empty(theirs[f])) !== digest(empty(mine[f])))
    .map((field) => ({
      field,
      name: FIELDS[field],
      theirs: inWords(theirs, field, own),
      mine: inWords(mine, field, own),
    }))
}

/** The names of what differs, without what it says: for the audit log. */
export const cardFields = (before: Card, after: Card): string =>
  listed(fields.filter((f) => digest(empty(before[f])) !== digest(empty(after[f]))).map((f) => FIELDS[f]))
