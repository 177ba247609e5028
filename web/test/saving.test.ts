/** Changes of a session on their way to the server: in their order, the latest only, and again once the network is back. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { shallowRef } from 'vue'
import type { StoredSession } from '@lea/core/setting'
import { savingOf } from '../src/stores/session/saving'

/** A machine that is busy is no failure. */
const soon = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 5 })
const session: StoredSession = {
  id: 'one',
  date: '2026-11-27',
  start: '10:00',
  until: '11:00',
  recipe: 'soda-bread',
  children: ['a'],
  guests: [],
  adults: ['p'],
  seats: {},
  decisions: [],
  state: 'planned',
} as unknown as StoredSession
const quick = { kind: 'scooping', way: 'quick' } as const

/** What came to the server, in order, and how it answers. */
let came: { path: string; body: Record<string, unknown> }[]
let answer: () => Promise<Response>
const ok = async () => new Response('{}')
const later = setTimeout

beforeEach(() => {
  came = []
  answer = ok
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    const response = await answer()
    came.push({ path, body: JSON.parse(String(init.body ?? '{}')) as Record<string, unknown> })
    return response
  })
  vi.stubGlobal('setTimeout', (then: () => void, ms = 0) => later(then, ms >= 1000 ? 5 : ms))
})
afterEach(() => vi.unstubAllGlobals())

function open() {
  const stored = shallowRef<StoredSession | null>(session)
  return { stored, saving: savingOf(stored) }
}
const decide = (stored: { value: StoredSession | null }, n: number) => {
  stored.value = { ...session, decisions: Array.from({ length: n }, () => quick) }
}
const counts = () => came.map((c) => (c.body['decisions'] as unknown[] | undefined)?.length ?? 'inputs')

describe('changes of a session', () => {
  it('come one after another, however long the first takes; what is overtaken is never sent', async () => {
    const { stored, saving } = open()
    let release = (): void => undefined
    answer = () => new Promise((done) => (release = () => done(new Response('{}'))))
    decide(stored, 1)
    const first = saving.save('decisions')
    await soon(() => expect(release.toString()).toMatch(/done/))
    decide(stored, 2)
    const second = saving.save('decisions')
    decide(stored, 3)
    const third = saving.save('decisions')
    expect(came).toEqual([])
    answer = ok
    release()
    expect(await Promise.all([first, second, third])).toEqual([null, null, null])
    expect(counts()).toEqual([1, 3])
    expect(saving.fault.value).toBe('')
  })

  it('are there before what is asked of the server after them', async () => {
    const { stored, saving } = open()
    decide(stored, 1)
    void saving.save('decisions')
    void saving.save('inputs')
    await saving.after(() => fetch('/api/sessions/one/cook', { method: 'POST', body: '{}' }))
    expect(came.map((c) => c.path)).toEqual([
      '/api/sessions/one/decisions',
      '/api/sessions/one',
      '/api/sessions/one/cook',
    ])
    expect(came[1]?.body).toMatchObject({ date: '2026-11-27', children: ['a'] })
  })

  it('are said not to be saved without a network, go by themselves when it is back, and stay on the screen', async () => {
    const { stored, saving } = open()
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    decide(stored, 2)
    await saving.save('decisions')
    expect(saving.fault.value).toMatch(/^Not saved: The server does not answer/)
    // The session is opened again: what the server told last is older than what was decided here.
    expect(saving.over(session).decisions).toHaveLength(2)
    expect(saving.over({ ...session, id: 'another' }).decisions).toHaveLength(0)
    saving.seen()
    expect(saving.fault.value).not.toBe('')
    answer = ok
    await soon(() => expect(saving.fault.value).toBe(''))
    expect(counts()).toEqual([2])
    expect(saving.over(session).decisions).toHaveLength(0)
  })

  it('that are refused are said once and not sent again', async () => {
    const { saving } = open()
    answer = async () =>
      new Response(JSON.stringify({ error: { says: 'date is missing', field: 'date' } }), { status: 400 })
    expect(await saving.save('inputs')).toMatchObject({ status: 400, field: 'date' })
    expect(saving.fault.value).toBe('Not saved: Date is missing.')
    answer = ok
    await saving.after(() => Promise.resolve())
    expect(came).toHaveLength(1)
    saving.seen()
    expect(saving.fault.value).toBe('')
  })

  it('hold the page back while they are not saved', async () => {
    const { saving } = open()
    const leave = () => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))
    expect(leave()).toBe(false)
    const saved = saving.save('inputs')
    expect(leave()).toBe(true)
    await saved
    expect(leave()).toBe(false)
  })
})
