/** What was understood of a recipe in words, and what was not: the shapes. */
import type { Recipe } from '../recipe'

export const PARTS = ['title', 'yield', 'ingredient', 'step', 'other'] as const
/** Answers to questions, by the question's key. */
export type Answers = Readonly<Record<string, string>>

export interface Unread {
  part: (typeof PARTS)[number]
  text: string
  why: string
  /** By which it can be answered; none: it is only said. */
  key?: string
  kind?:
    | 'line'
    | 'none'
    | 'amount'
    | 'range'
    | 'unit'
    | 'alternative'
    | 'named'
    | 'yield'
    | 'again'
    | 'unused'
    | 'sentence'
    | 'system'
  /** Answers that lie near. */
  choices?: string[]
  /** It may be left as Lea took it. */
  minor?: true
}
/** The answer that a line is not wanted; and that what a step names is only mentioned. */
export const OUT = 'out'
export const MENTIONED = 'mentioned'
/** A text of the list of ingredients, and the line that it became. */
export interface LineRead {
  key: string
  text: string
  line: string | null
  out?: true
  answer?: string
}
/** A text of the method, and the step that it became. */
export interface StepRead {
  text: string
  step: string | null
}
/** One thing that Lea is not sure of, to be settled with a tap or a word. */
export interface ReadQuestion {
  key: string
  /** The line or step it belongs to, where it has one. */
  about: { line?: string; step?: string }
  /** The words it is about, as they stand. */
  text: string
  asks: string
  choices: { answer: string; says: string }[]
  /** A line may be typed. */
  free: boolean
  /** Until it is settled the recipe is not kept: something may be looked for in nobody's allergies. */
  must: boolean
  /** A food that Lea does not know: it can be said once for the setting what it is. */
  settles?: { food: string; name: string }
  /** What holds until it is answered. */
  taken?: string
}
export interface RecipeRead {
  recipe: Recipe
  unread: Unread[]
  /** What was read beside, and what Lea took it for: for the person to see. */
  notes: string[]
  lines: LineRead[]
  steps: StepRead[]
  questions: ReadQuestion[]
}
