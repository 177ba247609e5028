/** What remains of sessions: for a session, and for one child over all of them. */
import { techniqueOf } from '../craft/techniques'
import { targetState, type Claim, type TalkMark } from '../learn/marks'
import { targetOf } from '../learn/targets'
import type { Plan } from '../plan/plan'
import type { How } from '../craft/skills'
import type { Met, TableEvent, Taste } from './event'
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
  children: { child: string; turns: number; jobs: number; techniques: string[]; taste: Taste | null }[]
  gates: TableState['gates']
  notes: TableState['notes']
  memo: string[]
  temperatures: TableState['temperatures']
  incidents: TableState['incidents']
  leftovers: TableState['leftovers']
  scraps: TableState['scraps']
  tasteWords: string[]
  /** Child -> food -> how it was met. */
  met: TableState['met']
  cleared: { says: string; who: string; why: string; at?: string }[]
  stepsDone: string[]
}

/** What happened in one session, per child. Only turns that were tapped count; nothing is inferred from the plan. */
export function sessionRecord(past: PastSession): SessionRecord {
  const state = replay(past.events)
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
    }
  })
  return {
    id: past.id,
    date: past.date,
    title: past.title,
    begun: state.begun,
    finished: state.finished,
    children,
    gates: state.gates,
    notes: state.notes,
    memo: state.memo,
    temperatures: state.temperatures,
    incidents: state.incidents,
    leftovers: state.leftovers,
    scraps: state.scraps,
    tasteWords: [...new Set(state.tasteWords.map((w) => w.word))],
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

/** How each technique of a child was last seen, over all its sessions. */
export function skillsOf(
  child: string,
  past: readonly Pick<PastSession, 'date' | 'events'>[],
): Record<string, How> {
  const skills: Record<string, How> = {}
  for (const one of [...past].sort((a, b) => (a.date < b.date ? -1 : 1)))
    Object.assign(skills, replay(one.events).seen[child] ?? {})
  return skills
}

/** The day on which a child last did each technique: turns that were tapped, over all its sessions. */
export function latelyOf(child: string, past: readonly PastSession[]): Record<string, string> {
  const days: Record<string, string> = {}
  for (const one of past) {
    const did = replay(one.events).turns
    const techniqueOfTask = new Map(one.plan.tasks.map((t) => [t.id, t.technique]))
    for (const turn of one.plan.turns) {
      const tapped = did[turn.id]
      const technique = techniqueOfTask.get(turn.task)
      if (!tapped || tapped.skipped || tapped.child !== child || technique === undefined) continue
      if ((days[technique] ?? '') < one.date) days[technique] = one.date
    }
  }
  return days
}

/** Sessions over which voices are evened out. Source: learning.md F7 (common practice). */
const LAST_SESSIONS = 3
/** Marks kept beside a child for the next plan: the last so many of each target. */
const MARKS_KEPT = 6

/**
 * What was noted of a child's talk, and how many questions were planned for it in each of its last sessions, of the steps that were
 * reached. It feeds the next plan.
 */
export function talkOf(child: string, past: readonly PastSession[]): { marks: TalkMark[]; heard: number[] } {
  const { marks, heard } = allTalk(child, past)
  const kept = [...new Set(marks.map((m) => m.target))].flatMap((target) =>
    marks.filter((m) => m.target === target).slice(-MARKS_KEPT),
  )
  return { marks: kept, heard: heard.slice(-LAST_SESSIONS) }
}

function allTalk(child: string, past: readonly PastSession[]): { marks: TalkMark[]; heard: number[] } {
  const own = [...past]
    .filter((p) => p.plan.children.some((c) => c.id === child))
    .sort((a, b) => (a.date < b.date ? -1 : 1))
  const marks: TalkMark[] = []
  const heard: number[] = []
  for (const one of own) {
    const state = replay(one.events)
    for (const t of state.talk)
      if (t.child === child)
        marks.push({
          target: t.target,
          on: one.date,
          how: t.how,
          level: t.level,
          ...(t.food && { food: t.food }),
        })
    const reached = one.plan.talk.filter((t) => state.stepsSeen.includes(t.step))
    heard.push(reached.flatMap((t) => t.asks ?? []).filter((a) => a.child === child).length)
  }
  return { marks, heard }
}

export interface ChildRecord {
  /** Targets that were met, each with where it stands; no score. */
  talk: { target: string; claim: Claim; last: string; chances: number }[]
  /** As last seen. */
  seen: { technique: string; how: How }[]
  sessions: { id: string; date: string; title: string; turns: number; jobs: number; taste: Taste | null }[]
  techniques: { name: string; times: number; last: string }[]
  tastes: Record<Taste, number>
  /** Foods it met, in the ways in which it met them; no trend. */
  met: { food: string; ways: { how: Met; on: string }[] }[]
  turns: number
  notes: { text: string; date: string }[]
}

/** Each food with the ways in which it was met, the newest first; foods by name. */
function metBy(child: string, past: readonly PastSession[]): ChildRecord['met'] {
  const foods = new Map<string, { how: Met; on: string }[]>()
  for (const one of [...past].sort((a, b) => (a.date < b.date ? 1 : -1))) {
    const names = new Map(one.plan.bowls.flatMap((b) => b.lines).map((l) => [l.food, l.name]))
    for (const [food, how] of Object.entries(replay(one.events).met[child] ?? {})) {
      const name = names.get(food) ?? food
      foods.set(name, [...(foods.get(name) ?? []), { how, on: one.date }])
    }
  }
  return [...foods].map(([food, ways]) => ({ food, ways })).sort((a, b) => (a.food < b.food ? -1 : 1))
}

/** A child's turns, techniques and tastes over past sessions, newest first. */
export function childRecord(child: string, past: readonly PastSession[]): ChildRecord {
  const techniques = new Map<string, { times: number; last: string }>()
  const seen = Object.entries(skillsOf(child, past)).map(([technique, how]) => ({
    technique: techniqueOf(technique)?.name ?? technique,
    how,
  }))
  const { marks } = allTalk(child, past)
  const today =
    past
      .map((p) => p.date)
      .sort()
      .at(-1) ?? ''
  const record: ChildRecord = {
    talk: [...new Set(marks.map((m) => m.target))].map((target) => {
      const { claim, last, chances } = targetState(
        marks.filter((m) => m.target === target),
        today,
      )
      return { target: targetOf(target)?.says ?? target, claim, last: last ?? '', chances }
    }),
    seen,
    sessions: [],
    techniques: [],
    tastes: { more: 0, tried: 0, 'not-today': 0 },
    met: metBy(child, past),
    turns: 0,
    notes: [],
  }
  for (const one of [...past].sort((a, b) => (a.date < b.date ? 1 : -1))) {
    const session = sessionRecord(one)
    const own = session.children.find((c) => c.child === child)
    if (!own) continue
    const { turns, jobs, taste } = own
    record.sessions.push({ id: one.id, date: one.date, title: one.title, turns, jobs, taste })
    record.turns += turns
    if (taste) record.tastes[taste] += 1
    for (const name of own.techniques) {
      const known = techniques.get(name)
      techniques.set(name, { times: (known?.times ?? 0) + 1, last: known?.last ?? one.date })
    }
    record.notes.push(
      ...session.notes.filter((n) => n.child === child).map((n) => ({ text: n.text, date: one.date })),
    )
  }
  record.techniques = [...techniques].map(([name, t]) => ({ name, ...t })).sort((a, b) => b.times - a.times)
  return record
}

/** All of one session that is of one child, for its export: its turns in the plan, and every tap that names it; nothing of others. */
export function ownPart(past: PastSession, child: string): object {
  const { plan, events, id, date, title } = past
  return {
    id,
    date,
    title,
    plan: {
      child: plan.children.find((c) => c.id === child) ?? null,
      bowls: plan.bowls
        .filter((b) => b.children.includes(child))
        .map((b) => ({ name: b.name, lines: b.lines })),
      turns: plan.turns.filter((t) => t.child === child),
      checks: plan.checks.filter((c) => c.child === child),
      asks: plan.talk.flatMap((t) => t.asks ?? []).filter((a) => a.child === child),
    },
    events: events
      .filter((e) => JSON.stringify(e.body).includes(child))
      .map((e) => ({ kind: e.kind, at: e.at, body: onlyOf(e.body, child) })),
  }
}
/** Others who stand in the same event are left out. */
const onlyOf = (body: object, child: string): object =>
  Object.fromEntries(
    Object.entries(body).map(([key, value]) => [
      key,
      Array.isArray(value) && value.includes(child) ? [child] : (value as unknown),
    ]),
  )
