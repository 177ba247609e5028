/** A session that was begun on a device without a network: what the server takes, what it says, and what it refuses. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Plan, type PlanRequest, compile, openStops } from '@lea/core/plan'
import { type StoredChild, type StoredSession, assemble } from '@lea/core/setting'
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
async function planned(): Promise<{
  session: StoredSession
  plan: Plan
  request: PlanRequest
  milk: string
}> {
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
  const request = assemble(body as StoredSession, parts)
  const plan = compile(request)
  const milk = children.find((c) => c.concerns.some((x) => x.allergen === 'milk'))?.id ?? ''
  return { session: body as StoredSession, plan, request, milk }
}
const begin = (id: string, request: unknown, digest = 'none', by: Visitor = petra) =>
  by.send('POST', `/api/sessions/${id}/begun`, { request, digest, at: '2026-11-26T10:20:00Z' })

describe('a table that began without a network', () => {
  it('is in force by the plan of the device, once, and its taps follow', async () => {
    const { session, plan, request } = await planned()
    expect(openStops(plan)).toEqual([])
    const first = await begin(session.id, request, plan.digest)
    expect(first.status, JSON.stringify(first.body).slice(0, 300)).toBe(200)
    expect(first.body.session.state).toBe('cooking')
    expect(first.body.plan.digest).toBe(plan.digest)
    expect(first.body.against).toEqual([])
    // Told again, for the answer was lost on the way: nothing changes.
    expect((await begin(session.id, request, plan.digest)).body.against).toEqual([])
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
    const { session, plan, request, milk } = await planned()
    // Somebody at the desk has added a child with a milk allergy while the device was away.
    expect((await petra.change(session.id, { children: [...session.children, milk] })).status).toBe(200)
    const answer = await begin(session.id, request, plan.digest)
    expect(answer.status).toBe(200)
    expect(answer.body.plan.digest).toBe(plan.digest)
    expect(answer.body.against.join(' ')).toMatch(/milk/)
    expect(answer.body.session.children).toContain(milk)
  })
  it('is made from what the device knew, and from nothing that it says of itself', async () => {
    const { session, request, milk } = await planned()
    const told = async (body: unknown, by?: Visitor) => {
      const { status, body: said } = await begin(session.id, body, 'x', by)
      return [status, said.error.field, said.error.says] as const
    }
    expect((await told(null))[0]).toBe(400)
    expect((await told({ ...request, recipe: { ...request.recipe, steps: [null] } }))[0]).toBe(400)
    expect((await told({ ...request, children: [null] }))[0]).toBe(400)
    expect((await told({ ...request, session: { ...request.session, id: randomUUID() } }))[2]).toMatch(
      /another session/,
    )
    const stranger = { ...request.children[0], id: randomUUID() }
    expect((await told({ ...request, children: [...request.children, stranger] }))[2]).toMatch(
      /does not know/,
    )
    // With somebody whom the recipe meets it has a stop, whatever list of findings is sent along.
    const card = ((await petra.get('/api/children')).body as StoredChild[]).find((c) => c.id === milk)
    const met = { ...request.children[0], id: milk, concerns: card?.concerns ?? [] }
    expect(await told({ ...request, children: [...request.children, met], findings: [] })).toEqual([
      409,
      'request',
      expect.stringMatching(/not settled/),
    ])
    // A helper hands on what was decided, and decides nothing.
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    const clear = { kind: 'clear', finding: 'x', cause: 'y', who: 'z', why: 'because' }
    expect((await told({ ...request, decisions: [clear] }, gwenda))[2]).toMatch(/only a leader/)
    // Nothing of it was taken.
    const now = (await petra.get(`/api/sessions/${session.id}`)).body
    expect([now.session.state, now.plan]).toEqual(['planned', null])
  })
})
