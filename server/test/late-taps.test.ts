/** Devices that come late, or whose counter or clock is wrong: what was tapped is taken, and no table stops for one of them. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dayAfter } from '@lea/core/amount'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let seun: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  ;[petra, seun] = [house.visitor(), house.visitor()]
  await petra.signIn('petra', DEMO_PASSWORD)
  await seun.signIn('seun', DEMO_PASSWORD)
})
afterAll(() => house.close())

async function newSession(more: object = {}): Promise<StoredSession> {
  const setting = (await petra.get('/api/setting')).body
  const recipes = (await petra.get('/api/recipes')).body as { id: string; recipe: { id: string } }[]
  const children = ((await petra.get('/api/children')).body as StoredChild[]).filter(
    (c) => c.concerns.length === 0,
  )
  const made = await petra.send('POST', '/api/sessions', {
    date: today(),
    start: '10:15',
    recipe: recipes.find((r) => r.recipe.id === 'herb-soda-bread')?.id,
    children: children.slice(0, 3).map((c) => c.id),
    guests: [],
    adults: setting.adults.map((a: { id: string }) => a.id),
    seats: [],
    ...more,
  })
  return made.body
}
let n = 0
const tap = (kind: string, body: object) => ({
  id: randomUUID(),
  device: 'd',
  lamport: ++n,
  at: '2026-11-26T10:21:00Z',
  kind,
  body,
})

describe('a device', () => {
  it('whose counter leaps does not stop the table', async () => {
    const session = await newSession()
    const path = `/api/sessions/${session.id}`
    await petra.send('POST', `${path}/cook`, {})
    const wild = { ...tap('step', { step: 'x' }), lamport: 1_000_000_000 }
    const refused = await petra.send('POST', `${path}/events`, { events: [wild] })
    expect([refused.status, refused.body.error.says]).toEqual([400, expect.stringContaining('leapt')])
    expect((await seun.send('POST', `${path}/events`, { events: [tap('step', { step: 'x' })] })).status).toBe(
      200,
    )
  })
  it('that comes back days later has its taps taken, a helper’s as well; and words for a time are refused', async () => {
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    const session = await newSession({ date: dayAfter(today(), -1) })
    const path = `/api/sessions/${session.id}`
    await petra.send('POST', `${path}/cook`, {})
    const tapped = await gwenda.send('POST', `${path}/events`, { events: [tap('step', { step: 'x' })] })
    expect(tapped.status).toBe(200)
    for (const at of ['x', '2026-13-45T10:00:00Z', '26 November'])
      expect(
        (await petra.send('POST', `${path}/events`, { events: [{ ...tap('finish', {}), at }] })).status,
        at,
      ).toBe(400)
  })
})

describe('a session that was ended by mistake', () => {
  it('says so in its log when it is opened again, goes on, and can be ended once more', async () => {
    const session = await newSession()
    const path = `/api/sessions/${session.id}`
    await petra.send('POST', `${path}/cook`, {})
    // Not over: there is nothing to open. And no device opens it by an event of its own.
    expect((await petra.send('POST', `${path}/reopen`, { reason: 'too soon' })).status).toBe(409)
    const forged = await petra.send('POST', `${path}/events`, { events: [tap('reopen', { reason: 'x' })] })
    expect(forged.status).toBe(403)
    await petra.send('POST', `${path}/events`, { events: [{ ...tap('finish', {}), lamport: 40 }] })
    // Two press it at once: it is opened once.
    const both = await Promise.all([
      petra.send('POST', `${path}/reopen`, { reason: 'the bread was not out yet' }),
      petra.send('POST', `${path}/reopen`, { reason: 'the bread was not out yet' }),
    ])
    expect(both.map((b) => b.status).sort()).toEqual([200, 409])
    const log = (await petra.get(`${path}/events`)).body.events as { kind: string; lamport: number }[]
    const opened = log.filter((e) => e.kind === 'reopen')
    expect(opened).toHaveLength(1)
    expect(opened[0]?.lamport).toBe(41)
    const going = (await petra.get(`/api/record/sessions/${session.id}`)).body
    expect(going.finished).toBeNull()
    expect(going.reopened).toMatchObject([{ reason: 'the bread was not out yet' }])
    await petra.send('POST', `${path}/events`, { events: [{ ...tap('finish', {}), lamport: 42 }] })
    expect((await petra.get(path)).body.session.state).toBe('finished')
    const over = (await petra.get(`/api/record/sessions/${session.id}`)).body
    expect(over.finished).not.toBeNull()
    expect(over.reopened).toHaveLength(1)
  })
})
