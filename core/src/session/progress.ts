/**
 * What one session shows of each child, and what many of them come to: how techniques were seen, when each was last done, what was noted
 * of its talk, and whether it had more turns than its share. Only what was tapped counts; nothing is inferred from the plans.
 */
import { daysBetween } from '../amount/days'
import { must } from '../amount/must'
import type { How } from '../craft/skills'
import type { Plan } from '../plan/model/plan'
import type { TalkMark } from '../learn/marks'
import { tookBy } from './choices'
import { thumbsOf } from './tastings'
import { replay, type TableState } from './replay'
import type { ChildProgress } from '../setting/assemble'
import { sessionRecord, type PastSession } from './record'

/** One child in one session. While the session goes on only `seen` is there. */
export interface SessionProgress {
  /** Technique -> how it was last seen. */
  seen?: Record<string, How>
  /** Technique -> the rung on which it was seen. */
  on?: Record<string, string>
  /** Techniques of turns that were tapped. */
  did?: string[]
  /** What was noted of its talk; the day is the session's. */
  marks?: Omit<TalkMark, 'on'>[]
  /** Questions that were planned for it in the steps that were reached. */
  heard?: number
  /** Which they were, by key. */
  asked?: string[]
  /** Foods that it took where it could choose. */
  took?: string[]
  /** Jobs more than an even share, rounded down; below 0 where fewer. Only of a finished session. */
  over?: number
}
/** The same with the day of the session. */
export interface DatedProgress {
  date: string
  progress: SessionProgress
}
/**
 * Each child's part in a session.
 * @param part how techniques were seen holds from the tap on; all the rest is looked at as the session ends
 * @param state of its table, where it is known already
 */
export function progressIn(
  past: PastSession,
  part: 'seen' | 'all' = 'all',
  state: TableState = replay(past.events),
): Map<string, SessionProgress> {
  const rows = new Map<string, SessionProgress>()
  const of = (child: string): SessionProgress => {
    const row = rows.get(child) ?? {}
    rows.set(child, row)
    return row
  }
  for (const [child, seen] of Object.entries(state.seen)) {
    of(child).seen = seen
    const on = rungsIn(past.plan, child, Object.keys(seen))
    if (Object.keys(on).length > 0) of(child).on = on
  }
  if (part === 'seen') return rows
  const techniqueOfTask = new Map(past.plan.tasks.map((t) => [t.id, t.technique]))
  for (const turn of past.plan.turns) {
    const tapped = state.turns[turn.id]
    const technique = techniqueOfTask.get(turn.task)
    if (!tapped || tapped.skipped || technique === undefined) continue
    const row = of(tapped.child)
    row.did = [...new Set([...(row.did ?? []), technique])]
  }
  const reached = past.plan.talk.filter((t) => state.stepsSeen.includes(t.step)).flatMap((t) => t.asks ?? [])
  const jobs = sessionRecord(past, state).children
  const share = jobs.length === 0 ? 0 : Math.floor(jobs.reduce((n, c) => n + c.jobs, 0) / jobs.length)
  for (const { id } of past.plan.children) {
    const row = of(id)
    row.heard = reached.filter((a) => a.child === id).length
    const asked = reached.flatMap((a) => (a.child === id && a.key !== undefined ? [a.key] : []))
    if (asked.length > 0) row.asked = asked
    const own = must(
      jobs.find((c) => c.child === id),
      'a child of the plan in its record',
    )
    // What it liked among tastes it would take again.
    const liked = thumbsOf(past.plan, state, id).filter((t) => t.thumb === 'up')
    const took = [...tookBy(past.plan, state, id), ...liked].map((f) => f.food)
    if (took.length > 0) row.took = took
    if (state.finished !== null) row.over = own.jobs - share
  }
  for (const { child, target, how, level, food } of state.talk) {
    const row = of(child)
    row.marks = [...(row.marks ?? []), { target, how, level, ...(food && { food }) }]
  }
  return rows
}

/** The rung that the plan gave a child for each of these techniques; of several the last. */
function rungsIn(plan: Plan, child: string, techniques: readonly string[]): Record<string, string> {
  const forms = plan.tasks
    .filter((t) => techniques.includes(t.technique))
    .flatMap((t) => t.forms.filter((f) => f.children.includes(child)))
  return Object.fromEntries(forms.flatMap((f) => (f.rung === undefined ? [] : [[f.technique, f.rung]])))
}

/** Sessions over which voices are evened out. Source: learning.md F7 (common practice). */
const LAST_SESSIONS = 3
/** Marks kept beside a child for the next plan: the last so many of each target. */
const MARKS_KEPT = 6
/** Days for which it is kept which questions were asked: three weeks, and some to spare. */
const LINES_KEPT = 28
/** Sessions over which the one turn more goes round. Source: common practice. */
const EVEN_SESSIONS = 6

/** @param rows of one child, in the order of its sessions, the oldest first */
export function addUp(rows: readonly DatedProgress[]): ChildProgress {
  const skills: Record<string, How> = {}
  const rungs: Record<string, string> = {}
  const lastDone: Record<string, string> = {}
  const marks: TalkMark[] = []
  const heard: number[] = []
  const over: number[] = []
  const lines: Record<string, string> = {}
  const took: Record<string, number> = {}
  const last = rows.at(-1)?.date
  for (const { date, progress } of rows) {
    Object.assign(skills, progress.seen)
    Object.assign(rungs, progress.on)
    for (const technique of progress.did ?? []) lastDone[technique] = date
    for (const mark of progress.marks ?? []) marks.push({ ...mark, on: date })
    if (progress.heard !== undefined) heard.push(progress.heard)
    if (last !== undefined && daysBetween(date, last) <= LINES_KEPT)
      for (const key of progress.asked ?? []) lines[key] = date
    for (const food of progress.took ?? []) took[food] = (took[food] ?? 0) + 1
    if (progress.over !== undefined) over.push(progress.over)
  }
  return {
    skills,
    ...(Object.keys(rungs).length > 0 && { rungs }),
    lastDone,
    talk: {
      marks: [...new Set(marks.map((m) => m.target))].flatMap((target) =>
        marks.filter((m) => m.target === target).slice(-MARKS_KEPT),
      ),
      heard: heard.slice(-LAST_SESSIONS),
      ...(Object.keys(lines).length > 0 && { lines }),
    },
    ...(Object.keys(took).length > 0 && { took }),
    turnsOverShare: over.slice(-EVEN_SESSIONS).reduce((sum, n) => sum + n, 0),
  }
}

/** What is carried of a child from these sessions, in whatever order they come. */
export const carriedOf = (child: string, past: readonly PastSession[]): ChildProgress =>
  addUp(datedProgress(child, past))

/** A child's part in each of these sessions, the oldest first. */
export const datedProgress = (child: string, past: readonly PastSession[]): DatedProgress[] =>
  [...past]
    .sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0))
    .flatMap((one) => {
      const progress = progressIn(one).get(child)
      return progress ? [{ date: one.date, progress }] : []
    })
