/** What is said at the table: nine kinds of lines, each at its moment. Source: design/talk.md 1; common practice, from memory. */
import type { HomeWord } from '../glossary'
import type { SupportLevel } from '../levels'

/** The nine kinds. */
export const LINE_KINDS = [
  'comment',
  'question',
  'routine',
  'guess',
  'home',
  'sound',
  'story',
  'read',
  'look-back',
] as const
export type LineKind = (typeof LINE_KINDS)[number]
/** The kinds in words. */
export const LINE_KIND_WORDS: Record<LineKind, string> = {
  comment: 'say',
  question: 'ask',
  routine: 'every time',
  guess: 'guess',
  home: 'home word',
  sound: 'sounds',
  story: 'story',
  read: 'read',
  'look-back': 'look back',
}

/** When a line is said. */
export type Moment = 'arrive' | 'wash' | 'read' | 'begin' | 'turn' | 'wait' | 'taste' | 'tidy' | 'look-back'
/** The moments in words. */
export const MOMENT_WORDS: Record<Moment, string> = {
  arrive: 'as they arrive',
  wash: 'at the tap',
  read: 'reading the recipe',
  begin: 'as the step begins',
  turn: 'in the turn',
  wait: 'while we wait',
  taste: 'at the tasting',
  tidy: 'tidying up',
  'look-back': 'looking back',
}

/** One line as it is said. */
export interface TalkLine {
  /** Of the row it comes from; two lines of one row differ in what they say. */
  id: string
  kind: LineKind
  says: string
  /** To whom, where it is not the one whose turn it is. */
  who?: string | null
  answer?: string
  /** The same question from the easiest rung to the open one, and where to begin. */
  rungs?: { level: SupportLevel; says: string }[]
  level?: SupportLevel
  target?: string
  also?: string[]
  /** What it is about, for the note. */
  food?: string
  home?: HomeWord & { english: string }
  guess?: GuessAsk
}

/** A guess that is taken before and looked at again after. */
export interface GuessAsk {
  id: string
  /** To pick from; numbers as text. */
  options: string[]
  /** What it really is, where it is counted; the leader taps it where it is seen. */
  truth?: string
  /** "You said {guess}. It was {truth}." */
  after: string
}
