/** Rotation, rules of the house and changes at the table, as they cross the server's door. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { must } from '@lea/core/amount'
import { type HouseRules, type Kit, type Plan, stillToMeasure } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let gwenda: Visitor
const sessions = async (): Promise<StoredSession[]> =>
  (await petra.get('/api/sessions')).body as StoredSession[]
const planned = async (): Promise<StoredSession> =>
  (await sessions()).find((s) => s.state === 'planned') as StoredSession
const rules = async (): Promise<HouseRules> => (await petra.get('/api/setting')).body.rules

beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  gwenda = house.visitor()
  await gwenda.signIn('gwenda', DEMO_PASSWORD)
})
afterAll(() => house.close())

const putRules = async (rules: object) =>
  petra.send('PUT', '/api/setting/rules', {
    rules,
    version: (await petra.get('/api/setting')).body.versions.rules,
  })
const putKit = async (kit: object) =>
  petra.send('PUT', '/api/setting/kit', { kit, version: (await petra.get('/api/setting')).body.versions.kit })

describe('rules of the house', () => {
  it('ages, tools, ratios and the week are kept whole, and the plan request carries them', async () => {
    const before = await rules()
    const next: HouseRules = {
      ...before,
      techniques: [{ technique: 'snip-scissors', from: 60, oversee: 84 }],
      ratios: [
        { below: 36, children: 3 },
        { below: null, children: 6 },
      ],
      week: ['stir'],
      ownUnder: 36,
    }
    expect((await putRules(next)).status).toBe(200)
    expect(await rules()).toMatchObject({
      techniques: next.techniques,
      ratios: next.ratios,
      week: ['stir'],
      ownUnder: 36,
    })
    const { body } = await petra.get(`/api/sessions/${(await planned()).id}/request`)
    expect(body.rules.techniques).toEqual(next.techniques)
    expect((await putRules(before)).status).toBe(200)
  })
  it('what is wrong is refused with the field', async () => {
    const before = await rules()
    const bad = async (more: object): Promise<string> => {
      const { status, body } = await putRules({ ...before, ...more })
      expect(status).toBe(400)
      return body.error.says
    }
    expect(await bad({ techniques: [{ technique: 'juggle' }] })).toMatch(/Technique must be one of/)
    expect(await bad({ ratios: [{ below: null, children: 0 }] })).toMatch(/at least 1/)
    expect(await bad({ ratios: [{ below: 36, children: 4 }] })).toMatch(/must rise/)
    expect(await bad({ ownUnder: 5 })).toMatch(/at least 12/)
  })
  it('tools that are few are kept with the kit', async () => {
    const kit = (await petra.get('/api/setting')).body.kit as Kit
    const tools = [{ tool: 'rolling pin', count: 2 }]
    expect((await putKit({ ...kit, tools })).status).toBe(200)
    expect((await petra.get('/api/setting')).body.kit.tools).toEqual(tools)
    const none = [{ tool: 'rolling pin', count: 0 }]
    expect((await putKit({ ...kit, tools: none })).status).toBe(200)
    const fewer = [{ tool: 'rolling pin', count: -1 }]
    expect((await putKit({ ...kit, tools: fewer })).status).toBe(400)
    await putKit(kit)
  })
  it("a child's own plan leaves techniques out, and what was seen and done stays when it is edited", async () => {
    const all = (await petra.get('/api/children')).body as {
      id: string
      nickname: string
      birth: string
      concerns: unknown[]
      diets: unknown[]
      languages: unknown[]
      needs: unknown[]
      version: number
      progress?: { lastDone: object; skills: object }
    }[]
    const child = all.find((c) => Object.keys(c.progress?.lastDone ?? {}).length > 0)
    if (!child) throw new Error('nobody has a record')
    const { nickname, birth, concerns, diets, languages, needs, version } = child
    const input = { nickname, birth, concerns, diets, languages, needs, version, limits: ['bridge-cut'] }
    const { status, body } = await petra.send('PUT', `/api/children/${child.id}`, input)
    expect(status).toBe(200)
    expect(body).toMatchObject({ limits: ['bridge-cut'], progress: child.progress, version: version + 1 })
    expect((await petra.send('PUT', `/api/children/${child.id}`, input)).status).toBe(409)
    const wrong = { ...input, version: version + 1, limits: ['flying'] }
    expect((await petra.send('PUT', `/api/children/${child.id}`, wrong)).status).toBe(400)
    await petra.send('PUT', `/api/children/${child.id}`, { ...input, version: version + 1, limits: [] })
  })
})

describe('a rotation', () => {
  it('wants everybody in exactly one group, and a leader', async () => {
    const session = await planned()
    const path = `/api/sessions/${session.id}/rotation`
    const half = session.children.slice(0, 6)
    const groups = [
      { start: '10:15', children: half },
      { start: '11:00', children: half },
    ]
    const { status, body } = await petra.send('POST', path, { groups })
    expect(status).toBe(400)
    expect(body.error.says).toContain('do not hold exactly the children')
    expect((await petra.send('POST', path, { groups: groups.slice(0, 1) })).status).toBe(400)
    expect((await gwenda.send('POST', path, { groups })).status).toBe(403)
    expect((await planned()).children).toEqual(session.children)
  })
  it('makes a session of each group, with the decisions of the first', async () => {
    const session = await planned()
    const decisions = [{ kind: 'swap', line: 'buttermilk', swap: 'buttermilk>oat-drink' }]
    await petra.change(session.id, { decisions })
    const before = (await sessions()).length
    const groups = [0, 1, 2].map((g) => ({
      start: `1${g}:15`,
      children: session.children.filter((_, i) => i % 3 === g),
    }))
    const { status, body } = await petra.send('POST', `/api/sessions/${session.id}/rotation`, { groups })
    expect(status).toBe(201)
    expect(body).toHaveLength(3)
    expect(body[0].id).toBe(session.id)
    for (const [i, made] of (body as StoredSession[]).entries()) {
      expect(made.children).toEqual(groups[i]?.children)
      expect(made.start).toBe(groups[i]?.start)
      expect(made.decisions).toEqual(decisions)
      expect(made.until === undefined || made.until > made.start).toBe(true)
    }
    expect((await sessions()).length).toBe(before + 2)
  })
})

describe('at the table', () => {
  it('a shorter plan that the browser found is compiled with the same effort, and agrees', async () => {
    const session = await planned()
    const { body: request } = await petra.get(`/api/sessions/${session.id}/request`)
    const { compile } = await import('@lea/core/plan')
    const refined = compile({ ...request, effort: 'refined' })
    const path = `/api/sessions/${session.id}/cook`
    expect((await petra.send('POST', path, { digest: refined.digest, effort: 'haste' })).status).toBe(400)
    const { status, body } = await petra.send('POST', path, { digest: refined.digest, effort: 'refined' })
    expect(status).toBe(200)
    expect(body.plan.digest).toBe(refined.digest)
  })
  it('a measure that is lost is made up for with the others, or refused in words', async () => {
    const session = (await sessions()).find((s) => s.state === 'cooking') as StoredSession
    const path = `/api/sessions/${session.id}/mend`
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body
    const turn = plan.turns.find((t: { measure?: string }) => t.measure)
    const { status, body } = await petra.send('POST', path, {
      kind: 'broken',
      measure: turn.measure,
      done: [],
    })
    if (status === 200) {
      const left = body.plan.turns.filter((t: { measure?: string }) => t.measure === turn.measure)
      expect(left).toEqual([])
    } else expect(body.error.says).toMatch(/still to come|another/)
    expect((await petra.send('POST', path, { kind: 'broken', measure: 'a-bucket', done: [] })).status).toBe(
      409,
    )
  })
  it('a child that has done something leaves: what it did stays, and every later change still works', async () => {
    const session = (await sessions()).find((s) => s.state === 'cooking') as StoredSession
    const path = `/api/sessions/${session.id}/mend`
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body as { plan: Plan }
    const first = must(plan.turns[0], 'a turn')
    const body = { turn: first.id, child: first.child }
    const event = {
      id: randomUUID(),
      device: 't',
      lamport: 1,
      at: '2026-11-26T10:20:00.000Z',
      kind: 'turn',
      body,
    }
    const tapped = await petra.send('POST', `/api/sessions/${session.id}/events`, { events: [event] })
    expect(tapped.status, JSON.stringify(tapped.body)).toBe(200)
    const left = await petra.send('POST', path, { kind: 'left', child: first.child, done: [] })
    expect(left.status, JSON.stringify(left.body)).toBe(200)
    expect((left.body.plan as Plan).turns.find((t) => t.id === first.id)?.child).toBe(first.child)
    const step = must(plan.tasks[0], 'a task').step
    for (const change of [
      { kind: 'late', step, minutes: 5 },
      { kind: 'left', child: plan.children.find((c) => c.id !== first.child)?.id, done: [] },
    ]) {
      const { status, body } = await petra.send('POST', path, change)
      expect(status, JSON.stringify(body)).toBe(200)
    }
  })
  it('a food that ran short is shared out evenly from here; more than is to come is refused in words', async () => {
    const session = (await sessions()).find((s) => s.state === 'cooking') as StoredSession
    const path = `/api/sessions/${session.id}/mend`
    const { plan } = (await petra.get(`/api/sessions/${session.id}`)).body as { plan: Plan }
    const [first] = stillToMeasure(plan, new Set())
    const short = (left: number) =>
      petra.send('POST', path, { kind: 'short', line: first?.line, left, done: [] })
    expect((await short((first?.scoops ?? 0) + 1)).status).toBe(409)
    expect((await short(-1)).status).toBe(400)
    const { status, body } = await short((first?.scoops ?? 0) - 1)
    expect(status, JSON.stringify(body)).toBe(200)
    expect(body.says.at(-1)).toMatch(/^Missing in all: /)
    expect(stillToMeasure(body.plan as Plan, new Set())[0]?.scoops).toBe((first?.scoops ?? 0) - 1)
    expect(((await petra.get(`/api/sessions/${session.id}`)).body as { plan: Plan }).plan.digest).toBe(
      body.plan.digest,
    )
  })
  it('shortening wants to know what, and nothing is shortened after the last step', async () => {
    const session = (await sessions()).find((s) => s.state === 'cooking') as StoredSession
    const path = `/api/sessions/${session.id}/mend`
    const shorten = (change: object, step: string) =>
      petra.send('POST', path, { kind: 'shorten', step, done: [], change })
    expect((await shorten({ do: 'adult-does' }, 'wash')).status).toBe(400)
    expect((await shorten({ do: 'few-scoops' }, 'taste')).status).toBe(409)
    const { status, body } = await shorten({ do: 'few-scoops' }, 'wash')
    expect(status).toBe(200)
    expect(body.says[0]).toMatch(/It ends at \d\d:\d\d/)
  })
})
