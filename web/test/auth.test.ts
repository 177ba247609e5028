/** Who is signed in: asked once, known without a network, and never signed out over taps that are not sent. */
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TableEvent } from '@lea/core/session'
import { forgetAnswers } from '../src/offline-cache/answers'
import { base, forgetAll } from '../src/offline-cache/database'
import { keep } from '../src/offline-cache/outbox'
import { useAuthStore } from '../src/stores/auth'

const petra = {
  person: { id: 'p', name: 'Petra Vance', role: 'owner' },
  setting: { name: 'Curlew House Nursery' },
}
let answer: (path: string, method: string) => Response | Promise<Response>
let asked: string[]
let went = ''
beforeEach(async () => {
  setActivePinia(createPinia())
  await forgetAll()
  forgetAnswers()
  asked = []
  went = ''
  answer = () => new Response(JSON.stringify(petra))
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    const path = url.replace('/api', '')
    asked.push(path)
    return answer(path, init.method ?? 'GET')
  })
  vi.stubGlobal('location', { assign: (to: string) => (went = to) })
})
afterEach(() => vi.unstubAllGlobals())
const refused = (status: number) => () =>
  new Response(JSON.stringify({ error: { says: 'sign in first' } }), { status })

describe('who is signed in', () => {
  it('is asked once', async () => {
    const auth = useAuthStore()
    await auth.look()
    await auth.look()
    expect(asked.map((a) => a.replace(/\?.*/, ''))).toEqual(['/me', '/me/device-key'])
    expect([auth.person?.name, auth.setting, auth.isOwner(), auth.isLeader()]).toEqual([
      'Petra Vance',
      'Curlew House Nursery',
      true,
      true,
    ])
  })
  it.each([
    ['leader', false, true],
    ['helper', false, false],
  ] as const)('a %s: owner %s, leader %s', async (role, owner, leader) => {
    answer = () => new Response(JSON.stringify({ ...petra, person: { ...petra.person, role } }))
    const auth = useAuthStore()
    await auth.look()
    expect([auth.isOwner(), auth.isLeader()]).toEqual([owner, leader])
  })
  it('is nobody where the server says so, and a first visit is asked about', async () => {
    answer = (path) => (path === '/first-visit' ? new Response('{"needed":true}') : refused(401)())
    const auth = useAuthStore()
    await auth.look()
    expect([auth.person, auth.firstVisit, auth.away]).toEqual([null, true, false])
  })
  it('is known without a network while the page is open', async () => {
    const first = useAuthStore()
    await first.look()
    setActivePinia(createPinia())
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    const later = useAuthStore()
    await later.look()
    expect([later.person?.name, later.away]).toEqual(['Petra Vance', false])
  })
  it('is not known where there is no network and nothing was kept: that is said', async () => {
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    const auth = useAuthStore()
    await auth.look()
    expect([auth.person, auth.away]).toEqual([null, true])
  })
})

describe('signing out', () => {
  const tap = {
    id: 'e1',
    device: 'd',
    lamport: 1,
    at: '2026-11-26T10:00:00Z',
    kind: 'step',
    body: { step: 's' },
  } as TableEvent
  it('leaves nothing of the setting on the device, and opens a fresh page', async () => {
    const auth = useAuthStore()
    await auth.look()
    localStorage.setItem('lea-recipe-draft:new', '{}')
    expect(await auth.signOut()).toBeNull()
    const db = await base()
    expect(await db.getAll('answers')).toEqual([])
    expect(localStorage.getItem('lea-recipe-draft:new')).toBeNull()
    expect([auth.person, went]).toEqual([null, '/sign-in'])
  })
  it('waits while taps are not sent', async () => {
    const auth = useAuthStore()
    await auth.look()
    await keep('session', tap)
    expect(await auth.signOut()).toMatch(/not sent yet/)
    expect([auth.person?.name, went]).toEqual(['Petra Vance', ''])
  })
  it('waits for a network: a device is not left signed in unseen', async () => {
    const auth = useAuthStore()
    await auth.look()
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    expect(await auth.signOut()).toMatch(/No network/)
    expect(went).toBe('')
  })
  it('of somebody whom the server does not know any more goes through', async () => {
    const auth = useAuthStore()
    await auth.look()
    answer = refused(401)
    expect(await auth.signOut()).toBeNull()
    expect(went).toBe('/sign-in')
  })
})
