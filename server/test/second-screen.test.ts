/** A second screen for the children: a code opens the pictures of one table, and nothing else, for as long as that table is at work. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { ShowFrame } from '@lea/core/session'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'
import { ROUTES } from './routes'

let house: TestServer
let petra: Visitor
let gwenda: Visitor
let children: StoredChild[]
let n = 0
const tap = (kind: string, body: object) => ({
  id: randomUUID(),
  device: 'd',
  lamport: ++n,
  at: '2026-11-26T10:21:00Z',
  kind,
  body,
})
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  ;[petra, gwenda] = [house.visitor(), house.visitor()]
  await petra.signIn('petra', DEMO_PASSWORD)
  await gwenda.signIn('gwenda', DEMO_PASSWORD)
  children = (await petra.get('/api/children')).body as StoredChild[]
})
afterAll(() => house.close())

interface Table {
  path: string
  session: StoredSession
  plan: {
    bowls: { id: string }[]
    schedule: { step: string }[]
    turns: { id: string; child: string; task: string }[]
  }
}
/** A table at work; `all`: with everybody, whatever their cards say, settled by written reasons. */
async function tableOf(recipe: string, ids: string[]): Promise<Table> {
  const setting = (await petra.get('/api/setting')).body
  const recipes = (await petra.get('/api/recipes')).body as { id: string; recipe: { id: string } }[]
  const made = await petra.send('POST', '/api/sessions', {
    date: today(),
    start: '10:15',
    recipe: recipes.find((r) => r.recipe.id === recipe)?.id,
    children: ids,
    guests: [],
    adults: setting.adults.map((a: { id: string }) => a.id),
    seats: [],
  })
  const path = `/api/sessions/${made.body.id as string}`
  const cooked = await petra.send('POST', `${path}/cook`, {})
  expect([recipe, cooked.status, cooked.body.error]).toEqual([recipe, 200, undefined])
  return { path, session: made.body, plan: (await petra.get(path)).body.plan }
}
const plain = (): string[] =>
  children
    .filter((c) => c.concerns.length + c.diets.length === 0)
    .map((c) => c.id)
    .slice(0, 3)
const codeOf = async (table: Table, who = petra): Promise<string> => {
  const made = await who.send('POST', `${table.path}/second-screen`, { bowl: table.plan.bowls[0]?.id })
  expect(made.status).toBe(200)
  return made.body.code as string
}
async function screenWith(code: string): Promise<Visitor> {
  const screen = house.visitor()
  expect((await screen.send('POST', '/api/show', { code })).status).toBe(204)
  return screen
}
const frameOf = async (screen: Visitor): Promise<ShowFrame> =>
  (await screen.get('/api/show/frame')).body.frame

