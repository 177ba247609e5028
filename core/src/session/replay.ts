/**
 * replay(events) -> state. The same state for every order of arrival and for repeats: events are put in the order
 * (lamport, device, id) first, and one id counts once.
 */
import type { How } from '../craft/skills'
import type { SupportLevel } from '../learn/levels'
import type { Answered } from '../learn/marks'
import type { Gate, Incident, KeptPlace, ScrapWay, TableEvent, Taste } from './event'
import { tapTaste, type TasteTaps } from './taste-taps'
import { roundsOf, type TimerState } from './timers'

export interface TurnState {
  event: string
  child: string
  at: string
  skipped: boolean
}
export interface TableState extends TasteTaps {
  begun: string | null
  finished: string | null
  /** How often it was opened again after its end, and why. */
  reopened: { at: string; reason: string; by?: string }[]
  /** The step the table is at; null before the first. */
  step: string | null
  stepsSeen: string[]
  gates: {
    gate: Gate
    step?: string
    by: string[]
    foods?: string[]
    children?: string[]
    at: string
    event: string
  }[]
  turns: Record<string, TurnState>
  timers: TimerState[]
  notes: { text: string; child?: string; at: string; by?: string }[]
  /** Child -> technique -> how it was last seen. */
  seen: Record<string, Record<string, How>>
  tastes: Record<string, Taste>
  /** What was noted of a child's talk, in order. */
  talk: { child: string; target: string; how: Answered; level: SupportLevel; food?: string; event: string }[]
  memo: string[]
  temperatures: {
    what: string
    food?: string
    celsius: number
    held: number
    by: string
    from: 'probe' | 'typed'
    at: string
    event: string
  }[]
  incidents: {
    what: Incident
    who: string[]
    text: string
    done: string
    by: string
    at: string
    event: string
    /** The owner who has read it. */
    seenBy?: string
  }[]
  /** Free choice -> child -> the recipe's lines that it took. */
  took: Record<string, Record<string, string[]>>
  tasteWords: { word: string; child?: string }[]
  /** By guess: what each child says, and what it was, once that is known. */
  guesses: Record<string, { by: Record<string, string>; truth?: string }>
  lookBacks: { line: string; child?: string; says: string; event: string }[]
  leftovers: { what: string; amount: string; place: KeptPlace; until: string; event: string }[]
  scraps: { what: string; to: ScrapWay }[]
  cleaned: { job: string; child: string }[]
  /** Events that still count, in order; the last one is what 'undo' takes back. */
  order: string[]
  lamport: number
}

/** The order that every device sees. */
const before = (a: TableEvent, b: TableEvent): number =>
  a.lamport - b.lamport || compare(a.device, b.device) || compare(a.id, b.id)

const inOrder = (events: readonly TableEvent[]): TableEvent[] =>
  [...new Map(events.map((e) => [e.id, e])).values()].sort(before)

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)

const empty = (): TableState => ({
  begun: null,
  finished: null,
  reopened: [],
  step: null,
  stepsSeen: [],
  gates: [],
  turns: {},
  timers: [],
  notes: [],
  seen: {},
  tastes: {},
  talk: [],
  memo: [],
  temperatures: [],
  incidents: [],
  met: {},
  took: {},
  thumbs: {},
  named: {},
  looks: {},
  tasteWords: [],
  guesses: {},
  lookBacks: [],
  leftovers: [],
  scraps: [],
  cleaned: [],
  order: [],
  lamport: 0,
})

/** The state of a table after these events: the same for every order of arrival and for repeats. */
export const replay = (events: readonly TableEvent[]): TableState => {
  const sorted = inOrder(events)
  return applied(empty(), sorted, undoneBy(sorted))
}

const undoneBy = (events: readonly TableEvent[]): Set<string> =>
  new Set(events.flatMap((e) => (e.kind === 'undo' ? [e.body.event] : [])))

/** @param state is written into @param sorted in order, none of them known to the state */
function applied(state: TableState, sorted: readonly TableEvent[], undone: ReadonlySet<string>): TableState {
  for (const event of sorted) {
    state.lamport = Math.max(state.lamport, event.lamport)
    if (event.kind === 'undo' || undone.has(event.id)) continue
    apply(state, event)
    state.order.push(event.id)
  }
  return state
}

/** What is written into by `apply` is copied, so that whoever holds the state before keeps it as it was. */
function copied(state: TableState): TableState {
  const copy: Record<string, unknown> = {}
  for (const [name, value] of Object.entries(state) as [string, unknown][])
    copy[name] = Array.isArray(value)
      ? [...(value as unknown[])]
      : value && typeof value === 'object'
        ? { ...value }
        : value
  return copy as unknown as TableState
}

