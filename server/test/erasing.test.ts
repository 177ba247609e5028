/** What an erased person leaves behind in free words, and one guest of one session. */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
})
afterAll(() => house.close())

const guest = (id: string, nickname: string) => ({
  id,
  nickname,
  months: 55,
  concerns: [{ allergen: 'mustard', level: 'preference' }],
  diets: [],
  languages: [],
  needs: [],
  carePlan: `${nickname} keeps her pen with Petra`,
})
async function tableWith(guests: object[], decisions: object[] = []): Promise<StoredSession> {
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
    guests,
    adults: setting.adults.map((a: { id: string }) => a.id),
    seats: [],
  })
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  if (decisions.length > 0)
    expect((await petra.change(made.body.id as string, { decisions })).status).toBe(200)
  const cooked = await petra.send('POST', `/api/sessions/${made.body.id}/cook`, {})
  expect(cooked.status, JSON.stringify(cooked.body)).toBe(200)
  return (await petra.get(`/api/sessions/${made.body.id}`)).body.session as StoredSession
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
const end = async (id: string, events: object[]): Promise<void> => {
  const sent = await petra.send('POST', `/api/sessions/${id}/events`, {
    events: [...events, tap('finish', {})],
  })
  expect(sent.status, JSON.stringify(sent.body)).toBe(200)
}
/** Everything that the database holds of a session. */
const held = async (id: string): Promise<string> => {
  const { rows: doors } = await house.pool.query<{ setting_id: string }>('select setting_id from all_doors()')
  const all = await Promise.all(
    doors.map((d) =>
      house.sql(
        `select concat(s.inputs, s.decisions, s.plan, s.request,
           (select string_agg(body::text, ' ') from events where session_id = s.id)) as words
         from sessions s where id = '${id}'`,
        d.setting_id,
      ),
    ),
  )
  return all
    .flat()
    .map((row) => row['words'])
    .join(' ')
}

describe('one guest', () => {
  it('is erased from one session that is over, to the frozen request, and nobody else is', async () => {
    const [one, two] = [
      await tableWith([guest('guest-1', 'Fenella'), guest('guest-12', 'Ottoline')]),
      await tableWith([guest('guest-1', 'Ignatius')]),
    ]
    const plan = (await petra.get(`/api/sessions/${one.id}`)).body.plan
    const turn = plan.turns.find((t: { child: string }) => t.child === 'guest-1')
    const gone = (session: StoredSession) => petra.send('DELETE', `/api/keeping/guests/${session.id}/guest-1`)
    const atWork = await gone(one)
    expect([atWork.status, atWork.body.error.says]).toEqual([409, expect.stringContaining('at work')])
    await end(one.id, [
      tap('turn', { turn: turn.id, child: 'guest-1' }),
      tap('note', { text: 'the blue cup matters', child: 'guest-1' }),
      tap('note', { text: 'the red cup matters', child: 'guest-12' }),
      tap('met', { child: 'guest-1', food: 'chives', how: 'touched' }),
    ])
    await end(two.id, [tap('note', { text: 'the green cup matters', child: 'guest-1' })])
    const before = await held(two.id)
    expect((await gone(one)).status).toBe(204)
    const after = await held(one.id)
    for (const word of ['Fenella', 'the blue cup', '"guest-1"']) expect(after).not.toContain(word)
    expect(after).not.toMatch(/guest-1(?![0-9a-z-])/)
    for (const word of ['Ottoline', 'the red cup', 'guest-12']) expect(after).toContain(word)
    expect(await held(two.id)).toBe(before)
    // The record stands, and the guest's turn is somebody's.
    const record = await petra.get(`/api/record/sessions/${one.id}`)
    expect(record.status).toBe(200)
    expect(record.body.children.reduce((sum: number, c: { jobs: number }) => sum + c.jobs, 0)).toBe(1)
    expect((await petra.get(`/api/sessions/${one.id}/papers/run.pdf`)).status).toBe(200)
    expect((await gone(one)).status).toBe(404)
    expect((await petra.send('DELETE', `/api/keeping/guests/${one.id}/.*`)).status).toBe(404)
    const log = (await petra.get('/api/keeping/audit')).body.lines as { did: string }[]
    expect(log.some((l) => l.did === 'erased a guest')).toBe(true)
  })
})

