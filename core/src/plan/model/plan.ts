/** The plan: plain JSON, derived from a request, frozen when cooking starts. */
import type { Probe } from '../../food/core-temperature'
import type { TalkRule } from '../../learn/levels'
import type { Locale } from '../../learn/fact/saying'
import type { Decision, Measuring } from './decision'
import type { Cleared, Finding } from './finding'
import type { Cost, ShoppingRow } from './shopping-list'
import type { Making } from './making'
import type { PlanChoice, PlanTasting } from './choice'
import type { Bowl } from './line'
import type { Task, Turn, WaitingJob, Background, StepTime } from './task'
import type { StepTalk, Uncovered } from './step-talk'
import type { ExposureKind } from '../../food/concern'
import type { Recipe } from '../../recipe/recipe'
import type { Growing } from '../../recipe/kinds/kinds'
import type { Scene } from '../../recipe/kinds/scene-parts'

/** Of the shape of a plan: an earlier one is upgraded where it is read. */
export const PLAN_VERSION = 4

export interface WatchNote {
  step: string
  /** The bowl it is about; none: every bowl. */
  bowl?: string
  grade: 'stop' | 'adult' | 'know'
  /** A note about a child's own allergy or plan is for an adult's eyes: no screen that children see shows it. */
  about: NoteSubject
  says: string
  source: string
}

/** What keeps a session from being shorter. */
export type HeldUpBy =
  | { kind: 'none' | 'sink' | 'oven' | 'watching' }
  | { kind: 'adult'; adult: string }
  | { kind: 'tool'; tool: string }
  | { kind: 'measure'; measure: string }
  | { kind: 'chain' | 'clique'; tasks: string[] }

/** Whom a note is about: the work itself, or one child. */
export type NoteSubject = { kind: 'work' } | { kind: 'child'; child: string }
export const WORK: NoteSubject = { kind: 'work' }

export interface Check {
  line: string
  child: string
  about: string
  meeting: ExposureKind
  /** The child does not eat from a bowl with this line: only contact counts. */
  contact?: true
}

/** The smallest set of changes that clears every line that lists what somebody must not have, for one pot for all. */
export interface SwapSet {
  decisions: Decision[]
  /** The same by the names of the foods; `to` null: it is left out. */
  swaps: { from: string; to: string | null }[]
  /** Lines (by name) for which nothing suits everyone. */
  stuck: string[]
  /** Names of foods whose packets are still to read with it. */
  packets: string[]
}

/** A tool of the day. */
export interface KitTool {
  /** Id of the catalogue; '' in plans of an earlier version. */
  tool: string
  /** Its name for so many. */
  name: string
  /** In use at one moment, at most. */
  n: number
  /** At each child's place, on the tray in the middle, by the adult. */
  where: 'place' | 'tray' | 'adult'
  /** Names of the jobs it is for. */
  jobs: string[]
  /** For whose hands it is, where not for everybody's. */
  children?: string[]
  /** When it is to be washed between two jobs. */
  washed?: string
  /** It stands on the table. */
  laid: boolean
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
  recipe: Pick<Recipe, 'id' | 'title' | 'serves' | 'pieces'>
  /** `plan`: a care plan is to be acknowledged before cooking. `card`: what its card asked; not there in plans of an earlier version. */
  children: { id: string; months: number; ageText: string; plan?: true; card?: string }[]
  adults: string[]
  bowls: Bowl[]
  /** Not there where there is none, and in plans of an earlier version. */
  choices?: PlanChoice[]
  /** Pictures that are built, by step. Not there where none is, and in plans of an earlier version. */
  scenes?: (Scene & { step: string })[]
  /** What is tasted, by step. Not there where nothing is, and in plans of an earlier version. */
  tastings?: PlanTasting[]
  /** What grows on from what is sown. Not there where nothing does, and in plans of an earlier version. */
  grows?: Growing
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
  waitingJobs?: WaitingJob[]
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
  /** Lines that are not to be said, and by step lines that are: by id. */
  linesNot?: string[]
  linesKept?: { step: string; line: string }[]
  /** The setting's own rules in its own words. */
  ownRules?: string[]
  watch: WatchNote[]
  kit: { measures: string[]; tools: KitTool[]; equipment: string[] }
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
    bound?: { seconds: number; cause: HeldUpBy }
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
  ineffective: Decision[]
  /** Digest of the whole plan without this field. */
  digest: string
}
