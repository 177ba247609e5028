import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type StoredChild, type StoredSession, inputsOf } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { today } from '../src/clock'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let session: StoredSession
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  session = all.find((s) => s.state === 'planned') as StoredSession
})
afterAll(() => house.close())

const tap = (turn: string, child: string, lamport: number, id = randomUUID()) => ({
  id,
  device: 'tablet',
  lamport,
  at: '2026-11-26T10:20:00.000Z',
  kind: 'turn',
  body: { turn, child },
})
const calcPlan = (request: unknown): string => {
  const file = join(mkdtempSync(join(tmpdir(), 'lea-')), 'request.json')
  writeFileSync(file, `${JSON.stringify(request)}\n`)
  const calc = fileURLToPath(new URL('../dist/calc.js', import.meta.url))
  return execFileSync('node', [calc, 'plan', file], { encoding: 'utf8' })
}

describe('a session from plan to table', () => {
  it('does not start while a stop is open, and says which', async () => {
    const refused = await petra.send('POST', `/api/sessions/${session.id}/cook`, {})
    expect(refused.status).toBe(409)
    expect(refused.body.error.says).toBe('1 stop is still to settle')
    expect(refused.body.error.stops[0].says).toContain('Buttermilk lists lactose, milk')
  })
  it('has no table before cooking begins', async () => {
    const early = await petra.send('POST', `/api/sessions/${session.id}/events`, {
      events: [tap('t', 'c', 1)],
    })
    expect(early.status).toBe(409)
  })
  it('keeps decisions, and plans what ./lea calc plan plans', async () => {
    const decisions = [{ kind: 'swap', line: 'buttermilk', swap: 'buttermilk>oat-drink' }]
    expect((await petra.change(session.id, { decisions })).status).toBe(200)
    const request = (await petra.get(`/api/sessions/${session.id}/request`)).body
    expect(JSON.stringify(request)).not.toContain('Zuri')
    const printed = JSON.parse(calcPlan(request))
    const stale = await petra.send('POST', `/api/sessions/${session.id}/cook`, { digest: 'another' })
    expect(stale.status).toBe(409)
    expect(stale.body.error.field).toBe('digest')
    const started = await petra.send('POST', `/api/sessions/${session.id}/cook`, { digest: printed.digest })
    expect(started.status).toBe(200)
    expect(started.body.plan).toEqual(printed)
  })
  it('is frozen then: inputs and decisions stand', async () => {
    const again = await petra.change(session.id, { decisions: [] })
    expect(again.status).toBe(409)
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body
    expect(plan.bowls[0].lines.map((l: { food: string }) => l.food)).toContain('oat-drink')
    const twice = await petra.send('POST', `/api/sessions/${session.id}/cook`, {})
    expect(twice.body.plan.digest).toBe(plan.digest)
  })
  it('takes each event once, numbers them without a gap, and gives all after a number', async () => {
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body
    const [a, b, c] = plan.turns
    const first = tap(a.id, a.child, 1)
    const path = `/api/sessions/${session.id}/events`
    expect((await petra.send('POST', path, { events: [first] })).body).toEqual({ last: 1 })
    expect((await petra.send('POST', path, { events: [first] })).body).toEqual({ last: 1 })
    const rest = [tap(b.id, b.child, 2), first, tap(c.id, c.child, 3)]
    expect((await petra.send('POST', path, { events: rest })).body).toEqual({ last: 3 })
    const after = await petra.get(`${path}?after=1`)
    expect(after.body.events.map((e: { lamport: number }) => e.lamport)).toEqual([2, 3])
    expect((await petra.get(`${path}?after=abc`)).status).toBe(400)
  })
  it('two devices at once lose nothing', async () => {
    const path = `/api/sessions/${session.id}/events`
    const before = (await petra.get(path)).body.events.length
    await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        petra.send('POST', path, { events: [tap(`turn-${i}`, 'c', 10 + i)] }),
      ),
    )
    const { events, last } = (await petra.get(path)).body
    expect(events).toHaveLength(before + 12)
    expect(last).toBe(before + 12)
  })
  it('what was seen of a technique stands with the child, a tap taken back does not, and a form does not lose it', async () => {
    const path = `/api/sessions/${session.id}/events`
    const child = session.children[0] ?? ''
    const skills = async (): Promise<Record<string, string>> =>
      ((await petra.get('/api/children')).body as StoredChild[]).find((c) => c.id === child)?.progress
        ?.skills ?? {}
    const before = (await skills())['mash']
    const seen = { ...tap('', '', 900), kind: 'skill', body: { child, technique: 'mash', how: 'help' } }
    expect((await petra.send('POST', path, { events: [seen] })).status).toBe(200)
    expect((await skills())['mash']).toBe('help')
    const bad = { ...seen, id: randomUUID(), body: { ...seen.body, how: 'badly' } }
    expect((await petra.send('POST', path, { events: [bad] })).status).toBe(400)
    const known = ((await petra.get('/api/children')).body as { id: string }[]).find((c) => c.id === child)
    const form = { ...known, id: undefined, progress: undefined }
    expect((await petra.send('PUT', `/api/children/${child}`, form)).status).toBe(200)
    expect((await skills())['mash']).toBe('help')
    const undo = { ...tap('', '', 901), kind: 'undo', body: { event: seen.id } }
    await petra.send('POST', path, { events: [undo] })
    expect((await skills())['mash']).toBe(before)
  })
  it('mends a change in the middle: the one who left is gone, the others keep their turns', async () => {
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body
    const leaver = session.children[5] ?? ''
    const done = plan.turns.slice(0, 3).map((t: { id: string }) => t.id)
    const path = `/api/sessions/${session.id}/mend`
    const { status, body } = await petra.send('POST', path, { kind: 'left', child: leaver, done })
    expect(status).toBe(200)
    expect(body.session.children).not.toContain(leaver)
    expect(body.says.at(-1)).toContain('All others keep')
    const kept = plan.turns.filter((t: { child: string }) => t.child !== leaver)
    expect(body.plan.turns).toEqual(expect.arrayContaining(kept))
    expect((await petra.send('POST', path, { kind: 'left', child: leaver, done })).status).toBe(409)
    expect((await petra.send('POST', path, { kind: 'late', step: 'bake', minutes: 0 })).status).toBe(400)
    expect(
      (await petra.send('POST', path, { kind: 'late', step: 'bake', minutes: 5 })).body.plan.totals.seconds,
    ).toBe(body.plan.totals.seconds + 300)
    expect((await petra.send('POST', path, { kind: 'hope' })).status).toBe(400)
  })
  it('ends in the record of the child', async () => {
    const path = `/api/sessions/${session.id}`
    const { plan } = (await petra.get(path)).body
    const child = plan.turns[0].child
    await petra.send('POST', `${path}/events`, {
      events: [
        { ...tap('', '', 90), kind: 'taste', body: { child, taste: 'more' } },
        { ...tap('', '', 91), kind: 'finish', body: {} },
      ],
    })
    const record = (await petra.get(`/api/record/children/${child}`)).body
    expect(record.sessions[0]).toMatchObject({ title: 'Herb soda bread', taste: 'more' })
    expect(record.sessions).toHaveLength(5)
  })
})

