/**
 * A food that Lea does not know, settled by three answers in words of the kitchen: what is in it, its shape, what it is used as. Shapes fall
 * under the rows of the choking rules (core/data/choking.json); the strictest of several holds.
 */
import type { FoodFact, Verdict } from './foods'

/** Shapes in words of the kitchen, the strictest first, each with its row of the choking rules. */
export const SHAPE_ANSWERS = [
  { id: 'hard', says: 'hard or crisp when it is eaten', row: 'hard-veg-raw' },
  { id: 'round', says: 'small and round', row: 'grape' },
  { id: 'chewy', says: 'chewy', row: 'gummy-chewy-sweet' },
  { id: 'bone', says: 'bones or shell in it', row: 'fish' },
  { id: 'stone', says: 'a stone in it', row: 'stone-fruit' },
  { id: 'sticky', says: 'thick and sticky', row: 'nut-butter' },
] as const
export type ShapeAnswer = (typeof SHAPE_ANSWERS)[number]['id']

export interface FoodAnswers {
  /** Its id where a line names it already. */
  id?: string
  name: string
  /** What its packet lists and warns of, by reading or by tick. */
  contains: string[]
  extras: string[]
  mayContain: string[]
  /** Made of several: its packet is read for each session. */
  compound: boolean
  shapes: ShapeAnswer[]
  role: string
  diets: Record<string, Verdict>
}

const foodIdOf = (name: string): string =>
  `own:${name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')}`.slice(0, 64)

/** What must be said before the food can be kept; empty where nothing is missing. */
export function foodFault(answers: Pick<FoodAnswers, 'name' | 'shapes'>, noShape: boolean): string {
  if (foodIdOf(answers.name) === 'own:') return 'Name is missing: write what stands on the packet.'
  if (answers.shapes.length === 0 && !noShape)
    return 'Its shape is missing: tick what it is, or that it is none of these.'
  return ''
}

/** The answers as a food of the setting's own; `foodFault` says before whether any is missing. */
export function settledFood(answers: FoodAnswers): FoodFact {
  const shape = SHAPE_ANSWERS.find((s) => answers.shapes.includes(s.id))?.row
  return {
    id: answers.id ?? foodIdOf(answers.name),
    name: answers.name.trim(),
    aliases: [],
    contains: answers.contains,
    extras: answers.extras,
    mayContain: answers.mayContain.filter((id) => !answers.contains.includes(id)),
    compound: answers.compound,
    diets: answers.diets,
    roles: [answers.role],
    ...(shape && { shape }),
    confidence: 'own',
    source: 'entered by this setting',
  }
}
