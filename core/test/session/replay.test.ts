import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import type { Plan } from '../../src/plan/model/plan'
import { childRecord } from '../../src/session/child-record'
import type { EventBody, TableEvent } from '../../src/session/event'
import { sessionRecord } from '../../src/session/record'
import { replay, replayer } from '../../src/session/replay'
import { nextTurn, openGates, tableTasks } from '../../src/session/table'
import { four, request } from '../group'

const plan: Plan = compile(request(four()))
let count = 0
function event(body: EventBody, lamport = ++count, device = 'a'): TableEvent {
  return {
    id: `e-${device}-${lamport}`,
    device,
    lamport,
    at: `2026-11-26T10:${String(lamport % 60).padStart(2, '0')}:00.000Z`,
    ...body,
  }
}
const bodies: fc.Arbitrary<EventBody> = fc.oneof(
  fc
    .constantFrom(...plan.turns)
    .map((t): EventBody => ({ kind: 'turn', body: { turn: t.id, child: t.child } })),
  fc.constantFrom(...plan.schedule).map((s): EventBody => ({ kind: 'step', body: { step: s.step } })),
  fc
    .constantFrom('wren', 'idris')
    .map((child): EventBody => ({ kind: 'taste', body: { child, taste: 'more' } })),
  fc.integer({ min: 1, max: 20 }).map((n): EventBody => ({ kind: 'undo', body: { event: `e-a-${n}` } })),
  fc.constant<EventBody>({ kind: 'timer', body: { name: 'oven', seconds: 600, every: 120 } }),
  fc
    .tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 6 }))
    .map(([n, round]): EventBody => ({ kind: 'timer-seen', body: { timer: `e-a-${n}`, round } })),
  fc.constantFrom(52, 66, 76).map((celsius): EventBody => ({
    kind: 'temperature',
    body: { what: 'chicken', food: 'chicken-breast', celsius, held: 40, by: 'petra', from: 'typed' },
  })),
  fc.constant<EventBody>({
    kind: 'incident',
    body: { what: 'bump', who: ['wren'], text: '', done: 'cold cloth', by: 'petra' },
  }),
  fc
    .integer({ min: 1, max: 20 })
    .map((n): EventBody => ({ kind: 'incident-seen', body: { incident: `e-b-${n}`, by: 'petra' } })),
  fc
    .constantFrom('refused' as const, 'touched' as const, 'ate' as const)
    .map((how): EventBody => ({ kind: 'met', body: { child: 'wren', food: 'chives', how } })),
  fc.constantFrom('up' as const, 'down' as const).map((thumb): EventBody => ({
    kind: 'thumb',
    body: { tasting: 'taste', child: 'wren', line: 'chives', food: 'chives', thumb },
  })),
  fc.constantFrom('a', 'b').map((named): EventBody => ({
    kind: 'named-taste',
    body: { tasting: 'taste', child: 'idris', line: 'chives', named },
  })),
  fc.integer({ min: 1, max: 3 }).map((day): EventBody => ({ kind: 'look', body: { day, mm: 4 * day } })),
  fc
    .constantFrom('wren', 'idris')
    .map((child): EventBody => ({ kind: 'cleaned', body: { job: 'roll up the mats', child } })),
  fc.constant<EventBody>({
    kind: 'leftover',
    body: { what: 'bread', amount: '', place: 'room', until: '2026-11-27' },
  }),
)
const logs = fc
  .array(fc.tuple(bodies, fc.integer({ min: 1, max: 20 }), fc.constantFrom('a', 'b')), { maxLength: 40 })
  .map((list) => [...new Map(list.map(([b, l, d]) => event(b, l, d)).map((e) => [e.id, e])).values()])

const copyOf = <T>(state: T): T => JSON.parse(JSON.stringify(state)) as T

