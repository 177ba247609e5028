/**
 * Techniques: what a pair of hands can do at an age, with which tool, and how near an adult stands.
 * Source: core/data/techniques.json (USDA Team Nutrition, CDC, British Nutrition Foundation, common practice; from memory).
 */
import data from '../../data/techniques.json'

/** N not yet · A an adult does it · B beside, at most `children` per adult · O oversee. */
export interface Supervision {
  code: 'N' | 'A' | 'B' | 'O'
  children?: number
  below: number | null
}
/** One way of doing a technique: how, with what, on which foods, from which age. */
export interface Rung {
  id: string
  /** For the card, after the name of the job: "with a nylon knife, on a board". */
  says: string
  /** What the hand holds, and what lies beside it (tools.json). */
  tool?: string
  with?: string[]
  /** Tools that do as well in the same hand. */
  or?: string[]
  /** It is for these foods alone, or for all but these; ids of foods. */
  foods?: string[]
  not?: string[]
  fromMonths: number
  supervision?: Supervision[]
  note?: string
  /** What it was called up to 0.11: kept settings and frozen plans are read by it. */
  was?: string
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
  /** What the adult holds who does it. */
  adultTools?: string[]
  /** Seconds for which an adult shows it where nobody at the table has done it before. Source: common practice. */
  showSeconds?: number
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

/** What stands for an age, in months, of rows by rising age. */
export const supervisionAt = (rows: readonly Supervision[], months: number): Supervision | undefined =>
  rows.find((r) => r.below === null || months < r.below)
