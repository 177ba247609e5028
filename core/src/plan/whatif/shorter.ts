/**
 * What would make a session shorter: a small catalogue of changes, each tried for real through the whole pipeline, the least
 * effort first; where no single one brings it in before the families, pairs of the best. Minimal only over this catalogue
 * (scheduling.md section 5; efforts are common practice).
 */
import { toolIdOf, toolName } from '../../craft/tools'
import { type Outline, outlineOf } from '../compile'
import { decide, type Decision } from '../model/decision'
import type { Plan } from '../model/plan'
import type { PlanRequest } from '../model/request'
import { restsOf } from '../model/session-recipe/sittings'
import type { Task } from '../model/task'

/** What a plan comes to, for setting two beside each other. */
export interface PlanFigures {
  endsAt: string
  minutes: number
  /** Turns of shared tasks, least and most of a child. */
  turns: [number, number]
  /** Longest wait for a turn, in minutes, to the half. */
  wait: number
  sittings: number
}

export interface Shorter {
  says: string
  /** What it costs, in words. */
  cost: string
  effort: number
  minutesSaved: number
  endsAt: string
  /** Where families come: does it then end in time? */
  fits: boolean
  before: PlanFigures
  after: PlanFigures
  /** Can be taken at once; the others are for people to arrange. */
  decisions?: Decision[]
}

/** One change of the catalogue: applied to a request, it is tried for real. */
export interface Try {
  says: string
  effort: number
  apply: (r: PlanRequest) => PlanRequest
  decisions?: Decision[]
  cost?: (after: Outline) => string
}

const EXTRA = 'one-more-adult'

/** The figures by which two plans are compared: minutes, turns, waits, adults’ work. */
export function planFigures(plan: Pick<Plan, 'totals'>): PlanFigures {
  const turns = plan.totals.perChild.map((c) => c.turns)
  const wait = Math.max(0, ...plan.totals.perChild.map((c) => c.longestWait))
  return {
    endsAt: plan.totals.endsAt,
    minutes: Math.ceil(plan.totals.seconds / 60),
    turns: [Math.min(...turns), Math.max(...turns)],
    wait: Math.round(wait / 30) / 2,
    sittings: plan.totals.sittings,
  }
}

/** The catalogue for a session as it stands. */
export function tries(r: PlanRequest, now: Pick<Plan, 'tasks'>): Try[] {
  return [...ofGroups(r), ...ofKit(r), ...ofMeasures(r, now), ...ofAdults(r), ...byAdult(now), ...inTwo(r)]
}

const deciding =
  (...list: Decision[]) =>
  (r: PlanRequest): PlanRequest => ({
    ...r,
    decisions: list.reduce<Decision[]>((all, d) => decide(all, d), r.decisions),
  })

function ofGroups({ rules, children }: PlanRequest): Try[] {
  const size = rules.groupSize
  const grouped = rules.grouping === 'groups'
  const quick: Decision = { kind: 'scooping', way: 'quick' }
  const groups =
    (groupSize: number) =>
    (r: PlanRequest): PlanRequest => ({ ...r, rules: { ...r.rules, grouping: 'groups', groupSize } })
  return [
    {
      says: 'Few scoops instead of even turns',
      effort: 2,
      apply: deciding(quick),
      decisions: [quick],
    },
    ...(grouped && size > 2
      ? [{ says: `A bowl more: groups of ${size - 1}`, effort: 2, apply: groups(size - 1) }]
      : []),
    ...(grouped ? [{ says: `A bowl fewer: groups of ${size + 1}`, effort: 2, apply: groups(size + 1) }] : []),
    ...(!grouped && children.length > 3
      ? [
          {
            says: 'Two bowls instead of one',
            effort: 3,
            apply: groups(Math.ceil(children.length / 2)),
          },
        ]
      : []),
  ]
}

function ofKit({ kit }: PlanRequest): Try[] {
  const places = kit.sinkPlaces ?? 2
  return [
    ...(kit.tools ?? []).map(({ tool }): Try => ({
      says: `One more ${toolName(toolIdOf(tool) ?? tool)}`,
      effort: 1,
      apply: (r) => ({
        ...r,
        kit: {
          ...r.kit,
          tools: (r.kit.tools ?? []).map((t) => (t.tool === tool ? { ...t, count: t.count + 1 } : t)),
        },
      }),
    })),
    {
      says: `A washing bowl beside the sink: ${places + 2} wash at once`,
      effort: 3,
      apply: (r) => ({ ...r, kit: { ...r.kit, sinkPlaces: places + 2 } }),
    },
  ]
}

/** Several bowls wait for one spoon: with a set for each of them none waits. */
function ofMeasures({ kit }: PlanRequest, { tasks }: Pick<Plan, 'tasks'>): Try[] {
  const bowls = new Set(tasks.filter((t) => t.measured?.by === 'scoop').map((t) => t.bowl)).size
  if (bowls < 2 || kit.measures.every((m) => m.count === 0 || m.count >= bowls)) return []
  return [
    {
      says: `A set of measures for each of ${bowls} bowls`,
      effort: 2,
      apply: (r) => ({
        ...r,
        kit: {
          ...r.kit,
          measures: r.kit.measures.map((m) =>
            m.count === 0 ? m : { ...m, count: Math.max(m.count, bowls) },
          ),
        },
      }),
    },
  ]
}

