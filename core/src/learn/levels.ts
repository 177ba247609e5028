/** Levels of support, from showing to an open question. Source: learning.md D1 (common practice, from memory). */
export type SupportLevel = 'model' | 'choice' | 'focused' | 'open'
export const SUPPORT_LEVELS: readonly SupportLevel[] = ['model', 'choice', 'focused', 'open']
