/**
 * Two people at once, against the real database: whatever was answered with 200 is there afterwards, and nobody's work takes away another's.
 * Each race is run many times; one loss is a failure.
 */
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Decision } from '@lea/core/plan'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { type Answer, openTestServer, type TestServer, type Visitor } from './test-server'

const TIMES = 200
/** Milliseconds: a limit for what never ends, not a measure of speed. */
const LONG = 180_000

let house: TestServer
let petra: Visitor
let seun: Visitor
let base: Record<string, unknown>
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  seun = (await house.second()).visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  await seun.signIn('seun', DEMO_PASSWORD)
  const setting = (await petra.get('/api/setting')).body
  const recipes = (await petra.get('/api/recipes')).body as { id: string; recipe: { id: string } }[]
  const children = (await petra.get('/api/children')).body as StoredChild[]
  base = {
    date: today(),
    start: '10:15',
    recipe: recipes.find((r) => r.recipe.id === 'herb-soda-bread')?.id,
    children: children
      .filter((c) => c.concerns.length === 0)
      .slice(0, 3)
      .map((c) => c.id),
    guests: [],
    adults: setting.adults.map((a: { id: string }) => a.id),
    seats: [],
  }
})
afterAll(() => house.close())

const newSession = async (more: object = {}): Promise<StoredSession> =>
  (await petra.send('POST', '/api/sessions', { ...base, ...more })).body
const open = async (id: string): Promise<StoredSession> =>
  (await petra.get(`/api/sessions/${id}`)).body.session
const newChild = async (): Promise<StoredChild> =>
  (
    await petra.send('POST', '/api/children', {
      nickname: `Wren ${randomUUID().slice(0, 6)}`,
      birth: '2022-04',
      concerns: [],
      diets: [],
      languages: [],
      needs: [],
    })
  ).body
const card = async (id: string): Promise<StoredChild> =>
  ((await petra.get('/api/children')).body as StoredChild[]).find((c) => c.id === id) as StoredChild
const save = (by: Visitor, child: StoredChild, more: Partial<StoredChild>): Promise<Answer> =>
  by.send('PUT', `/api/children/${child.id}`, { ...child, progress: undefined, ...more })
let n = 0
const tap = (kind: string, body: object) => ({
  id: randomUUID(),
  device: 'd',
  lamport: ++n,
  at: '2026-11-26T10:21:00Z',
  kind,
  body,
})

describe('a card', () => {
  it(
    `keeps an allergy that is saved at the moment of a tap about the same child, ${TIMES} times`,
    { timeout: LONG },
    async () => {
      const child = await newChild()
      const session = await newSession({ children: [child.id] })
      expect((await petra.send('POST', `/api/sessions/${session.id}/cook`, {})).status).toBe(200)
      let lost = 0
      let now = await card(child.id)
      for (let i = 0; i < TIMES; i++) {
        const concerns = i % 2 === 0 ? [{ allergen: 'peanut', level: 'anaphylaxis-risk' as const }] : []
        const [saved, tapped] = await Promise.all([
          save(petra, now, { concerns }),
          seun.send('POST', `/api/sessions/${session.id}/events`, {
            events: [
              tap('skill', { child: child.id, technique: 'stir', how: i % 2 === 0 ? 'help' : 'alone' }),
            ],
          }),
        ])
        expect([saved.status, tapped.status]).toEqual([200, 200])
        now = await card(child.id)
        if (now.concerns.length !== concerns.length) lost += 1
        expect(now.progress?.skills['stir']).toBe(i % 2 === 0 ? 'help' : 'alone')
      }
      expect(lost).toBe(0)
    },
  )
  it('that somebody else has changed meanwhile is a conflict with both sides, and nothing is taken away', async () => {
    const child = await newChild()
    const seen = await card(child.id)
    const concerns = [{ allergen: 'peanut', level: 'anaphylaxis-risk' as const }]
    expect((await save(petra, seen, { concerns, carePlan: 'Injector in the red bag.' })).status).toBe(200)
    const stale = await save(seun, seen, { languages: ['fr'] })
    expect(stale.status).toBe(409)
    expect(stale.body.error.now).toMatchObject({ concerns, carePlan: 'Injector in the red bag.' })
    expect(await card(child.id)).toMatchObject({ concerns, languages: [] })
    // Who does not say what they saw takes nothing away either.
    expect((await save(seun, { ...seen, version: undefined }, {})).status).toBe(400)
    // Having seen it, it is theirs to say.
    const now = stale.body.error.now as StoredChild
    expect((await save(seun, now, { languages: ['fr'] })).status).toBe(200)
    expect(await card(child.id)).toMatchObject({ concerns, languages: ['fr'] })
  })
  it('of two saves at the same time one is kept and the other one told, every time', async () => {
    for (let i = 0; i < 40; i++) {
      const child = await newChild()
      const concern = (allergen: string) => ({ concerns: [{ allergen, level: 'allergy-strict' as const }] })
      const both = await Promise.all([save(petra, child, concern('milk')), save(seun, child, concern('egg'))])
      expect(both.map((b) => b.status).sort()).toEqual([200, 409])
      const won = both[0].status === 200 ? 'milk' : 'egg'
      expect((await card(child.id)).concerns.map((c) => c.allergen)).toEqual([won])
    }
  })
})

