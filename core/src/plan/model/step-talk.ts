/** What is said and asked at a step. */
import type { Fact } from '../../learn/facts'
import type { SupportLevel } from '../../learn/levels'
import type { Prompt } from '../../learn/prompts'
import type { LineKind } from '../../learn/line/line'
import type { StepWord } from '../../learn/glossary'

export interface StepTalk {
  step: string
  fact: Fact | null
  child: string | null
  /** Only in plans frozen before 0.14. */
  prompts?: Prompt[]
  start?: SupportLevel
  words: StepWord[]
  /** Two opposites, or none. */
  pair?: StepWord[]
  /** The maths idea, and those it could have had instead. What follows is not there in plans of an earlier version. */
  idea?: string
  ideas?: { id: string; says: string }[]
  /** The idea bowl by bowl: another bowl has another amount. */
  facts?: { bowl: string; fact: Fact; task?: string }[]
  /** Only in plans frozen before 0.14. */
  tell?: Fact
  /** What else there is to speak of, bowl by bowl: for comments. */
  beside?: { bowl: string; fact: Fact; task?: string }[]
  asks?: Ask[]
}

/** Why a child is asked this. */
export type AskReason = 'due' | 'new' | 'growing' | 'before its time' | 'known'

/** One child is asked one thing; `child` null: a prompt of one's own for everybody. */
export interface Ask {
  child: string | null
  /** Empty where it is one's own. */
  target: string
  also?: string[]
  level: SupportLevel
  says: string
  answer: string
  why: AskReason | 'own'
  /** The question, its food with it, and the task in whose turns it is asked. Not there where it is one's own, and in plans before 0.14. */
  line?: string
  key?: string
  /** The same question on every rung that its age reaches, the easiest first. */
  rungs?: { level: SupportLevel; says: string }[]
  task?: string
  /** What sort of line one's own is; a question where it is not said. */
  kind?: LineKind
}

/** What the talk could not cover. */
export interface Uncovered {
  kind: 'child' | 'week' | 'due'
  child?: string
  target?: string
  why: string
}
