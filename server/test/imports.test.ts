/** A whole setting in and out, when it is large, broken, meant ill, or left alone half way. */
import { strToU8, unzipSync, zipSync } from 'fflate'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { zipWriter } from '../src/files/zip-rows'
import { fileOf, rowsOf } from '../src/files/zip-rows'
import { DEMO_PASSWORD } from '../src/demo/people'
import { hashPassword } from '../src/password'
import { addAdult } from '../src/db/people'
import { inSetting } from '../src/db/pool'
import { createSetting } from '../src/db/settings'
import { startingKit, startingRules } from '../src/starting'
import { openTestServer, type TestServer, type Visitor } from './test-server'

const PASSWORD = 'bramble-quayside-9'
let house: TestServer
let files: Record<string, Uint8Array>
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  const petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  files = unzipSync(new Uint8Array((await petra.raw('GET', '/api/archive')).body))
})
afterAll(() => house.close())

/** An empty setting with an owner. */
async function empty(): Promise<Visitor> {
  const setting = randomUUID()
  const signIn = `owner-${setting.slice(0, 8)}`
  const hash = await hashPassword(PASSWORD)
  await inSetting(house.pool, setting, async (db) => {
    await createSetting(db, setting, 'Empty', startingRules('home', 'england'), startingKit('home'))
    await addAdult(db, setting, { id: randomUUID(), name: 'O', leads: [], role: 'owner', signIn, hash })
  })
  const visitor = house.visitor()
  await visitor.signIn(signIn, PASSWORD)
  return visitor
}
const zipped = (changed: Record<string, Uint8Array>): Buffer => Buffer.from(zipSync({ ...files, ...changed }))
const put = async (who: Visitor, zip: Buffer): Promise<{ status: number; says: string }> => {
  const { status, body } = await who.raw('POST', '/api/archive', zip)
  return { status, says: (JSON.parse(body.toString()) as { error?: { says: string } }).error?.says ?? '' }
}
const children = async (who: Visitor): Promise<unknown[]> =>
  (await who.get('/api/children')).body as unknown[]
const child = (n: number) => ({
  id: randomUUID(),
  nickname: `Row ${n}`,
  birth: '2022-03',
  concerns: [],
  diets: [],
  languages: [],
  needs: [],
})

describe('an archive that is meant ill', () => {
  it('390 MB of blanks in 0.4 MB are read piece by piece; a list of them is refused, and the server goes on', async () => {
    const who = await empty()
    const blanks = new Uint8Array(390_000_000).fill(0x20)
    const zip = zipped({ 'children.json': blanks })
    expect(zip.length).toBeLessThan(1_000_000)
    const before = process.memoryUsage().rss
    const asked = put(who, zip)
    // Another's question is answered meanwhile.
    const tomasz = house.visitor()
    await tomasz.signIn('tomasz', DEMO_PASSWORD)
    expect((await tomasz.get('/api/me')).status).toBe(200)
    const { status } = await asked
    expect([400, 413]).toContain(status)
    expect(process.memoryUsage().rss - before).toBeLessThan(300e6)
    expect(await children(who)).toEqual([])
  }, 60_000)
  it('20,000 children are more than a setting may have: none goes in', async () => {
    const who = await empty()
    const many = JSON.stringify(Array.from({ length: 20_000 }, (_, n) => child(n)))
    expect(await put(who, zipped({ 'children.json': strToU8(many) }))).toEqual({
      status: 409,
      says: expect.stringMatching(/400 children, the most/),
    })
    expect(await children(who)).toEqual([])
  }, 60_000)
  it('one row that is too large, one that is no row, a file that stops in the middle', async () => {
    const who = await empty()
    const huge = JSON.stringify([{ ...child(1), nickname: 'x'.repeat(9_000_000) }])
    expect(await put(who, zipped({ 'children.json': strToU8(huge) }))).toEqual({
      status: 413,
      says: 'a row of children.json is too large',
    })
    expect(await put(who, zipped({ 'children.json': strToU8('[{"nickname": "A"},') }))).toEqual({
      status: 400,
      says: expect.stringMatching(/children\.json/),
    })
    expect(await put(who, zipped({ 'children.json': strToU8('{"a": 1}') }))).toEqual({
      status: 400,
      says: 'children.json must hold a list',
    })
    expect(await put(who, zipped({ 'children.json': strToU8('') }))).toMatchObject({ status: 400 })
    const whole = zipped({})
    for (const share of [0.2, 0.5, 0.9]) {
      const { status } = await put(who, whole.subarray(0, Math.floor(whole.length * share)))
      expect(status).toBe(400)
    }
    expect(await children(who)).toEqual([])
    expect((await put(who, whole)).status).toBe(201)
    expect((await children(who)).length).toBeGreaterThan(5)
  })
  it('in any order of its files, and with others among them', async () => {
    const who = await empty()
    const turned = Object.fromEntries(
      [...Object.entries(files), ['readme.txt', strToU8('hello')] as const].reverse(),
    )
    expect((await put(who, Buffer.from(zipSync(turned)))).status).toBe(201)
  })
})

