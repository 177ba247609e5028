/**
 * Changes of a planned session as operations: each says what its sender saw, and what it becomes. Two people may change one session at
 * the same time; what does not touch each other is all kept, and what does is shown side by side and never settled in silence.
 */
import { type Decision, decisionKey } from '../plan/model/decision'
import { digest } from '../plan/model/digest'
import type { SessionInputs, StoredGuest, StoredSession } from './assemble'

export type SessionChange =
  /** A decision is made (`was: null`), made otherwise, or taken back (`to: null`). */
  | { kind: 'decide'; was: Decision | null; to: Decision | null }
  | { kind: 'date'; was: string; to: string }
  | { kind: 'start'; was: string; to: string }
  | { kind: 'until'; was: string | null; to: string | null }
  | { kind: 'recipe'; was: string; to: string }
  | { kind: 'seats'; was: string[]; to: string[] }
  | { kind: 'child'; id: string; here: boolean }
  | { kind: 'adult'; id: string; here: boolean }
  /** A guest comes (`was: null`), has another card, or does not come (`to: null`). */
  | { kind: 'guest'; was: StoredGuest | null; to: StoredGuest | null }

/** A change that met another one: what its sender saw is not what is there. */
export interface SessionConflict {
  change: SessionChange
  /** As it stands now. */
  now: Decision | StoredGuest | string | string[] | null
}

const same = (a: unknown, b: unknown): boolean => digest(a ?? null) === digest(b ?? null)

/** What a change is about: two changes of the same are about one thing. */
export function aboutOf(change: SessionChange): string {
  switch (change.kind) {
    case 'decide': {
      const decision = change.to ?? change.was
      return `decide ${decision ? decisionKey(decision) : ''}`
    }
    case 'guest':
      return `guest ${(change.to ?? change.was)?.id ?? ''}`
    case 'child':
    case 'adult':
      return `${change.kind} ${change.id}`
    default:
      return change.kind
  }
}

type Changed = { session: StoredSession } | { now: SessionConflict['now'] }

function applied(session: StoredSession, change: SessionChange): Changed {
  /** Compare and set: done already is done; seen otherwise is a conflict. */
  const set = <T extends SessionConflict['now']>(
    now: T,
    was: T,
    to: T,
    next: () => StoredSession,
  ): Changed => (same(now, to) ? { session } : same(now, was) ? { session: next() } : { now })
  switch (change.kind) {
    case 'decide': {
      const { was, to } = change
      const key = to ?? was
      if (!key) return { session }
      const others = session.decisions.filter((d) => decisionKey(d) !== decisionKey(key))
      const now = session.decisions.find((d) => decisionKey(d) === decisionKey(key)) ?? null
      return set<Decision | null>(now, was, to, () => ({
        ...session,
        decisions: to ? [...others, to] : others,
      }))
    }
    case 'guest': {
      const { was, to } = change
      const id = (to ?? was)?.id
      const others = session.guests.filter((g) => g.id !== id)
      const now = session.guests.find((g) => g.id === id) ?? null
      return set<StoredGuest | null>(now, was, to, () => ({
        ...session,
        guests: to ? [...others, to] : others,
      }))
    }
    case 'child':
      return { session: { ...session, children: within(session.children, change) } }
    case 'adult':
      return { session: { ...session, adults: within(session.adults, change) } }
    case 'seats':
      return set(session.seats, change.was, change.to, () => ({ ...session, seats: change.to }))
    case 'until':
      return set<string | null>(session.until ?? null, change.was, change.to, () => ({
        ...session,
        until: change.to ?? undefined,
      }))
    case 'date':
    case 'start':
    case 'recipe': {
      const { kind, was, to } = change
      return set(session[kind], was, to, () => ({ ...session, [kind]: to }))
    }
  }
}
const within = (list: readonly string[], { id, here }: { id: string; here: boolean }): string[] =>
  here ? (list.includes(id) ? [...list] : [...list, id]) : list.filter((x) => x !== id)

/** All changes in their order; those that meet another one change nothing, and are told. */
export function withChanges(
  session: StoredSession,
  changes: readonly SessionChange[],
): { session: StoredSession; conflicts: SessionConflict[] } {
  const conflicts: SessionConflict[] = []
  const after = changes.reduce((at, change) => {
    const result = applied(at, change)
    if ('session' in result) return result.session
    conflicts.push({ change, now: result.now })
    return at
  }, session)
  return { session: after, conflicts }
}

/** The changes that lead from one state of a session to another; none where they are the same. */
export function changesBetween(
  before: SessionInputs & { decisions: readonly Decision[] },
  after: SessionInputs & { decisions: readonly Decision[] },
): SessionChange[] {
  const changes: SessionChange[] = []
  for (const kind of ['date', 'start', 'recipe'] as const)
    if (before[kind] !== after[kind]) changes.push({ kind, was: before[kind], to: after[kind] })
  if ((before.until ?? null) !== (after.until ?? null))
    changes.push({ kind: 'until', was: before.until ?? null, to: after.until ?? null })
  for (const [kind, was, to] of [
    ['child', before.children, after.children],
    ['adult', before.adults, after.adults],
  ] as const) {
    for (const id of was) if (!to.includes(id)) changes.push({ kind, id, here: false })
    for (const id of to) if (!was.includes(id)) changes.push({ kind, id, here: true })
  }
  changes.push(
    ...pairs(before.guests, after.guests, (g) => g.id).map(([was, to]) => ({
      kind: 'guest' as const,
      was,
      to,
    })),
  )
  if (!same(before.seats, after.seats)) changes.push({ kind: 'seats', was: before.seats, to: after.seats })
  changes.push(
    ...pairs(before.decisions, after.decisions, decisionKey).map(([was, to]) => ({
      kind: 'decide' as const,
      was,
      to,
    })),
  )
  return changes
}

/** What differs between two lists, thing by thing. */
function pairs<T>(
  before: readonly T[],
  after: readonly T[],
  keyOf: (t: T) => string,
): [T | null, T | null][] {
  const was = new Map(before.map((t) => [keyOf(t), t]))
  const to = new Map(after.map((t) => [keyOf(t), t]))
  return [...new Set([...was.keys(), ...to.keys()])].flatMap((key): [T | null, T | null][] => {
    const [a, b] = [was.get(key) ?? null, to.get(key) ?? null]
    return same(a, b) ? [] : [[a, b]]
  })
}

/** The same change made on what is there now: who has seen both sides may say so. */
export function onTopOf({ change, now }: SessionConflict): SessionChange {
  return 'was' in change ? ({ ...change, was: now } as SessionChange) : change
}
