/** What a device keeps of children: sealed, behind a short code, for some hours, and gone with the sign-in. */
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { KEPT_HOURS } from '../src/offline-cache/answers'
import { codeFault } from '../src/offline-cache/device-code'

/** A page is loaded: everything that it held in memory is gone, what the browser keeps stays. */
async function loadPage() {
  vi.resetModules()
  setActivePinia(createPinia())
  const [auth, answers, database, lock, code, starts] = await Promise.all([
    import('../src/stores/auth'),
    import('../src/offline-cache/answers'),
    import('../src/offline-cache/database'),
    import('../src/offline-cache/device-lock'),
    import('../src/offline-cache/device-code'),
    import('../src/offline-cache/offline-starts'),
  ])
  const pinia = await import('pinia')
  pinia.setActivePinia(pinia.createPinia())
  return { auth: auth.useAuthStore(), answers, database, lock, code, starts }
}
type Page = Awaited<ReturnType<typeof loadPage>>

const derive: typeof crypto.subtle.deriveKey = crypto.subtle.deriveKey.bind(crypto.subtle)
let rounds = 0
let network: 'up' | 'down' | 'signed out'
let who: { id: string; key: string }
const keys = { one: btoa('k'.repeat(32)), two: btoa('j'.repeat(32)) }
beforeEach(() => {
  network = 'up'
  who = { id: 'petra', key: keys.one }
  // Counted, and not gone through: a code takes a fraction of a second on purpose.
  vi.spyOn(crypto.subtle, 'deriveKey').mockImplementation((how, ...rest) => {
    rounds = (how as Pbkdf2Params).iterations
    return derive({ ...(how as Pbkdf2Params), iterations: 10 }, ...rest)
  })
  vi.stubGlobal('location', { assign: () => undefined })
  vi.stubGlobal('fetch', async (url: string) => {
    const path = url.replace(/\?.*/, '')
    if (network === 'down') throw new TypeError('Failed to fetch')
    if (network === 'signed out' && path !== '/api/first-visit')
      return new Response(JSON.stringify({ error: { says: 'sign in' } }), { status: 401 })
    const answers: Record<string, unknown> = {
      '/api/me': {
        person: { id: who.id, name: 'Petra Vance', role: 'owner' },
        setting: { name: 'Saltmere' },
      },
      '/api/me/device-key': { key: who.key },
      '/api/children': [{ nickname: 'Maren', carePlan: 'pen in the red bag' }],
      '/api/first-visit': { needed: false },
    }
    return new Response(JSON.stringify(answers[path] ?? {}))
  })
})
afterEach(async () => {
  const { database } = await loadPage()
  await database.forgetAll()
  vi.useRealTimers()
})
/** All that the browser keeps, as somebody would read it who takes it apart. */
async function kept({ database }: Page): Promise<string> {
  const db = await database.base()
  const stores = [...db.objectStoreNames]
  const rows = await Promise.all(stores.map((store) => db.getAll(store)))
  const text = (v: unknown): unknown =>
    v instanceof ArrayBuffer || ArrayBuffer.isView(v)
      ? Buffer.from(v as ArrayBuffer).toString('latin1')
      : v && typeof v === 'object'
        ? Object.values(v).map(text)
        : v
  return JSON.stringify(rows.map(text))
}
async function withCode(code = '4916'): Promise<Page> {
  const page = await loadPage()
  await page.auth.look()
  await page.answers.getCached('/children')
  await page.auth.chooseCode(code)
  return page
}

