/** A recipe that cannot be planned in time is told so when it is saved; nothing is said against one that can. */
import { Worker } from 'node:worker_threads'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Recipe, SHIPPED_RECIPES } from '@lea/core/recipe'
import { recipeSchema } from '@lea/core/schema'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
})
afterAll(() => house.close())

/** As large as the form of a recipe lets it be. */
function large(steps: number, tasks: number, turns: number): Recipe {
  const [shipped] = SHIPPED_RECIPES
  const [line] = shipped?.lines ?? []
  return {
    ...(shipped as Recipe),
    id: 'own:large',
    title: 'Large',
    lines: line ? [line] : [],
    steps: Array.from({ length: steps }, (_, s) => ({
      id: `s${s}`,
      title: `Step ${s}`,
      picture: 'bowl',
      uses: s === 0 && line ? [{ line: line.id, part: '1' }] : [],
      tasks: Array.from({ length: tasks }, () => ({
        technique: 'stir',
        mode: 'TURNS' as const,
        turns,
        seconds: 30,
      })),
    })),
    ahead: undefined,
    choices: undefined,
  }
}

describe('a recipe that is saved', () => {
  it('is told where a plan of it takes too long, and is not kept', async () => {
    const recipe = large(40, 12, 200)
    // The form itself has nothing against it.
    expect(recipeSchema.isValidSync(recipe)).toBe(true)
    const before = ((await petra.get('/api/recipes')).body as unknown[]).length
    const began = Date.now()
    const { status, body } = await petra.send('POST', '/api/recipes', recipe)
    expect(status).toBe(409)
    expect(body.error).toMatchObject({
      field: 'steps',
      says: expect.stringMatching(/takes more than 5 seconds/),
    })
    expect(Date.now() - began).toBeLessThan(40_000)
    expect((await petra.get('/api/recipes')).body).toHaveLength(before)
  }, 60_000)
  it('goes in on a server that is as busy as can be: what it costs is counted, not how long it waited', async () => {
    const busy = Array.from({ length: 2 }, () => new Worker('for (;;);', { eval: true }))
    try {
      const { status, body } = await petra.send('POST', '/api/recipes', {
        ...large(10, 4, 6),
        id: 'own:busy',
      })
      expect([status, body.error?.says]).toEqual([201, undefined])
    } finally {
      for (const one of busy) await one.terminate()
    }
  }, 60_000)
  it('goes in where it can be planned: all that Lea comes with, and one of ten steps of four jobs', async () => {
    for (const recipe of [...SHIPPED_RECIPES.map((r) => ({ ...r, id: `own:${r.id}` })), large(10, 4, 6)]) {
      const { status, body } = await petra.send('POST', '/api/recipes', recipe)
      expect([recipe.title, status, body.error?.says]).toEqual([recipe.title, 201, undefined])
    }
  }, 60_000)
})
