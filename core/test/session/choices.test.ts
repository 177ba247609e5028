/** What each took at the table: tapped, taken back, kept in the record, and thought of the next time. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import { choiceRows } from '../../src/plan/view/choice-rows'
import { tableChoices, tookWith } from '../../src/session/choices'
import type { TableEvent } from '../../src/session/event'
import { carriedOf } from '../../src/session/progress'
import { sessionRecord } from '../../src/session/record'
import { replay } from '../../src/session/replay'
import { showMoments } from '../../src/session/talk/show'
import { nextTurn, tableTasks } from '../../src/session/table'
import { child, recipeOf, request } from '../group'

const milk = [{ allergen: 'milk', level: 'intolerance' as const }]
const people = [child('wren', 30), child('idris', 52, { concerns: milk }), child('maren', 60)]
const of = (more: object = {}) => compile(request(people, { recipe: recipeOf('soup-of-my-own'), ...more }))
const plan = of()
const took = (n: number, who: string, lines: string[]): TableEvent => ({
  id: `0000000${n}-0000-4000-8000-000000000000`,
  device: 'a',
  lamport: n,
  at: `2026-11-26T10:0${n}:00.000Z`,
  kind: 'took',
  body: { choice: 'inside', child: who, lines },
})

describe('choosing at the table', () => {
  it('offers each what its card lets it have, at the step where it is asked, and nowhere else', () => {
    const [choice] = tableChoices(plan, replay([]), 'choose', ['idris', 'maren'])
    expect(choice?.children.map((c) => c.child)).toEqual(['idris', 'maren'])
    expect(choice?.children[0]?.may).not.toContain('cheese')
    expect(choice?.children[1]?.may).toContain('cheese')
    expect(choice?.children[0]?.took).toBeNull()
    for (const { step } of plan.schedule.filter((s) => s.step !== 'choose'))
      expect(tableChoices(plan, replay([]), step, ['maren'])).toEqual([])
  })
  it('a tap takes and puts back; more than it may take puts back the first', () => {
    expect(tookWith([], 'rice', 2)).toEqual(['rice'])
    expect(tookWith(['rice'], 'rice', 2)).toEqual([])
    expect(tookWith(['rice', 'corn'], 'beet', 2)).toEqual(['corn', 'beet'])
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'b', 'c', 'd')),
        fc.integer({ min: 1, max: 4 }),
        (taps, take) => {
          const has = taps.reduce<string[]>((now, l) => tookWith(now, l, take), [])
          expect(has.length).toBeLessThanOrEqual(take)
          expect(new Set(has).size).toBe(has.length)
        },
      ),
    )
  })
  it('stands in the record by name; the last word counts, in whatever order it comes; taken back it is gone', () => {
    const events = [took(1, 'maren', ['rice']), took(2, 'maren', ['corn', 'beet']), took(3, 'idris', [])]
    const past = { id: 's', date: '2026-11-26', title: 'Soup', plan, events }
    const recordOf = (list: TableEvent[]) => sessionRecord({ ...past, events: list }).children
    for (const list of [events, [...events].reverse()])
      expect(recordOf(list).map((c) => c.took)).toEqual([[], [], ['cooked beetroot', 'sweetcorn']])
    const back: TableEvent = { ...took(4, '', []), kind: 'undo', body: { event: events[1]?.id ?? '' } }
    expect(recordOf([...events, back]).at(-1)?.took).toEqual(['white rice'])
  })
  it('is thought of the next time: what a child took before it is reckoned to take', () => {
    const events = [took(1, 'maren', ['spinach', 'cheese', 'corn', 'rice'])]
    const carried = carriedOf('maren', [{ id: 's', date: '2026-11-19', title: 'Soup', plan, events }])
    expect(carried.took).toEqual({ spinach: 1, cheddar: 1, sweetcorn: 1, 'rice-white': 1 })
    const next = compile(
      request(
        people.map((p) => (p.id === 'maren' ? { ...p, took: carried.took ?? {} } : p)),
        { recipe: recipeOf('soup-of-my-own') },
      ),
    )
    const picks = next.choices?.[0]?.offers.find((o) => o.child === 'maren')?.picks
    expect([...(picks ?? [])].sort()).toEqual(['cheese', 'corn', 'rice', 'spinach'])
  })
  it('the children’s screen holds up so many pictures as its age takes, and never what it is not offered', () => {
    for (const who of ['wren', 'idris', 'maren']) {
      const state = replay([])
      const turn =
        tableTasks(plan, state, 'choose')
          .flatMap((t) => t.turns)
          .find((t) => t.who === who) ?? null
      expect(nextTurn(tableTasks(plan, state, 'choose'))).not.toBeNull()
      const say = { key: '', child: who, lines: [], countTo: 0 }
      const moment = showMoments(plan, 'choose', null, say, { turn, blocked: false }).find(
        (m) => m.kind === 'choose',
      )
      const offer = plan.choices?.[0]?.offers.find((o) => o.child === who)
      const held = moment?.kind === 'choose' ? moment.foods.length : 0
      expect(held).toBeLessThanOrEqual(offer?.atOnce ?? 0)
      if (who === 'maren') expect(held).toBe(4)
      if (who === 'idris') expect(JSON.stringify(moment)).not.toContain('cheese')
    }
  })
  it('Amounts says who takes what, what is not offered and why', () => {
    const [rows] = choiceRows(plan)
    const idris = rows?.children.find((c) => c.child === 'idris')
    expect(idris?.cells.find((c) => c.line === 'cheese')).toMatchObject({
      may: false,
      takes: false,
      why: 'lists milk',
    })
    expect(rows?.foods.every((f) => /^for \d child|^for \d children|^none/.test(f.laid))).toBe(true)
  })
})
