/** What remains of one child over all its sessions. */
import { techniqueOf } from '../craft/techniques'
import type { How } from '../craft/skills'
import { targetState, type Claim } from '../learn/marks'
import { targetOf } from '../learn/targets'
import { addUp, datedProgress } from './progress'
import type { FoodMeeting, Taste } from './event'
import { sessionRecord, type PastSession } from './record'
import { replay } from './replay'

export interface ChildRecord {
  /** Targets that were met, each with where it stands; no score. */
  talk: { target: string; claim: Claim; last: string; chances: number }[]
  /** As last seen. */
  seen: { technique: string; how: How }[]
  sessions: { id: string; date: string; title: string; turns: number; jobs: number; taste: Taste | null }[]
  techniques: { name: string; times: number; last: string }[]
  tastes: Record<Taste, number>
  /** Foods it met, in the ways in which it met them; no trend. */
  met: { food: string; ways: { how: FoodMeeting; on: string }[] }[]
  turns: number
  notes: { text: string; date: string }[]
}

/** Each food with the ways in which it was met, the newest first; foods by name. */
function metBy(child: string, past: readonly PastSession[]): ChildRecord['met'] {
  const foods = new Map<string, { how: FoodMeeting; on: string }[]>()
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
  const rows = datedProgress(child, past)
  const seen = Object.entries(addUp(rows).skills).map(([technique, how]) => ({
    technique: techniqueOf(technique)?.name ?? technique,
    how,
  }))
  const marks = rows.flatMap(({ date, progress }) => (progress.marks ?? []).map((m) => ({ ...m, on: date })))
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
