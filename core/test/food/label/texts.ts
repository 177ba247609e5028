/** The label texts of the tests (texts.json): plain English, damaged, other languages, and languages that Lea does not read. */
import data from './texts.json'

export interface LabelCase {
  text: string
  contains?: string
  may?: string
  free?: string
  asks?: string[]
  extras?: string
}

export const ENGLISH: LabelCase[] = data.english
export const DAMAGED: LabelCase[] = data.damaged
export const OTHER_LANGUAGES: LabelCase[] = data.languages
export const UNREAD: string[] = data.unread
