/** A session that was begun on a device without a network: what the server takes, what it says, and what it refuses. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Plan, compile, openStops, seal } from '@lea/core/plan'
import { type StoredSession, assemble } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { today } from '../src/clock'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
})
afterAll(() => house.close())

/** A session for the children of the house without any concern, and the plan that a device would make of it. */
async function planned(): Promise<{ session: StoredSession; plan: Plan; milk: string }> {
  const setting = (await petra.get('/api/setting')).body
  const children = (await petra.get('/api/children')).body as {
    id: string
    concerns: { allergen: string }[]
  }[]
  const recipes = (await petra.get('/api/recipes')).body as { id: string; recipe: { id: string } }[]
  const free = children.filter((c) => c.concerns.length === 0).slice(0, 3)
  const recipe = recipes.find((r) => r.recipe.id.includes('soda-bread')) ?? recipes[0]
  if (!recipe) throw new Error('no recipe')
  const { body } = await petra.send('POST', '/api/sessions', {
    date: today(),
    start: '10:15',
    recipe: recipe.id,
    children: free.map((c) => c.id),
    guests: [],
    adults: setting.adults.map((a: { id: string }) => a.id),
    seats: [],
  })
  const parts = { setting, recipe: recipe.recipe, children, adults: setting.adults } as never
  const plan = compile(assemble(body as StoredSession, parts))
  const milk = children.find((c) => c.concerns.some((x) => x.allergen === 'milk'))?.id ?? ''
  return { session: body as StoredSession, plan, milk }
}
const begin = (id: string, plan: unknown) =>
  petra.send('POST', `/api/sessions/${id}/begun`, { plan, effort: 'draft', at: '2026-11-26T10:20:00Z' })

describe('a table that began without a network', () => {
  it('is in force by the plan of the device, once, and its taps follow', async () => {
    const { session, plan } = await planned()
    expect(openStops(plan)).toEqual([])
    const first = await begin(session.id, plan)
    expect(first.status, JSON.stringify(first.body).slice(0, 300)).toBe(200)
    expect(first.body.session.state).toBe('cooking')
    expect(first.body.plan.digest).toBe(plan.digest)
    expect(first.body.against).toEqual([])
    // Told again, for the answer was lost on the way: nothing changes.
    expect((await begin(session.id, plan)).body.against).toEqual([])
    const tap = {
      id: randomUUID(),
      device: 'd',
      lamport: 1,
      at: '2026-11-26T10:21:00Z',
      kind: 'begin',
      body: {},
    }
    expect((await petra.send('POST', `/api/sessions/${session.id}/events`, { events: [tap] })).status).toBe(
      200,
    )
  })
  it('hears what has come to stand against its plan meanwhile', async () => {
    const { session, plan, milk } = await planned()
    // Somebody at the desk has added a child with a milk allergy while the device was away.
    const { date, start, recipe, children, guests, adults, seats } = session
    const input = { date, start, recipe, guests, adults, seats, children: [...children, milk] }
    expect((await petra.send('PUT', `/api/sessions/${session.id}`, input)).status).toBe(200)
    const answer = await begin(session.id, plan)
    expect(answer.status).toBe(200)
    expect(answer.body.plan.digest).toBe(plan.digest)
    expect(answer.body.against.join(' ')).toMatch(/milk/)
    expect(answer.body.session.children).toContain(milk)
  })
  it('is refused by a plan that was changed, cut short, of another session, or with a stop', async () => {
    const { session, plan } = await planned()
    const told = async (body: unknown) => {
      const { status, body: said } = await begin(session.id, body)
      return [status, said.error.field, said.error.says] as const
    }
    const lying: Plan = { ...plan, findings: [], cost: { ...plan.cost, unknown: ['x'] } }
    expect(await told(lying)).toEqual([400, 'plan', expect.stringMatching(/whole plan/)])
    expect((await told({ ...plan, turns: undefined }))[0]).toBe(400)
    expect((await told(null))[0]).toBe(400)
    const other = { ...plan, session: randomUUID() } as Partial<Plan>
    delete other.digest
    expect((await told({ ...other, digest: seal(other) }))[2]).toMatch(/another session/)
    const stop = { ...plan.findings[0], grade: 'stop', id: 'x', cause: 'y', touches: [], fixes: [] }
    const stopped = { ...plan, findings: [stop] } as Partial<Plan>
    delete stopped.digest
    expect(await told({ ...stopped, digest: seal(stopped) })).toEqual([
      409,
      'plan',
      expect.stringMatching(/not settled/),
    ])
    // Nothing of it was taken.
    const now = (await petra.get(`/api/sessions/${session.id}`)).body
    expect([now.session.state, now.plan]).toEqual(['planned', null])
  })
})
