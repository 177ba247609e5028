/** How much one person, one setting and one address may ask for; what is another's goes on beside it. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_PASSWORD } from '../src/demo/people'
import { lines } from '../src/db/pool'
import { openTestServer, type TestServer, type Visitor } from './test-server'

const as = async (
  house: { visitor: () => Visitor },
  name: string,
  password = DEMO_PASSWORD,
): Promise<Visitor> => {
  const visitor = house.visitor()
  await visitor.signIn(name, password)
  return visitor
}

describe('one person', () => {
  let house: TestServer
  beforeAll(async () => {
    house = await openTestServer({ demo: true, limits: { signIns: 100, writes: 5, papers: 3 } })
  })
  afterAll(() => house.close())
  it('who changes too much in a minute is told so; reading goes on, and so does everybody else', async () => {
    const [petra, seun] = [await as(house, 'petra'), await as(house, 'seun')]
    const child = { nickname: 'Juno', birth: '2023-02', concerns: [], diets: [], languages: [], needs: [] }
    const said = []
    for (let n = 0; n < 7; n++)
      said.push((await petra.send('POST', '/api/children', { ...child, nickname: `J${n}` })).status)
    expect(said).toEqual([201, 201, 201, 201, 201, 429, 429])
    const { body, headers } = await petra.send('POST', '/api/children', child)
    expect(body.error.says).toBe('so many changes in one minute are too many (5): wait a minute')
    expect(headers.get('retry-after')).toBe('60')
    expect((await petra.get('/api/children')).status).toBe(200)
    expect((await seun.send('POST', '/api/children', { ...child, nickname: 'K' })).status).toBe(201)
  })
  it('who wants too many papers as well', async () => {
    const tomasz = await as(house, 'tomasz')
    const [session] = (await tomasz.get('/api/sessions')).body as { id: string }[]
    const papers = await Promise.all(
      Array.from({ length: 5 }, () => tomasz.get(`/api/sessions/${session?.id ?? ''}/papers/run.pdf`)),
    )
    expect(papers.map((p) => p.status).sort()).toEqual([200, 200, 200, 429, 429])
    expect((await tomasz.get('/api/sessions')).status).toBe(200)
  })
})

describe('at the door', () => {
  it('who forgot a password shuts out neither the house, nor anybody else behind the same router', async () => {
    const house = await openTestServer({ demo: true, limits: { signIns: 4 } })
    try {
      const visitor = house.visitor()
      for (let n = 0; n < 5; n++) await visitor.signIn('gwenda', 'not this one')
      expect((await visitor.signIn('gwenda', DEMO_PASSWORD)).status).toBe(429)
      expect((await visitor.signIn('Gwenda', 'other case, same name')).status).toBe(429)
      expect((await visitor.signIn('seun', DEMO_PASSWORD)).status).toBe(200)
      // Many names from one address: the address is shut out, whatever the name.
      const said = []
      for (let n = 0; n < 20; n++) said.push((await house.visitor().signIn(`nobody-${n}`, 'x')).status)
      expect(said.slice(0, 10).every((s) => s === 401)).toBe(true)
      expect(said.at(-1)).toBe(429)
      expect((await visitor.signIn('petra', DEMO_PASSWORD)).status).toBe(429)
    } finally {
      await house.close()
    }
  })
})

describe('one setting', () => {
  let house: TestServer
  beforeAll(async () => {
    house = await openTestServer({ demo: true, limits: { signIns: 100 } })
  })
  afterAll(() => house.close())
  it('who asks for sixty papers and records at once keeps another waiting for none of them', async () => {
    const [petra, tomasz] = [await as(house, 'petra'), await as(house, 'tomasz')]
    const [mine] = (await petra.get('/api/sessions')).body as { id: string }[]
    const [theirs] = (await tomasz.get('/api/sessions')).body as { id: string }[]
    let open = 60
    const asked = Array.from({ length: 60 }, (_, n) =>
      petra
        .get(n % 3 === 0 ? '/api/record' : `/api/sessions/${mine?.id ?? ''}/papers/run.pdf`)
        .finally(() => (open -= 1)),
    )
    await expect.poll(() => house.plans.loads().desk.running).toBeGreaterThan(0)
    expect((await tomasz.get(`/api/sessions/${theirs?.id ?? ''}/papers/run.pdf`)).status).toBe(200)
    // Most of the other's are still to come: they were not served first.
    expect(open).toBeGreaterThan(30)
    expect((await Promise.all(asked)).map((a) => a.status)).toEqual(Array(60).fill(200))
    expect(house.plans.loads().desk).toEqual({ waiting: 0, running: 0 })
  }, 120_000)
  it('has no more than half of the lines to the database', async () => {
    const [petra, tomasz] = [await as(house, 'petra'), await as(house, 'tomasz')]
    const asked = Array.from({ length: 80 }, () => petra.get('/api/setting'))
    let most = 0
    const watch = setInterval(() => (most = Math.max(most, lines(house.pool).running)), 1)
    expect((await tomasz.get('/api/setting')).status).toBe(200)
    expect((await Promise.all(asked)).every((a) => a.status === 200)).toBe(true)
    clearInterval(watch)
    expect(most).toBeGreaterThan(0)
    // Five of one setting, those of the other, and sign-ins that are looked up beside.
    expect(most).toBeLessThanOrEqual(10)
    expect(lines(house.pool)).toEqual({ waiting: 0, running: 0 })
  })
})
