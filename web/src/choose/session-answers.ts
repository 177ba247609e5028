import type { Heat } from '@lea/core/recipe'
import type { StoredGuest } from '@lea/core/setting'

/** The four answers of a new session. */
export interface SessionAnswers {
  children: string[]
  guests: StoredGuest[]
  adults: string[]
  date: string
  start: string
  minutes: number
  theme: string
  heat: Heat | ''
  budget: string
  fromCupboard: boolean
}
