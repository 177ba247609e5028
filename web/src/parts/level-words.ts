import type { SupportLevel } from '@lea/core/learn'

/** The levels of support, from showing to an open question, as a leader calls them. */
export const SUPPORT_LEVEL_WORDS: Record<SupportLevel, string> = {
  model: 'together',
  choice: 'choice of two',
  focused: 'focused',
  open: 'open',
}