describe('replay', () => {
  it('gives the same state for every order of arrival', () => {
    fc.assert(
      fc.property(
        logs.chain((log) => fc.tuple(fc.constant(log), fc.shuffledSubarray(log, { minLength: log.length }))),
        ([log, shuffled]) => {
          expect(replay(shuffled)).toEqual(replay(log))
        },
      ),
    )
  })
  it('gives the same state for repeats', () => {
    fc.assert(
      fc.property(logs, (log) => {
        expect(replay([...log, ...log.slice(0, 5)])).toEqual(replay(log))
      }),
    )
  })
  it('gives the same state where the log grows, and leaves what was seen before as it was', () => {
    const cuts = fc.array(fc.integer({ min: 0, max: 7 }), { minLength: 1, maxLength: 40 })
    fc.assert(
      fc.property(
        logs.chain((log) => fc.shuffledSubarray(log, { minLength: log.length })),
        cuts,
        fc.constantFrom('as it came', 'in order'),
        (log, steps, arrival) => {
          const rank = (e: TableEvent): string => `${String(e.lamport).padStart(3, '0')} ${e.device}`
          const coming = arrival === 'in order' ? [...log].sort((a, b) => (rank(a) < rank(b) ? -1 : 1)) : log
          const grown = replayer()
          let list: TableEvent[] = []
          let [shown, was] = [grown(list), copyOf(replay([]))]
          for (const [i, step] of steps.entries()) {
            expect(shown).toEqual(was)
            // Now and then one that is known comes again, one was never taken, or another table was opened.
            if (i % 9 === 8) list = list.slice(1)
            else if (i % 13 === 12) list = []
            else list = [...list, ...coming.slice(list.length, list.length + step), ...list.slice(0, i % 2)]
            const now = grown(list)
            expect(shown).toEqual(was)
            ;[shown, was] = [now, copyOf(now)]
            expect(now).toEqual(replay(list))
          }
        },
      ),
      { numRuns: 500 },
    )
  })
  it('takes a tap back, and lets it be done again', () => {
    const turn = plan.turns[0]
    if (!turn) throw new Error('no turn')
    const tap = event({ kind: 'turn', body: { turn: turn.id, child: turn.child } }, 1)
    const back = event({ kind: 'undo', body: { event: tap.id } }, 2)
    expect(replay([tap, back]).turns).toEqual({})
    const again = event({ kind: 'turn', body: { turn: turn.id, child: turn.child } }, 3)
    expect(Object.keys(replay([tap, back, again]).turns)).toEqual([turn.id])
  })
  it('two devices that tap one turn at once agree on the first in order', () => {
    const turn = plan.turns[0]?.id ?? ''
    const a = event({ kind: 'turn', body: { turn, child: 'wren' } }, 5, 'a')
    const b = event({ kind: 'turn', body: { turn, child: 'idris' } }, 5, 'b')
    expect(replay([b, a]).turns[turn]?.child).toBe('wren')
    expect(replay([a, b]).turns[turn]?.child).toBe('wren')
  })
})

/** Without what an adult shows first. */
const jobsOf = (rows: ReturnType<typeof tableTasks>) => rows.filter((r) => r.task.shows === undefined)

