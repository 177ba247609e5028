/**
 * Techniques: what a pair of hands can do at an age, with which tool, and how near an adult stands.
 * Source: core/data/techniques.json (USDA Team Nutrition, CDC, British Nutrition Foundation, common practice; from memory).
 */
import data from '../../data/techniques.json'
import type { How } from './skills'

/** N not yet · A an adult does it · B beside, at most `children` per adult · O oversee. */
export interface Supervision {
  code: 'N' | 'A' | 'B' | 'O'
  children?: number
  below: number | null
}
export interface Rung {
  tool: string
  fromMonths: number
  supervision?: Supervision[]
  note?: string
}
export interface Technique {
  id: string
  name: string
  family: string
  supervision: Supervision[]
  ladder: Rung[]
  neighbour?: { job: string; fromMonths: number }
  hazard?: 'heat' | 'blade'
  secondsPerTurn: number
  /** 0 none to 3 much. */
  mess?: number
  /** Techniques that come before it. */
  after?: string[]
  /** What helps a left-handed child, a weak grip, a child in a wheelchair, one who does not touch wet food. */
  adapt?: { left?: string; grip?: string; wheelchair?: string; wet?: string }
  words: string[]
  cue: string
  source: string
  confidence: string
}

/** Every technique that Lea knows (core/data/techniques.json), each with its source. */
export const TECHNIQUES: readonly Technique[] = data.techniques as Technique[]
const BY_ID = new Map(TECHNIQUES.map((t) => [t.id, t]))
/** The technique of an id; undefined where there is none. */
export const techniqueOf = (id: string): Technique | undefined => BY_ID.get(id)

const at = (rows: readonly Supervision[], months: number): Supervision | undefined =>
  rows.find((r) => r.below === null || months < r.below)

/** The form in which one child does a technique. */
export type Form =
  | { kind: 'not-yet'; why: string }
  | { kind: 'adult'; why: string }
  | { kind: 'do'; tool: string; code: 'B' | 'O'; perAdult: number }

const STRICTNESS = { N: 3, A: 2, B: 1, O: 0 } as const

/** Knife rule of a house: the gentlest tool first, or the real small knife early with an adult beside. */
export type KnifeRule = 'soft-first' | 'real-early'

/**
 * What this child may do at this age: the technique's row, or the tool's own where that is stricter.
 * Within what the age allows, what was seen moves the tool: alone moves up to the next, with help moves back to the one before.
 * Tools that hold a point are never offered by default (common practice).
 */
export function formFor(
  technique: Technique,
  months: number,
  knives: KnifeRule = 'soft-first',
  seen?: How,
): Form {
  const row = at(technique.supervision, months)
  if (!row || row.code === 'N') {
    const from = technique.supervision.find((r) => r.code === 'N')?.below
    return { kind: 'not-yet', why: from ? `from ${ageFrom(from)}` : 'not in this group' }
  }
  if (row.code === 'A') return { kind: 'adult', why: 'an adult does this at this age' }
  const rungs = technique.ladder.filter(
    (r) => r.fromMonths <= months && !/pointed|cook's knife|paring/.test(r.tool),
  )
  const rung = rungs[rungAt(rungs.length, technique.hazard === 'blade' && knives === 'soft-first', seen)]
  const own = rung?.supervision ? at(rung.supervision, months) : undefined
  const strict = own && STRICTNESS[own.code] > STRICTNESS[row.code] ? own : row
  if (strict.code === 'A' || strict.code === 'N')
    return { kind: 'adult', why: 'an adult does this at this age' }
  return { kind: 'do', tool: rung?.tool ?? '', code: strict.code, perAdult: strict.children ?? 1 }
}

/** Which tool of those that the age allows: soft tools first begins at the gentlest, else at the last. */
function rungAt(rungs: number, softFirst: boolean, seen: How | undefined): number {
  const start = softFirst ? 0 : rungs - 1
  const moved = seen === 'alone' ? start + 1 : seen === 'help' || seen === 'not-today' ? start - 1 : start
  return Math.max(0, Math.min(rungs - 1, moved))
}

const ageFrom = (months: number): string =>
  months === 12 ? '1 year' : months % 12 === 0 ? `${months / 12} years` : `${months} months`
