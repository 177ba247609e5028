/** Rosters, the whole setting as an archive, against a real server and database. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { seal } from '@lea/core/plan'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { readRoster, rosterColumns } from '@lea/core/schema'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { today } from '../src/clock'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let other: TestServer
const signedIn = async (name: string, at = house): Promise<Visitor> => {
  const visitor = at.visitor()
  expect((await visitor.signIn(name, DEMO_PASSWORD)).status).toBe(200)
  return visitor
}
const childrenOf = async (v: Visitor): Promise<StoredChild[]> =>
  (await v.get('/api/children')).body as StoredChild[]

const settingOf = async (v: Visitor): Promise<string> =>
  ((await v.get('/api/me')).body as { person: { settingId: string } }).person.settingId

beforeAll(async () => {
  house = await openTestServer({ demo: true })
  other = await openTestServer()
})
afterAll(async () => {
  await house.close()
  await other.close()
})

describe('the roster as a table', () => {
  it('goes out by RFC 4180 and is read back as it was', async () => {
    const petra = await signedIn('petra')
    const file = await petra.get('/api/children/roster.csv')
    expect(file.headers.get('content-type')).toContain('text/csv')
    const text = String(file.body).replace(/^\uFEFF/, '')
    expect(text).toContain('\r\n')
    const [heading = [], ...rows] = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data
    const there = await childrenOf(petra)
    const read = readRoster(
      rows.map((cells, i) => ({ line: i + 2, cells })),
      rosterColumns(heading),
      today(),
      there,
    )
    expect(read.map((r) => r.fault).join('')).toBe('')
    expect(read.map((r) => r.known)).toEqual(there.map((c) => c.id))
    for (const [i, r] of read.entries()) expect(r.child?.concerns).toEqual(there[i]?.concerns)
  })
  it('takes all rows or none, keeps what was seen, and never takes an allergy away', async () => {
    const petra = await signedIn('petra')
    const before = await childrenOf(petra)
    const wren = before.find((c) => c.nickname === 'Wren') as StoredChild
    const child = { nickname: 'Dilwyn', birth: '2022-05', concerns: [], diets: [], languages: [], needs: [] }
    const bad = await petra.send('POST', '/api/children/roster', {
      children: [{ child }, { child: { ...child, birth: '2050-01' } }],
    })
    expect(bad.status).toBe(400)
    expect(await childrenOf(petra)).toEqual(before)
    const bare = {
      nickname: wren.nickname,
      birth: wren.birth,
      concerns: [],
      diets: [],
      languages: [],
      needs: [],
    }
    await petra.send('POST', '/api/children/roster', { children: [{ known: wren.id, child: bare }] })
    expect((await childrenOf(petra)).find((c) => c.id === wren.id)?.concerns).toEqual(wren.concerns)
    const fine = await petra.send('POST', '/api/children/roster', {
      children: [
        { child },
        { known: wren.id, child: { ...bare, concerns: wren.concerns, languages: ['pl'] } },
      ],
    })
    expect(fine.body).toEqual({ added: 1, changed: 1 })
    const after = await childrenOf(petra)
    expect(after.find((c) => c.id === wren.id)).toMatchObject({
      languages: ['pl'],
      progress: wren.progress,
      mat: wren.mat,
    })
    expect(after.length).toBe(before.length + 1)
  })
  it('is for leaders, and stays in its setting', async () => {
    expect((await (await signedIn('gwenda')).get('/api/children/roster.csv')).status).toBe(403)
    const petra = await signedIn('petra')
    const wren = (await childrenOf(petra))[0] as StoredChild
    const alder = await signedIn('alder')
    const child = { nickname: 'X', birth: '2022-05', concerns: [], diets: [], languages: [], needs: [] }
    expect(
      (await alder.send('POST', '/api/children/roster', { children: [{ known: wren.id, child }] })).status,
    ).toBe(404)
  })
})

describe('the whole setting as one archive', () => {
  const firstVisit = {
    setting: 'Empty House',
    kind: 'nursery',
    country: 'uk',
    owner: 'Farida Quill',
    signIn: 'farida',
    password: DEMO_PASSWORD,
    recipes: true,
  }
  let zip: Buffer
  it('goes out with everything but passwords and sign-ins', async () => {
    const petra = await signedIn('petra')
    expect((await petra.send('PUT', '/api/keeping', { months: 17 })).status).toBe(200)
    const answer = await petra.raw('GET', '/api/archive')
    expect(answer.status).toBe(200)
    zip = answer.body
    const files = unzipSync(zip)
    expect(Object.keys(files).sort()).toEqual(
      [
        'adults',
        'archive',
        'children',
        'cupboard',
        'foods',
        'packets',
        'recipes',
        'sessions',
        'setting',
        'words',
      ].map((n) => `${n}.json`),
    )
    const all = Object.values(files)
      .map((f) => strFromU8(f))
      .join()
    expect(all).not.toMatch(/argon2|password|signIn/)
    expect(all).toContain('Zuri')
  })
  it('comes into an empty house: children, sessions, plans and events as they were', async () => {
    const owner = other.visitor()
    expect((await owner.send('POST', '/api/first-visit', firstVisit)).status).toBe(201)
    const put = await owner.raw('POST', '/api/archive', zip)
    expect(put.status).toBe(201)
    expect((await owner.get('/api/keeping')).body).toEqual({ months: 17 })
    const petra = await signedIn('petra')
    const bare = (c: StoredChild) => ({ ...c, version: 0 })
    expect((await childrenOf(owner)).map(bare)).toEqual((await childrenOf(petra)).map(bare))
    const sessions = (await petra.get('/api/sessions')).body as StoredSession[]
    expect(((await owner.get('/api/sessions')).body as StoredSession[]).length).toBe(sessions.length)
    const past = sessions.find((s) => s.state === 'finished') as StoredSession
    expect((await owner.get(`/api/sessions/${past.id}`)).body).toEqual(
      (await petra.get(`/api/sessions/${past.id}`)).body,
    )
    const events = async (v: Visitor) =>
      ((await v.get(`/api/sessions/${past.id}/events`)).body as { events: { id: string }[] }).events
        .map((e) => e.id)
        .sort()
    expect(await events(owner)).toEqual(await events(petra))
    // What was seen of a child is worked out from its sessions again.
    const child = (await childrenOf(petra)).find(
      (c) => Object.keys(c.progress?.skills ?? {}).length > 0,
    ) as StoredChild
    expect((await childrenOf(owner)).find((c) => c.id === child.id)?.progress).toEqual(child.progress)
    expect(((await owner.get('/api/recipes')).body as unknown[]).length).toBe(SHIPPED_RECIPES.length)
  })
  it('never into one that has children, and nothing is changed by a bad one', async () => {
    const petra = await signedIn('petra')
    const before = await childrenOf(petra)
    expect((await petra.raw('POST', '/api/archive', zip)).status).toBe(409)
    expect(await childrenOf(petra)).toEqual(before)
    const alder = await signedIn('alder')
    expect((await alder.raw('POST', '/api/archive', Buffer.from('no zip'))).status).toBe(400)
  })
  it('names the file and the row at fault', async () => {
    const third = await openTestServer()
    const owner = third.visitor()
    await owner.send('POST', '/api/first-visit', firstVisit)
    const spoilt = (name: string, change: (value: unknown) => unknown): Buffer => {
      const files = unzipSync(zip)
      files[`${name}.json`] = strToU8(
        JSON.stringify(change(JSON.parse(strFromU8(files[`${name}.json`] as Uint8Array)))),
      )
      return Buffer.from(zipSync(files))
    }
    const says = async (body: Buffer): Promise<string> =>
      (
        JSON.parse((await owner.raw('POST', '/api/archive', body)).body.toString()) as {
          error: { says: string }
        }
      ).error.says
    expect(
      await says(
        spoilt('children', (v) =>
          (v as StoredChild[]).map((c, i) => (i === 1 ? { ...c, birth: 'soon' } : c)),
        ),
      ),
    ).toMatch(/children.json, row 2: Birth month/)
    expect(await says(spoilt('archive', () => ({ format: 'other' })))).toMatch(/no archive of Lea/)
    expect(await says(spoilt('recipes', () => ({})))).toMatch(/recipes.json must hold a list/)
    expect((await owner.get('/api/children')).body).toEqual([])
    await third.close()
  })
  it('brings in no plan with a field that is none, and no table at work by a plan that may not stand', async () => {
    type Row = {
      id: string
      state: string
      plan: Record<string, unknown> | null
      request: Record<string, unknown> | null
    }
    const spoilt = (change: (row: Row) => Row): Buffer => {
      const files = unzipSync(zip)
      const rows = JSON.parse(strFromU8(files['sessions.json'] as Uint8Array)) as Row[]
      const at = rows.findIndex((r) => r.plan && r.request)
      files['sessions.json'] = strToU8(JSON.stringify(rows.map((r, i) => (i === at ? change(r) : r))))
      return Buffer.from(zipSync(files))
    }
    const turnsOf = (row: Row) => row.plan?.['turns'] as { child: string }[]
    const others: [string, (row: Row) => Row, string][] = [
      ['as it was', (r) => ({ ...r, state: 'cooking' }), 'cooking'],
      ['without its request', (r) => ({ ...r, state: 'cooking', request: null }), 'finished'],
      [
        'with a request that is none',
        (r) => ({ ...r, state: 'cooking', request: { recipe: 7 } }),
        'finished',
      ],
      [
        'with turns of a child whom nobody planned for',
        (r) => ({
          ...r,
          state: 'cooking',
          plan: { ...r.plan, turns: turnsOf(r).map((t) => ({ ...t, child: 'nobody' })) },
        }),
        'finished',
      ],
    ]
    for (const [what, change, state] of others) {
      const fresh = await openTestServer()
      const owner = fresh.visitor()
      await owner.send('POST', '/api/first-visit', firstVisit)
      const forged = await owner.raw(
        'POST',
        '/api/archive',
        spoilt((r) => ({ ...r, plan: { ...r.plan, smuggled: { deep: 1 } } })),
      )
      expect(forged.status).toBe(400)
      expect(forged.body.toString()).toMatch(
        /sessions.json, row \d+: a plan is not one of Lea: plan.smuggled is unknown/,
      )
      let id = ''
      const put = await owner.raw(
        'POST',
        '/api/archive',
        spoilt((r) => {
          id = r.id
          return change(r)
        }),
      )
      expect(put.status, what).toBe(201)
      expect((await owner.get(`/api/sessions/${id}`)).body.session.state, what).toBe(state)
      await fresh.close()
    }
  })
  it('into the same house beside the first: new ids throughout, plans with their digest', async () => {
    // Another setting of this house, empty but for its owner.
    const alder = await signedIn('alder')
    for (const c of await childrenOf(alder)) await alder.send('DELETE', `/api/children/${c.id}`)
    await house.sql('delete from sessions', await settingOf(alder))
    const put = await alder.raw('POST', '/api/archive', zip)
    expect(put.status).toBe(201)
    const sessions = (await alder.get('/api/sessions')).body as StoredSession[]
    const past = sessions.find((s) => s.state === 'finished') as StoredSession
    const { plan } = (await alder.get(`/api/sessions/${past.id}`)).body as { plan: { digest: string } }
    const { digest: own, ...rest } = plan
    expect(seal(rest)).toBe(own)
    const petras = new Set((await childrenOf(await signedIn('petra'))).map((c) => c.id))
    expect((await childrenOf(alder)).some((c) => petras.has(c.id))).toBe(false)
  })
  it('is for the owner', async () => {
    expect((await (await signedIn('seun')).raw('GET', '/api/archive')).status).toBe(403)
  })
})
