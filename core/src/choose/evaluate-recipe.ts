/**
 * One recipe looked at with a group: the whole table checked, the swaps that suit everyone counted in, then planned in outline. What
 * stands against it comes as figures and in words; nothing is guessed.
 */
import { countText } from '../amount/show'
import { daysBetween } from '../amount/days'
import { moneyText } from '../amount/nation/money'
import { nationOf } from '../amount/nation/nations'
import { ratio } from '../amount/ratio'
import { targetOf } from '../learn/targets'
import { PlanError } from '../plan/begin'
import { decide, type Decision } from '../plan/model/decision'
import type { Adapted, Gathered, Out } from '../plan/model/draft'
import { nameToken, type Finding } from '../plan/model/finding'
import type { SwapSet } from '../plan/model/plan'
import type { PlanRequest } from '../plan/model/request'
import { sketch, tableOf } from '../plan/sketch'
import { weekTargetsIn } from '../plan/talk/week-targets'
import type { Recipe } from '../recipe/recipe'
import { keyOf } from './order'
import { isOfTheme } from './theme'
import {
  NEVER_MADE,
  type Against,
  type Figures,
  type Evaluation,
  type MadeBefore,
  type SelectionCriteria,
} from './selection-criteria'
import { minutes } from '../amount/clock-time'

/** @param id by which the look is known again: the recipe's own, or its row's */
export function evaluateRecipe(
  id: string,
  recipe: Recipe,
  wish: SelectionCriteria,
  made: MadeBefore = NEVER_MADE,
): Evaluation {
  const request: PlanRequest = { ...wish.base, recipe }
  try {
    const table = tableOf(request)
    const set = table.draft.swapSet
    if (!set) return evaluateRequest(id, request, wish, made, [], table)
    const decisions = set.decisions.reduce<Decision[]>((all, d) => decide(all, d), request.decisions)
    return evaluateRequest(id, { ...request, decisions }, wish, made, set.swaps)
  } catch (fault) {
    if (!(fault instanceof PlanError)) throw fault
    return noPlan(id, fault.message, wish, made)
  }
}

/** The same with decisions and people as they are: for a remedy that is tried. */
export function evaluateRequest(
  id: string,
  request: PlanRequest,
  wish: SelectionCriteria,
  made: MadeBefore,
  /** Swaps that were counted in, in words. */
  swaps: SwapSet['swaps'],
  table?: Out<Adapted>,
): Evaluation {
  const out = sketch(request, table)
  const figures = figuresOf(out, request, wish, made)
  const against = againstOf(out, figures, wish)
  return {
    recipe: id,
    figures,
    against,
    note: noteOf(out, figures, swaps),
    brief: briefOf(figures, request),
    reasons: reasonsOf(figures, out.draft.people.length),
    decisions: request.decisions,
    swaps,
    key: keyOf(figures, against, wish),
  }
}

const EVERYDAY = new Set(['wash-hands', 'taste'])

/** Stops that ask for a packet to be read are work, not danger; those of kit and adults are counted for themselves. */
const isDanger = (f: Finding): boolean =>
  f.grade === 'stop' &&
  !['equipment', 'heat', 'blade', 'ratio'].includes(f.rule) &&
  !(f.rule === 'concern' && f.touches.every((t) => t.meeting !== 'lists'))
const isAdults = (f: Finding): boolean =>
  (f.rule === 'ratio' && f.grade === 'stop') ||
  ((f.rule === 'heat' || f.rule === 'blade') && f.grade === 'stop')
const isPacket = (f: Finding): boolean => f.grade === 'stop' && f.rule === 'concern' && !isDanger(f)

/** Children without a job of their own beside washing and eating. */
function without({ draft }: Out<Gathered>): string[] {
  const real = new Set(draft.tasks.filter((t) => !EVERYDAY.has(t.technique)).map((t) => t.id))
  const busy = new Set(draft.turns.filter((t) => real.has(t.task)).map((t) => t.child))
  // A baby in arms looks on: nobody expects a job of it.
  return draft.people.filter((p) => p.age >= 12 && !busy.has(p.id)).map((p) => p.id)
}

function figuresOf(
  out: Out<Gathered>,
  request: PlanRequest,
  wish: SelectionCriteria,
  made: MadeBefore,
): Figures {
  const { draft, findings } = out
  const { totals, cost, shopping } = draft
  const tastes = made.more + made.tried + made.notToday
  return {
    danger: findings.filter(isDanger).length,
    out: without(out).length,
    late: Math.max(0, -(totals.spareMinutes ?? 0)),
    minutes: Math.ceil(totals.seconds / 60),
    endsAt: totals.endsAt,
    spare: totals.spareMinutes ?? null,
    sittings: totals.sittings,
    missingKit: findings.flatMap((f) => (f.rule === 'equipment' ? (f.subject.tool ?? []) : [])),
    tooFewAdults: findings.filter(isAdults).length,
    cost: Math.round(ratio(cost.usedPerChild).valueOf()),
    unpriced: cost.unknown.length,
    leastTurns: draft.bounds.leastTurns,
    mostTurns: draft.bounds.mostTurns,
    targets: weekTargetsIn(draft, request),
    since: made.last === null ? null : daysBetween(made.last, request.session.date),
    liked: tastes === 0 ? null : (made.more - made.notToday) / tastes,
    swaps: request.decisions.filter((d) => d.kind === 'swap').length,
    packets: findings.filter(isPacket).length,
    toBuy: shopping.filter((s) => !s.enough).map((s) => s.name),
    ofTheme: wish.theme !== undefined && isOfTheme(request.recipe, wish.theme),
  }
}

