/** A child's card is changed while cooking: every table that is at work with it hears of it, and the plan in force is planned anew. */
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { Plan } from '@lea/core/plan'
import { childrenNotCoveredByPlan } from '@lea/core/session'
import { type StoredChild, type StoredSession, atTable } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let session: StoredSession
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
  const all = (await petra.get('/api/sessions')).body as StoredSession[]
  session = all.find((s) => s.state === 'planned') as StoredSession
})
afterAll(() => house.close())

/** A machine that is busy is no failure. */
const soon = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 5 })
const children = async () => (await petra.get('/api/children')).body as StoredChild[]
const now = async () =>
  (await petra.get(`/api/sessions/${session.id}`)).body as { session: StoredSession; plan: Plan }
const put = async (child: StoredChild, more: Partial<StoredChild>) => {
  const all = (await petra.get('/api/children')).body as StoredChild[]
  const version = all.find((c) => c.id === child.id)?.version
  const { id, nickname, birth, concerns, diets, languages, needs } = child
  return petra.send('PUT', `/api/children/${id}`, {
    ...{ nickname, birth, concerns, diets, languages, needs },
    ...(child.hand && { hand: child.hand }),
    ...(child.carePlan && { carePlan: child.carePlan }),
    ...(child.limits && { limits: child.limits }),
    ...more,
    version,
  })
}
const swap = { kind: 'swap', line: 'buttermilk', swap: 'buttermilk>oat-drink' }
const decide = (decisions: object[]) => petra.change(session.id, { decisions })

describe('a card that changes while cooking', () => {
  let child: StoredChild
  it('changes nothing by itself: what is saved as it was, leaves the plan known to everybody', async () => {
    expect((await decide([swap])).status).toBe(200)
    expect((await petra.send('POST', `/api/sessions/${session.id}/cook`, {})).status).toBe(200)
    const { session: stored, plan } = await now()
    const list = await children()
    expect(childrenNotCoveredByPlan(plan, atTable(stored, list))).toEqual([])
    child = list.find((c) => c.id === stored.children[0]) as StoredChild
    expect((await put(child, { nickname: `${child.nickname} B` })).status).toBe(200)
    expect(childrenNotCoveredByPlan(plan, atTable(stored, await children()))).toEqual([])
    expect((await decide([{ ...swap, swap: 'buttermilk>soya-drink' }])).status).toBe(409)
  })

  it('is heard at the table, and the plan in force does not know it', async () => {
    const ear = await petra.hear(session.id)
    await soon(() => expect(ear.news.length).toBeGreaterThan(0))
    const before = ear.news.length
    const wheat = { allergen: 'Gluten', level: 'allergy-strict' as const }
    expect((await put(child, { concerns: [...child.concerns, wheat] })).status).toBe(200)
    await soon(() => expect(ear.news.slice(before)).toContain('session'))
    ear.leave()
    const { session: stored, plan } = await now()
    expect(childrenNotCoveredByPlan(plan, atTable(stored, await children()))).toEqual([child.id])
  })

  it('may be settled at the table, and not passed over: a stop is open until it is', async () => {
    const refused = await petra.send('POST', `/api/sessions/${session.id}/replan`, {})
    expect(refused.status).toBe(409)
    const stops = refused.body.error.stops as { id: string; cause: string; says: string }[]
    expect(stops.length).toBeGreaterThan(0)
    expect(stops.every((s) => /gluten/i.test(s.says))).toBe(true)
    const reasons = stops.map(({ id, cause }) => ({
      kind: 'clear',
      finding: id,
      cause,
      who: session.adults[0],
      why: 'Own portion from home, in an own bowl.',
    }))
    expect((await decide([swap, ...reasons])).status).toBe(200)
    expect((await petra.send('POST', `/api/sessions/${session.id}/replan`, {})).status).toBe(200)
    const { session: stored, plan } = await now()
    expect(childrenNotCoveredByPlan(plan, atTable(stored, await children()))).toEqual([])
    expect(plan.cleared.length).toBeGreaterThanOrEqual(stops.length)
    // From here on decisions stand again.
    expect((await decide([swap])).status).toBe(409)
  })
})
