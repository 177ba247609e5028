/** Whoever runs a Lea: settings are made, closed, moved, bounded; a first owner and a lost password by a one-time link. */
import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

const NURSERY = 'Curlew House Nursery, Heron Room'
const LIBRARY = 'Saltmere Library, Story Kitchen'
const PASSWORD = 'bramble-quayside-9'
let house: TestServer
let folder: string
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  folder = mkdtempSync(join(tmpdir(), 'lea-operator-'))
})
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true })
  await house.close()
})

function setting(...args: string[]): { code: number; out: string; err: string } {
  const script = fileURLToPath(new URL('../dist/setting.js', import.meta.url))
  const env = { ...process.env, LEA_OWNER_URL: house.ownerUrl, LEA_AT: 'https://lea.example' }
  const { status, stdout, stderr } = spawnSync('node', [script, ...args], { env, encoding: 'utf8' })
  return { code: status ?? -1, out: stdout, err: stderr }
}
const wordIn = (out: string): string => /https:\/\/lea\.example\/welcome#([\w-]{20,})/.exec(out)?.[1] ?? ''
const signedIn = async (name: string, password = DEMO_PASSWORD): Promise<Visitor> => {
  const visitor = house.visitor()
  await visitor.signIn(name, password)
  return visitor
}

describe('a setting that is made', () => {
  it('has a first owner by a link that opens once', async () => {
    const made = setting('make', 'Ferry Lane', '--kind', 'home', '--nation', 'united-states')
    expect([made.code, made.err]).toEqual([0, ''])
    const word = wordIn(made.out)
    const wren = house.visitor()
    expect((await wren.send('POST', '/api/link', { word })).body).toEqual({
      setting: 'Ferry Lane',
      for: 'owner',
    })
    const owner = { word, owner: 'Wren Odell', signIn: 'wren', password: PASSWORD }
    expect((await wren.send('POST', '/api/link/owner', { ...owner, password: '1234567890' })).status).toBe(
      400,
    )
    // Two who have the same link at once: one comes in.
    const both = await Promise.all([
      wren.send('POST', '/api/link/owner', owner),
      house.visitor().send('POST', '/api/link/owner', { ...owner, signIn: 'wren-two' }),
    ])
    expect(both.map((a) => a.status).sort()).toEqual([201, 404])
    expect((await house.visitor().send('POST', '/api/link', { word })).status).toBe(404)
    const name = both[0].status === 201 ? 'wren' : 'wren-two'
    const inside = await signedIn(name, PASSWORD)
    const { rules, name: called } = (await inside.get('/api/setting')).body
    expect([called, rules.kind, rules.country]).toEqual(['Ferry Lane', 'home', 'us'])
    expect((await inside.get('/api/recipes')).body.length).toBeGreaterThan(10)
    expect((await inside.get('/api/children')).body).toEqual([])
    expect(setting('link', 'Ferry Lane')).toMatchObject({
      code: 2,
      err: expect.stringMatching(/has an owner/),
    })
  })
  it('is not made of words that mean nothing, and nothing is left', () => {
    const before = setting('list').out
    expect(setting('make', 'X', '--kind', 'castle')).toMatchObject({
      code: 2,
      err: expect.stringMatching(/castle/),
    })
    expect(setting('make', 'X', '--nation', 'nowhere')).toMatchObject({
      code: 2,
      err: expect.stringMatching(/nowhere/),
    })
    expect(setting('make', ' ').code).toBe(2)
    expect(setting('sell', 'X')).toMatchObject({ code: 2, err: expect.stringMatching(/usage/) })
    expect(setting('link', 'No such one').err).toMatch(/there is no setting 'No such one'/)
    expect(setting('list').out).toBe(before)
  })
  it('a link that is guessed, is of another kind or is over opens nothing', async () => {
    const stranger = house.visitor()
    expect((await stranger.send('POST', '/api/link', { word: 'x'.repeat(32) })).status).toBe(404)
    expect((await stranger.send('POST', '/api/link', {})).status).toBe(400)
    const word = wordIn(setting('make', 'Late Row').out)
    expect((await stranger.send('POST', '/api/link/password', { word, password: PASSWORD })).status).toBe(409)
    // Its words are nowhere in the database.
    const { rows } = await house.pool.query<{ n: number }>('select count(*)::int as n from links')
    expect(rows[0]?.n).toBe(0)
    const id = /^(\w{8}) {2}Late Row/m.exec(setting('list').out)?.[1] ?? ''
    const all = await house.pool.query<{ setting_id: string }>('select setting_id from all_doors()')
    const whole = all.rows.find((r) => r.setting_id.startsWith(id))?.setting_id ?? ''
    expect(JSON.stringify(await house.sql('select * from links', whole))).not.toContain(word)
    await house.sql("update links set ends_at = now() - interval '1 second'", whole)
    expect((await stranger.send('POST', '/api/link', { word })).status).toBe(404)
  })
})

describe('a lost password', () => {
  it('is set anew by a link; every sign-in of before is over, and the log says so', async () => {
    const before = await signedIn('gwenda')
    const word = wordIn(setting('password-link', 'gwenda').out)
    const gwenda = house.visitor()
    expect((await gwenda.send('POST', '/api/link', { word })).body).toMatchObject({
      for: 'password',
      signIn: 'gwenda',
    })
    expect(
      (await gwenda.send('POST', '/api/link/password', { word, password: 'gwenda gwenda' })).status,
    ).toBe(400)
    expect((await gwenda.send('POST', '/api/link/password', { word, password: PASSWORD })).status).toBe(204)
    expect((await before.get('/api/me')).status).toBe(401)
    expect((await gwenda.signIn('gwenda', DEMO_PASSWORD)).status).toBe(401)
    expect((await gwenda.signIn('gwenda', PASSWORD)).status).toBe(200)
    expect((await gwenda.send('POST', '/api/link/password', { word, password: PASSWORD })).status).toBe(404)
    const petra = await signedIn('petra')
    const said = ((await petra.get('/api/keeping/audit?part=sign-in')).body.lines as { did: string }[]).map(
      (l) => l.did,
    )
    expect(said).toEqual(
      expect.arrayContaining([
        'the operator made a link for a new password',
        'set a new password by a one-time link',
      ]),
    )
    expect(setting('password-link', 'nobody-here').err).toMatch(/nobody signs in as 'nobody-here'/)
  })
})

