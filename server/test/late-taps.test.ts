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
