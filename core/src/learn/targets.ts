/**
 * Targets of learning, with the ages at which they are usually first met.
 * Source: core/data/targets.json (ages and standards from memory; for matching a question to a child, never for reporting that a
 * child meets a standard).
 */
import data from '../../data/targets.json'

export interface Target {
  id: string
  strand: string
  /** What the child learns, in a few words. */
  says: string
  /** Usual first window, whole months. */
  from: number
  to: number
  standards: string
  /** Of the targets to begin with. */
  core?: boolean
  confidence: string
}

/** What may be learnt at the table (core/data/targets.json), each with its ages and source. */
export const TARGETS = data.targets as readonly Target[]
const BY_ID = new Map(TARGETS.map((t) => [t.id, t]))
/** The target of an id; undefined where there is none. */
export const targetOf = (id: string): Target | undefined => BY_ID.get(id)

/** So many months before its window a target is met without anything being expected. Source: learning.md B1, age rule. */
const BEFORE = 12

/** A window that ends here is open: older children, and adults who help, go on with it. Months. */
const LAST_BAND = 144
/** Can a child of that age meet this target: within its window, or up to a year before it. */
export const suits = (target: Target, months: number): boolean =>
  months >= target.from - BEFORE && (months <= target.to || target.to >= LAST_BAND)
