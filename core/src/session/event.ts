/** What happened at the table: an append-only log. A tap taken back is an event too. */
import type { How } from '../craft/skills'
import type { SupportLevel } from '../learn/levels'
import type { Answered } from '../learn/marks'

export const EVENT_KINDS = [
  'begin',
  'gate',
  'step',
  'turn',
  'skip',
  'undo',
  'timer',
  'timer-seen',
  'note',
  'skill',
  'taste',
  'talk',
  'memo',
  'finish',
] as const
export type EventKind = (typeof EVENT_KINDS)[number]

export const GATES = ['hands', 'plans', 'packets', 'stand'] as const
export type Gate = (typeof GATES)[number]

export const TASTES = ['more', 'tried', 'not-today'] as const
export type Taste = (typeof TASTES)[number]
export const TASTE_WORDS: Record<Taste, string> = {
  more: 'more please',
  tried: 'tried it',
  'not-today': 'not today',
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
  | { kind: 'finish'; body: Record<string, never> }

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
