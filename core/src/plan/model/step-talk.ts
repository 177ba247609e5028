/** What is said and asked at a step. */
import type { Fact } from '../../learn/facts'
import type { SupportLevel } from '../../learn/levels'
import type { Prompt } from '../../learn/prompts'
import type { StepWord } from '../../learn/glossary'

export interface StepTalk {
  step: string
  fact: Fact | null
  child: string | null
  prompts: Prompt[]
  start: SupportLevel
  words: StepWord[]
  /** The maths idea, and those it could have had instead. What follows is not there in plans of an earlier version. */
  idea?: string
  ideas?: { id: string; says: string }[]
  /** The idea bowl by bowl: another bowl has another amount. */
  facts?: { bowl: string; fact: Fact; task?: string }[]
  /** What there is to tell beside it. */
  tell?: Fact
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
}

/** What the talk could not cover. */
export interface Uncovered {
  kind: 'child' | 'week' | 'due'
  child?: string
  target?: string
  why: string
}