describe('a session', () => {
  const decide = (by: Visitor, id: string, was: Decision | null, to: Decision | null): Promise<Answer> =>
    by.send('POST', `/api/sessions/${id}/changes`, { changes: [{ kind: 'decide', was, to }] })
  const packet = (food: string, at: string): Decision => ({
    kind: 'packet',
    food,
    lists: ['milk'],
    may: [],
    lookedFor: ['milk'],
    readBy: [(base['adults'] as string[])[0] ?? '', (base['adults'] as string[])[0] ?? ''],
    at,
  })
  it(
    `keeps the packets that two leaders read at the same time, ${TIMES} times`,
    { timeout: LONG },
    async () => {
      const session = await newSession()
      let lost = 0
      for (let i = 0; i < TIMES; i++) {
        const [one, two] = [packet(`food-a${i}`, 'x'), packet(`food-b${i}`, 'x')]
        const both = await Promise.all([
          decide(petra, session.id, null, one),
          decide(seun, session.id, null, two),
        ])
        expect(both.map((b) => b.status)).toEqual([200, 200])
        const foods = (await open(session.id)).decisions.flatMap((d) => (d.kind === 'packet' ? [d.food] : []))
        if (!foods.includes(`food-a${i}`) || !foods.includes(`food-b${i}`)) lost += 1
        // Taken back again, so that the list does not grow for ever.
        await decide(petra, session.id, one, null)
        await decide(seun, session.id, two, null)
      }
      expect(lost).toBe(0)
      expect((await open(session.id)).decisions).toEqual([])
    },
  )
  it('whose same packet two leaders read otherwise shows both, and keeps the first', async () => {
    const session = await newSession()
    const [one, two] = [packet('oats', 'first'), packet('oats', 'second')]
    const both = await Promise.all([
      decide(petra, session.id, null, one),
      decide(seun, session.id, null, two),
    ])
    expect(both.map((b) => b.status).sort()).toEqual([200, 409])
    const refused = both.find((b) => b.status === 409)
    const kept = (await open(session.id)).decisions[0]
    expect(refused?.body.error.conflicts[0].now).toEqual(kept)
    // Told once more, as after a lost answer, what is there already is there.
    const again = await decide(petra, session.id, null, kept as Decision)
    expect(again.status).toBe(200)
    // A packet that was cleared by one, and is cleared once more by a stale page, does not come back.
    expect((await decide(seun, session.id, kept as Decision, null)).status).toBe(200)
    expect(
      (
        await decide(
          petra,
          session.id,
          kept as Decision,
          { ...(kept as Decision & object), at: 'third' } as Decision,
        )
      ).status,
    ).toBe(409)
    expect((await open(session.id)).decisions).toEqual([])
  })
  it('that changes who comes keeps who was taken out by somebody else taken out', async () => {
    const session = await newSession()
    const [a, b] = session.children as [string, string]
    const go = (by: Visitor, id: string) =>
      by.send('POST', `/api/sessions/${session.id}/changes`, {
        changes: [{ kind: 'child', id, here: false }],
      })
    await Promise.all([go(petra, a), go(seun, b)])
    expect((await open(session.id)).children).toEqual(session.children.slice(2))
  })
  it('moves from planned to cooking to finished, whoever acts at the same time', async () => {
    for (let i = 0; i < 12; i++) {
      const session = await newSession()
      const path = `/api/sessions/${session.id}`
      // Two start at once: one plan is in force for both.
      const [one, two] = await Promise.all([
        petra.send('POST', `${path}/cook`, {}),
        seun.send('POST', `${path}/cook`, {}),
      ])
      expect([one.status, two.status].every((s) => s === 200 || s === 409)).toBe(true)
      const frozen = (await petra.get(path)).body.plan.digest
      for (const done of [one, two]) if (done.status === 200) expect(done.body.plan.digest).toBe(frozen)
      // One ends it while another plans it anew: it is over.
      const [ended] = await Promise.all([
        petra.send('POST', `${path}/events`, { events: [tap('finish', {})] }),
        seun.send('POST', `${path}/replan`, {}),
        seun.send('POST', `${path}/mend`, { kind: 'left', child: session.children[0], done: [] }),
      ])
      expect(ended.status).toBe(200)
      expect((await open(session.id)).state).toBe('finished')
      expect((await seun.send('POST', `${path}/replan`, {})).status).toBe(409)
      expect((await seun.send('POST', `${path}/cook`, {})).body.session.state).toBe('finished')
      // A reopening is an act of its own, with a reason.
      expect((await petra.send('POST', `${path}/reopen`, {})).status).toBe(400)
      expect(
        (await petra.send('POST', `${path}/reopen`, { reason: 'ended by mistake' })).body.session.state,
      ).toBe('cooking')
    }
  })
  it('is cooked by the card that was saved a moment before, or stops the table', async () => {
    for (let i = 0; i < 12; i++) {
      const child = await newChild()
      const session = await newSession({ children: [child.id] })
      const concerns = [{ allergen: 'milk', level: 'anaphylaxis-risk' as const }]
      const [saved, started] = await Promise.all([
        save(petra, child, { concerns }),
        seun.send('POST', `/api/sessions/${session.id}/cook`, {}),
      ])
      expect(saved.status).toBe(200)
      if (started.status === 409) continue
      const stale = await petra.send('POST', `/api/sessions/${session.id}/replan`, {})
      expect(stale.status).toBe(409)
      expect(stale.body.error.field).toBe('findings')
    }
  })
  it('is cooked on by the recipe that it was begun with, though the recipe is changed meanwhile', async () => {
    const recipes = (await petra.get('/api/recipes')).body as {
      id: string
      version: number
      recipe: object
    }[]
    const row = recipes.find((r) => r.id === base['recipe'])
    const session = await newSession()
    const path = `/api/sessions/${session.id}`
    const before = (await petra.send('POST', `${path}/cook`, {})).body.plan
    const lines = (row?.recipe as { lines: { amount: string }[] }).lines.map((l) => ({ ...l, amount: '7' }))
    const changed = await petra.send('PUT', `/api/recipes/${row?.id}`, {
      version: row?.version,
      recipe: { ...row?.recipe, title: 'Something else', lines },
    })
    expect(changed.status).toBe(200)
    const step = before.schedule[0].step
    const away = before.adults.at(-1)
    const mended = await petra.send('POST', `${path}/mend`, { kind: 'away', adult: away, step })
    if (mended.status === 200) expect(mended.body.plan.recipe.title).toBe(before.recipe.title)
    expect(
      (await petra.send('PUT', `/api/recipes/${row?.id}`, { version: row?.version, recipe: row?.recipe }))
        .status,
    ).toBe(409)
    await petra.send('PUT', `/api/recipes/${row?.id}`, { version: changed.body.version, recipe: row?.recipe })
  })
})
