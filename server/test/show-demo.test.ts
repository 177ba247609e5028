/** The children's screen through every session of the demo, with its children and all their cards: no word of anybody's health, no name, at any turn. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { compile, type Plan, type PlanRequest } from '@lea/core/plan'
import { replay, showFrame, showStills, tableTasks, type TableEvent } from '@lea/core/session'
import type { StoredAdult, StoredChild, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer } from './test-server'

const HEALTH =
  /allerg|anaphyl|intoleran|coeliac|care plan|not offered|barred|diet|concern|epipen|halal|vegetarian|\b(?:lists|may contain)\b/i
let house: TestServer
beforeAll(async () => {
  house = await openTestServer({ demo: true })
})
afterAll(() => house.close())

/** Every turn of every step, one after another, and what follows: as a table goes through it. */
function eventsOf(plan: Plan): TableEvent[] {
  const events: TableEvent[] = []
  const add = (kind: string, body: object): void => {
    events.push({
      id: `e-${events.length}`,
      device: 'a',
      lamport: events.length + 1,
      at: '2026-11-26T10:00:00.000Z',
      kind,
      body,
    } as TableEvent)
  }
  for (const { step } of plan.schedule) {
    add('step', { step })
    for (const { turns } of tableTasks(plan, replay(events), step))
      for (const t of turns) add('turn', { turn: t.id, child: t.child })
  }
  for (const [i, c] of plan.children.entries())
    add('taste', { child: c.id, taste: i % 2 ? 'not-today' : 'more' })
  add('finish', {})
  return events
}

describe('the children’s screen in the demo', () => {
  for (const who of ['petra', 'tomasz', 'alder'])
    it(`of ${who}’s setting says nothing of health and names nobody, at any turn of any session, on the screen and on paper`, async () => {
      const visitor = house.visitor()
      await visitor.signIn(who, DEMO_PASSWORD)
      const sessions = (await visitor.get('/api/sessions')).body as StoredSession[]
      const children = (await visitor.get('/api/children')).body as StoredChild[]
      const { adults } = (await visitor.get('/api/setting')).body as { adults: StoredAdult[] }
      let looks = 0
      let cards = 0
      for (const s of sessions) {
        const request = (await visitor.get(`/api/sessions/${s.id}/request`)).body as PlanRequest
        const plan = compile(request)
        cards += request.children.filter((c) => c.concerns.length + c.diets.length > 0).length
        const speakers = request.children.map((c) => ({ child: c.id, languages: c.languages }))
        const mat = (id: string): number => plan.children.findIndex((c) => c.id === id)
        const people = [
          ...children.map((c) => c.nickname),
          ...adults.map((a) => a.name),
          ...plan.children.map((c) => c.id),
        ]
        const look = (what: unknown): void => {
          looks++
          const text = JSON.stringify(what)
          expect(text, s.recipe).not.toMatch(HEALTH)
          for (const p of people) expect(text.includes(`"${p}"`), `${p} in ${s.recipe}`).toBe(false)
        }
        const events = eventsOf(plan)
        const present = plan.children.map(({ id }) => ({ id }))
        for (const { id: bowl } of plan.bowls) {
          for (let n = 0; n <= events.length; n++)
            look(
              showFrame({ plan, state: replay(events.slice(0, n)), bowl, speakers, present }, mat)?.moments,
            )
          look(showStills(plan, bowl, speakers, mat).map(({ moment, row, mats }) => [moment, row, mats]))
        }
      }
      expect(sessions.length).toBeGreaterThan(0)
      expect(looks).toBeGreaterThan(30)
      if (who !== 'alder') expect(cards).toBeGreaterThan(0)
    })
})
