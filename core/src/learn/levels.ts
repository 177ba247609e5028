/** Levels of support, from showing to an open question. Source: learning.md D1 (common practice, from memory). */
export type SupportLevel = 'model' | 'choice' | 'focused' | 'open'
export const SUPPORT_LEVELS: readonly SupportLevel[] = ['model', 'choice', 'focused', 'open']

/** Where practitioners differ: more questions, more comments, or as the age has it. */
export const TALK_RULES = ['by-age', 'ask', 'comment'] as const
export type TalkRule = (typeof TALK_RULES)[number]

/**
 * The level to begin with at an age: comment more under 3, ask more later; a setting that asks more begins one level up, one that
 * comments more one level down.
 */
export function startLevel(months: number, rule: TalkRule = 'by-age'): SupportLevel {
  const byAge = months < 36 ? 0 : months < 48 ? 1 : months < 84 ? 2 : 3
  const moved = byAge + (rule === 'ask' ? 1 : rule === 'comment' ? -1 : 0)
  return SUPPORT_LEVELS[Math.max(0, Math.min(SUPPORT_LEVELS.length - 1, moved))] ?? 'model'
}
