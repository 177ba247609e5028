/** Reads words: labels, cards, names of foods. The tables it needs stay here, and no text, however long, holds up the page. */
import { expose } from 'comlink'
import {
  type FoodFact,
  foodBook,
  isNoAllergyAnswer,
  labelPieces,
  nameHolds,
  packetQuestions,
  packetWords,
  parsedConcernText,
} from '@lea/core/food'
import type { System } from '@lea/core/amount'
import type { Answers } from '@lea/core/recipe'
import {
  childSchema,
  foodSchema,
  guestSchema,
  ownDietSchema,
  packetSchema,
  readRecipeFile,
  hasHeadings,
  readRoster,
  rosterColumns,
  rosterLines,
} from '@lea/core/schema'
import { atTable } from '@lea/core/setting'
import { ValidationError } from 'yup'

export type Checked = { value: object } | { faults: { path: string; says: string }[] }

const SCHEMAS = {
  child: childSchema,
  guest: () => guestSchema,
  food: () => foodSchema,
  packet: () => packetSchema,
  diet: () => ownDietSchema,
}
export type CheckedKind = keyof typeof SCHEMAS

const reader = {
  labelPieces,
  packetWords: (labels: string[]) => labels.map((l) => packetWords(l)),
  packetQuestions,
  /** What Lea takes each of these words on a card for; empty where it says nothing of it. */
  concernTexts: (words: string[]): string[] => words.map(parsedConcernText),
  /** Those that name something to avoid: "none" and "no allergies" are left out. */
  named: (words: string[]): string[] => words.filter((w) => !isNoAllergyAnswer(w)),
  nameHolds,
  /** What each card at the table asks now. */
  atTable,
  /** A recipe from pasted words or a file. @throws Error that says what is wrong with it */
  readRecipe: (text: string, system: System, own: FoodFact[], answers: Answers) =>
    readRecipeFile(text, system, foodBook(own), answers),
  rosterColumns,
  readRoster,
  hasHeadings,
  rosterLines,
  /** The value as its schema has it, or what is wrong with it, field by field. */
  check(kind: CheckedKind, value: unknown, today: string): Checked {
    try {
      return { value: SCHEMAS[kind](today).validateSync(value, { abortEarly: false }) }
    } catch (fault) {
      if (!(fault instanceof ValidationError)) throw fault
      const all = fault.inner.length > 0 ? fault.inner : [fault]
      return { faults: all.map((f) => ({ path: f.path ?? '', says: f.message })) }
    }
  },
}
export type Reader = typeof reader

expose(reader)
