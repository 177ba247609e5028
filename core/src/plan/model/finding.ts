/** What stands in the way of a plan, or is worth knowing: one finding for each cause, with the fixes that clear it. */
import type { Grade } from '../../food/concerns'
import type { Decision } from './decision'
import { digest } from './digest'
import type { ExposureKind } from '../../food/concern'

/** What one tap would do, and what it costs. */
export type FixAction =
  | { do: 'decide'; decision: Decision }
  | { do: 'choose-other' }
  | { do: 'read-packet'; food: string; lookFor: string[] }
  | { do: 'reason' }
  | { do: 'stand' }
  | { do: 'add-adult' }
  | { do: 'start-at'; start: string }

export interface Fix {
  label: string
  /** What becomes different by it: the taste, the price, packets to read. */
  cost: string
  /** How much of what, and how it is done; for whoever has chosen it, or asks. */
  how?: string
  action: FixAction
}

/** One child's concern in a finding. */
export interface FindingSubject {
  child: string
  /** Allergen id, diet or rule. */
  about: string
  level?: string
  meeting?: ExposureKind
}

/** The passes, in their order. */
export const PASSES = [
  'adapt',
  'shape',
  'portion',
  'split',
  'scoop',
  'turns',
  'clock',
  'gather',
  'talk',
] as const
export type PassName = (typeof PASSES)[number]

/** What a finding is a case of. */
export type RuleName =
  | 'concern'
  | 'shape'
  | 'too-early'
  | 'eaten-raw'
  | 'deep-oil'
  | 'raw-first'
  | 'object'
  | 'added-sugar'
  | 'ratio'
  | 'make'
  | 'scene'
  | 'tasting'
  | 'whole-eggs'
  | 'whole-tins'
  | 'scaling'
  | 'near-measure'
  | 'heat'
  | 'blade'
  | 'stations'
  | 'even-turns'
  | 'tight'
  | 'late'
  | 'waits'
  | 'stands'
  | 'equipment'
  | 'way'
  | 'few-tools'
  | 'no-choice'

export interface Finding {
  id: string
  cause: string
  grade: Grade
  pass: PassName
  rule: RuleName
  subject: { line?: string; step?: string; task?: string; tool?: string; food?: string }
  touches: FindingSubject[]
  /** Text for a person; `{{id}}` stands for the name of a child or adult. */
  says: string
  because: string
  source: string
  fixes: Fix[]
}

/** A finding that an adult cleared, with their reason. */
export interface Cleared {
  finding: Finding
  who: string
  why: string
  at?: string
}

const ORDER: Record<Grade, number> = { stop: 0, adult: 1, know: 2 }
export const byGrade = (a: Finding, b: Finding): number => ORDER[a.grade] - ORDER[b.grade]
export const worst = (grades: readonly Grade[]): Grade =>
  grades.reduce<Grade>((a, b) => (ORDER[b] < ORDER[a] ? b : a), 'know')

/** Builds a finding; `id` is the rule and its subject, `cause` digests all that the judgement rests on. */
export function finding(parts: Omit<Finding, 'id' | 'cause'> & { dependsOn: unknown }): Finding {
  const { dependsOn, ...rest } = parts
  const s = rest.subject
  const subject = [s.line, s.step, s.task, s.tool, s.food].filter((x) => x !== undefined).join('/')
  return { id: `${rest.rule}:${subject}`, cause: digest(dependsOn), ...rest }
}

/** The name that a text gives to a child or adult until it is shown. */
export const nameToken = (id: string): string => `{{${id}}}`

/** Fills the names in where a text is shown. An id nobody knows any more becomes `fallback`. */
export const fillNames = (text: string, names: ReadonlyMap<string, string>, fallback = 'someone'): string =>
  text.replace(/\{\{([^}]+)\}\}/g, (_, id: string) => names.get(id) ?? fallback)
