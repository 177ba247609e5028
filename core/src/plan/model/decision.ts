import type { Make } from '../../recipe/make'
import type { HeatPlace } from '../../recipe/recipe'
import type { LineKind } from '../../learn/line/line'
import type { Packet } from '../../food/concern'

/** What a person chose. Only inputs and decisions are stored; the plan is derived from them. */

export type Decision =
  | { kind: 'swap'; line: string; swap: string }
  | { kind: 'leave-out'; line: string }
  /** What a child takes of a free choice, as it said. */
  | { kind: 'chooses'; choice: string; child: string; lines: string[] }
  /** An own bowl, apart, for these children, with these swaps; the others keep the recipe. */
  | { kind: 'apart'; children: string[]; swaps: { line: string; swap: string }[] }
  | { kind: 'shape'; line: string; shape: string }
  | { kind: 'measure'; line: string; measure: string }
  /** One task's scoops, chosen by hand: measure id -> how many. */
  | { kind: 'scoops'; task: string; ways: Record<string, number> }
  /** Turns that come out even, or as few scoops as can be. */
  | { kind: 'scooping'; way: 'fair' | 'quick' }
  /** How this session measures, where it is not as the setting does. */
  | { kind: 'measuring'; way: Measuring }
  /** How much is made. */
  | { kind: 'make'; make: Make }
  /** Bought, or taken from the shelf: in these packs. */
  | { kind: 'got'; food: string; buy: string }
  /** A step is done before another. */
  | { kind: 'move'; step: string; before: string }
  /** The hot work of one place is done at another. */
  | { kind: 'place'; from: HeatPlace; to: HeatPlace }
  /** So many of a tool stand on the table. */
  | { kind: 'laid'; tool: string; n: number }
  | {
      kind: 'packet'
      food: string
      lists: string[]
      may: string[]
      lookedFor: string[]
      readBy: string[]
      at: string
      /** Of the packet register, and the digest of the text that was read. */
      packet?: string | undefined
      text?: string | undefined
      open?: string[] | undefined
    }
  /** A child has a turn of a task; the one of a number where that matters too. */
  | { kind: 'pin'; task: string; child: string; number?: number | null | undefined }
  /** This adult stands at a job, where they may lead it. */
  | { kind: 'stands'; task: string; adult: string }
  /** An adult does this job, with the children looking on. */
  | { kind: 'adult-does'; task: string }
  /** It rests after this step until a later sitting. */
  | { kind: 'two-sittings'; after: string }
  /** The tasting of this step is played with open eyes. */
  | { kind: 'open-eyes'; step: string }
  /** What goes round in this step goes round so often, and there is enough for it. */
  | { kind: 'rounds'; step: string; times: number }
  /** The maths idea of a step; `tell`: none, only words. */
  | { kind: 'idea'; step: string; idea: string }
  /** This child is asked something in this step. */
  | { kind: 'ask'; step: string; child: string }
  /** Nobody is asked anything in this step. */
  | { kind: 'quiet'; step: string }
  /** A prompt of one's own, to one child or to everybody. */
  | {
      kind: 'own-prompt'
      step: string
      child: string | null
      says: string
      answer: string
      /** A question where it is not said. */
      line?: LineKind | undefined
    }
  /** A line of Lea's that is not to be said in this session, or is to be said in this step. */
  | { kind: 'line'; step: string; line: string; use: 'not' | 'keep' }
  | { kind: 'clear'; finding: string; cause: string; who: string; why: string; at?: string | undefined }

/** As the recipe measures · all in cups and spoons · all on the scale · with any one cup, in parts. */
export const MEASURING = ['recipe', 'cups', 'grams', 'parts'] as const
export type Measuring = (typeof MEASURING)[number]

/** What adults read on one packet, as the food rules want it. */
const packetOf = (d: Extract<Decision, { kind: 'packet' }>): Packet => ({
  food: d.food,
  lists: d.lists,
  may: d.may,
  lookedFor: d.lookedFor,
  readBy: d.readBy,
  ...(d.text !== undefined && { text: d.text }),
  ...(d.open !== undefined && { open: d.open }),
})

/** The packets that were read, by food. */
export const packetsOf = (decisions: readonly Decision[]): Map<string, Packet> =>
  new Map(decisions.flatMap((d): [string, Packet][] => (d.kind === 'packet' ? [[d.food, packetOf(d)]] : [])))

/** Two decisions of the same key replace each other. */
export function decisionKey(d: Decision): string {
  switch (d.kind) {
    case 'swap':
    case 'leave-out':
      return `line:${d.line}`
    case 'chooses':
      return `chooses:${d.choice}:${d.child}`
    case 'apart':
      return 'apart'
    case 'shape':
      return `shape:${d.line}`
    case 'measure':
      return `measure:${d.line}`
    case 'scoops':
      return `scoops:${d.task}`
    case 'scooping':
    case 'measuring':
    case 'make':
      return d.kind
    case 'got':
      return `got:${d.food}`
    case 'laid':
      return `laid:${d.tool}`
    case 'place':
      return `place:${d.from}`
    case 'move':
      return `move:${d.step}`
    case 'packet':
      return `packet:${d.food}`
    case 'pin':
      return `pin:${d.task}:${d.child}`
    case 'adult-does':
      return `adult-does:${d.task}`
    case 'stands':
      return `stands:${d.task}`
    case 'idea':
    case 'quiet':
      return `${d.kind}:${d.step}`
    case 'ask':
    case 'own-prompt':
      return `${d.kind}:${d.step}:${d.child ?? ''}`
    case 'line':
      return `line-said:${d.step}:${d.line}`
    case 'rounds':
    case 'open-eyes':
      return `${d.kind}:${d.step}`
    case 'two-sittings':
      return d.kind
    case 'clear':
      return `clear:${d.finding}`
  }
}

/** The list with one decision added, in place of an earlier one about the same thing. */
export const decide = (list: readonly Decision[], next: Decision): Decision[] => [
  ...list.filter((d) => decisionKey(d) !== decisionKey(next)),
  next,
]

/** The list without the decision of a key. */
export const undecide = (list: readonly Decision[], key: string): Decision[] =>
  list.filter((d) => decisionKey(d) !== key)
