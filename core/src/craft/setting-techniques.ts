/**
 * What a setting moves in the catalogue of techniques: from which age children begin, from which an adult only oversees, from
 * which a tool is handed out. Lea's ages are planning figures (common practice); a setting knows its children.
 * Two limits stand: heat never comes sooner than in the catalogue, and a blade that comes sooner has an adult beside one child.
 */
import { techniqueOf, type Rung, type Supervision, type Technique } from './techniques'

/** All ages in completed months. */
export interface HouseTechnique {
  technique: string
  /** Children take part from this age. */
  from?: number | null | undefined
  /** From this age an adult oversees; before, one stands beside. */
  oversee?: number | null | undefined
  /** Rungs of the ladder with an age of their own, by id (by what they were called, in settings kept up to 0.11). */
  tools?: { tool: string; from: number }[] | undefined
}

/** A rung in words, by its id or by what it was called up to 0.11; what nobody knows as it stands. */
export const rungText = (technique: string, rung: string): string =>
  techniqueOf(technique)?.ladder.find((r) => r.id === rung || r.was === rung)?.says ?? rung

/** The ages at which a technique begins and is overseen in the catalogue; null where an adult always does it. */
export function agesOf(technique: Technique): { from: number | null; oversee: number | null } {
  const start = (fit: (s: Supervision) => boolean): number | null => {
    const at = technique.supervision.findIndex(fit)
    return at < 0 ? null : at === 0 ? 0 : (technique.supervision[at - 1]?.below ?? 0)
  }
  return { from: start((s) => s.code === 'B' || s.code === 'O'), oversee: start((s) => s.code === 'O') }
}

/**
 * The technique as this setting does it.
 * @param own what the setting moved; nothing moved gives the catalogue's own
 * @returns undefined where the catalogue has no such technique
 */
export function techniqueFor(id: string, own: readonly HouseTechnique[] = []): Technique | undefined {
  const technique = techniqueOf(id)
  const moved = own.find((o) => o.technique === id)
  if (!technique || !moved) return technique
  return {
    ...technique,
    supervision: overseenFrom(beginFrom(technique, moved.from), technique, moved.oversee),
    ladder: technique.ladder.map((rung) => movedRung(rung, technique, moved)),
  }
}

const earlier = (technique: Technique, asked: number, usual: number): number =>
  technique.hazard === 'heat' ? Math.max(asked, usual) : asked

function beginFrom(technique: Technique, asked: number | null | undefined): Supervision[] {
  const { from: usual } = agesOf(technique)
  const rows = [...technique.supervision]
  if (asked == null || usual === null) return rows
  const from = earlier(technique, asked, usual)
  const doing = rows.filter((r) => r.code === 'B' || r.code === 'O')
  // What stands before children begin: an adult does it, or not yet.
  const before: Supervision = { code: rows[0]?.code === 'A' ? 'A' : 'N', below: from }
  const later = doing.filter((r) => r.below === null || r.below > from)
  if (from >= usual) return [before, ...later]
  const strict = Math.min(...doing.map((r) => r.children ?? 1))
  const children = technique.hazard === 'blade' ? 1 : strict
  return [before, { code: 'B', children, below: usual }, ...later]
}

function overseenFrom(
  rows: Supervision[],
  technique: Technique,
  asked: number | null | undefined,
): Supervision[] {
  const { from, oversee: usual } = agesOf(technique)
  const overseen = rows.find((r) => r.code === 'O')
  if (asked == null || usual === null || from === null || !overseen) return rows
  const at = earlier(technique, asked, usual)
  if (at === usual) return rows
  const begins = rows.findIndex((r) => r.code === 'B' || r.code === 'O')
  const start = rows[begins - 1]?.below ?? 0
  const before = rows.slice(0, begins)
  if (at <= start) return [...before, { ...overseen, below: null }]
  const beside = rows.slice(begins).filter((r) => r.code === 'B')
  const children = Math.min(...beside.map((r) => r.children ?? 1), overseen.children ?? 1)
  const kept = beside.filter((r) => (r.below ?? Infinity) < at)
  return [...before, ...kept, { code: 'B', children, below: at }, { ...overseen, below: null }]
}

/** A tool handed out sooner than in the catalogue keeps its own supervision; what held a child back is its age alone. */
function movedRung(rung: Rung, technique: Technique, moved: HouseTechnique): Rung {
  const own = moved.tools?.find((t) => t.tool === rung.id || t.tool === rung.was)
  const first = agesOf(technique).from
  const begin = moved.from == null || first === null ? null : earlier(technique, moved.from, first)
  // The gentlest tool comes with the technique itself.
  const asked = own?.from ?? (rung === technique.ladder[0] && begin !== null ? begin : rung.fromMonths)
  const from = earlier(technique, asked, rung.fromMonths)
  if (from >= rung.fromMonths || technique.hazard !== 'blade') return { ...rung, fromMonths: from }
  const rest = rung.supervision ?? technique.supervision.filter((r) => r.code !== 'N' && r.code !== 'A')
  return {
    ...rung,
    fromMonths: from,
    supervision: [{ code: 'B', children: 1, below: rung.fromMonths }, ...rest],
  }
}
