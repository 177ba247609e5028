/** What sessions show of a child, added up a row a session, is the same as looked at all at once: held to the sums of version 0.8.0. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { How } from '../../src/craft/skills'
import { compile } from '../../src/plan/compile'
import type { TableEvent } from '../../src/session/event'
import { addUp, carriedOf, progressIn } from '../../src/session/progress'
import { type PastSession, sessionRecord } from '../../src/session/record'
import { replay } from '../../src/session/replay'
import { child, recipeOf, request } from '../group'

const ids = ['wren', 'idris', 'maren']
const plan = compile(
  request(
    ids.map((id, i) => child(id, 50 + i)),
    { recipe: recipeOf('couscous-jars') },
  ),
)
const techniques = ['stir', 'pour', 'tear']
const hows: How[] = ['alone', 'help', 'reminder']

/** One tap of a table, whatever it is. */
const tap = fc.oneof(
  fc
    .nat(plan.turns.length - 1)
    .map((i) => ({ kind: 'turn', body: { turn: plan.turns[i]?.id, child: plan.turns[i]?.child } })),
  fc
    .nat(plan.turns.length - 1)
    .map((i) => ({ kind: 'skip', body: { turn: plan.turns[i]?.id, child: plan.turns[i]?.child } })),
  fc.record({
    kind: fc.constant('skill'),
    body: fc.record({
      child: fc.constantFrom(...ids),
      technique: fc.constantFrom(...techniques),
      how: fc.constantFrom(...hows),
    }),
  }),
  fc.record({
    kind: fc.constant('talk'),
    body: fc.record({
      child: fc.constantFrom(...ids),
      target: fc.constantFrom('count-objects', 'more-less'),
      how: fc.constantFrom('yes', 'helped'),
      level: fc.constantFrom('say', 'ask'),
    }),
  }),
  fc.constantFrom(...plan.schedule.map((s) => ({ kind: 'step', body: { step: s.step } }))),
  fc.nat(12).map((n) => ({ kind: 'undo', body: { event: `e${n}` } })),
)
const past: fc.Arbitrary<PastSession[]> = fc
  .uniqueArray(fc.integer({ min: 1, max: 28 }), { maxLength: 8 })
  .chain((days) =>
    fc.tuple(
      ...days.map((d) =>
        fc.array(tap, { maxLength: 25 }).map((taps): PastSession => {
          const date = `2026-10-${String(d).padStart(2, '0')}`
          const events = [...taps, { kind: 'finish', body: {} }].map(
            (t, n) => ({ ...t, id: `e${n}`, device: 'd', lamport: n, at: `${date}T10:00:00Z` }) as TableEvent,
          )
          return { id: date, date, title: 'x', plan, events }
        }),
      ),
    ),
  )

/** The sums as they were before, over all sessions at once. */
function atOnce(id: string, list: readonly PastSession[]) {
  const own = [...list].sort((a, b) => (a.date < b.date ? -1 : 1))
  const skills: Record<string, How> = {}
  const lastDone: Record<string, string> = {}
  const heard: number[] = []
  for (const one of own) {
    const state = replay(one.events)
    Object.assign(skills, state.seen[id] ?? {})
    const techniqueOf = new Map(one.plan.tasks.map((t) => [t.id, t.technique]))
    for (const turn of one.plan.turns) {
      const did = state.turns[turn.id]
      const technique = techniqueOf.get(turn.task)
      if (did && !did.skipped && did.child === id && technique) lastDone[technique] = one.date
    }
    const reached = one.plan.talk.filter((t) => state.stepsSeen.includes(t.step))
    heard.push(reached.flatMap((t) => t.asks ?? []).filter((a) => a.child === id).length)
  }
  const over = own
    // A tap that took the end back leaves a session without one.
    .filter((p) => replay(p.events).finished !== null)
    .slice(-6)
    .map((p) => {
      const { children } = sessionRecord(p)
      const share = Math.floor(children.reduce((n, c) => n + c.jobs, 0) / children.length)
      return (children.find((c) => c.child === id)?.jobs ?? share) - share
    })
  return { skills, lastDone, heard: heard.slice(-3), over: over.reduce((a, b) => a + b, 0) }
}

describe('progress', () => {
  it('added up session by session is the same as over all sessions at once', () => {
    fc.assert(
      fc.property(past, (list) => {
        for (const id of ids) {
          const sum = carriedOf(id, list)
          const all = atOnce(id, list)
          expect(sum.skills).toEqual(all.skills)
          expect(sum.lastDone).toEqual(all.lastDone)
          expect(sum.talk.heard).toEqual(all.heard)
          expect(sum.turnsOverShare).toBe(all.over)
        }
      }),
      { numRuns: 40 },
    )
  })
  it('does not hang on the order in which the sessions come', () => {
    fc.assert(
      fc.property(past, (list) => {
        for (const id of ids) expect(carriedOf(id, [...list].reverse())).toEqual(carriedOf(id, list))
      }),
      { numRuns: 20 },
    )
  })
  it('while a session goes on shows how techniques were seen and on which rung, and nothing else', () => {
    fc.assert(
      fc.property(past, (list) => {
        for (const one of list)
          for (const [, progress] of progressIn(one, 'seen'))
            expect(Object.keys(progress).filter((k) => k !== 'on')).toEqual(['seen'])
      }),
      { numRuns: 20 },
    )
  })
  it('of nobody’s sessions is nothing', () => {
    expect(addUp([])).toEqual({ skills: {}, lastDone: {}, talk: { marks: [], heard: [] }, turnsOverShare: 0 })
  })
})
