/** Levels of support, from showing to an open question. Source: learning.md D1 (common practice, from memory). */
export type SupportLevel = 'model' | 'choice' | 'focused' | 'open'
export const SUPPORT_LEVELS: readonly SupportLevel[] = ['model', 'choice', 'focused', 'open']

/** Where practitioners differ: more questions, more comments, or as the age has it. */
export const TALK_RULES = ['by-age', 'ask', 'comment'] as const
export type TalkRule = (typeof TALK_RULES)[number]
