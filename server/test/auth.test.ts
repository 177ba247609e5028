import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sweepTries } from '../src/limits/tries'
import { FIRST, openTestServer, type TestServer } from './test-server'

let house: TestServer
beforeAll(async () => {
  house = await openTestServer({ limits: { signIns: 4 } })
})
afterAll(() => house.close())

describe('a first visit to an empty house', () => {
  it('is asked for, makes the setting, its owner and its recipes, once', async () => {
    const alder = house.visitor()
    expect((await alder.get('/api/first-visit')).body).toEqual({ needed: true })
    const made = await alder.send('POST', '/api/first-visit', FIRST)
    expect(made.status).toBe(201)
    expect(made.body.person).toMatchObject({ name: 'Alder Finch', role: 'owner' })
    expect((await alder.get('/api/recipes')).body).toHaveLength(SHIPPED_RECIPES.length)
    expect((await alder.get('/api/setting')).body.rules).toMatchObject({ kind: 'home', country: 'uk' })
    expect((await alder.get('/api/first-visit')).body).toEqual({ needed: false })
    expect((await alder.send('POST', '/api/first-visit', FIRST)).status).toBe(409)
  })
})

describe('eight first visits at once, at two servers of one empty house', () => {
  it('make one setting; the others are told to sign in', async () => {
    const empty = await openTestServer({ limits: { signIns: 100 } })
    try {
      const other = await empty.second()
      const visits = Array.from({ length: 8 }, (_, n) =>
        (n % 2 ? empty : other)
          .visitor()
          .send('POST', '/api/first-visit', { ...FIRST, signIn: `owner${n}`, recipes: false }),
      )
      const said = (await Promise.all(visits)).map((a) => a.status).sort()
      expect(said).toEqual([201, 409, 409, 409, 409, 409, 409, 409])
      expect((await empty.pool.query('select from all_doors()')).rowCount).toBe(1)
      await other.close()
    } finally {
      await empty.close()
    }
  })
})

describe('tries at the door', () => {
  it('count at every server of the database together, and begin anew after a quarter of an hour', async () => {
    const shared = await openTestServer({ limits: { signIns: 4 } })
    try {
      const other = await shared.second()
      const one = shared.visitor()
      const two = other.visitor()
      expect((await one.send('POST', '/api/first-visit', FIRST)).status).toBe(201)
      for (const visitor of [one, two, one, two])
        expect((await visitor.signIn(FIRST.signIn, 'not the password')).status).toBe(401)
      // The right one waits too, at either.
      for (const visitor of [one, two])
        expect((await visitor.signIn(FIRST.signIn, FIRST.password)).status).toBe(429)
      const { rows } = await shared.pool.query<{ key: string }>('select key from tries')
      expect(rows.map((r) => r.key).join()).not.toMatch(/127|::/)
      await shared.pool.query(`update tries set resets_at = now() - interval '1 second'`)
      expect((await two.signIn(FIRST.signIn, FIRST.password)).status).toBe(200)
      await shared.pool.query(`update tries set resets_at = now() - interval '1 second'`)
      await sweepTries(shared.pool)
      expect((await shared.pool.query('select from tries')).rowCount).toBe(0)
      await other.close()
    } finally {
      await shared.close()
    }
  })
})

describe('the door', () => {
  it('lets nobody in without a sign-in', async () => {
    const stranger = house.visitor()
    for (const path of ['/api/children', '/api/sessions', '/api/record', '/api/setting', '/api/me']) {
      expect((await stranger.get(path)).status, path).toBe(401)
    }
  })
  it('gives a cookie that scripts and other sites cannot use', async () => {
    const alder = house.visitor()
    const answer = await alder.signIn(FIRST.signIn, FIRST.password)
    const cookie = answer.headers.getSetCookie().join()
    expect(cookie).toContain('HttpOnly')
    expect(cookie).toContain('SameSite=Strict')
  })
  it('keeps passwords as argon2id only', async () => {
    const { Client } = (await import('pg')).default
    const owner = new Client({ connectionString: house.ownerUrl.replace('lea_owner', 'lea_owner') })
    await owner.connect()
    await owner.query("select set_config('app.sign_in', $1, false)", [FIRST.signIn])
    const { rows } = await owner.query<{ password_hash: string }>('select password_hash from adults')
    await owner.end()
    expect(rows.map((r) => r.password_hash.slice(0, 10))).toEqual(['$argon2id$'])
  })
  it('refuses writes from another origin, or from none', async () => {
    const alder = house.visitor()
    await alder.signIn(FIRST.signIn, FIRST.password)
    const child = { nickname: 'Jarek', birth: '2023-01', concerns: [], diets: [], languages: [], needs: [] }
    const elsewhere = await alder.send('POST', '/api/children', child, { origin: 'http://elsewhere.test' })
    expect(elsewhere.status).toBe(403)
    expect((await alder.send('POST', '/api/children', child, { origin: 'null' })).status).toBe(403)
    expect((await alder.send('POST', '/api/children', child)).status).toBe(201)
  })
  it('shuts out after sign-out', async () => {
    const alder = house.visitor()
    await alder.signIn(FIRST.signIn, FIRST.password)
    expect((await alder.get('/api/me')).status).toBe(200)
    await alder.send('POST', '/api/sign-out')
    expect((await alder.get('/api/me')).status).toBe(401)
  })
  it('sets a strict content policy', async () => {
    const policy = (await house.visitor().get('/healthz')).headers.get('content-security-policy') ?? ''
    expect(policy).toContain("default-src 'self'")
    expect(policy).toContain("script-src 'self'")
    expect(policy).toContain("object-src 'none'")
  })
  it('grows tired of guessing', async () => {
    const guesser = house.visitor()
    const tries: number[] = []
    for (let i = 0; i < 6; i++) tries.push((await guesser.signIn('alder', `guess number ${i}`)).status)
    expect(tries.slice(0, 3)).toEqual([401, 401, 401])
    expect(tries.at(-1)).toBe(429)
  })
})