function againstOf(out: Out<Gathered>, f: Figures, wish: SelectionCriteria): Against[] {
  const against: Against[] = out.findings
    .filter(isDanger)
    .map((x): Against => ({ kind: 'danger', says: x.says }))
  const idle = without(out)
  if (idle.length > 0)
    against.push({
      kind: 'part',
      says: `No job for ${idle.map(nameToken).join(', ')} beside washing and eating.`,
    })
  for (const x of out.findings.filter(isAdults)) against.push({ kind: 'adults', says: x.says })
  if (f.late > 0)
    against.push({ kind: 'clock', says: `Ends at ${f.endsAt}, ${minutes(f.late)} after the families come.` })
  for (const x of out.findings.filter((y) => y.rule === 'equipment'))
    against.push({ kind: 'kit', says: x.says })
  if (wish.budget !== undefined && f.cost > wish.budget)
    against.push({
      kind: 'budget',
      says: `About ${money(f.cost, wish.base)} a child, ${money(f.cost - wish.budget, wish.base)} over.`,
    })
  return against
}

const money = (minor: number, base: SelectionCriteria['base']): string =>
  moneyText(minor, nationOf(base.rules).currency)

/** Of allergens: what is swapped for everyone, or that nothing was found; it is never more than that. */
function noteOf({ draft }: Out<Gathered>, f: Figures, swaps: SwapSet['swaps']): string {
  if (swaps.length > 0) return `For all: ${swaps.map(asSwap).join(', ')}. Read the packets.`
  if (f.danger > 0) return ''
  // What is freely chosen, eaten from another bowl, or no more than disliked, stops nobody: it is found all the same.
  return draft.checks.some((c) => c.meeting === 'lists')
    ? 'Something in it lists what somebody here avoids: see Check, and read the packets.'
    : 'Nothing found that lists what anybody here avoids: read the packets.'
}

/** What one compares recipes by: price, turns, packets. */
function briefOf(f: Figures, request: PlanRequest): string[] {
  const list: string[] = []
  if (f.cost > 0) list.push(`${f.unpriced > 0 ? 'at least' : 'about'} ${money(f.cost, request)} a child`)
  if (f.mostTurns > 0)
    list.push(
      f.leastTurns === f.mostTurns
        ? `${countText(f.leastTurns, 'turn')} each`
        : `${f.leastTurns} to ${countText(f.mostTurns, 'turn')} each`,
    )
  if (f.packets > 0) list.push(`${countText(f.packets, 'packet')} to read`)
  return list
}

function reasonsOf(f: Figures, people: number): string[] {
  const list: string[] = []
  if (f.out === 0) list.push(people === 1 ? 'a job for the child' : `a job for each of the ${people}`)
  if (f.spare !== null && f.spare >= 0) list.push(`ends at ${f.endsAt}, ${minutes(f.spare)} to spare`)
  else if (f.spare === null) list.push(`takes ${minutes(f.minutes)}`)
  if (f.sittings > 1) list.push(`${f.sittings} sittings`)
  const [target, ...more] = f.targets
  if (target !== undefined)
    list.push(
      more.length > 0
        ? `covers ${f.targets.length} goals of this week`
        : `covers “${targetOf(target)?.says ?? target}”`,
    )
  if (f.ofTheme) list.push('of the theme')
  if (f.since === null) list.push('not made here yet')
  else if (f.since > 0) list.push(`last made ${f.since === 1 ? 'yesterday' : `${f.since} days ago`}`)
  if (f.liked !== null && f.liked > 0.25) list.push('most wanted more of it')
  if (f.toBuy.length === 0) list.push('all of it is in the cupboard')
  return list
}
/** "oat drink for milk", "no milk". */
const asSwap = ({ from, to }: SwapSet['swaps'][number]): string =>
  to === null ? `no ${from}` : `${to} for ${from}`

const NOTHING: Figures = {
  danger: 0,
  out: 0,
  late: 0,
  minutes: 0,
  endsAt: '',
  spare: null,
  sittings: 0,
  missingKit: [],
  tooFewAdults: 0,
  cost: 0,
  unpriced: 0,
  leastTurns: 0,
  mostTurns: 0,
  targets: [],
  since: null,
  liked: null,
  swaps: 0,
  packets: 0,
  toBuy: [],
  ofTheme: false,
}

function noPlan(id: string, says: string, wish: SelectionCriteria, made: MadeBefore): Evaluation {
  const since = made.last === null ? null : daysBetween(made.last, wish.base.session.date)
  const figures = { ...NOTHING, since }
  const against: Against[] = [{ kind: 'plan', says: `No plan: ${says}.` }]
  return {
    recipe: id,
    figures,
    against,
    note: '',
    brief: [],
    reasons: [],
    decisions: [],
    swaps: [],
    key: keyOf(figures, against, wish),
  }
}
