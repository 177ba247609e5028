/** The plan: plain JSON, derived from a request, frozen when cooking starts. */
import type { Probe } from '../food/core-temperature'
import type { Ratio } from '../amount/ratio'
import type { Meeting } from '../food/concerns'
import type { Fact } from '../learn/facts'
import type { SupportLevel, TalkRule } from '../learn/levels'
import type { Prompt } from '../learn/prompts'
import type { Locale } from '../learn/fact/saying'
import type { StepWord } from '../learn/glossary'
import type { Mode, Place, Role } from '../recipe/recipe'
import type { Making } from './batches'
import type { Decision, Measuring } from './decision'
import type { Cleared, Finding } from './finding'
import type { Cost, ShoppingRow } from './shopping-list'

/** So many level scoops of one measure. */
export interface ScoopPart {
  measure: string
  name: string
  size: Ratio
  unit: string
  n: number
}

/** How a line is measured. Scoops stand in the order in which they are done: the largest measure first. */
export type Measured =
  | {
      by: 'scoop'
      parts: ScoopPart[]
      /** Scoops in all. */
      n: number
      /** `"0"` where exact, else signed, in per cent with 4 decimals. */
      errPct: string
      /** Any cup will do: `parts` then says what one part stands for. */
      any?: true
      /** A person chose this way. */
      pinned?: true
      /** How an amount that the recipe weighs came to be scooped. */
      because?: string
    }
  | { by: 'pieces'; n: number }
  /** `lack`: not by choice, the box makes it in no way. */
  | { by: 'weight'; text: string; why: string; because?: string; lack?: true }

export interface PlanLine {
  /** The recipe line, or `line>food` for a food that a swap brought in. */
  id: string
  line: string
  food: string
  name: string
  role: Role
  amount: Ratio
  unit: string
  /** The amount with its unit, for a person. */
  text: string
  swappedFrom?: string
  method?: string
  prep?: string
  shape?: string
  /** In which bowls it stands, where an own bowl is apart: `apart`, or all the `rest`. */
  only?: 'apart' | 'rest'
  /** Seen from the recipe: what one batch as written holds. */
  recipeText: string
  /** The same by weight, or by volume; not there where the food's weight is not known. */
  also?: { text: string; source: string }
}

/** One vessel's share of the recipe and the children it is for. */
export interface Bowl {
  id: string
  name: string
  children: string[]
  /** Its share of the recipe as written. */
  factor: Ratio
  lines: PlanLine[]
}

export interface TaskForm {
  technique: string
  name: string
  tool: string
  children: string[]
  supervision: 'B' | 'O'
  perAdult: number
}

/** Of the shape of a plan: an earlier one is upgraded where it is read. */
export const PLAN_VERSION = 2

export interface Task {
  id: string
  step: string
  bowl: string
  technique: string
  name: string
  uses: string[]
  /** Ids of every food the hands meet here. */
  handles: string[]
  forms: TaskForm[]
  barred: { child: string; why: string }[]
  /** What a child does instead that takes no part. */
  instead?: { child: string; job: string }[]
  /** What a left-handed child, or one with a need, wants for it. */
  helps?: { child: string; says: string }[]
  /** STATION: the children at it in each round. */
  rounds?: string[][]
  mode: Mode
  /** Turns, places or 1. */
  n: number
  seconds: number
  place: Place
  /** From its first to its last op, seconds from the start of its sitting. Not there in plans of an earlier version. */
  start?: number
  end?: number
  hazard?: 'heat' | 'blade'
  /** The adult who does it (ADULT) or stands beside (blade, heat, beside). */
  adult?: string
  /** A wait in which something is done again and again: every so many seconds. */
  every?: number
  measured?: Measured
  counts?: { what: string; n: number }
}

export interface Turn {
  id: string
  task: string
  number: number
  measure?: string
  /** At a station: in which round, from 0. */
  round?: number
  child: string
  /** Seconds from the start of the session. */
  start: number
  end: number
}

/** A job for a child that would wait. Seconds from the start of its sitting. */
export interface FillJob {
  child: string
  step: string
  sitting: number
  job: string
  says: string
  /** Other jobs that would do as well: offered, not pressed. */
  or: string[]
  /** Belongs to clearing up. */
  clears?: true
  /** The adult who stands beside. */
  adult?: string
  start: number
  end: number
}