describe('a setting that is closed', () => {
  it('lets nobody in or on, keeps what it has, and opens again', async () => {
    const tomasz = await signedIn('tomasz')
    const children = (await tomasz.get('/api/children')).body as unknown[]
    const word = wordIn(setting('password-link', 'tomasz').out)
    expect(setting('close', LIBRARY).code).toBe(0)
    expect((await tomasz.get('/api/children')).status).toBe(401)
    expect(await house.visitor().signIn('tomasz', DEMO_PASSWORD)).toMatchObject({
      status: 403,
      body: { error: { says: expect.stringMatching(/closed/) } },
    })
    expect((await house.visitor().signIn('tomasz', 'not his')).status).toBe(401)
    expect((await house.visitor().send('POST', '/api/link', { word })).status).toBe(404)
    // All others go on.
    expect((await (await signedIn('petra')).get('/api/children')).status).toBe(200)
    expect(setting('erase', NURSERY, '--yes')).toMatchObject({
      code: 2,
      err: expect.stringMatching(/close it first/),
    })
    expect(setting('open', LIBRARY).code).toBe(0)
    expect((await (await signedIn('tomasz')).get('/api/children')).body).toEqual(children)
  })
  it('is moved by a file, and erased here', async () => {
    const tomasz = await signedIn('tomasz')
    const names = (all: unknown): string[] => (all as { nickname: string }[]).map((c) => c.nickname).sort()
    const before = names((await tomasz.get('/api/children')).body)
    const file = join(folder, 'library.zip')
    expect(setting('move', LIBRARY, file).code).toBe(0)
    expect(statSync(file).mode & 0o077).toBe(0)
    expect(setting('move', LIBRARY, file)).toMatchObject({
      code: 2,
      err: expect.stringMatching(/there already/),
    })
    expect((await tomasz.get('/api/me')).status).toBe(401)
    const taken = setting('take', file, 'Library, moved')
    expect([taken.code, taken.err]).toEqual([0, ''])
    const owner = { word: wordIn(taken.out), owner: 'Tomasz', signIn: 'tomasz-there', password: PASSWORD }
    const there = house.visitor()
    expect((await there.send('POST', '/api/link/owner', owner)).status).toBe(201)
    expect(names((await there.get('/api/children')).body)).toEqual(before)
    expect(setting('erase', LIBRARY)).toMatchObject({ code: 2 })
    expect(setting('erase', LIBRARY, '--yes').code).toBe(0)
    expect(setting('list').out).not.toContain(LIBRARY)
    expect(names((await there.get('/api/children')).body)).toEqual(before)
  })
  it('a file that is none leaves no setting behind', () => {
    const before = setting('list').out
    expect(setting('take', fileURLToPath(import.meta.url))).toMatchObject({
      code: 2,
      err: expect.stringMatching(/ZIP/),
    })
    expect(setting('take', join(folder, 'nothing')).err).toMatch(/there is no file/)
    expect(setting('list').out).toBe(before)
    expect(existsSync(join(folder, 'nothing'))).toBe(false)
  })
})

describe('how much a setting may hold', () => {
  it('is said, changed, and told by its number where it is reached; nothing of before is lost', async () => {
    const petra = await signedIn('petra')
    const children = (await petra.get('/api/children')).body as unknown[]
    expect(setting('quota', NURSERY, `children=${children.length + 1}`).out).toMatch(
      new RegExp(`children +${children.length + 1}$`, 'm'),
    )
    const child = { nickname: 'Juno', birth: '2023-02', concerns: [], diets: [], languages: [], needs: [] }
    expect((await petra.send('POST', '/api/children', child)).status).toBe(201)
    expect(await petra.send('POST', '/api/children', { ...child, nickname: 'Otis' })).toMatchObject({
      status: 409,
      body: { error: { says: expect.stringMatching(`has ${children.length + 1} children, the most`) } },
    })
    // A roster of many goes in whole, or not at all.
    const two = [child, child].map((c, i) => ({ child: { ...c, nickname: `Row ${i}` } }))
    expect((await petra.send('POST', '/api/children/roster', { children: two })).status).toBe(409)
    expect((await petra.get('/api/children')).body).toHaveLength(children.length + 1)
    expect(setting('quota', NURSERY, 'children=400').code).toBe(0)
    expect((await petra.send('POST', '/api/children', { ...child, nickname: 'Otis' })).status).toBe(201)
    expect(setting('quota', NURSERY, 'teapots=4').err).toMatch(/teapots/)
    expect(setting('quota', NURSERY, 'children=-4').code).toBe(2)
  })
  it('is not its own people’s to change', async () => {
    const petra = await signedIn('petra')
    const me = (await petra.get('/api/me')).body.person as { settingId: string }
    const db = await house.pool.connect()
    await db.query("select set_config('app.setting_id', $1, false)", [me.settingId])
    await expect(db.query(`update settings set quota = '{"children": 9999}'`)).rejects.toThrow(
      /permission denied/,
    )
    await expect(db.query('update settings set demo = false')).rejects.toThrow(/permission denied/)
    db.release(true)
  })
})