describe('a code', () => {
  it('opens the pictures of its table, typed in whatever way, also for a helper’s table', async () => {
    const table = await tableOf('own-flatbreads', plain())
    const code = await codeOf(table, gwenda)
    expect(code).toMatch(/^[A-HJ-NP-Z2-9]{6}$/)
    const screen = await screenWith(` ${code.slice(0, 3).toLowerCase()}-${code.slice(3)} `)
    const frame = await frameOf(screen)
    expect(frame.moments.length).toBeGreaterThan(0)
    // It follows the table.
    const before = frame.key
    await petra.send('POST', `${table.path}/events`, {
      events: [tap('step', { step: table.plan.schedule[1]?.step })],
    })
    expect((await frameOf(screen)).key).not.toBe(before)
  })
  it('opens nothing else: every route of the server stays shut', async () => {
    const table = await tableOf('own-flatbreads', plain())
    const screen = await screenWith(await codeOf(table))
    for (const { method, path } of ROUTES) {
      const to = `/api${path.replace('{session}', table.session.id).replace(/\{\w+\}/g, () => randomUUID())}`
      const { status, body } = await screen.send(method, to, method === 'GET' ? undefined : {})
      expect([method, path, status]).toEqual([method, path, 401])
      expect(JSON.stringify(body)).not.toContain(table.session.id)
    }
  })
  it('is not kept as it is, and ends: by a newer one, by hand, and with the session', async () => {
    const table = await tableOf('own-flatbreads', plain())
    const first = await codeOf(table)
    const screen = await screenWith(first)
    const setting = (await petra.get('/api/me')).body.person.settingId as string
    const rows = await house.sql('select code_hash from second_screens', setting)
    expect(JSON.stringify(rows)).not.toContain(first)
    const second = await codeOf(table)
    expect((await screen.get('/api/show/frame')).status).toBe(410)
    expect((await house.visitor().send('POST', '/api/show', { code: first })).status).toBe(404)
    const again = await screenWith(second)
    expect((await petra.send('DELETE', `${table.path}/second-screen`)).status).toBe(204)
    expect((await again.get('/api/show/frame')).status).toBe(410)
    const last = await screenWith(await codeOf(table))
    await petra.send('POST', `${table.path}/events`, { events: [tap('finish', {})] })
    expect((await last.get('/api/show/frame')).status).toBe(410)
    // Opened again, the old code stays shut.
    await petra.send('POST', `${table.path}/reopen`, { reason: 'ended by mistake' })
    expect((await last.get('/api/show/frame')).status).toBe(410)
  })
  it('is given for a table at work only, and by nobody of another setting', async () => {
    const table = await tableOf('own-flatbreads', plain())
    const tomasz = house.visitor()
    await tomasz.signIn('tomasz', DEMO_PASSWORD)
    expect((await tomasz.send('POST', `${table.path}/second-screen`, { bowl: 'all' })).status).toBe(404)
    const over = ((await petra.get('/api/sessions')).body as StoredSession[]).find(
      (s) => s.state === 'finished',
    )
    expect(
      (await petra.send('POST', `/api/sessions/${over?.id ?? ''}/second-screen`, { bowl: 'all' })).status,
    ).toBe(409)
    expect((await house.visitor().get('/api/show/frame')).status).toBe(410)
    expect((await house.visitor().get('/api/show/live')).status).toBe(410)
  })
})

describe('what a second screen is told', () => {
  it('holds no name, no id of a child, no card and no finding, at any place of the session', async () => {
    const table = await tableOf('soup-of-my-own', plain())
    const setting = (await petra.get('/api/me')).body.person.settingId as string
    const screen = await screenWith(await codeOf(table))
    const people = children.flatMap((c) => [c.id, c.nickname])
    const health =
      /allerg|anaphyl|intoleran|coeliac|care plan|not offered|barred|diet|concern|epipen|\b(?:lists|may contain)\b/i
    const seen = new Set<string>()
    const look = async (): Promise<void> => {
      const text = JSON.stringify(await frameOf(screen))
      seen.add(text)
      expect(text).not.toMatch(health)
      for (const word of people) expect(text).not.toContain(word)
      expect(text).not.toContain(setting)
      expect(text).not.toContain(table.session.id)
    }
    const send = (...events: object[]) => petra.send('POST', `${table.path}/events`, { events })
    for (const { step } of table.plan.schedule) {
      await send(tap('step', { step }))
      await look()
      await send(
        tap('gate', { gate: 'hands', by: ['petra'] }),
        tap('gate', {
          gate: 'packets',
          by: ['petra', 'gwenda'],
          foods: (await petra.get(table.path)).body.plan.bowls.flatMap((b: { lines: { name: string }[] }) =>
            b.lines.map((l) => l.name),
          ),
        }),
        tap('gate', { gate: 'stand', step, by: ['petra'] }),
      )
      await look()
      for (const turn of table.plan.turns.filter((t) => t.task.split('/')[1] === step)) {
        await send(tap('turn', { turn: turn.id, child: turn.child }))
        await look()
      }
    }
    expect(seen.size).toBeGreaterThan(table.plan.turns.length / 2)
  })
})

describe('a code that is tried', () => {
  it('is not found by trying: after twenty that open nothing the door waits', async () => {
    const guess = house.visitor()
    const answers: number[] = []
    for (let i = 0; i < 24; i++)
      answers.push(
        (await guess.send('POST', '/api/show', { code: `AAAA${i % 8 === 0 ? 'AA' : `B${2 + (i % 7)}`}` }))
          .status,
      )
    expect(new Set(answers)).toEqual(new Set([404, 429]))
    for (const bad of [{}, { code: '' }, { code: 7 }, { code: ['ABCDEF'] }, { code: 'I0O1LU' }])
      expect([400, 429]).toContain((await guess.send('POST', '/api/show', bad)).status)
  })
})
