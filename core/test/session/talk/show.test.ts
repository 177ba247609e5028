/** The children's screen: a moment for every state of every table, in pictures, and nothing of anybody's name or health. */
import { describe, expect, it } from 'vitest'
import { glossaryRow } from '../../../src/learn/glossary'
import { guessAsks } from '../../../src/session/talk/guessed'
import { sayNow } from '../../../src/session/talk/say'
import { isTasting, looksBack, showMoments, type ShowMoment } from '../../../src/session/talk/show'
import { showFrame } from '../../../src/session/talk/show-frame'
import { nextTurn, tableTasks } from '../../../src/session/table'
import { replay } from '../../../src/session/replay'
import type { TableEvent } from '../../../src/session/event'
import { tables } from './tables'

const KINDS: readonly ShowMoment['kind'][] = [
  'ready',
  'wash',
  'story',
  'home',
  'guess',
  'now-next',
  'turn',
  'wait',
  'order',
  'done',
]
const turnEvent = (turn: string, child: string, n: number): TableEvent => ({
  id: `e-${n}`,
  device: 'a',
  lamport: n + 1,
  at: '2026-11-26T10:00:00.000Z',
  kind: 'turn',
  body: { turn, child },
})

describe('the children’s screen', () => {
  const seen = new Set<string>()
  it('has something to show at every turn and wait, and ends at the turn or the wait', () => {
    for (const { plan, recipe, group } of tables())
      for (const { step } of plan.schedule) {
        const talk = plan.talk.find((t) => t.step === step) ?? null
        const bowl = plan.bowls[0]?.id ?? ''
        const events: TableEvent[] = []
        for (let n = 0; n < 200; n++) {
          const tasks = tableTasks(plan, replay(events), step).filter((t) => t.task.bowl === bowl)
          const now = nextTurn(tasks)
          const say = sayNow(plan, talk, bowl, now)
          const moments = showMoments(plan, step, talk, say, { turn: now?.turn ?? null, blocked: false })
          for (const m of moments) seen.add(m.kind)
          for (const m of moments)
            if (m.kind === 'turn')
              for (const word of [m.food, m.to])
                if (word !== null) expect(glossaryRow(word), `${recipe.id} ${word}`).toBeDefined()
          const last = moments.at(-1)?.kind
          const at = `${recipe.id} ${group} ${step}`
          if (now) expect(last, at).toBe(now.task.task.technique === 'wash-hands' ? 'wash' : 'turn')
          else expect(['wait', 'now-next', 'done'], at).toContain(last)
          const text = JSON.stringify(moments)
          for (const c of plan.children) expect(text, at).not.toContain(`"${c.id}"`)
          expect(text, at).not.toMatch(/allerg|anaphyl|coeliac|intoleran|care plan|finding|stop:/i)
          if (!now) break
          events.push(turnEvent(now.turn.id, now.turn.child, n))
        }
      }
    for (const kind of KINDS) if (kind !== 'ready') expect(seen, kind).toContain(kind)
  })
  it('looks back at the end: each guess that was made, three pictures out of order, then in the order they came', () => {
    for (const { plan, recipe } of tables()) {
      const asked = [...guessAsks(plan).keys()]
      const say = sayNow(plan, null, '', null)
      const end = showMoments(plan, 'no such step', null, say, { turn: null, blocked: false, guessed: asked })
      expect(end.filter((m) => m.kind === 'guess').map((m) => m.guess.id)).toEqual(asked)
      const order = end.find((m) => m.kind === 'order')
      const done = end.at(-1)
      if (done?.kind !== 'done') return expect.unreachable(recipe.id)
      if (order) {
        expect(order.pictures).not.toEqual(done.pictures)
        expect([...order.pictures].sort()).toEqual([...done.pictures].sort())
      }
    }
  })
  it('looks back too while turns are left: once somebody tasted or said something of the day', () => {
    const nothing = replay([])
    expect(looksBack(nothing)).toBe(false)
    expect(looksBack({ ...nothing, tastes: { a: 'tried' } })).toBe(true)
    expect(looksBack({ ...nothing, finished: '2026-11-26T11:00:00.000Z' })).toBe(true)
    const [t] = tables()
    const step = t?.plan.schedule[2]?.step ?? ''
    if (!t) return expect.unreachable('no table')
    const say = sayNow(t.plan, null, '', null)
    expect(
      showMoments(t.plan, step, null, say, { turn: null, blocked: false, over: true }).at(-1)?.kind,
    ).toBe('done')
  })
  it('shows the towers of tastes while tokens are put, and among what is looked back at', () => {
    const [t] = tables()
    const step = t?.plan.schedule.at(-1)?.step ?? ''
    if (!t) return expect.unreachable('no table')
    const nothing = replay([])
    const one = { ...nothing, tastes: { a: 'not-today' as const } }
    expect(isTasting(nothing)).toBe(false)
    expect(isTasting(one)).toBe(true)
    expect(isTasting({ ...one, finished: '2026-11-26T11:00:00.000Z' })).toBe(false)
    expect(isTasting({ ...one, lookBacks: [{ line: 'l', says: 's', event: 'e' }] })).toBe(false)
    const say = sayNow(t.plan, null, '', null)
    const kinds = (state: { tasting?: boolean; tasted?: boolean }) =>
      showMoments(t.plan, step, null, say, { turn: null, blocked: false, over: true, ...state }).map(
        (m) => m.kind,
      )
    expect(kinds({ tasting: true, tasted: true })).toEqual(['tastes'])
    expect(kinds({ tasted: true }).slice(-2)).toEqual(['tastes', 'done'])
    expect(kinds({})).not.toContain('tastes')
  })
  it('has a tower for each answer, of the mats of those who gave it, and of nobody’s name', () => {
    const [t] = tables()
    if (!t) return expect.unreachable('no table')
    const [a, b, c] = t.plan.children.map((x) => x.id)
    const state = replay(
      [a, b, c].map((child, n) => ({
        id: `t-${n}`,
        device: 'a',
        lamport: n + 1,
        at: '2026-11-26T10:00:00.000Z',
        kind: 'taste' as const,
        body: { child: child ?? '', taste: n === 2 ? ('tried' as const) : ('more' as const) },
      })),
    )
    const mats = new Map(t.plan.children.map((x, i) => [x.id, i + 1]))
    const frame = showFrame(
      { plan: t.plan, state, bowl: null, speakers: [], present: t.plan.children.map(({ id }) => ({ id })) },
      (id) => mats.get(id) ?? 0,
    )
    expect(frame?.moments).toEqual([{ kind: 'tastes' }])
    expect(frame?.tastes).toEqual([
      { taste: 'more', who: [1, 2] },
      { taste: 'tried', who: [3] },
      { taste: 'not-today', who: [] },
    ])
    for (const x of t.plan.children) expect(JSON.stringify(frame)).not.toContain(`"${x.id}"`)
  })
  it('looks at no guess again that nobody made', () => {
    const [t] = tables()
    if (!t) return expect.unreachable('no table')
    const end = showMoments(t.plan, 'no such step', null, sayNow(t.plan, null, '', null), {
      turn: null,
      blocked: false,
      guessed: ['no such guess'],
    })
    expect(end.map((m) => m.kind)).not.toContain('guess')
  })
  it('shows the step alone while something stands before it', () => {
    const [t] = tables()
    if (!t) return expect.unreachable('no table')
    const step = t.plan.schedule[1]?.step ?? ''
    const say = sayNow(t.plan, null, '', null)
    expect(showMoments(t.plan, step, null, say, { turn: null, blocked: true })).toEqual([
      { kind: 'ready', picture: t.plan.schedule[1]?.picture },
    ])
  })
})
