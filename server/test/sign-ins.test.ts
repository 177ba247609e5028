/** Sign-ins follow the person: removed, demoted, with another password or name, they are out, at once and everywhere. */
import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { passwordFault } from '@lea/core/schema'
import type { StoredAdult, StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

const WORDS = 'herons stand by the weir'
let house: TestServer
let petra: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  petra = await as('petra')
})
afterAll(() => house.close())
async function as(name: string, password = DEMO_PASSWORD): Promise<Visitor> {
  const visitor = house.visitor()
  expect((await visitor.signIn(name, password)).status, name).toBe(200)
  return visitor
}
let n = 0
async function newLeader(role = 'leader'): Promise<{ id: string; signIn: string; visitor: Visitor }> {
  const signIn = `reader-${++n}`
  const made = await petra.send('POST', '/api/adults', {
    name: 'Farida Quill',
    leads: [],
    role,
    signIn,
    password: WORDS,
  })
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  return { id: made.body.id, signIn, visitor: await as(signIn, WORDS) }
}
const isIn = async (v: Visitor): Promise<number[]> => [
  (await v.get('/api/me')).status,
  (await v.get('/api/children/roster.csv')).status,
  (await v.send('POST', '/api/children', {})).status,
]
const soon = async (check: () => Promise<void> | void): Promise<void> => {
  for (let i = 0; ; i++)
    try {
      await check()
      return
    } catch (fault) {
      if (i > 200) throw fault
      await new Promise((done) => setTimeout(done, 50))
    }
}

describe('an adult', () => {
  it('who is removed is out at once, reads nothing and writes nothing', async () => {
    const { id, signIn, visitor } = await newLeader()
    expect(await isIn(visitor)).toEqual([200, 200, 400])
    expect((await petra.send('DELETE', `/api/adults/${id}`)).status).toBe(204)
    expect(await isIn(visitor)).toEqual([401, 401, 401])
    expect((await house.visitor().signIn(signIn, WORDS)).status).toBe(401)
    expect((await petra.send('DELETE', `/api/adults/${id}`)).status).toBe(404)
  })
  it('with another role signs in anew and may do what that role may, and no more', async () => {
    const { id, signIn, visitor } = await newLeader()
    expect((await petra.send('PUT', `/api/adults/${id}`, { role: 'helper' })).status).toBe(200)
    expect(await isIn(visitor)).toEqual([401, 401, 401])
    expect(await isIn(await as(signIn, WORDS))).toEqual([200, 403, 403])
  })
  it.each([
    [{ password: 'otters sleep in the reeds' }],
    [{ signIn: 'reader-renamed' }],
    [{ role: 'owner', password: 'otters sleep in the reeds' }],
    [{ role: 'helper', signIn: 'reader-other' }],
  ])('is changed in parts: %j, and every sign-in of before is over', async (change) => {
    const { id, visitor } = await newLeader()
    const changed = await petra.send('PUT', `/api/adults/${id}`, change)
    expect([changed.status, JSON.stringify(changed.body)]).toEqual([200, expect.any(String)])
    expect((await visitor.get('/api/me')).status).toBe(401)
    await petra.send('DELETE', `/api/adults/${id}`)
  })
  it('whose name or lead is changed stays signed in', async () => {
    const { id, visitor } = await newLeader()
    expect((await petra.send('PUT', `/api/adults/${id}`, { name: 'Farida Q', leads: ['heat'] })).status).toBe(
      200,
    )
    expect((await visitor.get('/api/me')).body.person.name).toBe('Farida Q')
  })
  it('hears no table any more once the sign-in is over, on whatever server', async () => {
    const { id, signIn } = await newLeader()
    const session = ((await petra.get('/api/sessions')).body as StoredSession[])[0]
    const other = await house.second()
    const visitor = other.visitor()
    await visitor.signIn(signIn, WORDS)
    let ended = false
    const cookieless = await visitor.hear(session?.id ?? '')
    void cookieless.over.then(() => (ended = true))
    await petra.send('PUT', `/api/adults/${id}`, { role: 'helper' })
    await soon(() => expect(ended).toBe(true))
  })
  it('the last owner who can sign in stays one; with a second one the first may go, and not both', async () => {
    const me = (await petra.get('/api/me')).body.person.id as string
    expect((await petra.send('PUT', `/api/adults/${me}`, { role: 'helper' })).status).toBe(409)
    expect((await petra.send('DELETE', `/api/adults/${me}`)).status).toBe(409)
    const second = await newLeader('owner')
    const both = await Promise.all([
      petra.send('DELETE', `/api/adults/${second.id}`),
      second.visitor.send('PUT', `/api/adults/${me}`, { role: 'helper' }),
    ])
    const owners = async (by: Visitor) =>
      ((await by.get('/api/setting')).body.adults as StoredAdult[]).filter((a) => a.role === 'owner').length
    expect(both.map((b) => b.status).sort()[0]).toBeLessThan(300)
    petra = (await petra.get('/api/me')).status === 200 ? petra : second.visitor
    if ((await petra.get('/api/me')).status === 401) petra = await as('petra')
    expect(await owners(petra)).toBeGreaterThanOrEqual(1)
  })
})

