/**
 * Who may do what, at every route: settled before a body is read, and again at each request. And nothing that is sent to any route makes
 * the server stumble.
 */
import { randomUUID } from 'node:crypto'
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredAdult, StoredChild, StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'
import { ROUTES, type Role } from './routes'

let house: TestServer
let ids: Record<string, string>
const as = async (name: string, password = DEMO_PASSWORD): Promise<Visitor> => {
  const visitor = house.visitor()
  const { status } = await visitor.signIn(name, password)
  if (status !== 200) throw new Error(`${name}: ${status}`)
  return visitor
}
beforeAll(async () => {
  house = await openTestServer({ demo: true, limits: { signIns: 1000 } })
  const petra = await as('petra')
  const [child] = (await petra.get('/api/children')).body as StoredChild[]
  const session = ((await petra.get('/api/sessions')).body as StoredSession[]).find((s) => s.date === today())
  const recipe = ((await petra.get('/api/recipes')).body as { id: string }[])[0]
  const packet = ((await petra.get('/api/packets')).body as { id: string }[])[0]
  const adult = ((await petra.get('/api/setting')).body.adults as StoredAdult[])[0]
  ids = {
    child: child?.id ?? '',
    session: session?.id ?? ((await petra.get('/api/sessions')).body as StoredSession[])[0]?.id ?? '',
    recipe: recipe?.id ?? '',
    packet: packet?.id ?? '',
    adult: adult?.id ?? '',
  }
})
afterAll(() => house.close())

const pathOf = (path: string, own = true): string =>
  `/api${path.replace(/\{(\w+)\}/g, (_, what: string) => (own ? (ids[what] ?? randomUUID()) : randomUUID()))}`

