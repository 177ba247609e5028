/** What a child must not have, how strictly, and how a food may meet that: the words for them. Levels: allergens.md E1, from memory. */

export const LEVELS = [
  'preference',
  'intolerance',
  'contact-skin',
  'allergy-eats-baked',
  'allergy-ingredient',
  'allergy-strict',
  'anaphylaxis-risk',
  'not-in-room',
  'coeliac',
  'fpies',
  'unknown',
] as const

export type Level = (typeof LEVELS)[number]

export interface Concern {
  /** An id of core/data/allergens.json, or free words for anything else. */
  allergen: string
  level: Level
}

/** What adults read on one real package today. */
export interface Packet {
  food: string
  lists: string[]
  may: string[]
  /** Every allergen they looked for; one that was not looked for is still *ask*. */
  lookedFor: string[]
  readBy: string[]
  /** The words of the packet, where they were put in. */
  text?: string
  /** Vague words and words Lea does not know that nobody has asked about yet: whatever is not listed stays *ask*. */
  open?: string[]
}

export type ExposureKind = 'lists' | 'may' | 'ask' | 'nothing'

/** How a food meets a concern, in words: Lea never says that it is safe. */
export const MEETING_WORDS: Record<ExposureKind, string> = {
  lists: 'lists it',
  may: 'may contain',
  ask: 'ask',
  nothing: 'nothing found: check the packet',
}

/** How strict a concern is, in words. */
export const LEVEL_WORDS: Record<Level, string> = {
  preference: 'family would rather not',
  intolerance: 'intolerance',
  'contact-skin': 'skin reacts to touch',
  'allergy-eats-baked': 'allergy, eats it baked by clinic plan',
  'allergy-ingredient': 'allergy, plan allows may-contain',
  'allergy-strict': 'allergy, no traces',
  'anaphylaxis-risk': 'anaphylaxis risk, own care plan',
  'not-in-room': 'anaphylaxis plan: not in the room',
  coeliac: 'coeliac disease',
  fpies: 'delayed reaction (FPIES)',
  unknown: 'not clear yet, treated as strict',
}