describe('an archive that somebody leaves alone', () => {
  it('is not read to the end, and nothing of it is left', async () => {
    const who = await empty()
    const sessions = JSON.parse(Buffer.from(files['sessions.json'] ?? []).toString()) as {
      id: string
      events: { id: string }[]
    }[]
    const many = Array.from({ length: 150 }, () =>
      sessions.map((s) => ({
        ...s,
        id: randomUUID(),
        events: s.events.map((e) => ({ ...e, id: randomUUID() })),
      })),
    ).flat()
    const zip = zipped({ 'sessions.json': strToU8(JSON.stringify(many)) })
    // The cookie of this visitor, on a line of our own that is cut.
    const { headers } = await who.get('/api/me')
    const cookie = headers.getSetCookie().join(';').split(';')[0] ?? ''
    const sent = new Promise<void>((done) => {
      const req = request(`${house.base}/api/archive`, {
        method: 'POST',
        headers: {
          origin: house.base,
          cookie,
          'content-type': 'application/zip',
          'content-length': zip.length,
        },
      })
      req.on('error', () => done())
      req.end(zip)
      void (async () => {
        while (house.plans.loads().archives.running === 0) await new Promise((on) => setTimeout(on, 10))
        req.destroy()
      })()
    })
    await sent
    await expect
      .poll(() => house.plans.loads().archives, { timeout: 15_000 })
      .toEqual({ waiting: 0, running: 0 })
    expect(await children(who)).toEqual([])
    expect((await put(who, zipped({}))).status).toBe(201)
  }, 60_000)
  it('two at once into one setting: one goes in', async () => {
    const who = await empty()
    const both = await Promise.all([put(who, zipped({})), put(who, zipped({}))])
    expect(both.filter((a) => a.status === 201)).toHaveLength(1)
    expect((await children(who)).length).toBe(
      (JSON.parse(Buffer.from(files['children.json'] ?? []).toString()) as unknown[]).length,
    )
  })
})

describe('rows of a ZIP', () => {
  it('come out as they went in, whatever stands in them; never more than a bite is held back', async () => {
    const rows = [
      { a: '"]},{[\\"' },
      { b: ['é', '𝄞', '\u0000', '1'] },
      7,
      null,
      'text',
      { deep: { er: [[[]]] } },
    ]
    const pieces: Uint8Array[] = []
    const zip = zipWriter((piece) => {
      pieces.push(piece)
      return Promise.resolve()
    })
    await zip.value('one.json', { x: 1 })
    await zip.rows('none.json', [])
    await zip.rows('rows.json', rows)
    await zip.end()
    const bytes = new Uint8Array(Buffer.concat(pieces))
    // A general-purpose reader takes it.
    expect(JSON.parse(Buffer.from(unzipSync(bytes)['rows.json'] ?? []).toString())).toEqual(rows)
    expect([...rowsOf(bytes, 'rows.json')]).toEqual(rows)
    expect([...rowsOf(bytes, 'none.json')]).toEqual([])
    expect(fileOf(bytes, 'one.json')).toEqual({ x: 1 })
    expect(() => fileOf(bytes, 'two.json')).toThrow(/no two\.json/)
    expect(() => fileOf(strToU8('no zip at all'), 'one.json')).toThrow(/no ZIP archive/)
  })
})
