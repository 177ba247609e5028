import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { compile } from '../../src/plan/compile'
import { THUMBS, type EventBody, type TableEvent } from '../../src/session/event'
import { addUp, progressIn } from '../../src/session/progress'
import { sessionRecord } from '../../src/session/record'
import { replay } from '../../src/session/replay'
import { tableChoices } from '../../src/session/choices'
import { guessCards, tableTasting, tasteTallies, thumbsOf } from '../../src/session/tastings'
import { wordCards } from '../../src/session/talk/word-cards'
import { child, recipeOf, request } from '../group'

const plan = compile(
  request([child('wren', 64), child('idris', 40), child('kofi', 30)], {
    recipe: recipeOf('guess-the-garden'),
  }),
)
const LINES = ['carrot', 'cucumber', 'beetroot', 'mint']
const tap = (lamport: number, body: EventBody): TableEvent => ({
  ...body,
  id: `00000000-0000-4000-8000-${String(lamport).padStart(12, '0')}`,
  device: 'd',
  lamport,
  at: '2026-11-26T10:00:00Z',
})
const thumb = (n: number, who: string, line: string, how: (typeof THUMBS)[number]): TableEvent =>
  tap(n, { kind: 'thumb', body: { tasting: 'guess', child: who, line, food: line, thumb: how } })
const named = (n: number, who: string, line: string, says: string): TableEvent =>
  tap(n, { kind: 'named-taste', body: { tasting: 'guess', child: who, line, named: says } })

describe('tastes at the table', () => {
  it('are each child’s own rows in its order, the cards in an order that tells nothing', () => {
    const here = tableTasting(plan, replay([]), 'guess', ['wren', 'kofi'])
    expect(here?.children.map((c) => [c.child, c.covered, c.rows.length, c.done])).toEqual([
      ['wren', true, 4, false],
      ['kofi', false, 4, false],
    ])
    expect(here?.children[0]?.cards.map((c) => c.name)).toEqual(
      [...(here?.children[0]?.cards ?? [])].map((c) => c.name).sort(),
    )
    expect(tableTasting(plan, replay([]), 'mash', ['wren'])).toBeNull()
    // It is no free choice to tap as well.
    expect(tableChoices(plan, replay([]), 'guess', ['wren'])).toEqual([])
  })

  it('keep the last tap of each, in any order of arrival, and add up to what was tapped', () => {
    const event = fc.record({
      who: fc.constantFrom('wren', 'idris', 'kofi'),
      line: fc.constantFrom(...LINES),
      how: fc.constantFrom(...THUMBS),
      says: fc.option(fc.constantFrom(...LINES), { nil: null }),
    })
    fc.assert(
      fc.property(fc.array(event, { maxLength: 30 }), fc.infiniteStream(fc.nat()), (list, order) => {
        const events = list.map((e, i) =>
          e.says === null ? thumb(i + 1, e.who, e.line, e.how) : named(i + 1, e.who, e.line, e.says),
        )
        const mixed = events
          .map((e) => ({ e, k: order.next().value as number }))
          .sort((a, b) => a.k - b.k)
          .map(({ e }) => e)
        const state = replay([...mixed, ...events.slice(0, 3)])
        expect(state.thumbs).toEqual(replay(events).thumbs)
        const tallies = tasteTallies(plan, state)
        const last = new Map(
          list.flatMap((e) => (e.says === null ? [[`${e.who} ${e.line}`, e.how] as const] : [])),
        )
        const tallied = tallies
          .flatMap((t) => t.foods)
          .reduce((n, f) => n + THUMBS.reduce((m, t) => m + f.who[t].length, 0), 0)
        expect(tallied).toBe(last.size)
        for (const f of tallies.flatMap((t) => t.foods))
          if (f.guessed) expect(f.guessed.right).toBeLessThanOrEqual(f.guessed.of)
      }),
    )
  })

  it('an undone tap never was', () => {
    const first = thumb(1, 'wren', 'mint', 'down')
    const state = replay([first, tap(2, { kind: 'undo', body: { event: first.id } })])
    expect(thumbsOf(plan, state, 'wren')).toEqual([])
  })

  it('stand in the record by child and by food, with what was named rightly, and as a food that was met', () => {
    const events = [
      thumb(1, 'wren', 'mint', 'up'),
      thumb(2, 'idris', 'mint', 'down'),
      named(3, 'wren', 'mint', 'mint'),
      named(4, 'idris', 'mint', 'cucumber'),
    ]
    const past = { id: 's', date: '2026-11-26', title: 'Guess the garden', plan, events }
    const record = sessionRecord(past)
    const mint = record.tastings[0]?.foods.find((f) => f.name.startsWith('mint'))
    expect(mint?.who).toEqual({ up: ['wren'], level: [], down: ['idris'] })
    expect(mint?.guessed).toEqual({ right: 1, of: 2 })
    expect(record.children.find((c) => c.child === 'wren')?.thumbs[0]?.thumb).toBe('up')
    expect(record.met['wren']).toEqual({ mint: 'tasted' })
    // What was liked counts as what one would take again; what was not, does not.
    const of = (who: string) => addUp([{ date: '2026-11-26', progress: progressIn(past).get(who) ?? {} }])
    expect(of('wren').took).toEqual({ mint: 1 })
    expect(of('idris').took).toBeUndefined()
  })

  it('a food noted as refused stays so when a thumb is put after it', () => {
    const met = tap(1, { kind: 'met', body: { child: 'wren', food: 'mint', how: 'refused' } })
    expect(replay([met, thumb(2, 'wren', 'mint', 'down')]).met['wren']).toEqual({ mint: 'refused' })
  })

  it('are pictures on the children’s screen and cards on paper: of what may be tasted, not of the order', () => {
    expect(guessCards(plan, 'guess', 'wren')).toEqual(guessCards(plan, 'guess', 'idris'))
    expect(guessCards(plan, 'guess', null)).toEqual([...guessCards(plan, 'guess', null)].sort())
    expect(guessCards(plan, 'guess', null).length).toBeGreaterThan(2)
    const cards = wordCards(plan).map((c) => c.id)
    for (const word of ['carrot', 'cucumber', 'beetroot', 'mint']) expect(cards).toContain(word)
    expect(new Set(cards).size).toBe(cards.length)
  })
})