describe('the table', () => {
  const step = 'fill'
  it('counts scoops and their running total', () => {
    const flour = plan.turns.filter((t) => t.task.endsWith('/flour'))
    const events = flour
      .slice(0, 3)
      .map((t, i) => event({ kind: 'turn', body: { turn: t.id, child: t.child } }, i + 1))
    const row = jobsOf(tableTasks(plan, replay(events), step))[0]
    // 1 1/2 cups for four: 1/2 cup, then 4 quarters (five turns, and three of buttermilk: two each).
    expect(row).toMatchObject({ count: 3, running: '1', unitWord: 'cup', total: '1 1/2 cups' })
    expect(row?.fullness).toBeCloseTo(2 / 3, 12)
    expect(row?.marks).toEqual(['0', '1/2', '3/4', '1', '1 1/4', '1 1/2'])
    expect(row?.shares.map((s) => Math.round(s))).toEqual([33, 17, 17, 17, 17])
    expect(row?.scoop?.name).toBe('1/4 cup')
    expect(nextTurn(tableTasks(plan, replay(events), step))?.turn.id).toBe(flour[3]?.id)
  })
  it('a turn that was skipped does not count as a scoop', () => {
    const turn = plan.turns.find((t) => t.task.endsWith('/flour'))
    const skip = event({ kind: 'skip', body: { turn: turn?.id ?? '', child: turn?.child ?? '' } }, 1)
    expect(jobsOf(tableTasks(plan, replay([skip]), step))[0]).toMatchObject({
      count: 0,
      running: '0',
      fullness: 0,
    })
  })
  it('where the large scoop was skipped, only the small ones are in the bowl', () => {
    const [large, small] = plan.turns.filter((t) => t.task.endsWith('/flour'))
    const events = [
      event({ kind: 'skip', body: { turn: large?.id ?? '', child: large?.child ?? '' } }, 1),
      event({ kind: 'turn', body: { turn: small?.id ?? '', child: small?.child ?? '' } }, 2),
    ]
    const row = jobsOf(tableTasks(plan, replay(events), step))[0]
    expect(row).toMatchObject({ count: 1, running: '1/4', unitWord: 'cup' })
    expect(row?.fullness).toBeCloseTo(1 / 6, 12)
  })
  it('has hands and packets before the first work, and an adult before blades and heat', () => {
    const none = replay([])
    expect(openGates(plan, none, 'wash')).toEqual([])
    expect(openGates(plan, none, 'fill').map((g) => g.gate)).toEqual(['hands', 'packets'])
    const passed = replay([
      event({ kind: 'gate', body: { gate: 'hands', by: ['petra'] } }, 1),
      event({ kind: 'gate', body: { gate: 'packets', by: ['petra', 'gwenda'], foods: ['plain flour'] } }, 2),
    ])
    const left = openGates(plan, passed, 'fill')[0]
    expect(left?.gate === 'packets' && left.foods).toEqual(['bicarbonate of soda', 'chives', 'buttermilk'])
    const all = left?.gate === 'packets' ? left.foods : []
    const passedAll = replay([
      event({ kind: 'gate', body: { gate: 'hands', by: ['petra'] } }, 1),
      event(
        { kind: 'gate', body: { gate: 'packets', by: ['petra', 'gwenda'], foods: ['plain flour', ...all] } },
        2,
      ),
    ])
    expect(openGates(plan, passedAll, 'fill')).toEqual([])
    expect(openGates(plan, passedAll, 'snip').map((g) => g.gate)).toEqual(['stand'])
    expect(openGates(plan, passedAll, 'bake').map((g) => g.gate)).toEqual(['stand'])
  })
})

describe('the record', () => {
  const scoop = plan.turns.find((t) => t.task.endsWith('/flour'))
  const events = [
    event({ kind: 'turn', body: { turn: scoop?.id ?? '', child: scoop?.child ?? '' } }, 1),
    event({ kind: 'taste', body: { child: scoop?.child ?? '', taste: 'tried' } }, 2),
    event({ kind: 'note', body: { text: 'counted aloud', child: scoop?.child ?? '' } }, 3),
    event({ kind: 'memo', body: { lines: ['good', '', ''] } }, 4),
  ]
  const past = { id: 's', date: '2026-11-26', title: 'Herb soda bread', plan, events }
  it('holds what was tapped and nothing else', () => {
    const record = sessionRecord(past)
    expect(record.children.find((c) => c.child === scoop?.child)).toMatchObject({
      turns: 1,
      techniques: ['scoop and level'],
      taste: 'tried',
    })
    expect(
      record.children.filter((c) => c.child !== scoop?.child).every((c) => c.jobs === 0 && c.taste === null),
    ).toBe(true)
    expect(record.memo[0]).toBe('good')
  })
  it('adds a child up over sessions, newest first', () => {
    const earlier = { ...past, id: 'r', date: '2026-11-19' }
    const record = childRecord(scoop?.child ?? '', [earlier, past])
    expect(record).toMatchObject({ turns: 2, tastes: { tried: 2, more: 0 } })
    expect(record.sessions.map((s) => s.date)).toEqual(['2026-11-26', '2026-11-19'])
    expect(record.techniques[0]).toEqual({ name: 'scoop and level', times: 2, last: '2026-11-26' })
    expect(record.notes).toHaveLength(2)
  })
})
