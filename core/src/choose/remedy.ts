import { lowered } from '../amount/letter-case'
import { PlanError } from '../plan/begin'
import { decide, type Decision } from '../plan/model/decision'
import type { Finding } from '../plan/model/finding'
import type { PlanRequest } from '../plan/model/request'
import { tries, type Try } from '../plan/whatif/shorter'
import { sketch } from '../plan/sketch'
import type { Recipe } from '../recipe/recipe'
import { evaluateRequest } from './evaluate-recipe'
import { byKey } from './order'
import {
  NEVER_MADE,
  type AgainstKind,
  type Evaluation,
  type MadeBefore,
  type SelectionCriteria,
} from './selection-criteria'
import { clockAfter } from '../amount/clock-time'

export interface Remedy {
  /** "one more adult, who may lead knives and heat" */
  says: string
  effort: number
  /** Nothing stands against it any more. */
  clears: boolean
  /** What still does. */
  left: AgainstKind[]
  /** The look with the change. */
  after: Evaluation
  /** Can be taken at once with the session; the others are for people to arrange. */
  decisions?: Decision[]
  start?: string
}

interface Change extends Try {
  start?: string
}

const EFFORT = { fix: 1, start: 3 }
/** So many of the best single changes are tried in pairs. */
const PAIRED = 5
/** Earlier by at most so many minutes: more is another day (common practice). */
const EARLIER_MOST = 60

/**
 * @param look of this recipe with this wish, with something against it
 * @returns the cheapest change that clears all of it, else the one that leaves least; null where none helps
 */
export function remedyFor(
  look: Evaluation,
  recipe: Recipe,
  wish: SelectionCriteria,
  made: MadeBefore = NEVER_MADE,
): Remedy | null {
  if (look.against.length === 0 || look.against.some((a) => a.kind === 'plan')) return null
  const request: PlanRequest = { ...wish.base, recipe, decisions: look.decisions }
  const outline = sketch(request)
  const changes = [
    ...fixesOf(outline.findings),
    ...earlier(look, request),
    ...tries(request, outline.draft),
  ].sort((a, b) => a.effort - b.effort)
  const attempt = (c: Change): Remedy | null => tried(c, look, request, wish, made)
  const singles: { change: Change; remedy: Remedy }[] = []
  for (const change of changes) {
    const remedy = attempt(change)
    if (remedy?.clears) return remedy
    if (remedy) singles.push({ change, remedy })
  }
  const best = singles.sort(
    (a, b) => byKey(a.remedy.after, b.remedy.after) || a.change.effort - b.change.effort,
  )
  const pairs = best.slice(0, PAIRED).flatMap((a, i) =>
    best.slice(i + 1, PAIRED).flatMap((b) => {
      const remedy = attempt(both(a.change, b.change))
      return remedy ? [remedy] : []
    }),
  )
  const cleared = pairs.filter((m) => m.clears).sort((a, b) => a.effort - b.effort)[0]
  return cleared ?? best[0]?.remedy ?? null
}

const canTake = (c: Change): boolean => c.decisions !== undefined || c.start !== undefined

function both(a: Change, b: Change): Change {
  const start = b.start ?? a.start
  return {
    says: `${a.says}; and ${lowered(b.says)}`,
    effort: a.effort + b.effort,
    apply: (r) => b.apply(a.apply(r)),
    // Taken at once only where both parts can be: half a change would be shown as the whole.
    ...(start !== undefined && canTake(a) && canTake(b) && { start }),
    ...(canTake(a) &&
      canTake(b) &&
      (a.decisions ?? b.decisions) && { decisions: [...(a.decisions ?? []), ...(b.decisions ?? [])] }),
  }
}

/** Changes that a finding offers for itself: a shape prepared, an own bowl, a line left out. */
function fixesOf(findings: readonly Finding[]): Change[] {
  return findings
    .filter((f) => f.grade === 'stop')
    .flatMap((f) =>
      f.fixes.flatMap((fix): Change[] => {
        if (fix.action.do !== 'decide') return []
        const { decision } = fix.action
        return [
          {
            says: fix.label,
            effort: EFFORT.fix + (decision.kind === 'apart' ? 3 : 0),
            decisions: [decision],
            apply: (r) => ({ ...r, decisions: decide(r.decisions, decision) }),
          },
        ]
      }),
    )
    .filter((c, i, all) => all.findIndex((d) => d.says === c.says) === i)
}

function earlier({ figures }: Evaluation, { session }: PlanRequest): Change[] {
  if (figures.late === 0) return []
  const by = 5 * Math.ceil(figures.late / 5)
  if (by > EARLIER_MOST) return []
  const start = clockAfter(session.start, 24 * 60 - by)
  return [
    {
      says: `Begin at ${start}, ${by} minutes earlier`,
      effort: EFFORT.start,
      start,
      apply: (r) => ({ ...r, session: { ...r.session, start } }),
    },
  ]
}

function tried(
  change: Change,
  before: Evaluation,
  request: PlanRequest,
  wish: SelectionCriteria,
  made: MadeBefore,
): Remedy | null {
  try {
    const changed = change.apply(request)
    const after = evaluateRequest(before.recipe, changed, wish, made, before.swaps)
    if (byKey(after, before) >= 0 || after.against.length >= before.against.length) return null
    return {
      says: change.says,
      effort: change.effort,
      clears: after.against.length === 0,
      left: [...new Set(after.against.map((a) => a.kind))],
      after,
      ...(change.decisions && { decisions: changed.decisions }),
      ...(change.start !== undefined && { start: change.start }),
    }
  } catch (fault) {
    // What cannot be planned is no remedy.
    if (fault instanceof PlanError) return null
    throw fault
  }
}