describe('one’s own sign-in', () => {
  it('gets another password for the old one, and only for it; all other sign-ins are over', async () => {
    const { signIn, visitor } = await newLeader('helper')
    const elsewhere = await as(signIn, WORDS)
    const put = (old: string, password: string) => visitor.send('PUT', '/api/me/password', { old, password })
    const fresh = 'a kettle full of rain'
    expect((await put('not the old one', fresh)).body.error.field).toBe('old')
    expect((await put(WORDS, 'short')).body.error.field).toBe('password')
    expect((await put(WORDS, 'Farida Quill!!')).body.error.says).toContain('your name')
    expect((await put(WORDS, fresh)).status).toBe(204)
    expect((await visitor.get('/api/me')).status).toBe(200)
    expect((await elsewhere.get('/api/me')).status).toBe(401)
    expect((await house.visitor().signIn(signIn, WORDS)).status).toBe(401)
    await as(signIn, fresh)
  })
  it('is listed wherever it is open, and ended everywhere', async () => {
    const { signIn, visitor } = await newLeader()
    const tablet = await as(signIn, WORDS)
    const list = (await visitor.get('/api/me/sign-ins')).body.signIns as {
      here: boolean
      since: string
      used: string
    }[]
    expect(list.map((s) => s.here).sort()).toEqual([false, true])
    for (const s of list) expect(Math.abs(Date.now() - Date.parse(s.used))).toBeLessThan(600_000)
    expect((await visitor.send('DELETE', '/api/me/sign-ins')).status).toBe(204)
    expect([(await visitor.get('/api/me')).status, (await tablet.get('/api/me')).status]).toEqual([401, 401])
  })
  it('ends sixteen hours after it was made, however much it is used', async () => {
    const { id, visitor } = await newLeader()
    const long = new Date(Date.now() - 17 * 3600_000).toISOString()
    await house.pool.query(
      `update sign_ins set sess = jsonb_set(sess::jsonb, '{person,since}', to_jsonb($2::text))::json
       where sess -> 'person' ->> 'id' = $1`,
      [id, long],
    )
    expect((await visitor.get('/api/me')).status).toBe(401)
  })
  it('of an owner who is locked out is opened by the operator', async () => {
    const { id, signIn, visitor } = await newLeader('owner')
    const script = fileURLToPath(new URL('../dist/password.js', import.meta.url))
    const run = (name: string, password: string): string =>
      execFileSync('node', [script, name], {
        env: { ...process.env, LEA_OWNER_URL: house.ownerUrl },
        input: `${password}\n`,
        encoding: 'utf8',
        stdio: ['pipe', 'pipe', 'pipe'],
      })
    expect(() => run(signIn, 'password1234')).toThrow(/tried first/)
    expect(() => run('nobody-of-that-name', 'a kettle full of rain')).toThrow(/nobody signs in/)
    expect(run(signIn, 'a kettle full of rain')).toContain(signIn)
    expect((await visitor.get('/api/me')).status).toBe(401)
    await as(signIn, 'a kettle full of rain')
    await petra.send('DELETE', `/api/adults/${id}`)
  })
})

describe('a password', () => {
  it.each([
    'aaaaaaaaaa',
    '1234567890',
    'password12',
    'Passw0rd!!',
    '            ',
    'abcabcabcabc',
    'qwertyuiop1',
    'petrapetra',
    'petra2026!',
    'iloveyou!!',
    'Welcome2026',
    'poiuytrewq',
    'Chocolate', // too short by one
  ])('such as %s is refused, with a reason', (password) => {
    expect(passwordFault(password, ['Petra Vance', 'petra'])).toMatch(/^Password/)
  })
  it.each([
    'herons stand by the weir',
    'saltmere-demo',
    'Tr0ub4dor&3x',
    'a long password',
    'viele bunte Schmetterlinge',
  ])('such as %s is taken', (password) => {
    expect(passwordFault(password, ['Petra Vance', 'petra'])).toBeNull()
  })
})
