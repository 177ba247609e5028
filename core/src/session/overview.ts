/** What a leader decides by: over a period, who had how many turns, what was made and what it cost, what has not come round. No ranks. */
import { shortDay } from '../amount/days'
import { ratio } from '../amount/ratio'
import { TECHNIQUES } from '../craft/techniques'
import { targetOf, TARGETS } from '../learn/targets'
import type { Plan } from '../plan/model/plan'
import type { PastSession } from './record'
import { replay } from './replay'

export interface Overview {
  /** In the order of ids: who had fewest is seen in the figures, and nobody is put first. */
  turns: { child: string; sessions: number; turns: number; jobs: number }[]
  made: { title: string; times: number; last: string }[]
  /** Per session, the oldest first; minor units a child, null where a price is missing. */
  cost: {
    session: string
    date: string
    title: string
    perChild: number | null
    currency: Plan['cost']['currency']
  }[]
  techniques: { id: string; name: string; times: number; last: string }[]
  /** Techniques of which nobody had a turn. */
  techniquesMissing: { id: string; name: string }[]
  targets: { id: string; says: string; times: number; last: string }[]
  targetsMissing: { id: string; says: string }[]
  incidents: { session: string; date: string; event: string; seen: boolean }[]
}

/** @param past sessions of the period, in any order */
export function overviewOf(past: readonly PastSession[]): Overview {
  const oldest = [...past].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.id < b.id ? -1 : 1))
  const turns = new Map<string, { sessions: number; turns: number; jobs: number }>()
  const made = new Map<string, { times: number; last: string }>()
  const techniques = new Map<string, { times: number; last: string }>()
  const targets = new Map<string, { times: number; last: string }>()
  const incidents: Overview['incidents'] = []
  const count = (map: Map<string, { times: number; last: string }>, id: string, date: string): void => {
    map.set(id, { times: (map.get(id)?.times ?? 0) + 1, last: date })
  }
  for (const { id, date, title, plan, events } of oldest) {
    const state = replay(events)
    count(made, title, date)
    const tasks = new Map(plan.tasks.map((t) => [t.id, t]))
    const turnOf = new Map(plan.turns.map((t) => [t.id, t]))
    for (const child of plan.children) {
      const row = turns.get(child.id) ?? { sessions: 0, turns: 0, jobs: 0 }
      turns.set(child.id, { ...row, sessions: row.sessions + 1 })
    }
    const here = new Set<string>()
    for (const [turn, did] of Object.entries(state.turns)) {
      const task = tasks.get(turnOf.get(turn)?.task ?? '')
      if (did.skipped || !task) continue
      here.add(task.technique)
      const row = turns.get(did.child)
      if (row) {
        row.jobs += 1
        if (task.mode === 'TURNS') row.turns += 1
      }
    }
    for (const t of here) count(techniques, t, date)
    for (const t of new Set(state.talk.map((x) => x.target))) count(targets, t, date)
    for (const i of state.incidents)
      incidents.push({ session: id, date, event: i.event, seen: i.seenBy !== undefined })
  }
  const rows = (map: Map<string, { times: number; last: string }>) =>
    [...map].sort((a, b) => (a[1].last < b[1].last ? -1 : a[1].last > b[1].last ? 1 : a[0] < b[0] ? -1 : 1))
  const nameOf = new Map(TECHNIQUES.map((t) => [t.id, t.name]))
  return {
    turns: [...turns].map(([child, r]) => ({ child, ...r })).sort((a, b) => (a.child < b.child ? -1 : 1)),
    made: rows(made).map(([title, r]) => ({ title, ...r })),
    cost: oldest.map(({ id, date, title, plan }) => ({
      session: id,
      date,
      title,
      perChild: plan.cost.unknown.length > 0 ? null : Math.round(ratio(plan.cost.usedPerChild).valueOf()),
      currency: plan.cost.currency,
    })),
    techniques: rows(techniques).map(([id, r]) => ({ id, name: nameOf.get(id) ?? id, ...r })),
    techniquesMissing: TECHNIQUES.filter((t) => !techniques.has(t.id)).map(({ id, name }) => ({ id, name })),
    targets: rows(targets).map(([id, r]) => ({ id, says: targetOf(id)?.says ?? id, ...r })),
    targetsMissing: TARGETS.filter((t) => !targets.has(t.id)).map(({ id, says }) => ({ id, says })),
    incidents,
  }
}

/** Turns in the order of the list of children; guests, who are not on it, are left out. */
export const turnsInOrder = (view: Overview, children: readonly string[]): Overview['turns'] =>
  children.flatMap((id) => view.turns.filter((t) => t.child === id))

/** What is known of the cost for a chart: a day, and whole units of the currency. */
export const costPoints = (view: Overview): { day: string; value: number }[] =>
  view.cost.flatMap((c) => (c.perChild === null ? [] : [{ day: shortDay(c.date), value: c.perChild / 100 }]))
