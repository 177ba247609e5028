/**
 * compile(request) -> Plan: pure and deterministic. Inputs and decisions in, the whole plan out; the nine passes in their
 * order, then the independent checker.
 */
import { ageText } from '../craft/ages'
import { swapOf } from '../food/swaps'
import { adapt } from './adapt/adapt'
import { begin, PlanError } from './begin'
import { APART } from './model/line'
import { childSafetyDigest } from './model/child-safety-digest'
import { breaches } from './check/check'
import { clock } from './clock/clock'
import type { Decision } from './model/decision'
import { seal } from './model/digest'
import type { Gathered, Out, DraftChild, Talked } from './model/draft'
import { byGrade, type Cleared, type Finding } from './model/finding'
import { gather } from './gather/gather'
import { measuringOf } from './scoop/measuring'
import { PLAN_VERSION, type Plan } from './model/plan'
import { probesOf } from './shape/probe'
import { portion } from './portion/portion'
import { localeOf, type PlanRequest } from './model/request'
import { isMoved } from './model/session-recipe/sittings'
import { scoop } from './scoop/scoop'
import { scenesOf } from './portion/scenes'
import { tastingsOf } from './portion/tastings'
import { shape } from './shape/shape'
import { split } from './split/split'
import { talk } from './talk/talk'
import { turns } from './turns/turns'
import type { Level } from '../food/concern'

/**
 * Compiles a request into a plan.
 * @param request validated inputs and decisions (`schema/plan-request`)
 * @throws PlanError where there is nobody to plan for, nothing to do, or the checker finds a broken hard rule
 */
export const compile = (request: PlanRequest): Plan => bestOf(request, compileOnce)

/** How long it takes and who has which turn, as `compile` would have it: without talk, without the checker, not sealed. */
export type Outline = Pick<Plan, 'totals' | 'schedule' | 'tasks' | 'findings'>

/**
 * What a change would come to, for those that are tried beside a plan. What is then taken is compiled whole, and asked by the checker.
 * @throws PlanError where there is nobody to plan for, or nothing to do
 */
export const outlineOf = (request: PlanRequest): Outline =>
  bestOf(request, (r) => {
    const { draft, findings } = beforeTalk(r)
    const { totals, schedule, tasks } = draft
    return { totals, schedule, tasks, findings: parted(findings, r).open }
  })

function bestOf<P extends Outline>(request: PlanRequest, once: (r: PlanRequest) => P): P {
  const plan = once(request)
  if (request.effort !== 'refined') return plan
  // One adult more must never make the plan longer: the plans in which fewer of them hold jobs are tried too.
  let best = plan
  for (let holding = request.adults.length - 1; holding >= 1; holding--) {
    if (best.totals.seconds <= (best.totals.bound?.seconds ?? 0)) break
    const other = once({ ...request, holding })
    if (other.totals.seconds < best.totals.seconds && !worseOff(other, best)) best = other
  }
  return best
}

/** Shorter is no gain where it has a stop more, or longer waits. */
const worseOff = (a: Outline, b: Outline): boolean => {
  const wait = (p: Outline): number => Math.max(0, ...p.totals.perChild.map((c) => c.longestWait))
  return openStops(a).length > openStops(b).length || wait(a) > wait(b)
}

function compileOnce(request: PlanRequest): Plan {
  const { draft: gathered, findings } = beforeTalk(request)
  const talked = talk(gathered, request)
  const plan = finish(talked.draft, [...findings, ...talked.findings], request)
  const broken = breaches(plan, request)
  if (broken.length > 0) throw new PlanError('plan', `the plan breaks a hard rule: ${broken[0] ?? ''}`)
  return plan
}

/** All passes but the last: what there is to talk of. Apart, so that the talk alone can be measured. */
export function beforeTalk(request: PlanRequest): Out<Gathered> {
  const start = begin(request)
  const findings: Finding[] = []
  const keep = <D>(out: { draft: D; findings: Finding[] }): D => {
    findings.push(...out.findings)
    return out.draft
  }
  const adapted = keep(adapt(start, request))
  const shaped = keep(shape(adapted, request))
  const portioned = keep(portion(shaped, request))
  const parted = keep(split(portioned, request))
  const scooped = keep(scoop(parted, request))
  const dealt = keep(turns(scooped, request))
  const clocked = keep(clock(dealt, request))
  return { draft: keep(gather(clocked, request)), findings }
}

/** Findings that are open, and those that somebody cleared with a reason. */
function parted(found: readonly Finding[], request: PlanRequest): { open: Finding[]; cleared: Cleared[] } {
  const clears = request.decisions.filter((d) => d.kind === 'clear')
  const cleared: Cleared[] = []
  const open = found.filter((f) => {
    const by = clears.find((c) => c.finding === f.id && c.cause === f.cause)
    if (by) cleared.push({ finding: f, who: by.who, why: by.why, ...(by.at && { at: by.at }) })
    return !by
  })
  return { open, cleared }
}

