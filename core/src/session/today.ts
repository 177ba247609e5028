/** A session that is to come, as one looks at it in the morning: what must be fixed, what is to be done before it, and whether it can begin. */
import { andList, countText } from '../amount/show'
import { openStops } from '../plan/compile'
import type { Plan } from '../plan/model/plan'
import { type WovenPatch, wovenPatch } from '../plan/view/patch'
import { settleRows } from '../plan/view/settle'

/** One thing to do before the session, with the view of the session in which it is done. */
export interface BeforeRow {
  kind: 'fix' | 'read' | 'buy' | 'ready'
  /** `HH:MM`, where it has a time. */
  at?: string
  /** Names as tokens. */
  says: string
  /** What it is about, the rest of them counted: "oat drink, chives and 3 more". */
  what?: string
  view: 'weave' | 'check' | 'ready'
}
export interface SessionCard {
  patch: WovenPatch
  endsAt: string
  /** Stops that are open; cooking begins when there is none. */
  mustFix: number
  /** In the order of the day. */
  before: BeforeRow[]
  /** "Ready to cook", or why it cannot begin yet. */
  stands: string
  /** The same in two words, for a list. */
  short: string
}

const NAMED = 3
const TIME = /^\d{2}:\d{2}$/

/** @param plan of this session as it stands now, whatever its version */
export function sessionCard(plan: Plan): SessionCard {
  const mustFix = openStops(plan).length
  const notes = settleRows(plan).filter((r) => r.grade === 'adult').length
  return {
    patch: wovenPatch(plan),
    endsAt: plan.totals.endsAt,
    mustFix,
    before: [...fixRows(mustFix), ...packetRows(plan), ...buyRows(plan), ...aheadRows(plan)],
    stands:
      mustFix > 0
        ? `${countText(mustFix, 'problem')} to fix before anybody cooks.`
        : notes > 0
          ? `Ready to cook. ${countText(notes, 'note')} for the adults.`
          : 'Ready to cook.',
    short: mustFix > 0 ? `${countText(mustFix, 'problem')} to fix` : 'Ready',
  }
}

/** "oat drink, chives and 3 more" */
function namedFew(names: readonly string[]): string {
  const rest = names.length - NAMED
  if (rest > 1) return `${names.slice(0, NAMED).join(', ')} and ${rest} more`
  return andList(names)
}

const fixRows = (n: number): BeforeRow[] =>
  n === 0 ? [] : [{ kind: 'fix', says: `Fix ${countText(n, 'problem')}.`, view: 'weave' }]

/** Every packet is read by two adults on the day; those that a finding asks for are named. */
function packetRows(plan: Plan): BeforeRow[] {
  const asked = plan.findings.flatMap((f) =>
    f.fixes.flatMap(({ action }) => (action.do === 'read-packet' ? [action.food] : [])),
  )
  const names = [...new Set(asked)].map((food) => nameIn(plan, food))
  return [
    {
      kind: 'read',
      says: 'Two adults read every packet and sign.',
      ...(names.length > 0 && { what: `First: ${namedFew(names)}.` }),
      view: 'check',
    },
  ]
}

const nameIn = (plan: Plan, food: string): string =>
  plan.bowls.flatMap((b) => b.lines).find((l) => l.food === food)?.name ??
  plan.shopping.find((s) => s.food === food)?.name ??
  food

function buyRows(plan: Plan): BeforeRow[] {
  const missing = plan.shopping.filter((s) => !s.enough && !s.got)
  if (missing.length === 0) return []
  return [
    {
      kind: 'buy',
      says: `Buy ${countText(missing.length, 'thing')}.`,
      what: `${namedFew(missing.map((s) => s.name))}.`,
      view: 'ready',
    },
  ]
}

/** What is made ready: without a time first, then by the clock. */
function aheadRows(plan: Plan): BeforeRow[] {
  const rows = plan.ahead.filter((a) => a.when !== 'on the day')
  const timed = rows.filter((a) => TIME.test(a.when))
  const other = rows.filter((a) => !TIME.test(a.when))
  return [
    ...other.map(({ when, says }): BeforeRow => ({
      kind: 'ready',
      says: when === 'before' ? says : `${when}: ${says}`,
      view: 'ready',
    })),
    ...timed
      .sort((a, b) => a.when.localeCompare(b.when))
      .map(({ when, says }): BeforeRow => ({ kind: 'ready', at: when, says, view: 'ready' })),
  ]
}

/** A step towards the first session of a house that is empty. */
export interface FirstStep {
  says: string
  done: boolean
  to: string
  button: string
}

/** What a new house does first: children, a recipe, a session. */
export const firstSteps = (has: { children: number; recipes: number; sessions: number }): FirstStep[] => [
  {
    says:
      has.children > 0
        ? `${countText(has.children, 'child is', 'children are')} in`
        : 'Add the children, with what each must not have',
    done: has.children > 0,
    to: '/children',
    button: 'Add children',
  },
  {
    says:
      has.recipes > 0
        ? `${countText(has.recipes, 'recipe')} to choose from`
        : 'Write a recipe down, or read one in',
    done: has.recipes > 0,
    to: '/recipes',
    button: 'See the recipes',
  },
  {
    says:
      has.sessions > 0
        ? 'The first session is planned'
        : 'Plan the first session: a day, who comes, a recipe',
    done: has.sessions > 0,
    to: '/today/new',
    button: 'Plan a session',
  },
]
