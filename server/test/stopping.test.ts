/** A server that is told to stop: who is waiting for an answer gets it, streams end at once, and whoever asks is told that no more is taken. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let one: Awaited<ReturnType<TestServer['second']>>
let petra: Visitor
let session: StoredSession
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  one = await house.second()
  petra = one.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  session = all.find((s) => s.state === 'planned') as StoredSession
})
afterAll(() => house.close())

describe('a server that serves', () => {
  it('lives, and is ready', async () => {
    expect(await one.visitor().get('/livez')).toMatchObject({ status: 200, body: { ok: true } })
    expect(await one.visitor().get('/readyz')).toMatchObject({ status: 200, body: { ok: true } })
  })
})

describe('a server that is told to stop', () => {
  it('answers the 44 that are under way, plans and papers among them, and ends streams at once', async () => {
    const stream = await petra.hear(session.id)
    const of = `/api/sessions/${session.id}`
    const paths = [`${of}/papers/run.pdf`, `${of}/request`, '/api/recipes', '/api/children']
    const asked = Array.from({ length: 44 }, (_, n) => petra.raw('GET', paths[n % paths.length] ?? ''))
    // They are on the server's side before it is told.
    await expect.poll(() => one.stopping.waiting(), { interval: 2 }).toBeGreaterThan(8)
    const began = Date.now()
    const stopped = one.stop()
    await stream.over
    const streamEnded = Date.now() - began
    const answers = await Promise.all(asked)
    expect(answers.map((a) => a.status)).toEqual(Array(44).fill(200))
    expect(
      answers.filter((_, n) => n % 4 === 0).every((a) => a.body.subarray(0, 5).toString() === '%PDF-'),
    ).toBe(true)
    await stopped
    // Streams do not wait for the last paper.
    expect(streamEnded).toBeLessThan(Date.now() - began)
    await expect(one.visitor().get('/livez')).rejects.toThrow()
  })
  it('hears whoever knocked in time, though it was too busy to open', async () => {
    const busy = await house.second()
    const visitor = busy.visitor()
    const stopped = busy.stop()
    const asked = Array.from({ length: 20 }, () => visitor.raw('GET', '/livez'))
    // The questions are on their way, and the server is held up for longer than it listens.
    await new Promise((done) => setImmediate(done))
    const until = performance.now() + 700
    while (performance.now() < until);
    expect((await Promise.all(asked)).map((a) => a.status)).toEqual(Array(20).fill(200))
    await stopped
  })
  it('is not ready while it stops, and keeps no connection', async () => {
    const slow = await house.second()
    slow.stopping.begin()
    expect((await slow.visitor().get('/livez')).status).toBe(200)
    expect(await slow.visitor().get('/readyz')).toMatchObject({ status: 503 })
    const seen = slow.visitor()
    expect((await seen.get('/livez')).headers.get('connection')).toBe('close')
  })
  it('who stays longer than there is patience for is cut, and the server goes', async () => {
    const slow = await house.second()
    const visitor = slow.visitor()
    await visitor.signIn('petra', DEMO_PASSWORD)
    // Every line to the database is taken: the question waits for one.
    const taken = await Promise.all(Array.from({ length: 10 }, () => slow.pool.connect()))
    const cut = expect(visitor.get('/api/children')).rejects.toThrow()
    await expect.poll(() => slow.stopping.waiting(), { interval: 2 }).toBe(1)
    await slow.stop(700)
    await cut
    for (const client of taken) client.release()
  })
  it('is not ready where the database is away, and lives on', async () => {
    const cut = await house.second()
    await cut.pool.end()
    expect((await cut.visitor().get('/livez')).status).toBe(200)
    const { status, body } = await cut.visitor().get('/readyz')
    expect([status, JSON.stringify(body)]).toEqual([503, expect.stringMatching(/database/)])
  })
})