function finish(draft: Talked, found: readonly Finding[], request: PlanRequest): Plan {
  const { open, cleared } = parted(found, request)
  const { recipe } = draft
  const probes = probesOf(draft, request)
  const tastings = tastingsOf(draft, draft.bowls)
  const cards = new Map(request.children.map((c) => [c.id, childSafetyDigest(c)]))
  const plan: Omit<Plan, 'digest'> = {
    version: PLAN_VERSION,
    session: request.session.id,
    recipe: {
      id: recipe.id,
      title: recipe.title,
      serves: recipe.serves,
      ...(recipe.pieces && { pieces: recipe.pieces }),
    },
    children: draft.people.map((p) => ({
      id: p.id,
      months: p.age,
      ageText: ageText(p.age),
      ...(needsPlan(p) && { plan: true as const }),
      ...(cards.has(p.id) && { card: cards.get(p.id) }),
    })),
    adults: request.adults.map((a) => a.id),
    bowls: draft.bowls,
    ...(draft.choices.length > 0 && { choices: draft.choices }),
    ...scenesOf(recipe),
    ...(tastings.length > 0 && { tastings }),
    ...(recipe.grows && { grows: recipe.grows }),
    making: draft.making,
    checks: draft.checks,
    swapSet: draft.swapSet,
    hygiene: draft.hygiene,
    ...(probes.length > 0 && { probes }),
    findings: open.sort(byGrade),
    cleared,
    tasks: draft.tasks,
    turns: draft.turns,
    schedule: draft.schedule,
    waitingJobs: draft.fill,
    background: draft.background,
    talk: draft.talk,
    uncovered: draft.uncovered,
    ...((request.rules.targets ?? []).length > 0 && { week: request.rules.targets }),
    locale: localeOf(request),
    ...(request.rules.talk && { talking: request.rules.talk }),
    ...linesDecided(request),
    ...((request.rules.ownRules ?? []).length > 0 && { ownRules: request.rules.ownRules }),
    watch: draft.watch,
    kit: draft.kit,
    ahead: draft.ahead,
    shopping: draft.shopping,
    cost: draft.cost,
    measuring: {
      way: measuringOf(request),
      scooping: request.decisions.find((d) => d.kind === 'scooping')?.way ?? 'fair',
    },
    bounds: draft.bounds,
    totals: draft.totals,
    ineffective: request.decisions.filter((d) => isIdle(d, draft, found, request)),
  }
  return { ...plan, digest: seal(plan) }
}

/** Lines that a person left out or put in. */
function linesDecided({ decisions }: PlanRequest): Pick<Plan, 'linesNot' | 'linesKept'> {
  const lines = decisions.filter((d) => d.kind === 'line')
  const not = lines.filter((d) => d.use === 'not').map((d) => d.line)
  const kept = lines.filter((d) => d.use === 'keep').map(({ step, line }) => ({ step, line }))
  return { ...(not.length > 0 && { linesNot: not }), ...(kept.length > 0 && { linesKept: kept }) }
}

/** Levels that rest on a clinic's plan: it is read again before cooking (allergens.md E1). */
const PLAN_LEVELS: readonly Level[] = ['anaphylaxis-risk', 'not-in-room', 'fpies', 'allergy-eats-baked']
const needsPlan = (p: DraftChild): boolean =>
  p.carePlan === true || p.concerns.some((c) => PLAN_LEVELS.includes(c.level))

/** A decision whose subject is gone. */
function isIdle(d: Decision, draft: Talked, found: readonly Finding[], request: PlanRequest): boolean {
  switch (d.kind) {
    case 'swap':
      return !draft.recipe.lines.some((l) => l.id === d.line && l.food === swapOf(d.swap)?.food)
    case 'leave-out':
      return !draft.recipe.lines.some((l) => l.id === d.line && l.optional)
    case 'chooses':
      return !draft.choices.some(
        (c) =>
          c.id === d.choice &&
          c.offers.some((o) => o.child === d.child && d.lines.every((l) => o.lines.includes(l))),
      )
    case 'apart':
      return !draft.bowls.some((b) => b.id === APART)
    case 'shape':
    case 'measure':
      return !draft.recipe.lines.some((l) => l.id === d.line)
    case 'packet':
      return !draft.lines.some((l) => l.food === d.food)
    case 'scoops':
      return !draft.tasks.some(
        (t) => t.id === d.task && t.measured?.by === 'scoop' && t.measured.pinned === true,
      )
    case 'scooping':
    case 'measuring':
      return false
    case 'make':
      return draft.making.refused !== null
    case 'got':
      return !draft.shopping.some((s) => s.food === d.food && s.buy?.text === d.buy)
    case 'move':
      return !isMoved(draft.recipe, d)
    case 'place':
      return !draft.recipe.steps.some((s) => s.tasks.some((t) => t.place === d.to))
    case 'laid':
      return !draft.kit.tools.some((t) => t.tool === d.tool && t.n === d.n)
    case 'pin':
      return !draft.tasks.some((t) => t.id === d.task && t.forms.some((f) => f.children.includes(d.child)))
    case 'stands':
      return !draft.tasks.some((t) => t.id === d.task && t.adult === d.adult)
    case 'adult-does':
      return !draft.tasks.some((t) => t.id === d.task)
    case 'idea':
      return !draft.talk.some((t) => t.step === d.step && t.idea === d.idea)
    case 'ask':
      return !draft.talk.some((t) => t.step === d.step && t.asks?.some((a) => a.child === d.child))
    case 'own-prompt':
    case 'line':
    case 'quiet':
      return !draft.recipe.steps.some((s) => s.id === d.step)
    case 'open-eyes':
      return !request.recipe.steps.some((s) => s.id === d.step && s.tasting?.covered)
    case 'rounds':
      return !draft.tasks.some((t) => t.step === d.step && t.passes)
    case 'two-sittings':
      return !draft.recipe.steps.some((s) => s.id === d.after && s.rests)
    case 'clear':
      return !found.some((f) => f.id === d.finding && f.cause === d.cause)
  }
}

/** The stops that are still open: cooking does not begin while there is one. */
export const openStops = (plan: Pick<Plan, 'findings'>): Finding[] =>
  plan.findings.filter((f) => f.grade === 'stop')
