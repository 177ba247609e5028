/** Taps on their way to the database: many at once, one of them wrong, a sign-in that ends in between, a table that is held up. */
import { randomUUID } from 'node:crypto'
import { gzipSync } from 'node:zlib'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let seun: Visitor
let tables: string[]
const as = async (name: string, at: { visitor: () => Visitor } = house): Promise<Visitor> => {
  const visitor = at.visitor()
  await visitor.signIn(name, DEMO_PASSWORD)
  return visitor
}
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  ;[petra, seun] = [await as('petra'), await as('seun')]
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  tables = all.filter((s) => s.state === 'finished').map((s) => s.id)
})
afterAll(() => house.close())

let n = 5000
const tap = (more: object = {}) => ({
  id: randomUUID(),
  device: 'd',
  lamport: ++n,
  at: '2026-11-26T10:21:00Z',
  kind: 'note',
  body: { text: 'tap' },
  ...more,
})
const path = (session = tables[0]): string => `/api/sessions/${session ?? ''}/events`
const send = (who: Visitor, events: object[], session?: string) => who.send('POST', path(session), { events })
const kept = async (session?: string): Promise<{ id: string }[]> =>
  (await petra.get(path(session))).body.events

describe('many taps at one table at once', () => {
  it('are all there, once each, with numbers without a gap', async () => {
    const before = (await kept()).length
    const sent = Array.from({ length: 60 }, () => [tap(), tap()])
    const again = sent.slice(0, 10)
    const answers = await Promise.all(
      [...sent, ...again].map((events, k) => send(k % 3 ? petra : seun, events)),
    )
    expect(new Set(answers.map((a) => a.status))).toEqual(new Set([200]))
    const now = await kept()
    expect(now.length).toBe(before + 120)
    const { settingId } = (await petra.get('/api/me')).body.person
    const numbers = await house.sql(
      `select number from events where session_id = '${tables[0] ?? ''}' order by number`,
      settingId,
    )
    expect(numbers.map((e) => Number(e['number']))).toEqual(now.map((_, k) => k + 1))
    const there = new Set(now.map((e) => e.id))
    expect(sent.flat().every((e) => there.has(e.id))).toBe(true)
    expect(Math.max(...answers.map((a) => a.body.last))).toBe(now.length)
  })
  it('of which some are wrong: each of these is told so, and holds up no other', async () => {
    const { settingId } = (await petra.get('/api/me')).body.person
    await house.sql(
      `create function unkept() returns trigger language plpgsql as $$ begin
         if new.body ->> 'text' like '%keeps none%' then raise exception 'not this' using errcode = '22023'; end if;
         return new;
       end $$;
       create trigger unkept before insert on events for each row execute function unkept()`,
      settingId,
    )
    const wrong = [
      [tap({ lamport: 900_000_000 })],
      [tap({ body: { text: 'the database keeps none of this' } }), tap()],
      [tap({ body: { text: 'cut\u0000off' } })],
      [tap({ kind: 'no such kind' })],
      [tap({ id: 'no id' })],
    ]
    const right = Array.from({ length: 20 }, () => [tap()])
    const all = [...right.slice(0, 10), ...wrong, ...right.slice(10)]
    const answers = await Promise.all(all.map((events) => send(petra, events)))
    expect(answers.map((a) => a.status)).toEqual(all.map((events) => (wrong.includes(events) ? 400 : 200)))
    expect(answers.filter((a) => a.status === 400).map((a) => a.body.error.says)).toEqual([
      expect.stringContaining('leapt'),
      expect.stringContaining('cannot be stored'),
      expect.stringContaining('not text'),
      expect.stringContaining('Event'),
      expect.stringContaining('Event id'),
    ])
    const there = new Set((await kept()).map((e) => e.id))
    expect(right.flat().every((e) => there.has(e.id))).toBe(true)
    expect(wrong.flat().some((e) => there.has(e.id))).toBe(false)
  })
  it('take one way to the database, once it is known whose sign-in it is', async () => {
    await send(petra, [tap()])
    const ways = vi.spyOn(pg.Client.prototype, 'query')
    for (let k = 0; k < 5; k++) await send(petra, [tap()])
    const taps = ways.mock.calls.length
    ways.mockRestore()
    expect(taps).toBe(5)
  })
  it('take fewer ways than taps, where they come faster than the database answers', async () => {
    const ways = vi.spyOn(pg.Client.prototype, 'query')
    await Promise.all(Array.from({ length: 40 }, () => send(petra, [tap()])))
    const taps = ways.mock.calls.length
    ways.mockRestore()
    expect(taps).toBeLessThan(20)
  })
  it('at a table that something else holds on to keep no other table of the setting waiting', async () => {
    const owner = new pg.Client({ connectionString: house.ownerUrl })
    await owner.connect()
    const me = (await petra.get('/api/me')).body.person
    await owner.query('begin')
    await owner.query("select set_config('app.setting_id', $1, true)", [me.settingId])
    await owner.query('select 1 from sessions where id = $1 for update', [tables[0]])
    const held = Array.from({ length: 30 }, () => send(petra, [tap()]))
    for (let k = 0; k < 5; k++) expect((await send(seun, [tap()], tables[1])).status).toBe(200)
    expect((await petra.get('/api/children')).status).toBe(200)
    await owner.query('rollback')
    await owner.end()
    expect(new Set((await Promise.all(held)).map((a) => a.status))).toEqual(new Set([200]))
  })
})

