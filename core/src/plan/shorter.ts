/**
 * What would make a session shorter: a small catalogue of changes, each tried for real through the whole pipeline, the least
 * effort first. Minimal only over this catalogue (scheduling.md section 5; efforts are common practice).
 */
import { compile } from './compile'
import { decide, type Decision } from './decision'
import type { Plan } from './plan'
import type { PlanRequest } from './request'

export interface Shorter {
  says: string
  /** What it costs, in words. */
  cost: string
  effort: number
  minutesSaved: number
  endsAt: string
  /** Where families come: does it then end in time? */
  fits: boolean
  /** Can be taken at once; the others are for people to arrange. */
  decision?: Decision
}

interface Try {
  says: string
  effort: number
  request: PlanRequest
  decision?: Decision
}

const EXTRA = 'one-more-adult'

function tries(r: PlanRequest): Try[] {
  const quick: Decision = { kind: 'scooping', way: 'quick' }
  const places = r.kit.sinkPlaces ?? 2
  const size = r.rules.groupSize
  const grouped = r.rules.grouping === 'groups'
  const groups = (groupSize: number): PlanRequest => ({
    ...r,
    rules: { ...r.rules, grouping: 'groups', groupSize },
  })
  return [
    {
      says: 'Few scoops instead of even turns',
      effort: 2,
      request: { ...r, decisions: decide(r.decisions, quick) },
      decision: quick,
    },
    ...(grouped && size > 2
      ? [{ says: `A bowl more: groups of ${size - 1}`, effort: 2, request: groups(size - 1) }]
      : []),
    ...(grouped
      ? [{ says: `A bowl fewer: groups of ${size + 1}`, effort: 2, request: groups(size + 1) }]
      : []),
    ...(!grouped && r.children.length > 3
      ? [{ says: 'Two bowls instead of one', effort: 3, request: groups(Math.ceil(r.children.length / 2)) }]
      : []),
    {
      says: 'One more adult, who may lead knives and heat',
      effort: 5,
      request: { ...r, adults: [...r.adults, { id: EXTRA, leads: ['knives', 'heat'] }] },
    },
    {
      says: `A washing bowl beside the sink: ${places + 2} wash at once`,
      effort: 3,
      request: { ...r, kit: { ...r.kit, sinkPlaces: places + 2 } },
    },
  ]
}

/** @returns those that save a minute or more: the ones that fit before the families come first, then by effort */
export function shorter(request: PlanRequest, now: Plan): Shorter[] {
  const turns = (p: Plan): number => p.totals.perChild.reduce((n, c) => n + c.turns, 0)
  return tries(request)
    .flatMap((t): Shorter[] => {
      const plan = compile(t.request)
      const minutesSaved = Math.floor((now.totals.seconds - plan.totals.seconds) / 60)
      if (minutesSaved < 1) return []
      const fewer = turns(now) - turns(plan)
      return [
        {
          says: t.says,
          cost:
            fewer === 0
              ? 'no turn fewer'
              : fewer > 0
                ? `${fewer} turns fewer in all`
                : `${-fewer} turns more in all`,
          effort: t.effort,
          minutesSaved,
          endsAt: plan.totals.endsAt,
          fits: (plan.totals.spareMinutes ?? 0) >= 0,
          ...(t.decision && { decision: t.decision }),
        },
      ]
    })
    .sort((a, b) => Number(b.fits) - Number(a.fits) || a.effort - b.effort || b.minutesSaved - a.minutesSaved)
}
