/** In which form a child does a technique: by its age, by the food, by what was seen, by what its hands need and the room has. */
import type { HandAndNeeds } from './helps'
import type { How } from './skills'
import { supervisionAt, type Rung, type Technique } from './techniques'
import { countOf, isPointed, toolOf, type ToolCount } from './tools'

/** The form in which one child does a technique. */
export type Form =
  | { kind: 'not-yet'; why: string }
  | { kind: 'adult'; why: string }
  | {
      kind: 'do'
      /** The rung of the ladder; none where the technique has no ladder. */
      rung?: string
      /** Id of the tool in the hand; '' where it is the hands alone. */
      tool: string
      /** What lies beside it, by ids. */
      with: string[]
      /** How, after the name of the job; '' where there is nothing to say. */
      says: string
      code: 'B' | 'O'
      perAdult: number
    }

const STRICTNESS = { N: 3, A: 2, B: 1, O: 0 } as const

/** Knife rule of a house: the gentlest tool first, or the real small knife early with an adult beside. */
export type KnifeRule = 'soft-first' | 'real-early'

/** What is known beside the age. Nothing known: the catalogue alone. */
export interface Circumstances {
  knives?: KnifeRule
  /** The house opens tools with a point to children who were seen to go alone with the tool before. */
  points?: boolean | undefined
  /** How the child was last seen to do it, and on which rung that was. */
  seen?: How | undefined
  rung?: string | undefined
  /** Foods in the hand as they are now: a raw carrot, not a cooked one. */
  foods?: readonly string[]
  hands?: HandAndNeeds
  /** Tools that are counted; of which there is none, another is taken. */
  tools?: readonly ToolCount[] | undefined
}

/** In a house with soft tools first, so long after a tool's age it is the one to begin with; months. Source: common practice. */
const SETTLED_MONTHS = 36

/**
 * What this child may do at this age: the technique's row, or the tool's own where that is stricter.
 * A rung that names foods is for those alone: who is too young for every rung of a food in the hand does not do it yet.
 * Within what age and food allow, what was seen moves the tool: alone moves up to the next, with help moves back to the one before.
 * A tool with a point is handed out only where the house opened it and the child was seen to go alone with the tool before
 * (core/data/knives.json: "a child shows the hold with the gentler tool first"; common practice, from memory).
 * @param months age in completed months
 */
export function formFor(technique: Technique, months: number, known: Circumstances = {}): Form {
  const row = supervisionAt(technique.supervision, months)
  if (!row || row.code === 'N') {
    const from = technique.supervision.find((r) => r.code === 'N')?.below
    return { kind: 'not-yet', why: from ? `from ${ageFrom(from)}` : 'not in this group' }
  }
  if (row.code === 'A') return { kind: 'adult', why: 'an adult does this at this age' }
  const rungs = rungsFor(technique, months, known)
  if ('kind' in rungs) return rungs
  const rung = rungs[rungAt(rungs, technique, months, known)]
  const own = rung?.supervision ? supervisionAt(rung.supervision, months) : undefined
  const strict = own && STRICTNESS[own.code] > STRICTNESS[row.code] ? own : row
  if (strict.code === 'A' || strict.code === 'N')
    return { kind: 'adult', why: 'an adult does this at this age' }
  return {
    kind: 'do',
    ...(rung && { rung: rung.id }),
    tool: rung ? (toolFor(rung, known) ?? '') : '',
    with: rung?.with ?? [],
    says: rung?.says ?? '',
    code: strict.code,
    perAdult: strict.children ?? 1,
  }
}

/** The rungs that age, food and room leave, or why none is left. */
function rungsFor(technique: Technique, months: number, known: Circumstances): Rung[] | Form {
  const usual = technique.ladder.filter((r) => !isPointed(r.tool))
  const points = mayHavePoint(known) ? technique.ladder.filter((r) => isPointed(r.tool)) : []
  let rungs = usual.filter((r) => !r.foods)
  let most = -1
  // A step stirs in flour and mashes a banana: what no rung speaks of is not what the hands work on.
  const named = (food: string): boolean =>
    usual.some((r) => r.foods?.includes(food) === true || r.not?.includes(food) === true)
  const all = known.foods ?? []
  const worked = all.filter(named)
  const asked = worked.length > 0 ? worked : all.slice(0, 1)
  for (const food of asked) {
    const fit = usual.filter((r) => isFor(r, food))
    const from = Math.min(...fit.map((r) => r.fromMonths))
    if (usual.length > 0 && from > months)
      return { kind: 'not-yet', why: from === Infinity ? NO_WAY : `with this food from ${ageFrom(from)}` }
    // Of several foods the one that asks most says how.
    if (from > most) {
      most = from
      rungs = fit
    }
  }
  const byAge = [...rungs, ...points].filter((r) => r.fromMonths <= months)
  const here = byAge.filter((r) => lacking(r, known) === undefined)
  const first = byAge[0]
  if (first && here.every((r) => isPointed(r.tool)))
    return { kind: 'not-yet', why: `there is no ${toolOf(lacking(first, known) ?? '')?.one ?? 'tool'} here` }
  return here
}
const NO_WAY = 'not with the tools that children have'
/** Is a rung for this food? */
export const isFor = (rung: Rung, food: string): boolean =>
  (!rung.foods || rung.foods.includes(food)) && !rung.not?.includes(food)

const mayHavePoint = ({ points, seen }: Circumstances): boolean => points === true && seen === 'alone'

/** A tool of a rung that the room has not; undefined where all is there. */
const lacking = (rung: Rung, known: Circumstances): string | undefined =>
  rung.tool !== undefined && toolFor(rung, known) === undefined
    ? rung.tool
    : rung.with?.find((t) => countOf(t, known.tools) < 1)

/** The tool of a rung that this hand holds best and that the room has; undefined where the room has none. */
function toolFor(rung: Rung, { hands, tools }: Circumstances): string | undefined {
  if (rung.tool === undefined) return undefined
  const here = [rung.tool, ...(rung.or ?? [])].filter((t) => countOf(t, tools) > 0)
  const first = here[0]
  if (first === undefined) return undefined
  const adapts = toolOf(first)?.adapts
  const own = [
    ...(hands?.needs.includes('limited-grip') ? [adapts?.grip] : []),
    ...(hands?.hand === 'left' ? [adapts?.left] : []),
  ].find((t): t is string => t !== undefined && countOf(t, tools) > 0)
  return own ?? first
}

/** Which tool of those that are open: soft tools first begins at the gentlest that is not behind the child by years, else at the last. */
function rungAt(rungs: readonly Rung[], technique: Technique, months: number, known: Circumstances): number {
  const { seen, rung, knives = 'soft-first' } = known
  const blunt = rungs.filter((r) => !isPointed(r.tool)).length
  const settled = rungs.filter((r) => !isPointed(r.tool) && r.fromMonths + SETTLED_MONTHS <= months).length
  const usual = technique.hazard === 'blade' && knives === 'soft-first' ? settled - 1 : blunt - 1
  const held = rungs.findIndex((r) => r.id === rung)
  // Who had a point and needed help has the tool below it.
  const above = held < 0 && technique.ladder.some((r) => r.id === rung && isPointed(r.tool))
  const start = Math.max(0, above ? rungs.length : held < 0 ? usual : held)
  const moved = seen === 'alone' ? start + 1 : seen === 'help' || seen === 'not-today' ? start - 1 : start
  return Math.max(0, Math.min(rungs.length - 1, moved))
}

const ageFrom = (months: number): string =>
  months === 12 ? '1 year' : months % 12 === 0 ? `${months / 12} years` : `${months} months`