describe('a sign-in that has ended', () => {
  const ends: [string, (who: Visitor, id: string) => Promise<unknown>][] = [
    ['signed out on this device', (who) => who.send('POST', '/api/sign-out', {})],
    [
      'signed out everywhere, from another device',
      async () => (await as('seun')).send('DELETE', '/api/me/sign-ins'),
    ],
    [
      'older than a working day',
      async (_, id) =>
        house.sql(
          `update sign_ins set sess = jsonb_set(sess::jsonb, '{person,since}', to_jsonb((now() - interval '17 hours')::text)) where sess -> 'person' ->> 'id' = '${id}'`,
          id,
        ),
    ],
  ]
  it.each(ends)('%s takes no tap more, at once, at every server', async (_, end) => {
    const other = await house.second()
    const cookieOf = async (at: { visitor: () => Visitor }) => as('seun', at)
    const who = await cookieOf(house)
    const id = (await who.get('/api/me')).body.person.id as string
    const cookie = who.cookie()
    const there = other.visitor()
    const asked = () => there.send('POST', path(), { events: [tap()] }, { cookie })
    expect((await send(who, [tap()])).status).toBe(200)
    expect((await asked()).status).toBe(200)
    await end(who, id)
    expect((await who.send('POST', path(), { events: [tap()] }, { cookie })).status).toBe(401)
    expect((await asked()).status).toBe(401)
    expect(
      (await who.send('POST', path(), { events: [tap({ kind: 'finish', body: {} })] }, { cookie })).status,
    ).toBe(401)
  })
  it('of one who may no longer what they could: the next tap is asked anew', async () => {
    const owner = await as('petra')
    const { id, settingId } = (await owner.get('/api/me')).body.person
    const seen = () => tap({ kind: 'incident-seen', body: { incident: randomUUID(), by: id } })
    expect((await send(owner, [seen()])).status).toBe(200)
    await house.sql(`update adults set role = 'helper' where id = '${id}'`, settingId)
    const refused = await send(owner, [seen()])
    expect([refused.status, refused.body.error.says]).toEqual([
      403,
      'only the owner may say that it was read',
    ])
    // A helper reaches no table of last week.
    expect((await send(owner, [tap()], tables.at(-1))).status).toBe(404)
    await house.sql(`update adults set role = 'owner' where id = '${id}'`, settingId)
    expect((await send(owner, [seen()])).status).toBe(200)
  })
  it('or none at all, and a broken one', async () => {
    const stranger = house.visitor()
    const real = petra.cookie()
    for (const cookie of [
      '',
      'lea=',
      'lea=s%3Aabc.def',
      `${real}x`,
      real.replace(/.$/, (c) => (c === 'a' ? 'b' : 'a')),
    ])
      expect((await stranger.send('POST', path(), { events: [tap()] }, { cookie })).status, cookie).toBe(401)
    // Beside cookies of others it is found.
    const beside = `other=1; ${real}; last="x"`
    expect((await stranger.send('POST', path(), { events: [tap()] }, { cookie: beside })).status).toBe(200)
  })
})

describe('a message of taps', () => {
  it('is answered as all of /api is', async () => {
    const { headers } = await send(petra, [tap()])
    expect(headers.get('cache-control')).toBe('no-store')
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('content-type')).toMatch(/^application\/json/)
    expect(headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/)
  })
  it('comes from the pages of this address', async () => {
    const { status } = await petra.send(
      'POST',
      path(),
      { events: [tap()] },
      { origin: 'http://elsewhere.example' },
    )
    expect(status).toBe(403)
  })
  it('that is too large, broken or too deep is told so', async () => {
    const deep = `{"events": ${'['.repeat(50)}${']'.repeat(50)}}`
    const said = []
    for (const body of [
      JSON.stringify({ events: ['x'.repeat(1_100_000)] }),
      '{"events": [',
      deep,
      '{}',
      '7',
      '',
    ])
      said.push((await petra.send('POST', path(), body)).status)
    expect(said).toEqual([413, 400, 400, 400, 400, 400])
  })
  it('may be packed', async () => {
    const one = tap()
    const response = await fetch(`${house.base}${path()}`, {
      method: 'POST',
      headers: {
        origin: house.base,
        cookie: petra.cookie(),
        'content-type': 'application/json',
        'content-encoding': 'gzip',
      },
      body: new Uint8Array(gzipSync(JSON.stringify({ events: [one] }))),
    })
    expect(response.status).toBe(200)
    expect((await kept()).some((e) => e.id === one.id)).toBe(true)
  })
  it('counts among the changes of a person, whichever device it comes from', async () => {
    const strict = await openTestServer({ demo: true, limits: { signIns: 100, writes: 5 } })
    try {
      const [one, two] = [await as('petra', strict), await as('petra', strict)]
      const all = (await one.get('/api/sessions')).body as StoredSession[]
      const at = all.find((s) => s.state === 'finished')?.id
      const said = []
      for (let k = 0; k < 8; k++) said.push((await send(k % 2 ? one : two, [tap()], at)).status)
      expect(said).toEqual([200, 200, 200, 200, 200, 429, 429, 429])
      expect((await send(await as('seun', strict), [tap()], at)).status).toBe(200)
    } finally {
      await strict.close()
    }
  })
})
