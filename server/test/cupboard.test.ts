/** The cupboard behind the door, the shopping list as a table, and plans that an earlier version froze. */
import { PLAN_VERSION } from '@lea/core/plan'
import { randomUUID } from 'node:crypto'
import Papa from 'papaparse'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { SHIPPED_RECIPES } from '@lea/core/recipe'
import { inSetting } from '../src/db/pool'
import { shoppingCsv } from '../src/papers/shopping-csv'
import { FIRST, openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let owner: Visitor
let session = ''
beforeAll(async () => {
  house = await openTestServer()
  owner = house.visitor()
  await owner.send('POST', '/api/first-visit', FIRST)
  const adult = (await owner.get('/api/setting')).body.adults[0].id
  const bread = SHIPPED_RECIPES.find((r) => r.id === 'herb-soda-bread')
  const recipe = (await owner.send('POST', '/api/recipes', bread)).body.id
  const child = (
    await owner.send('POST', '/api/children', {
      nickname: 'Wren',
      birth: '2022-04',
      concerns: [],
      diets: [],
      languages: [],
      needs: [],
    })
  ).body.id
  session = (
    await owner.send('POST', '/api/sessions', {
      date: '2026-11-26',
      start: '10:15',
      recipe,
      children: [child],
      guests: [],
      adults: [adult],
      seats: [],
    })
  ).body.id
})
afterAll(() => house.close())

const flour = {
  have: { amount: '1/4', unit: 'kg' },
  packs: [{ size: '1500', unit: 'g', price: 110 }],
}

describe('the cupboard', () => {
  it('keeps what is there, what it costs and what it weighs, and gives it with the setting', async () => {
    const kept = await owner.send('PUT', '/api/setting/cupboard/wheat-flour', {
      ...flour,
      weighs: { grams: '140', unit: 'cup_m' },
    })
    expect(kept.status).toBe(200)
    expect((await owner.get('/api/setting')).body.cupboard).toEqual([
      { food: 'wheat-flour', ...flour, weighs: { grams: '140', unit: 'cup_m' } },
    ])
    await owner.send('PUT', '/api/setting/cupboard/wheat-flour', flour)
    expect((await owner.get('/api/setting')).body.cupboard).toEqual([{ food: 'wheat-flour', ...flour }])
  })
  it.each([
    [{ packs: [{ size: '0', unit: 'g', price: 1 }] }, 'packs[0].size', 'more than 0'],
    [{ packs: [{ size: '500', unit: 'g', price: -1 }] }, 'packs[0].price', 'at least 0'],
    [{ packs: [{ size: '500', unit: 'g', price: 'cheap' }] }, 'packs[0].price', 'pence or cents'],
    [{ packs: [], have: { amount: 'some', unit: 'g' } }, 'have.amount', 'is not an amount'],
    [{ packs: [], weighs: { grams: '1/0', unit: 'cup_m' } }, 'weighs.grams', 'divides by zero'],
    [{ packs: 'none' }, 'packs', 'must be a list'],
  ])('%j is refused at its field', async (body, field, says) => {
    const { status, body: answer } = await owner.send('PUT', '/api/setting/cupboard/wheat-flour', body)
    expect([status, answer.error.field]).toEqual([400, field])
    expect(answer.error.says).toContain(says)
    expect((await owner.get('/api/setting')).body.cupboard).toEqual([{ food: 'wheat-flour', ...flour }])
  })
  it('is seen by no other setting', async () => {
    const { rows } = await house.pool.query('select * from cupboard')
    expect(rows).toEqual([])
  })
  it('takes a food out, and says when it is not there', async () => {
    await owner.send('PUT', '/api/setting/cupboard/salt', { packs: [] })
    expect((await owner.send('DELETE', '/api/setting/cupboard/salt')).status).toBe(204)
    expect((await owner.send('DELETE', '/api/setting/cupboard/salt')).status).toBe(404)
  })
})

describe('the shopping list as a table', () => {
  it('is what the plan says, quoted as RFC 4180 has it, with a byte order mark', async () => {
    const { status, headers } = await owner.get(`/api/sessions/${session}/shopping.csv`)
    expect(status).toBe(200)
    expect(headers.get('content-type')).toContain('text/csv')
    const cookie = await fetch(`${house.base}/api/sessions/${session}/shopping.csv`)
    expect(cookie.status).toBe(401)
  })
  it('reads back with a general-purpose reader, and no cell begins a formula', async () => {
    const recipe = { ...SHIPPED_RECIPES[0], id: 'own:bad' }
    const request = (await owner.get(`/api/sessions/${session}/request`)).body
    const plan = await house.plans.compile(
      {
        ...request,
        recipe,
        foods: [],
      },
      { setting: 'any' },
    )
    const named = plan.shopping.map((s, i) => (i === 0 ? { ...s, name: '=cmd("x"),\n"flour"' } : s))
    const csv = shoppingCsv({ ...plan, shopping: named })
    expect(csv.startsWith('\ufeff')).toBe(true)
    expect(csv.endsWith('\r\n')).toBe(true)
    const { data, errors } = Papa.parse<Record<string, string>>(csv.slice(1).trimEnd(), { header: true })
    expect(errors).toEqual([])
    expect(data).toHaveLength(plan.shopping.length)
    expect(data[0]?.['food']).toBe('\'=cmd("x"),\n"flour"')
    expect(data.map((d) => d['needed'])).toEqual(plan.shopping.map((s) => s.text))
    for (const cell of data.flatMap((d) => Object.values(d))) expect(cell).not.toMatch(/^[=+\-@\t\r]/)
  })
})

describe('decisions about amounts', () => {
  it.each([
    [{ kind: 'make', make: { by: 'batches', batches: '3/2' } }, 200],
    [{ kind: 'make', make: { by: 'portions', portions: '0' } }, 400],
    [{ kind: 'make', make: { by: 'hope' } }, 400],
    [{ kind: 'make', make: { by: 'tin', tin: { shape: 'round', unit: 'cm' } } }, 400],
    [{ kind: 'scoops', task: 'all/fill/level-scoop/flour', ways: { cup: 1 } }, 200],
    [{ kind: 'scoops', task: 'x', ways: { cup: 1.5 } }, 400],
    [{ kind: 'scoops', task: 'x', ways: {} }, 400],
    [{ kind: 'measuring', way: 'parts' }, 200],
    [{ kind: 'measuring', way: 'guess' }, 400],
    [{ kind: 'scooping', way: 'quick' }, 200],
    [{ kind: 'got', food: 'wheat-flour', buy: '1 × 500 g' }, 200],
  ])('%j: %i', async (decision, status) => {
    expect((await owner.change(session, { decisions: [decision] })).status).toBe(status)
  })
})

describe('a plan that version 1 froze', () => {
  it('is read in today’s shape: its scoops, its shopping, and nothing made up', async () => {
    const request = (await owner.get(`/api/sessions/${session}/request`)).body
    const now = await house.plans.compile({ ...request, decisions: [] }, { setting: 'any' })
    const old = {
      ...now,
      version: 1,
      making: undefined,
      cost: undefined,
      measuring: undefined,
      kit: { ...now.kit, tools: now.kit.tools.map((t) => `${t.jobs[0] ?? ''}: ${t.name}`) },
      bowls: now.bowls.map((b) => ({ ...b, factor: undefined })),
      shopping: now.shopping.map(({ food, name, amount, unit, text }) => ({
        food,
        name,
        amount,
        unit,
        text,
      })),
      tasks: now.tasks.map((t) =>
        t.id.endsWith('/flour')
          ? {
              ...t,
              measured: {
                by: 'scoop',
                measure: 'cup',
                measureName: '1 cup',
                size: '1',
                unit: 'cup_m',
                n: 3,
                errPct: '0',
              },
            }
          : { ...t, measured: undefined },
      ),
    }
    const id = randomUUID()
    const { rows } = await house.pool.query<{ setting_id: string }>('select setting_id from all_doors()')
    await inSetting(house.pool, rows[0]?.setting_id ?? '', (db) =>
      db.query(
        `insert into sessions (id, setting_id, recipe_id, date, start, state, inputs, plan)
         select $1, setting_id, recipe_id, date, start, 'finished', inputs, $2 from sessions where id = $3`,
        [id, JSON.stringify(old), session],
      ),
    )
    const { plan } = (await owner.get(`/api/sessions/${id}`)).body
    expect(plan.version).toBe(PLAN_VERSION)
    const flourTask = plan.tasks.find((t: { id: string }) => t.id.endsWith('/flour'))
    expect(flourTask.measured).toEqual({
      by: 'scoop',
      parts: [{ measure: 'cup', name: '1 cup', size: '1', unit: 'cup_m', n: 3 }],
      n: 3,
      errPct: '0',
    })
    expect(plan.shopping[0]).toMatchObject({ buy: null, need: null, used: null })
    expect(plan.cost.unknown).toHaveLength(plan.shopping.length)
  })
})
