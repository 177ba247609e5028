/** Recipes as they go out: their published schema, and those that an earlier version saved, against a real server and database. */
import { Ajv2020 } from 'ajv/dist/2020'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
const signedIn = async (name: string): Promise<Visitor> => {
  const visitor = house.visitor()
  expect((await visitor.signIn(name, DEMO_PASSWORD)).status).toBe(200)
  return visitor
}
const settingOf = async (v: Visitor): Promise<string> =>
  ((await v.get('/api/me')).body as { person: { settingId: string } }).person.settingId

beforeAll(async () => {
  house = await openTestServer({ demo: true })
})
afterAll(() => house.close())

describe('the schema of a recipe', () => {
  it('is published, and takes what the recipes of a setting go out as', async () => {
    const petra = await signedIn('petra')
    const schema = (await petra.get('/recipe.schema.json')).body as object
    const check = new Ajv2020({ strict: false }).compile(schema)
    for (const { recipe } of (await petra.get('/api/recipes')).body as { recipe: unknown }[])
      expect(check(recipe)).toBe(true)
  })
  it('a recipe that an earlier version saved is brought up when it is read', async () => {
    const petra = await signedIn('petra')
    await house.sql(
      `update recipes set body = body || '{"schema": 1, "themes": ["autumn"]}' where title = 'Herb soda bread'`,
      await settingOf(petra),
    )
    const rows = (await petra.get('/api/recipes')).body as {
      recipe: { title: string; schema: number; themes: unknown }
    }[]
    expect(rows.find((r) => r.recipe.title === 'Herb soda bread')?.recipe).toMatchObject({
      schema: 2,
      themes: [{ kind: 'season', name: 'autumn' }],
    })
  })
})