/** An adult's work before a step: the oven that heats up, sticks that soak. */
export interface Background {
  says: string
  step: string
  sitting: number
  adult?: string
  /** Seconds from the start of the sitting; less than 0: before it. */
  start: number
  /** The work itself; ready when the step begins. */
  seconds: number
  ready: number
  /** Clock time, `HH:MM`. */
  at: string
}

export interface StepTime {
  step: string
  title: string
  picture: string
  says?: string
  sitting: number
  /** Seconds from the start of its sitting. */
  start: number
  seconds: number
  /** Clock time of the start, `HH:MM`. */
  at: string
  passive: boolean
  place: Place
}

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

export interface WatchNote {
  step: string
  /** The bowl it is about; none: every bowl. */
  bowl?: string
  grade: 'stop' | 'adult' | 'know'
  says: string
  source: string
}

export interface Check {
  line: string
  child: string
  about: string
  meeting: Meeting
  /** The child does not eat from a bowl with this line: only contact counts. */
  contact?: true
}

/** The smallest set of changes that clears every line that lists what somebody must not have, for one pot for all. */
export interface SwapSet {
  decisions: Decision[]
  /** The same in words: "buttermilk: oat drink and lemon juice". */
  says: string[]
  /** Lines (by name) for which nothing suits everyone. */
  stuck: string[]
  /** Names of foods whose packets are still to read with it. */
  packets: string[]
}

/** One rule of the hygiene and cross-contact plan. */
export interface HygieneNote {
  when: 'before' | 'order' | 'table' | 'after'
  says: string
  source: string
}

export interface Plan {
  version: typeof PLAN_VERSION
  session: string
  recipe: { id: string; title: string; serves: number; pieces?: { what: string; n: number } }
  /** `plan`: a care plan is to be acknowledged before cooking. `card`: what its card asked; not there in plans of an earlier version. */
  children: { id: string; months: number; ageText: string; plan?: true; card?: string }[]
  adults: string[]
  bowls: Bowl[]
  making: Making
  checks: Check[]
  swapSet: SwapSet | null
  hygiene: HygieneNote[]
  /** What is measured before anybody eats. Not there where nothing is, and in plans of an earlier version. */
  probes?: Probe[]
  findings: Finding[]
  cleared: Cleared[]
  tasks: Task[]
  turns: Turn[]
  schedule: StepTime[]
  /** Jobs for those who would wait. Not there in plans of an earlier version; nor is what an adult gets ready. */
  fill?: FillJob[]
  background?: Background[]
  talk: StepTalk[]
  /** Not there in plans of an earlier version. */
  uncovered?: Uncovered[]
  /** The targets of the week. */
  week?: string[]
  /** UK or US wording of what is said. */
  locale?: Locale
  /** The setting asks more or comments more; by age where it does not say. */
  talking?: TalkRule
  /** The setting's own rules in its own words. */
  ownRules?: string[]
  watch: WatchNote[]
  kit: { measures: string[]; tools: string[]; equipment: string[] }
  ahead: { when: string; says: string }[]
  shopping: ShoppingRow[]
  cost: Cost
  /** How the session measures, and whether turns come out even or scoops are few. */
  measuring: { way: Measuring; scooping: 'fair' | 'quick' }
  bounds: { leastTurns: number; mostTurns: number }
  totals: {
    seconds: number
    startsAt: string
    endsAt: string
    /** Minutes left before the families come (less than 0: too late), and how late it may begin. */
    spareMinutes?: number
    latestStart?: string
    /** Nobody can be quicker than this, step by step with these adults; and why. Not there in plans of an earlier version. */
    bound?: { seconds: number; cause: string }
    sittings: number
    perChild: {
      child: string
      turns: number
      jobs: number
      longestWait: number
      idle?: number
      idleFilled?: number
    }[]
    /** Seconds for things that go slower than planned: shown, not hidden in the times. */
    buffer?: number
    /** Clearing up after the end, where no wait was there for it. */
    clearUp?: { start: number; end: number }
    /** What stands longer than it may, and how long. */
    standing?: { step: string; bowl: string; seconds: number; most: number }[]
  }
  /** Decisions whose subject is gone: kept, without effect. */
  idle: Decision[]
  /** Digest of the whole plan without this field. */
  digest: string
}
