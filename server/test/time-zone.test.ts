/** What is today is so where the setting is: a helper there sees the sessions of its own day, whatever the server's midnight says. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { today } from '../src/clock'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let gwenda: Visitor
beforeAll(async () => {
  house = await openTestServer({ demo: true })
  ;[petra, gwenda] = [house.visitor(), house.visitor()]
  await petra.signIn('petra', DEMO_PASSWORD)
  await gwenda.signIn('gwenda', DEMO_PASSWORD)
})
afterAll(() => house.close())

const setZone = async (zone: string | undefined) => {
  const { rules, versions } = (await petra.get('/api/setting')).body
  return petra.send('PUT', '/api/setting/rules', {
    version: versions.rules,
    rules: { ...rules, zone },
  })
}

describe('the time zone of a setting', () => {
  it('is one that there is, or none', async () => {
    expect((await setZone('Europe/Nowhere')).status).toBe(400)
    expect((await setZone('Pacific/Kiritimati')).status).toBe(200)
    expect((await petra.get('/api/setting')).body.rules.zone).toBe('Pacific/Kiritimati')
  })
  it('says whose sessions are of today, for a helper', async () => {
    const setting = (await petra.get('/api/setting')).body
    const recipes = (await petra.get('/api/recipes')).body as { id: string }[]
    const children = (await petra.get('/api/children')).body as { id: string; concerns: unknown[] }[]
    const made: Record<string, string> = {}
    // East of all others and west of all others: there are always two days between them.
    const days = [today('Pacific/Kiritimati'), today('Pacific/Pago_Pago')]
    expect(days[0]).not.toBe(days[1])
    for (const date of days) {
      const answer = await petra.send('POST', '/api/sessions', {
        date,
        start: '10:15',
        recipe: recipes[0]?.id,
        children: children.filter((c) => c.concerns.length === 0).map((c) => c.id),
        guests: [],
        adults: setting.adults.map((a: { id: string }) => a.id),
        seats: [],
      })
      expect(answer.status, JSON.stringify(answer.body)).toBe(201)
      made[date] = answer.body.id
    }
    const seen = async (): Promise<string[]> =>
      ((await gwenda.get('/api/sessions')).body as StoredSession[]).map((s) => s.id)
    for (const [zone, mine, other] of [
      ['Pacific/Kiritimati', days[0], days[1]],
      ['Pacific/Pago_Pago', days[1], days[0]],
    ] as const) {
      expect((await setZone(zone)).status).toBe(200)
      expect(await seen(), zone).toContain(made[mine ?? ''])
      expect(await seen(), zone).not.toContain(made[other ?? ''])
      expect((await gwenda.get(`/api/sessions/${made[mine ?? '']}`)).status).toBe(200)
      expect((await gwenda.get(`/api/sessions/${made[other ?? '']}`)).status).toBe(404)
    }
  })
})
