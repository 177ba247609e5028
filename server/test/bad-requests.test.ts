/** Bad input gets a clear error that names the fault: never a stack trace, never a 500. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { FIRST, openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let alder: Visitor
beforeAll(async () => {
  house = await openTestServer()
  alder = house.visitor()
  await alder.send('POST', '/api/first-visit', FIRST)
})
afterAll(() => house.close())

const child = { nickname: 'Jarek', birth: '2023-01', concerns: [], diets: [], languages: [], needs: [] }

describe('a request that is no good', () => {
  it('of 10 MB is refused as too large', async () => {
    const answer = await alder.send('POST', '/api/children', { ...child, carePlan: 'x'.repeat(10_000_000) })
    expect(answer.status).toBe(413)
    expect(answer.body.error.says).toContain('at most 1 MB')
  })
  it('of broken JSON, of a list, of a word, of nothing is refused with what is missing', async () => {
    expect((await alder.send('POST', '/api/children', '{"nickname":')).body.error.says).toBe(
      'the body is not valid JSON',
    )
    for (const body of ['[]', '"hello"', '17', undefined]) {
      const answer = await alder.send('POST', '/api/children', body)
      expect(answer.status, String(body)).toBe(400)
      expect(answer.body.error.says).toBeTruthy()
    }
  })
  it('of an unknown route says so, with and without a sign-in', async () => {
    for (const path of [
      '/api/nothing',
      '/nothing',
      '/api/sessions/not-an-id',
      '/api/record/children/%00',
      '/api/children/../../etc/passwd/export',
    ]) {
      const answer = await alder.get(path)
      expect(answer.status, path).toBe(404)
      expect(answer.body.error.says).toBeTruthy()
    }
    expect((await alder.send('PATCH', '/api/children', {})).status).toBe(404)
  })
  it.each([
    ['birth', '2031-01', 'future'],
    ['nickname', { $ne: null }, 'Nickname must be text'],
    ['nickname', 'a\u0000b', 'not text'],
    ['concerns', 'milk', 'Allergies must be a list'],
    ['concerns', [{ allergen: 'milk', level: 'hm' }], 'Level must be one of'],
  ])('a child whose %s is %j gets 400 with the field', async (field, value, says) => {
    const answer = await alder.send('POST', '/api/children', { ...child, [field]: value })
    expect(answer.status).toBe(400)
    expect(answer.body.error.field).toContain(field)
    expect(answer.body.error.says).toContain(says)
  })
  it('with a lone surrogate is stored or refused, and is no accident', async () => {
    const answer = await alder.send(
      'POST',
      '/api/children',
      `{"nickname":"\\ud800","birth":"2023-01","concerns":[],"diets":[],"languages":[],"needs":[]}`,
    )
    expect([201, 400]).toContain(answer.status)
  })
  it('never shows a stack', async () => {
    const answers = await Promise.all([alder.get('/api/nothing'), alder.send('POST', '/api/children', '{')])
    for (const a of answers) expect(JSON.stringify(a.body)).not.toMatch(/node_modules|at \w+ \(/)
  })
})

describe('SQL and script in every text field', () => {
  const nasty = `'); drop table children; -- <script>alert(1)</script> {{x}} \${x}`.slice(0, 40)
  it('are kept as text, letter by letter', async () => {
    const made = await alder.send('POST', '/api/children', { ...child, nickname: nasty, carePlan: nasty })
    expect(made.status).toBe(201)
    const list = (await alder.get('/api/children')).body as {
      id: string
      nickname: string
      carePlan: string
    }[]
    expect(list.find((c) => c.id === made.body.id)).toMatchObject({ nickname: nasty, carePlan: nasty })
    const recipes = (await alder.get('/api/recipes')).body
    const recipe = {
      ...recipes[0].recipe,
      id: 'own:x',
      title: nasty,
      about: nasty,
      storage: nasty,
      themes: [{ kind: 'other', name: nasty }],
      equipment: [nasty],
    }
    expect((await alder.send('POST', '/api/recipes', recipe)).body.recipe.title).toBe(nasty)
    expect((await alder.send('POST', '/api/adults', { name: nasty, leads: [] })).status).toBe(201)
  })
  it('do not get anybody in', async () => {
    const answer = await house.visitor().signIn("alder' or '1'='1", "' or 1=1 --")
    expect(answer.status).toBe(401)
  })
})

describe('two of a kind', () => {
  it('a sign-in name is taken once, in all settings', async () => {
    const adult = {
      name: 'Farida Quill',
      leads: [],
      role: 'helper',
      signIn: 'alder',
      password: 'another long one',
    }
    const answer = await alder.send('POST', '/api/adults', adult)
    expect(answer.status).toBe(409)
    expect(answer.body.error.says).toBe('this sign-in name is taken')
  })
})
