/** How long records are kept, what goes, what an erased child leaves behind: nothing that says who it was. */
import { randomUUID } from 'node:crypto'
import { mkdir, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dayAfter } from '@lea/core/amount'
import type { StoredChild, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { sweepAll } from '../src/db/keeping'
import { keepLetter, sweepLetters } from '../src/db/letters'
import { asSignIn, inSetting } from '../src/db/pool'
import { takeOldLetters } from '../src/devices/mail-outbox'
import { today } from '../src/clock'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
})
afterAll(() => house.close())
const sessions = async () => (await petra.get('/api/sessions')).body as StoredSession[]
const kids = async () => (await petra.get('/api/children')).body as StoredChild[]

describe('an erased child', () => {
  it('is exported whole before, with nothing of others, and is nowhere after', async () => {
    const [child, other] = await kids()
    const session = (await sessions()).find(
      (s) => s.state === 'finished' && s.children.includes(child?.id ?? ''),
    )
    if (!child || !other || !session) throw new Error('no demo')
    const event = (n: number, kind: string, body: object) => ({
      id: randomUUID(),
      device: 'd',
      lamport: 9000 + n,
      at: '2026-11-26T10:20:00Z',
      kind,
      body,
    })
    const adult = (await petra.get('/api/setting')).body.adults[0].id as string
    const events = [
      event(1, 'note', { text: 'the blue cup matters', child: child.id }),
      event(2, 'met', { child: child.id, food: 'chives', how: 'touched' }),
      event(3, 'incident', {
        what: 'bump',
        who: [child.id, other.id],
        text: 'fell over the mat',
        done: 'comforted',
        by: adult,
      }),
    ]
    const sent = await petra.send('POST', `/api/sessions/${session.id}/events`, { events })
    expect(sent.status, JSON.stringify(sent.body)).toBe(200)
    // That it was read only the owner says.
    const seen = [event(4, 'incident-seen', { incident: events[2]?.id, by: adult })]
    const send = (v: Visitor) => v.send('POST', `/api/sessions/${session.id}/events`, { events: seen })
    for (const name of ['seun', 'gwenda']) {
      const other = house.visitor()
      await other.signIn(name, DEMO_PASSWORD)
      expect((await send(other)).status, name).toBe(403)
    }
    const record = async () => (await petra.get(`/api/record/sessions/${session.id}`)).body
    expect((await record()).incidents[0].seenBy ?? null).toBeNull()
    expect((await send(petra)).status).toBe(200)
    expect((await record()).incidents[0].seenBy).toBe(adult)
    const file = await petra.get(`/api/children/${child.id}/export`)
    const text = JSON.stringify(file.body)
    expect(text).toContain('the blue cup matters')
    expect(text).toContain('fell over the mat')
    expect(text).not.toContain(other.id)
    expect(file.body.sessions.length).toBeGreaterThan(0)

    expect((await petra.send('DELETE', `/api/children/${child.id}`)).status).toBe(204)
    const all = JSON.stringify([
      await sessions(),
      await Promise.all((await sessions()).map(async (s) => (await petra.get(`/api/sessions/${s.id}`)).body)),
      await Promise.all(
        (await sessions()).map(async (s) => (await petra.get(`/api/sessions/${s.id}/events`)).body),
      ),
      (await petra.get('/api/record')).body,
    ])
    expect(all).not.toContain(child.id)
    expect(all).not.toContain('the blue cup matters')
    expect(all).not.toContain('fell over the mat')
    // The others' turns stand.
    expect((await petra.get(`/api/record/children/${other.id}`)).body.turns).toBeGreaterThan(0)
    expect((await petra.get(`/api/record/sessions/${session.id}`)).status).toBe(200)
  })
})

