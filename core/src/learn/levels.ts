/** Levels of support, from showing to an open question. Source: learning.md D1 (common practice, from memory). */
export type SupportLevel = 'model' | 'choice' | 'focused' | 'open'
/** From the easiest to the open one. */
export const SUPPORT_LEVELS: readonly SupportLevel[] = ['model', 'choice', 'focused', 'open']

/** Where practitioners differ: more questions, more comments, or as the age has it. */
export const TALK_RULES = ['by-age', 'ask', 'comment'] as const
export type TalkRule = (typeof TALK_RULES)[number]

/**
 * The level to begin with at an age: done together under two and a half, a choice of two until three, then the open question, which is
 * narrowed where it does not come easily (dialogic reading, Whitehurst 1988; Blank, Rose and Berlin 1978; from memory). A setting that
 * asks more begins one level up, one that comments more one level down.
 */
export function startLevel(months: number, rule: TalkRule = 'by-age'): SupportLevel {
  const byAge = months < 30 ? 0 : months < 38 ? 1 : 3
  const moved = byAge + (rule === 'ask' ? 1 : rule === 'comment' ? -1 : 0)
  return SUPPORT_LEVELS[Math.max(0, Math.min(SUPPORT_LEVELS.length - 1, moved))] ?? 'model'
}

/** So many comments stand beside each question, at least. Source: parallel talk and commenting before asking (common practice), from memory. */
export function commentsToAQuestion(months: number, rule: TalkRule = 'by-age'): number {
  const byAge = months < 48 ? 3 : months < 72 ? 2 : 1
  return rule === 'ask' ? Math.max(1, byAge - 1) : rule === 'comment' ? byAge + 1 : byAge
}
