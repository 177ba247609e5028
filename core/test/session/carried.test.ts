/** Turns over the weeks: who had fewer has the one more next time, and over weeks nobody is left behind. Invented weeks. */
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import type { Plan } from '../../src/plan/model/plan'
import { childLoads } from '../../src/plan/view/child-load'
import { carriedOf } from '../../src/session/progress'
import type { TableEvent } from '../../src/session/event'
import { type PastSession, sessionRecord } from '../../src/session/record'
import { child, recipeOf, request } from '../group'

let n = 0
const event = (kind: string, body: object): TableEvent =>
  ({ id: `e${++n}`, device: 'd', lamport: n, at: '2026-11-05T10:15:00Z', kind, body }) as TableEvent

/** A plan cooked to its end, every turn tapped, but those of who went home. */
const cooked = (date: string, plan: Plan, leaver?: string, ended = true): PastSession => ({
  id: date,
  date,
  title: plan.recipe.title,
  plan,
  events: [
    ...plan.turns.filter((t) => t.child !== leaver).map((t) => event('turn', { turn: t.id, child: t.child })),
    ...(ended ? [event('finish', {})] : []),
  ],
})
const ids = ['wren', 'idris', 'maren', 'kofi', 'bodhi']
const planned = (ahead: (id: string) => number, here: readonly string[] = ids): Plan =>
  compile(
    request(
      here.map((id, i) => child(id, 50 + i, { turnsOverShare: ahead(id) })),
      { recipe: recipeOf('couscous-jars') },
    ),
  )
const jobsOf = (past: readonly PastSession[], id: string): number =>
  past.reduce((sum, p) => sum + (sessionRecord(p).children.find((c) => c.child === id)?.jobs ?? 0), 0)
const days = ['2026-10-08', '2026-10-15', '2026-10-22', '2026-10-29', '2026-11-05']

/** So many weeks, each planned from those before; or each as if there had been none. */
function weeks(carried: boolean): PastSession[] {
  const past: PastSession[] = []
  for (const day of days)
    past.push(
      cooked(
        day,
        planned((id) => (carried ? carriedOf(id, past).turnsOverShare : 0)),
      ),
    )
  return past
}
const spread = (past: readonly PastSession[]): number => {
  const all = ids.map((id) => jobsOf(past, id))
  return Math.max(...all) - Math.min(...all)
}

describe('turns over the weeks', () => {
  it('come out even, where without them the same children had the one more every time', () => {
    const [forgotten, carried] = [weeks(false), weeks(true)]
    expect(spread([forgotten[0] as PastSession])).toBe(1)
    expect(spread(forgotten)).toBe(days.length)
    expect(spread(carried)).toBeLessThanOrEqual(1)
    // No day is less even for it.
    for (const one of carried) expect(spread([one])).toBe(1)
  })
  it('are said in the plan, and only there where they move it', () => {
    const says = (p: Plan) => p.findings.find((f) => f.id.startsWith('even-turns'))?.says ?? ''
    expect(says(planned((id) => (id === 'wren' ? 1 : 0)))).toContain('who had fewer last time')
    expect(says(planned(() => 0))).not.toContain('last time')
  })
  it('stand in the table of fits, in words', () => {
    const wanted = request([
      child('wren', 50, { turnsOverShare: -2 }),
      child('maren', 50, { turnsOverShare: 1 }),
      child('kofi', 50),
    ])
    expect(childLoads(compile(wanted), wanted).map((f) => f.before)).toEqual([
      'in the last sessions 2 jobs fewer than the middle of the group',
      'in the last sessions 1 job more than the middle of the group',
      '',
    ])
  })
  it('who went home early is behind; who was not there is owed nothing', () => {
    const four = ids.slice(0, 4)
    const past = [
      cooked(
        '2026-10-08',
        planned(() => 0, four),
        'wren',
      ),
    ]
    expect(carriedOf('wren', past).turnsOverShare).toBeLessThan(0)
    expect(carriedOf('bodhi', past).turnsOverShare).toBe(0)
  })
  it('of a session that was not finished nothing counts, and only the last six', () => {
    const plan = planned(() => 0)
    const ahead = ids.find((id) => carriedOf(id, [cooked('2026-10-08', plan)]).turnsOverShare === 1) as string
    expect(carriedOf(ahead, [cooked('2026-10-08', plan, undefined, false)]).turnsOverShare).toBe(0)
    const many = Array.from({ length: 9 }, (_, i) => cooked(`2026-09-0${i + 1}`, plan))
    expect(carriedOf(ahead, many).turnsOverShare).toBe(6)
  })
})
