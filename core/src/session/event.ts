/** What happened at the table: an append-only log. A tap taken back is an event too. */
import type { How } from '../craft/skills'
import type { SupportLevel } from '../learn/levels'
import type { Answered } from '../learn/marks'

export const GATES = ['hands', 'plans', 'packets', 'stand'] as const
export type Gate = (typeof GATES)[number]

/** What may happen at a table. */
export const INCIDENTS = ['bump', 'cut', 'burn', 'reaction', 'choking', 'other'] as const
export type Incident = (typeof INCIDENTS)[number]
/** The same in words. */
export const INCIDENT_WORDS: Record<Incident, string> = {
  bump: 'bump or fall',
  cut: 'cut or scratch',
  burn: 'burn or scald',
  reaction: 'allergic reaction, or eaten by mistake',
  choking: 'choking',
  other: 'something else',
}

/** How a child met a food, without any rank: each is a way of meeting it. */
export const MET = ['refused', 'touched', 'tasted', 'ate'] as const
export type FoodMeeting = (typeof MET)[number]
/** How a child met a food, in words without rank. */
export const MET_WORDS: Record<FoodMeeting, string> = {
  refused: 'not this time',
  touched: 'touched or smelled',
  tasted: 'tasted',
  ate: 'ate',
}

export const KEPT_PLACES = ['room', 'fridge', 'freezer', 'home'] as const
export type KeptPlace = (typeof KEPT_PLACES)[number]
/** Where leftovers went, in words. */
export const KEPT_WORDS: Record<KeptPlace, string> = {
  fridge: 'in the fridge',
  freezer: 'in the freezer',
  room: 'in a closed tin',
  home: 'taken home',
}
/** Where scraps went. */
export const SCRAP_WAYS = ['compost', 'stock pot', 'animals', 'bin'] as const
export type ScrapWay = (typeof SCRAP_WAYS)[number]

/** How it was liked, without pressure. */
export const TASTES = ['more', 'tried', 'not-today'] as const
export type Taste = (typeof TASTES)[number]
/** The same in words. */
export const TASTE_WORDS: Record<Taste, string> = {
  more: 'more please',
  tried: 'tried it',
  'not-today': 'not today',
}

/** How a taste was found: thumbs in three ways. */
export const THUMBS = ['up', 'level', 'down'] as const
export type Thumb = (typeof THUMBS)[number]
/** The same in words. */
export const THUMB_WORDS: Record<Thumb, string> = {
  up: 'liked it',
  level: 'in between',
  down: 'not for me',
}

export type EventBody =
  | { kind: 'begin'; body: Record<string, never> }
  /** `foods`: the packets that were read; `children`: those whose care plans were acknowledged. */
  | { kind: 'gate'; body: { gate: Gate; step?: string; by: string[]; foods?: string[]; children?: string[] } }
  | { kind: 'step'; body: { step: string } }
  | { kind: 'turn'; body: { turn: string; child: string } }
  | { kind: 'skip'; body: { turn: string; child: string } }
  | { kind: 'undo'; body: { event: string } }
  /** `every`: it rings each so many seconds until `seconds` are over. */
  | { kind: 'timer'; body: { name: string; seconds: number; every?: number } }
  /** `round`: how far it was seen; without one, to its end. */
  | { kind: 'timer-seen'; body: { timer: string; round?: number } }
  | { kind: 'note'; body: { text: string; child?: string } }
  | { kind: 'skill'; body: { child: string; technique: string; how: How } }
  | {
      kind: 'talk'
      body: { child: string; target: string; how: Answered; level: SupportLevel; food?: string }
    }
  | { kind: 'taste'; body: { child: string; taste: Taste } }
  | { kind: 'memo'; body: { lines: string[] } }
  /** `held`: for how many seconds it was at least so warm. `by`: the adult with the probe. */
  | {
      kind: 'temperature'
      body: {
        what: string
        food?: string
        celsius: number
        held: number
        by: string
        from: 'probe' | 'typed'
      }
    }
  | { kind: 'incident'; body: { what: Incident; who: string[]; text: string; done: string; by: string } }
  /** The owner has read it. */
  | { kind: 'incident-seen'; body: { incident: string; by: string } }
  | { kind: 'met'; body: { child: string; food: string; how: FoodMeeting } }
  /** What a child takes of a free choice: ids of the recipe's lines; none is a choice too. */
  | { kind: 'took'; body: { choice: string; child: string; lines: string[] } }
  /** One of several tastes was tasted; `tasting`: the step, `line`: of the recipe. */
  | { kind: 'thumb'; body: { tasting: string; child: string; line: string; food: string; thumb: Thumb } }
  /** Which taste a child said that it was: `named` is a line of the recipe too. */
  | { kind: 'named-taste'; body: { tasting: string; child: string; line: string; named: string } }
  /** A look at what grows, so many days after it was sown; how high it stood, in millimetres. */
  | { kind: 'look'; body: { day: number; says?: string; mm?: number } }
  | { kind: 'taste-word'; body: { word: string; child?: string } }
  /** What a child guesses, before: one of the options of that guess. */
  | { kind: 'guess'; body: { guess: string; child: string; says: string } }
  /** What it really was, seen afterwards. */
  | { kind: 'guess-seen'; body: { guess: string; truth: string } }
  /** What was said looking back: of one child, or of all; a sentence for home. */
  | { kind: 'look-back'; body: { line: string; child?: string; says: string } }
  | { kind: 'leftover'; body: { what: string; amount: string; place: KeptPlace; until: string } }
  | { kind: 'scrap'; body: { what: string; to: ScrapWay } }
  | { kind: 'cleaned'; body: { job: string; child: string } }
  | { kind: 'finish'; body: Record<string, never> }
  /** Ended by mistake: it goes on. Written by the server alone, with who said so. */
  | { kind: 'reopen'; body: { reason: string } }

export type TableEvent = EventBody & {
  /** uuid made on the device */
  id: string
  device: string
  lamport: number
  /** ISO time of the device's clock */
  at: string
  /** Who was signed in. */
  by?: string
}