describe('a name in free words', () => {
  it('is listed wherever somebody typed it, and blanked where the owner says so', async () => {
    const step = (await petra.get('/api/recipes')).body.find(
      (r: { recipe: { id: string } }) => r.recipe.id === 'herb-soda-bread',
    )
    const own = {
      kind: 'own-prompt',
      step: step.recipe.steps[0].id,
      child: null,
      says: 'What did Quilla find?',
      answer: '',
    }
    const session = await tableWith([], [own])
    const atWork = await petra.send('POST', '/api/keeping/words', { name: 'quilla' })
    expect(atWork.body.places).toEqual([])
    await end(session.id, [
      tap('note', { text: 'Sat beside Quilla, calm' }),
      tap('note', { text: 'Quillan is another' }),
      tap('memo', { lines: ['QUILLA’s spoon'] }),
      tap('incident', {
        what: 'bump',
        who: [],
        text: 'quilla tripped',
        done: 'comforted Quilla',
        by: session.adults[0],
      }),
    ])
    const recipe = { ...step.recipe, title: 'Quilla bread' }
    expect(
      (await petra.send('PUT', `/api/recipes/${step.id}`, { recipe, version: step.version })).status,
    ).toBe(200)
    const rules = (await petra.get('/api/setting')).body
    expect(
      (
        await petra.send('PUT', '/api/setting/rules', {
          rules: { ...rules.rules, ownRules: ['Quilla washes first'] },
          version: rules.versions.rules,
        })
      ).status,
    ).toBe(200)
    const { places } = (await petra.send('POST', '/api/keeping/words', { name: 'Quilla' })).body as {
      places: { of: string; id: string; text: string; date: string | null }[]
    }
    expect(places.map((p) => `${p.of}: ${p.text}`).sort()).toEqual([
      'event: QUILLA’s spoon',
      'event: Sat beside Quilla, calm',
      'event: comforted Quilla',
      'event: quilla tripped',
      'recipe: Quilla bread',
      'rules: Quilla washes first',
      'session: What did Quilla find?',
    ])
    expect(places.find((p) => p.of === 'event')?.date).toBe(today())
    // Not the recipe: that bread is called so.
    const chosen = places.filter((p) => p.of !== 'recipe').map(({ of, id, text }) => ({ of, id, text }))
    const blanked = await petra.send('POST', '/api/keeping/words/blank', { name: 'Quilla', places: chosen })
    expect(blanked.body).toEqual({ blanked: 6 })
    const all = await held(session.id)
    expect(all).not.toMatch(/quilla(?!n)/i)
    expect(all).toContain('Sat beside …, calm')
    expect(all).toContain('Quillan is another')
    const left = (await petra.send('POST', '/api/keeping/words', { name: 'Quilla' })).body.places
    expect(left.map((p: { text: string }) => p.text)).toEqual(['Quilla bread'])
    // Chosen twice, or a text that nobody typed: nothing is done.
    expect(
      (await petra.send('POST', '/api/keeping/words/blank', { name: 'Quilla', places: chosen })).body,
    ).toEqual({
      blanked: 0,
    })
    // What is kept of each line; beside it a recipe is called as it is called now, and that one is called so.
    const lines = (await petra.get('/api/keeping/audit')).body.lines as { did: string; subject: string }[]
    const log = JSON.stringify(lines.map(({ did, subject }) => ({ did, subject })))
    expect(log).toContain('blanked a name in 6 texts')
    expect(log).not.toMatch(/quilla/i)
    expect((await petra.get(`/api/record/sessions/${session.id}`)).body.incidents[0].done).toBe('comforted …')
  })
  it('is refused where it is no name', async () => {
    for (const name of ['', 'x', 7, null, 'n'.repeat(41)])
      expect((await petra.send('POST', '/api/keeping/words', { name })).status, String(name)).toBe(400)
  })
})