describe('letters', () => {
  const ofHouse = (visitor: Visitor) => visitor.get('/api/post').then(({ body }) => body.letters as string[])
  async function writeOne(child?: string): Promise<string> {
    const session = (await sessions()).find(
      (s) => s.state === 'finished' && (child === undefined || s.children.includes(child)),
    )
    const sent = await petra.send('POST', `/api/sessions/${session?.id ?? ''}/family/letter`, {
      to: 'a@saltmere.example',
      ...(child !== undefined && { child }),
    })
    expect(sent.status, JSON.stringify(sent.body)).toBe(201)
    return sent.body.letter as string
  }
  const setting = (): Promise<string> =>
    asSignIn(
      house.pool,
      'petra',
      async (db) => (await db.query<{ id: string }>('select setting_id as id from adults')).rows[0]?.id ?? '',
    )
  it('are the same at every server of the database; an erased child’s are at none', async () => {
    const other = await house.second()
    const there = other.visitor()
    await there.signIn('petra', DEMO_PASSWORD)
    const child = (await kids()).find((c) => c.nickname === 'Pavel')?.id ?? ''
    const about = await writeOne(child)
    const group = await writeOne()
    expect((await ofHouse(there)).sort()).toEqual([about, group].sort())
    expect((await there.raw('GET', `/api/post/${about}`)).body.toString()).toMatch(
      /^To: a@saltmere\.example\r\n/m,
    )
    expect((await there.send('DELETE', `/api/children/${child}`)).status).toBe(204)
    expect(await ofHouse(petra)).toEqual([group])
    expect((await petra.raw('GET', `/api/post/${about}`)).status).toBe(404)
    await other.close()
  })
  it('go with the records of their time; younger ones stay', async () => {
    const id = await setting()
    const old = {
      name: 'old.eml',
      about: null,
      writtenAt: new Date('2020-02-03T23:30:00Z'),
      message: Buffer.from('old'),
    }
    await inSetting(house.pool, id, (db) => keepLetter(db, id, old))
    const before = (await ofHouse(petra)).length
    const sweep = (day: string) => inSetting(house.pool, id, (db) => sweepLetters(db, day))
    expect(await sweep('2020-02-03')).toBe(0)
    expect(await sweep('2020-02-04')).toBe(1)
    expect(await sweep('2020-02-04')).toBe(0)
    expect((await ofHouse(petra)).length).toBe(before - 1)
  })
  it('that lay in a folder of an older Lea are taken over once, each in its own setting, and nothing else is touched', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'lea-letters-'))
    try {
      const id = await setting()
      const child = (await kids())[0]?.id ?? ''
      const names = [
        '2026-11-20T10-20-30-123Z-a1b2c3-group.eml',
        `2026-11-21T10-20-30-123Z-a1b2c3-${child}.eml`,
      ]
      await mkdir(join(folder, id), { recursive: true })
      await mkdir(join(folder, randomUUID()), { recursive: true })
      for (const n of names) await writeFile(join(folder, id, n), `To: ${n}`)
      await writeFile(join(folder, id, 'notes.txt'), 'of somebody')
      expect(
        await Promise.all([takeOldLetters(house.pool, folder), takeOldLetters(house.pool, folder)]),
      ).toSatisfy((taken: number[]) => taken.reduce((a, b) => a + b) >= 2)
      expect(await takeOldLetters(house.pool, folder)).toBe(0)
      expect(await ofHouse(petra)).toEqual(expect.arrayContaining(names))
      expect((await petra.raw('GET', `/api/post/${names[0] ?? ''}`)).body.toString()).toBe(`To: ${names[0]}`)
      expect(await readdir(join(folder, id))).toEqual(['notes.txt'])
      // What is about a child goes with it.
      expect((await petra.send('DELETE', `/api/children/${child}`)).status).toBe(204)
      expect(await ofHouse(petra)).not.toContain(names[1])
      expect(await takeOldLetters(house.pool, join(folder, 'none such'))).toBe(0)
    } finally {
      await rm(folder, { recursive: true })
    }
  })
})

describe('records', () => {
  it('that are too old go in the night, in every setting by its own time; younger ones stay', async () => {
    const { rows } = await house.pool.query<{ setting_id: string }>('select setting_id from all_doors()')
    const before = await sessions()
    const old = before.find((s) => s.state === 'finished')
    if (!old) throw new Error('no demo')
    // Only in the setting whose it is does it find a row.
    for (const { setting_id } of rows)
      await house.sql(`update sessions set date = '2020-02-03' where id = '${old.id}'`, setting_id)
    expect((await petra.send('PUT', '/api/keeping', { months: 24 })).status).toBe(200)
    expect(await sweepAll(house.pool, today())).toBe(1)
    const after = await sessions()
    expect(after.map((s) => s.id)).not.toContain(old.id)
    expect(after.length).toBe(before.length - 1)
    expect(await sweepAll(house.pool, today())).toBe(0)
    const log = (await petra.get('/api/keeping/audit')).body.lines as { who: string; did: string }[]
    expect(log.some((l) => l.who === 'Lea' && /^1 session older than 24 months was erased/.test(l.did))).toBe(
      true,
    )
    expect(log.some((l) => l.who === 'Petra Vance' && l.did === 'erased a child')).toBe(true)
  })
  it('of a period are asked for by days; a day that is none is refused', async () => {
    const { body } = await petra.get(`/api/record?from=${dayAfter(today(), -14)}&to=${today()}`)
    expect(body.sessions.length).toBeGreaterThan(0)
    for (const s of body.sessions) expect(s.date >= dayAfter(today(), -14)).toBe(true)
    expect((await petra.get('/api/record?from=soon')).body.error.field).toBe('from')
  })
  it('and their time are the owner’s alone', async () => {
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    expect((await gwenda.get('/api/keeping')).status).toBe(403)
    expect((await petra.send('PUT', '/api/keeping', { months: 0 })).body.error.says).toMatch(/at least 1/)
  })
})
