/** What was seen moves the next plan, and never past a floor. */
import { describe, expect, it } from 'vitest'
import { type How, fitOf } from '../../src/craft/skills'
import { compile } from '../../src/plan/compile'
import { carriedOf } from '../../src/session/progress'
import { childRecord } from '../../src/session/child-record'
import type { EventBody, TableEvent } from '../../src/session/event'
import type { PastSession } from '../../src/session/record'
import { replay } from '../../src/session/replay'
import { child, recipeOf, request } from '../group'

let n = 0
const event = (body: EventBody, lamport = (n += 1)): TableEvent => ({
  id: `00000000-0000-4000-8000-${String(lamport).padStart(12, '0')}`,
  device: 'd',
  lamport,
  at: '2026-11-26T10:20:00Z',
  ...body,
})
const saw = (who: string, technique: string, how: How): TableEvent =>
  event({ kind: 'skill', body: { child: who, technique, how } })
const plan = compile(request([child('a', 50), child('b', 50)]))
const past = (date: string, events: TableEvent[]): PastSession => ({
  id: date,
  date,
  title: 'x',
  plan,
  events,
})

describe('what was seen', () => {
  it('the last stands, and a tap taken back does not', () => {
    const first = saw('a', 'stir', 'help')
    const second = saw('a', 'stir', 'alone')
    expect(replay([second, first]).seen).toEqual({ a: { stir: 'alone' } })
    const back = event({ kind: 'undo', body: { event: second.id } })
    expect(replay([back, second, first]).seen).toEqual({ a: { stir: 'help' } })
  })
  it('over sessions the newest stands, whatever order they come in', () => {
    const old = past('2026-11-01', [saw('a', 'stir', 'help'), saw('a', 'tear', 'alone')])
    const young = past('2026-11-20', [saw('a', 'stir', 'reminder')])
    expect(carriedOf('a', [young, old]).skills).toEqual({ stir: 'reminder', tear: 'alone' })
    expect(carriedOf('b', [young, old]).skills).toEqual({})
    expect(childRecord('a', [young, old]).seen).toContainEqual({ technique: 'stir', how: 'reminder' })
  })
})

describe('fit', () => {
  it('with help or a reminder is the edge, alone is the easy one, refused comes last', () => {
    const cost = (how: How): number => fitOf(how, true, 0).cost
    expect(cost('help')).toBeLessThan(cost('alone'))
    expect(cost('reminder')).toBe(cost('help'))
    expect(cost('not-today')).toBeGreaterThan(cost('alone'))
    expect(fitOf('alone', true, 0).easy).toBe(1)
  })
  it('goes by age where nothing was seen', () => {
    expect(fitOf(undefined, true, -10)).toEqual({ cost: 0, easy: 0 })
    expect(fitOf(undefined, false, 30)).toEqual({ cost: 1, easy: 1 })
  })
})

describe('the next plan', () => {
  const shares = (skills: Record<string, Record<string, How>>) => {
    const kids = ['a', 'b', 'c'].map((id) => child(id, 62, skills[id] ? { skills: skills[id] } : {}))
    const made = compile(request(kids, { recipe: recipeOf('couscous-jars') }))
    const of = (id: string, technique: string): number =>
      made.turns.filter(
        (t) =>
          t.child === id &&
          made.tasks.some((k) => k.id === t.task && k.technique === technique && k.mode === 'TURNS'),
      ).length
    return { of, loads: made.totals.perChild.map((p) => p.turns) }
  }
  it('gives the stretch to who needs it, with loads as equal as before', () => {
    const before = shares({})
    const after = shares({
      a: { 'pour-liquid': 'alone', 'level-scoop': 'help' },
      b: { 'pour-liquid': 'help', 'level-scoop': 'alone' },
    })
    expect(after.of('a', 'level-scoop')).toBeGreaterThanOrEqual(after.of('b', 'level-scoop'))
    expect(after.of('b', 'pour-liquid')).toBeGreaterThanOrEqual(after.of('a', 'pour-liquid'))
    expect(Math.max(...after.loads) - Math.min(...after.loads)).toBe(
      Math.max(...before.loads) - Math.min(...before.loads),
    )
  })
  it('never past the floor: seen alone or not, a child too young takes no part', () => {
    const small = child('small', 30, { skills: { 'snip-scissors': 'alone' } })
    const made = compile(request([small, child('b', 60)]))
    expect(made.tasks.find((t) => t.technique === 'snip-scissors')?.barred.map((b) => b.child)).toContain(
      'small',
    )
  })
})
