/** What is tapped on one device is heard on every other: at the same server, at a second one, and again after the database was away. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let session = ''
const tap = (n: number) => ({
  id: randomUUID(),
  device: 'tablet',
  lamport: n,
  at: '2026-11-26T10:20:00Z',
  kind: 'note',
  body: { text: `tap ${n}` },
})
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const sessions = (await petra.get('/api/sessions')).body as StoredSession[]
  session = sessions.find((s) => s.state === 'finished')?.id ?? ''
})
afterAll(() => house.close())
const soon = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 10 })

describe('the news of a table', () => {
  it('is heard at the same server and at a second one on the same database', async () => {
    const second = await house.second()
    const seun = second.visitor()
    await seun.signIn('seun', DEMO_PASSWORD)
    const here = await petra.hear(session)
    const there = await seun.hear(session)
    // The first word on a new line to the database: ask for everything.
    await soon(() => expect(here.news.length * there.news.length).toBeGreaterThan(0))
    const before = there.news.length
    expect(
      (await petra.send('POST', `/api/sessions/${session}/events`, { events: [tap(1001)] })).status,
    ).toBe(200)
    await soon(() => expect(there.news.slice(before)).toContain('events'))
    await soon(() => expect(here.news).toContain('events'))
    // And it is there when it is asked for.
    const answer = (await seun.get(`/api/sessions/${session}/events`)).body as {
      events: { body: { text?: string } }[]
    }
    expect(answer.events.some((e) => e.body.text === 'tap 1001')).toBe(true)
    here.leave()
    there.leave()
  })
  it('a tap that is refused is not told', async () => {
    const ear = await petra.hear(session)
    const before = ear.news.length
    expect(
      (await petra.send('POST', `/api/sessions/${session}/events`, { events: [{ ...tap(1), kind: 'song' }] }))
        .status,
    ).toBe(400)
    await petra.send('POST', `/api/sessions/${session}/events`, { events: [tap(1002)] })
    await soon(() => expect(ear.news.slice(before)).toEqual(['events']))
    ear.leave()
  })
  it('of another setting’s table nothing is heard', async () => {
    const alder = house.visitor()
    await alder.signIn('alder', DEMO_PASSWORD)
    await expect(alder.hear(session)).rejects.toThrow('404')
    await expect(house.visitor().hear(session)).rejects.toThrow('401')
  })
  it('comes again after the line to the database was cut: whatever was missed is asked for', async () => {
    const ear = await petra.hear(session)
    await petra.send('POST', `/api/sessions/${session}/events`, { events: [tap(1003)] })
    await soon(() => expect(ear.news).toContain('events'))
    const before = ear.news.length
    await house.pool.query(
      `select pg_terminate_backend(pid) from pg_stat_activity where query ilike 'listen %' and datname = current_database()`,
    )
    await soon(() => expect(ear.news.slice(before)).toContain('session'))
    await petra.send('POST', `/api/sessions/${session}/events`, { events: [tap(1004)] })
    await soon(() => expect(ear.news.slice(before)).toContain('events'))
    ear.leave()
  })
})

describe('what a setting keeps', () => {
  it('is heard to have changed by every page of that setting, at a second server too, and by no other', async () => {
    const [second, alder] = [await house.second(), house.visitor()]
    const seun = second.visitor()
    await seun.signIn('seun', DEMO_PASSWORD)
    await alder.signIn('alder', DEMO_PASSWORD)
    const theirs = ((await alder.get('/api/sessions')).body as StoredSession[])[0]?.id ?? ''
    const ears = [await petra.hear(session), await seun.hear(session), await alder.hear(theirs)]
    // The first word on the second server's new line to the database.
    await soon(() => expect(ears[1]?.news).toContain('setting'))
    const before = ears.map((e) => e.news.length)
    const heard = () => ears.map((e, i) => e.news.slice(before[i]))
    const [row] = (await petra.get('/api/recipes')).body as { id: string; version: number; recipe: object }[]
    const put = (version: number) =>
      petra.send('PUT', `/api/recipes/${row?.id}`, {
        recipe: { ...row?.recipe, about: 'as we make it' },
        version,
      })
    expect((await put(row?.version ?? 0)).status).toBe(200)
    await soon(() => expect(heard().slice(0, 2)).toEqual([['setting'], ['setting']]))
    // What was refused, and what is only read, is not told; nor is it to who did it.
    expect((await put(row?.version ?? 0)).status).toBe(409)
    await petra.get('/api/children')
    const rules = (await petra.get('/api/setting')).body
    expect(
      (await petra.send('PUT', '/api/setting/rules', { rules: rules.rules, version: rules.versions.rules }))
        .status,
    ).toBe(200)
    await soon(() => expect(heard()[1]).toEqual(['setting', 'setting']))
    expect(heard()[2]).toEqual([])
    for (const ear of ears) ear.leave()
  })
})