/**
 * `replay` for a log that grows while somebody looks on: a list that begins with the one given before, and goes on after it in the order of the
 * log, is not counted from its beginning again. The result is that of `replay` for every list.
 */
export function replayer(): (events: readonly TableEvent[]) => TableState {
  let seen: readonly TableEvent[] = []
  let ids = new Set<string>()
  let undone = new Set<string>()
  let last: TableEvent | null = null
  let state = empty()

  const goesOn = (events: readonly TableEvent[]): boolean =>
    events.length >= seen.length && seen.every((e, i) => e === events[i])

  return (events) => {
    const begun = goesOn(events)
    const fresh = inOrder(begun ? events.slice(seen.length).filter((e) => !ids.has(e.id)) : events)
    const taken = undoneBy(fresh)
    const first = fresh[0]
    const later = !last || !first || before(last, first) < 0
    if (begun && later && ![...taken].some((id) => ids.has(id))) {
      for (const id of taken) undone.add(id)
      if (fresh.length > 0) state = applied(copied(state), fresh, undone)
    } else {
      const sorted = inOrder(events)
      undone = undoneBy(sorted)
      ids = new Set()
      last = null
      state = applied(empty(), sorted, undone)
      fresh.splice(0, fresh.length, ...sorted)
    }
    for (const event of fresh) ids.add(event.id)
    last = fresh.at(-1) ?? last
    seen = events
    return state
  }
}

function apply(state: TableState, e: TableEvent): void {
  switch (e.kind) {
    case 'begin':
      state.begun ??= e.at
      break
    case 'finish':
      state.finished = e.at
      break
    case 'reopen':
      state.finished = null
      state.reopened.push({ at: e.at, reason: e.body.reason, ...(e.by && { by: e.by }) })
      break
    case 'gate':
      state.gates.push({ ...e.body, at: e.at, event: e.id })
      break
    case 'step':
      state.step = e.body.step
      if (!state.stepsSeen.includes(e.body.step)) state.stepsSeen.push(e.body.step)
      break
    case 'turn':
    case 'skip':
      // Two devices that tap the same turn agree: the first in order stands.
      state.turns[e.body.turn] ??= { event: e.id, child: e.body.child, at: e.at, skipped: e.kind === 'skip' }
      break
    case 'timer':
      state.timers.push({ id: e.id, ...e.body, started: e.at, seen: 0 })
      break
    case 'timer-seen':
      state.timers = state.timers.map((t) =>
        t.id === e.body.timer ? { ...t, seen: Math.max(t.seen, e.body.round ?? roundsOf(t)) } : t,
      )
      break
    case 'note':
      state.notes.push({ ...e.body, at: e.at, ...(e.by && { by: e.by }) })
      break
    case 'skill':
      state.seen[e.body.child] = { ...state.seen[e.body.child], [e.body.technique]: e.body.how }
      break
    case 'talk':
      state.talk.push({ ...e.body, event: e.id })
      break
    case 'taste':
      state.tastes[e.body.child] = e.body.taste
      break
    case 'memo':
      state.memo = e.body.lines
      break
    case 'temperature':
      state.temperatures.push({ ...e.body, at: e.at, event: e.id })
      break
    case 'incident':
      state.incidents.push({ ...e.body, at: e.at, event: e.id })
      break
    case 'incident-seen':
      state.incidents = state.incidents.map((i) =>
        i.event === e.body.incident && !i.seenBy ? { ...i, seenBy: e.body.by } : i,
      )
      break
    case 'met':
      state.met[e.body.child] = { ...state.met[e.body.child], [e.body.food]: e.body.how }
      break
    case 'took':
      state.took[e.body.choice] = { ...state.took[e.body.choice], [e.body.child]: e.body.lines }
      break
    case 'thumb':
    case 'named-taste':
    case 'look':
      tapTaste(state, e)
      break
    case 'taste-word':
      state.tasteWords.push(e.body)
      break
    case 'guess': {
      const known = state.guesses[e.body.guess]
      state.guesses[e.body.guess] = { ...known, by: { ...known?.by, [e.body.child]: e.body.says } }
      break
    }
    case 'guess-seen':
      state.guesses[e.body.guess] = { by: {}, ...state.guesses[e.body.guess], truth: e.body.truth }
      break
    case 'look-back':
      state.lookBacks.push({ ...e.body, event: e.id })
      break
    case 'leftover':
      state.leftovers.push({ ...e.body, event: e.id })
      break
    case 'scrap':
      state.scraps.push(e.body)
      break
    case 'cleaned':
      state.cleaned = [...state.cleaned.filter((c) => c.job !== e.body.job), e.body]
      break
    case 'undo':
      break
  }
}