describe('every route', () => {
  it('stands in the list of these tests', () => {
    const folder = fileURLToPath(new URL('../src/routes', import.meta.url))
    const written = readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.ts') && !file.endsWith('door.ts'))
      .flatMap((file) => [
        ...readFileSync(join(folder, file), 'utf8').matchAll(/router\.(get|post|put|delete)\(/g),
      ])
      .map(([, method]) => String(method).toUpperCase())
    const count = (list: string[]) =>
      ['GET', 'POST', 'PUT', 'DELETE'].map((m) => list.filter((x) => x === m).length)
    expect(count(ROUTES.map((r) => r.method))).toEqual(count(written))
  })
  it.each(ROUTES)(
    '$method $path asks who is there before it reads what was sent',
    async ({ method, path }) => {
      const stranger = house.visitor()
      for (const body of method === 'GET' ? [undefined] : ['{"not json', '{}', '[1,2']) {
        const { status } = await stranger.send(method, pathOf(path), body)
        expect([status, body]).toEqual([401, body])
      }
    },
  )
  const RANK: Record<Role, number> = { helper: 0, leader: 1, owner: 2 }
  const NAMES: [Role, string][] = [
    ['helper', 'gwenda'],
    ['leader', 'seun'],
    ['owner', 'petra'],
  ]
  it.each(NAMES)('is open to a %s as far as it goes, and to nobody below', async (role, name) => {
    const visitor = await as(name)
    for (const { method, path, least, destroys } of ROUTES) {
      if (destroys && RANK[role] >= RANK[least]) continue
      const { status } = await visitor.send(method, pathOf(path), method === 'GET' ? undefined : {})
      const said = `${method} ${path} as ${role}: ${status}`
      if (RANK[role] < RANK[least]) expect(status, said).toBe(403)
      else expect(status, said).not.toBe(403)
      expect(status, said).toBeLessThan(500)
    }
  })
  it('shows a signed-in owner of another setting nothing of this one, and changes nothing', async () => {
    const tomasz = await as('tomasz')
    const petra = await as('petra')
    const before = JSON.stringify([
      (await petra.get('/api/children')).body,
      (await petra.get('/api/setting')).body,
    ])
    for (const { method, path } of ROUTES.filter((r) => r.path.includes('{'))) {
      const { status, body } = await tomasz.send(method, pathOf(path), method === 'GET' ? undefined : {})
      expect(status, `${method} ${path}`).toBeGreaterThanOrEqual(400)
      expect(status, `${method} ${path}`).toBeLessThan(500)
      for (const id of Object.values(ids)) expect(JSON.stringify(body), `${method} ${path}`).not.toContain(id)
    }
    expect(
      JSON.stringify([(await petra.get('/api/children')).body, (await petra.get('/api/setting')).body]),
    ).toBe(before)
  })
})

describe('nothing that is sent', () => {
  const key = fc.oneof(
    fc.constantFrom(
      'constructor',
      '__proto__',
      'toString',
      'valueOf',
      'id',
      'kind',
      'changes',
      'steps',
      'lines',
      'uses',
    ),
    fc.constantFrom(
      'children',
      'guests',
      'concerns',
      'version',
      'recipe',
      'request',
      'events',
      'body',
      'to',
      'name',
    ),
    fc.string({ maxLength: 8 }),
  )
  const value = fc.letrec((tie) => ({
    any: fc.oneof(
      { maxDepth: 4 },
      fc.constantFrom<unknown>(
        null,
        '',
        0,
        -1,
        1e99,
        true,
        [],
        {},
        [null],
        'x'.repeat(500),
        '\u0000',
        '2026-11-26',
      ),
      fc.string(),
      fc.integer(),
      fc.array(tie('any'), { maxLength: 4 }),
      fc.dictionary(key, tie('any'), { maxKeys: 5, noNullPrototype: false }),
    ),
  })).any
  const writes = ROUTES.filter((r) => r.method !== 'GET' && !r.destroys)
  /** `./lea bench requests 10000` draws more, from a seed of its own. */
  const RUNS = Number(process.env['LEA_REQUESTS'] ?? 2000)
  const SEED = Number(process.env['LEA_REQUESTS_SEED'] ?? 18)
  it(
    `makes the server stumble, or tells a stranger anything: ${RUNS} drawn requests at all routes`,
    { timeout: 300_000 + RUNS * 100 },
    async () => {
      const [petra, tomasz] = [await as('petra'), await as('tomasz')]
      const names = ((await petra.get('/api/children')).body as StoredChild[]).map((c) => c.nickname)
      const theirs = JSON.stringify((await tomasz.get('/api/children')).body)
      const secret = [...names.filter((n) => !theirs.includes(n)), ...Object.values(ids)]
      expect(secret.length).toBeGreaterThan(10)
      const seen: Record<string, number> = {}
      await fc.assert(
        fc.asyncProperty(
          fc.constantFrom(...writes),
          value,
          fc.boolean(),
          fc.integer({ min: 0, max: 3 }),
          async ({ method, path }, drawn, own, stranger) => {
            const visitor = stranger === 0 ? tomasz : petra
            const { status, body } = await visitor.send(method, pathOf(path, own), drawn)
            seen[Math.floor(status / 100)] = (seen[Math.floor(status / 100)] ?? 0) + 1
            expect(status, `${method} ${path} ${JSON.stringify(drawn)}`).toBeLessThan(500)
            if (stranger === 0)
              for (const word of secret)
                expect(JSON.stringify(body), `${method} ${path} ${JSON.stringify(drawn)}`).not.toContain(word)
          },
        ),
        { numRuns: RUNS, seed: SEED },
      )
      expect(seen[4]).toBeGreaterThan(RUNS / 2)
    },
  )
  it.each([
    ['nested a thousand deep', '['.repeat(1000) + ']'.repeat(1000)],
    ['of own keys', '{"constructor":{"prototype":1},"__proto__":{"x":1},"toString":1}'],
  ])('%s is refused', async (_, body) => {
    const petra = await as('petra')
    for (const { method, path } of writes) {
      const { status } = await petra.send(method, pathOf(path), body)
      expect(status, `${method} ${path}`).toBeLessThan(500)
    }
    expect((await house.visitor().send('POST', '/api/sign-in', body)).status).toBe(400)
  })
})