function ofAdults({ adults }: PlanRequest): Try[] {
  const untrained = adults.some((a) => a.leads.length < 2)
  return [
    ...(untrained
      ? [
          {
            says: 'Every adult here may lead knives and heat',
            effort: 4,
            apply: (r: PlanRequest): PlanRequest => ({
              ...r,
              adults: r.adults.map((a) => ({ ...a, leads: ['knives', 'heat'] })),
            }),
          },
        ]
      : []),
    {
      says: 'One more adult, who may lead knives and heat',
      effort: 5,
      apply: (r) => ({ ...r, adults: [...r.adults, { id: EXTRA, leads: ['knives', 'heat'] }] }),
    },
  ]
}

/** An adult does one of the longest shared jobs, in every bowl. */
function byAdult({ tasks }: Pick<Plan, 'tasks'>): Try[] {
  const jobs = new Map<string, Task[]>()
  for (const t of tasks) if (t.mode === 'TURNS') jobs.set(jobKey(t), [...(jobs.get(jobKey(t)) ?? []), t])
  const seconds = (list: readonly Task[]): number => list.reduce((n, t) => n + t.n * t.seconds, 0)
  return [...jobs.values()]
    .sort((a, b) => seconds(b) - seconds(a))
    .slice(0, 3)
    .map((list): Try => {
      const decisions = list.map((t): Decision => ({ kind: 'adult-does', task: t.id }))
      return {
        says: `An adult does: ${list[0]?.name ?? ''}`,
        effort: 3,
        apply: deciding(...decisions),
        decisions,
      }
    })
}
const jobKey = (t: Task): string => `${t.step}/${t.technique}`

/** A rest in between, wherever the recipe says that it may rest. */
function inTwo({ recipe }: PlanRequest): Try[] {
  return restsOf(recipe).map((step): Try => {
    const decision: Decision = { kind: 'two-sittings', after: step.id }
    return {
      says: `Two sittings: it rests after '${step.title}' (${step.rests?.how ?? ''})`,
      effort: 9,
      apply: deciding(decision),
      decisions: [decision],
      cost: (after) => `the second sitting takes ${Math.ceil(lengthOf(after, 2) / 60)} minutes, another day`,
    }
  })
}

const lengthOf = (plan: Pick<Plan, 'schedule'>, sitting: number): number =>
  Math.max(0, ...plan.schedule.filter((s) => s.sitting === sitting).map((s) => s.start + s.seconds))

const turnsIn = (p: Pick<Plan, 'totals'>): number => p.totals.perChild.reduce((n, c) => n + c.turns, 0)

function turnsCost(now: Pick<Plan, 'totals'>, after: Pick<Plan, 'totals'>): string {
  const fewer = turnsIn(now) - turnsIn(after)
  if (fewer === 0) return 'no turn fewer'
  return fewer > 0 ? `${fewer} turns fewer in all` : `${-fewer} turns more in all`
}

function tried(t: Try, request: PlanRequest, now: Plan): Shorter | null {
  const plan = outlineOf(t.apply(request))
  const minutesSaved = Math.floor((now.totals.seconds - plan.totals.seconds) / 60)
  return {
    says: t.says,
    cost: [turnsCost(now, plan), ...(t.cost ? [t.cost(plan)] : [])].join('; '),
    effort: t.effort,
    minutesSaved,
    endsAt: plan.totals.endsAt,
    fits: (plan.totals.spareMinutes ?? 0) >= 0,
    before: planFigures(now),
    after: planFigures(plan),
    ...(t.decisions && { decisions: t.decisions }),
  }
}

/** So many of the nearest misses are tried in pairs. */
const PAIRED = 4

/** @returns those that save a minute or more: the ones that fit before the families come first, then by effort */
export function shorter(request: PlanRequest, now: Plan): Shorter[] {
  const singles = tries(request, now).flatMap((t) => {
    const found = tried(t, request, now)
    return found && found.minutesSaved >= 1 ? [{ t, found }] : []
  })
  const late = (now.totals.spareMinutes ?? 0) < 0
  const pairs = late && singles.every((s) => !s.found.fits) ? inPairs(singles, request, now) : []
  return [...singles.map((s) => s.found), ...pairs].sort(
    (a, b) => Number(b.fits) - Number(a.fits) || a.effort - b.effort || b.minutesSaved - a.minutesSaved,
  )
}

function inPairs(singles: { t: Try; found: Shorter }[], request: PlanRequest, now: Plan): Shorter[] {
  const best = [...singles].sort((a, b) => b.found.minutesSaved - a.found.minutesSaved).slice(0, PAIRED)
  return best.flatMap((a, i) =>
    best.slice(i + 1).flatMap((b) => {
      const both: Try = {
        says: `${a.t.says}; and ${lower(b.t.says)}`,
        effort: a.t.effort + b.t.effort,
        apply: (r) => b.t.apply(a.t.apply(r)),
        ...(a.t.decisions && b.t.decisions && { decisions: [...a.t.decisions, ...b.t.decisions] }),
      }
      const found = tried(both, request, now)
      const alone = Math.max(a.found.minutesSaved, b.found.minutesSaved)
      return found && found.fits && found.minutesSaved > alone ? [found] : []
    }),
  )
}

const lower = (text: string): string => (text[0]?.toLowerCase() ?? '') + text.slice(1)
