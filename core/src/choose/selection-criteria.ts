/** What a leader starts from: who, when, how long, with what; and what is known of each recipe from before. */
import type { SwapSet } from '../plan/model/plan'
import { assemble, type StoredSession } from '../setting/assemble'
import type { Decision } from '../plan/model/decision'
import type { PlanRequest } from '../plan/model/request'
import { RECIPE_SCHEMA, type Recipe } from '../recipe/recipe'

/** From what a setting stores and a session that is only thought of. */
export function criteriaFor(
  session: StoredSession,
  stored: Omit<Parameters<typeof assemble>[1], 'recipe'>,
  more: Omit<SelectionCriteria, 'base'> = {},
): SelectionCriteria {
  const request = assemble(session, { ...stored, recipe: NOTHING })
  const { recipe: _, ...base } = request
  return { base, ...more }
}
const NOTHING: Recipe = {
  schema: RECIPE_SCHEMA,
  id: 'none',
  title: '',
  about: '',
  serves: 1,
  themes: [],
  equipment: [],
  storage: '',
  lines: [],
  steps: [],
}

/** A request without its recipe, and what is wished beside. */
export interface SelectionCriteria {
  base: Omit<PlanRequest, 'recipe'>
  /** The most it may cost for each child, minor units. */
  budget?: number | undefined
  /** A theme's name: season, story, letter, colour. */
  theme?: string | undefined
  /** What can be made with what is in the cupboard stands first. */
  fromCupboard?: boolean | undefined
}

/** What happened with a recipe so far in this setting. */
export interface MadeBefore {
  /** The day it was last made, `YYYY-MM-DD`. */
  last: string | null
  times: number
  /** Tastes of children: wanted more, tried it, not today. */
  more: number
  tried: number
  notToday: number
}
/** Of a recipe that was never made here. */
export const NEVER_MADE: MadeBefore = { last: null, times: 0, more: 0, tried: 0, notToday: 0 }

/** What stands against a recipe, in the order in which it matters. */
export type AgainstKind = 'plan' | 'danger' | 'part' | 'adults' | 'clock' | 'kit' | 'budget'
export interface Against {
  kind: AgainstKind
  /** For a person; `{{id}}` stands for the name of a child or adult. */
  says: string
}

export interface Figures {
  /** Lines that list what somebody must not have, with no swap that suits everyone; and other stops that hurt. */
  danger: number
  /** Children without a job beside washing and eating. */
  out: number
  /** Minutes after the families come; 0 where it fits, or nobody said when. */
  late: number
  minutes: number
  endsAt: string
  spare: number | null
  sittings: number
  missingKit: string[]
  tooFewAdults: number
  /** For each child, minor units, for what goes in; of foods with a price. */
  cost: number
  /** Foods without a price: the cost is then "at least". */
  unpriced: number
  leastTurns: number
  mostTurns: number
  /** Targets of the week that it can meet. */
  targets: string[]
  /** Days since it was last made; null: never. */
  since: number | null
  /** Share of tastes that wanted more, less those that did not; from -1 to 1, null where nobody tasted. */
  liked: number | null
  swaps: number
  packets: number
  /** Foods that have to be bought, by name. */
  toBuy: string[]
  ofTheme: boolean
}

/** One recipe seen with this group. */
export interface Evaluation {
  recipe: string
  figures: Figures
  against: Against[]
  /** Of allergens, in a sentence: the swaps for everyone, or that nothing was found; empty where something stands against it. */
  note: string
  /** What one compares by, in few words each: price, turns, packets to read. */
  brief: string[]
  /** What else speaks for it, in words. */
  reasons: string[]
  /** The swaps that were counted in: they suit everyone at once. */
  decisions: Decision[]
  swaps: SwapSet['swaps']
  /** Smaller first. */
  key: number[]
}