describe('who may do what', () => {
  it('a helper sees today’s table and writes its events, and nothing else', async () => {
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    expect((await gwenda.get('/api/sessions')).body).toEqual([])
    expect((await gwenda.get(`/api/sessions/${session.id}`)).status).toBe(404)
    expect((await gwenda.get('/api/record')).status).toBe(403)
    const child = { nickname: 'Noor', birth: '2022-01', concerns: [], diets: [], languages: [], needs: [] }
    expect((await gwenda.send('POST', '/api/children', child)).status).toBe(403)
    const input = inputsOf(session)
    const now = await petra.send('POST', '/api/sessions', { ...input, date: today() })
    expect(now.status).toBe(201)
    expect((await gwenda.get('/api/sessions')).body.map((s: { id: string }) => s.id)).toEqual([now.body.id])
  })
  it('another setting’s session, child or record is not there', async () => {
    const alder = house.visitor()
    await alder.signIn('alder', DEMO_PASSWORD)
    const child = ((await petra.get('/api/children')).body as { id: string }[])[0]?.id ?? ''
    expect((await alder.get(`/api/sessions/${session.id}`)).status).toBe(404)
    expect(
      (await alder.send('POST', `/api/sessions/${session.id}/events`, { events: [tap('t', 'c', 1)] })).status,
    ).toBe(404)
    expect((await alder.get(`/api/record/children/${child}`)).status).toBe(404)
    expect((await alder.get(`/api/children/${child}/export`)).status).toBe(404)
    expect((await alder.send('DELETE', `/api/children/${child}`)).status).toBe(404)
  })
  it('a child is exported with its record, and erased for good', async () => {
    const children = (await petra.get('/api/children')).body as { id: string; nickname: string }[]
    const zuri = children.find((c) => c.nickname === 'Zuri')
    const file = await petra.get(`/api/children/${zuri?.id}/export`)
    expect(file.body.child.nickname).toBe('Zuri')
    expect(file.body.record.sessions.length).toBeGreaterThan(0)
    expect((await petra.send('DELETE', `/api/children/${zuri?.id}`)).status).toBe(204)
    const everything = JSON.stringify([
      (await petra.get('/api/children')).body,
      (await petra.get('/api/record')).body,
      (await petra.get('/api/sessions')).body,
    ])
    expect(everything).not.toContain('Zuri')
    expect((await petra.get(`/api/record/children/${zuri?.id}`)).status).toBe(404)
  })
})
