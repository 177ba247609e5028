/** What remains of one session. */
import { techniqueOf } from '../craft/techniques'
import type { Plan } from '../plan/model/plan'
import { tookBy } from './choices'
import type { TableEvent, Taste, Thumb } from './event'
import { type LookRow, lookRows } from './growing'
import { tasteTallies, type TasteTally, thumbsOf } from './tastings'
import { guessedRows, lookBackAsked, type GuessedRow } from './talk/guessed'
import { type WovenPatch, wovenPatch } from '../plan/view/patch'
import { replay, type TableState } from './replay'

export interface PastSession {
  id: string
  date: string
  title: string
  plan: Plan
  events: TableEvent[]
}

export interface SessionRecord {
  id: string
  date: string
  title: string
  begun: string | null
  finished: string | null
  /** Each time it was opened again after its end. */
  reopened: TableState['reopened']
  /** The session as a piece of cloth: its face in lists. */
  patch: WovenPatch
  children: {
    child: string
    turns: number
    jobs: number
    techniques: string[]
    taste: Taste | null
    took: string[]
    /** What it tasted of several, and how it found each. */
    thumbs: { name: string; thumb: Thumb }[]
  }[]
  gates: TableState['gates']
  notes: TableState['notes']
  memo: string[]
  temperatures: TableState['temperatures']
  incidents: TableState['incidents']
  leftovers: TableState['leftovers']
  scraps: TableState['scraps']
  /** What was sown, and the looks at it; null where nothing grows. */
  grows: { what: string; measured: boolean; looks: LookRow[] } | null
  tasteWords: string[]
  tastings: { title: string; foods: TasteTally[] }[]
  /** What was guessed, what it was, and who said what. */
  guesses: GuessedRow[]
  lookBacks: { line: string; asked: string; child?: string; says: string }[]
  /** Child -> food -> how it was met. */
  met: TableState['met']
  cleared: { says: string; who: string; why: string; at?: string }[]
  stepsDone: string[]
}

/** What remains of one session. @param state of its table, where it is known already @param kind of the setting, for the days it is closed */
export function sessionRecord(
  past: PastSession,
  state: TableState = replay(past.events),
  kind?: string,
): SessionRecord {
  const tasks = new Map(past.plan.tasks.map((t) => [t.id, t]))
  const children = past.plan.children.map(({ id }) => {
    const own = past.plan.turns.filter((t) => {
      const did = state.turns[t.id]
      return did && !did.skipped && did.child === id
    })
    const names = own.flatMap((t) => techniqueOf(tasks.get(t.task)?.technique ?? '')?.name ?? [])
    return {
      child: id,
      turns: own.filter((t) => tasks.get(t.task)?.mode === 'TURNS').length,
      jobs: own.length,
      techniques: [...new Set(names)],
      taste: state.tastes[id] ?? null,
      took: tookBy(past.plan, state, id).map((f) => f.name),
      thumbs: thumbsOf(past.plan, state, id).map(({ name, thumb }) => ({ name, thumb })),
    }
  })
  return {
    id: past.id,
    date: past.date,
    title: past.title,
    begun: state.begun,
    finished: state.finished,
    reopened: state.reopened,
    patch: wovenPatch(past.plan),
    children,
    gates: state.gates,
    notes: state.notes,
    memo: state.memo,
    temperatures: state.temperatures,
    incidents: state.incidents,
    leftovers: state.leftovers,
    scraps: state.scraps,
    tastings: tasteTallies(past.plan, state),
    grows: growsOf(past, state, kind),
    tasteWords: [...new Set(state.tasteWords.map((w) => w.word))],
    guesses: guessedRows(past.plan, state),
    lookBacks: state.lookBacks.map(({ event: _, ...l }) => ({ ...l, asked: lookBackAsked(l.line) })),
    met: state.met,
    cleared: past.plan.cleared.map((c) => ({
      says: c.finding.says,
      who: c.who,
      why: c.why,
      ...(c.at && { at: c.at }),
    })),
    stepsDone: state.stepsSeen,
  }
}

const growsOf = (
  { plan, date }: PastSession,
  { looks }: TableState,
  kind?: string,
): SessionRecord['grows'] =>
  plan.grows
    ? {
        what: plan.grows.what,
        measured: plan.grows.measured === true,
        looks: lookRows(plan.grows, date, kind, looks),
      }
    : null