describe('a device without a network', () => {
  it('opens what it kept by the code, and shows nothing before', async () => {
    const first = await withCode()
    expect(await kept(first)).not.toMatch(/Maren|red bag|Petra|4916|k{32}/)
    network = 'down'
    const page = await loadPage()
    await page.auth.look()
    expect([page.auth.person, page.auth.away, page.auth.locked]).toEqual([null, true, true])
    await expect(page.answers.getCached('/children')).rejects.toThrow()
    expect(await page.auth.unlock('4917')).toMatch(/4 tries are left/)
    expect(page.auth.person).toBeNull()
    expect(await page.auth.unlock('4916')).toBe('')
    expect(page.auth.person?.name).toBe('Petra Vance')
    expect(rounds).toBeGreaterThanOrEqual(600_000)
    expect(JSON.stringify(await page.answers.getCached('/children'))).toContain('red bag')
  })
  it('goes on in the open page without any code, and keeps nothing that could be read', async () => {
    const page = await loadPage()
    await page.auth.look()
    await page.answers.getCached('/children')
    network = 'down'
    expect(JSON.stringify(await page.answers.getCached('/children'))).toContain('red bag')
    expect(await kept(page)).not.toMatch(/Maren|red bag/)
    const next = await loadPage()
    await next.auth.look()
    expect([next.auth.person, next.auth.locked]).toEqual([null, false])
  })
  it('throws the code away after five wrong ones, also where the page is loaded in between', async () => {
    await withCode()
    network = 'down'
    for (const left of [4, 3, 2, 1]) {
      const page = await loadPage()
      await page.auth.look()
      expect(await page.auth.unlock('0000')).toMatch(
        new RegExp(`^That is not the code. ${left === 1 ? 'One' : left} `),
      )
    }
    const page = await loadPage()
    await page.auth.look()
    expect(await page.auth.unlock('9999')).toMatch(/Too many/)
    expect(await page.auth.unlock('4916')).toMatch(/Too many/)
    expect(page.auth.person).toBeNull()
  })
  it('counts anew after the right code, and not while tries are made at once', async () => {
    await withCode()
    network = 'down'
    const page = await loadPage()
    await page.auth.look()
    for (let i = 0; i < 3; i++) await page.auth.unlock('0000')
    expect(await page.auth.unlock('4916')).toBe('')
    for (let i = 0; i < 3; i++) expect(await page.code.openByCode('0000')).toBe(4 - i)
    // Ten at once are ten tries.
    await Promise.all(Array.from({ length: 10 }, () => page.code.openByCode('1111')))
    expect(await page.code.openByCode('4916')).toBe(0)
  })
  it('keeps an answer for some hours, however often it is looked at', async () => {
    vi.useFakeTimers({ toFake: ['Date'] })
    await withCode()
    network = 'down'
    vi.setSystemTime(Date.now() + (KEPT_HOURS - 1) * 3600_000)
    const page = await loadPage()
    await page.auth.look()
    expect(await page.auth.unlock('4916')).toBe('')
    await page.answers.getCached('/children')
    vi.setSystemTime(Date.now() + 2 * 3600_000)
    await expect(page.answers.getCached('/children')).rejects.toThrow()
    const later = await loadPage()
    await later.auth.look()
    expect(await later.auth.unlock('4916')).toMatch(/too old/)
  })
  it('begins a session, sealed, and tells the server of it after a reload with or without a code', async () => {
    for (const code of ['4916', '']) {
      const page = code ? await withCode(code) : await loadPage()
      await page.auth.look()
      const session = { id: 's1', state: 'planned' }
      const plan = { digest: 'd', who: 'Maren' }
      await page.starts.startOffline(session as never, plan as never, { children: ['Maren'] } as never)
      expect(await kept(page)).not.toContain('Maren')
      network = 'down'
      const shut = await loadPage()
      await expect(shut.starts.startedOffline('s1')).rejects.toThrow(/cannot be opened yet/)
      network = 'up'
      const next = await loadPage()
      await next.auth.look()
      expect((await next.starts.startedOffline('s1'))?.plan).toEqual(plan)
      await next.database.forgetAll()
    }
  })
})

describe('a code', () => {
  it.each([
    ['4916', ''],
    ['80213547', ''],
    ['491', 'four to eight'],
    ['491600000', 'four to eight'],
    ['49 6', 'four to eight'],
    ['abcd', 'four to eight'],
    ['7777', 'All the same'],
    ['1234', 'one after the other'],
    ['9876', 'one after the other'],
    ['2468', ''],
  ])('%s: %s', (code, fault) => {
    expect(codeFault(code)).toContain(fault)
    if (fault === '') expect(codeFault(code)).toBe('')
  })
  it('goes with sign-out, with another person, and with another key', async () => {
    const page = await withCode()
    expect(await page.auth.signOut()).toBeNull()
    expect(await (await loadPage()).lock.lookForCode()).toBe(false)
    for (const other of [
      { id: 'seun', key: keys.one },
      { id: 'petra', key: keys.two },
    ]) {
      who = { id: 'petra', key: keys.one }
      await withCode()
      who = other
      const next = await loadPage()
      await next.auth.look()
      expect(next.lock.hasCode.value).toBe(false)
      await next.database.forgetAll()
    }
  })
  it('outlives a sign-in that ended by itself, of which nothing else stays', async () => {
    await withCode()
    network = 'signed out'
    const page = await loadPage()
    await page.auth.look()
    expect(page.lock.isOpen()).toBe(false)
    expect((await (await page.database.base()).getAll('answers')).length).toBe(0)
    network = 'up'
    const next = await loadPage()
    await next.auth.look()
    expect(next.lock.hasCode.value).toBe(true)
  })
})
