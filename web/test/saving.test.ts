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
  seats: [],
  decisions: [],
  state: 'planned',
} as unknown as StoredSession
const quick = { kind: 'scooping', way: 'quick' } as const

/** What came to the server, in order, and how it answers. */
let came: { path: string; body: Record<string, unknown> }[]
let answer: () => Promise<Response>
const ok = async () => new Response(JSON.stringify({ session }))
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
  const told: StoredSession[] = []
  const saving = savingOf(stored, (s) => told.push(s))
  /** Changes the screen, and sends the difference. */
  const change = (to: Partial<StoredSession>) => {
    const before = stored.value as StoredSession
    stored.value = { ...before, ...to }
    return saving.save(before)
  }
  return { stored, saving, told, change }
}
type Sent = { kind: string; to?: unknown; was?: unknown; id?: string }
const sent = () =>
  came.flatMap((c) => (c.body['changes'] ? [(c.body['changes'] as Sent[]).map((x) => x.kind)] : []))
/** Once; then all is well. */
const conflict = (conflicts: unknown[]) => async () => {
  answer = ok
  return new Response(JSON.stringify({ error: { says: 'it meets', field: 'changes', conflicts } }), {
    status: 409,
  })
}

describe('changes of a session', () => {
  it('come one after another, however long the first takes; what is overtaken is never sent', async () => {
    const { saving, change } = open()
    let release = (): void => undefined
    answer = () => new Promise((done) => (release = () => done(new Response(JSON.stringify({ session })))))
    const first = change({ decisions: [quick] })
    await soon(() => expect(release.toString()).toMatch(/done/))
    const second = change({ start: '10:30' })
    const third = change({ start: '10:45' })
    expect(came).toEqual([])
    answer = ok
    release()
    expect(await Promise.all([first, second, third])).toEqual([null, null, null])
    expect(sent()).toEqual([['decide'], ['start']])
    expect(came[1]?.body['changes']).toEqual([{ kind: 'start', was: '10:00', to: '10:45' }])
    expect(saving.fault.value).toBe('')
  })

  it('are there before what is asked of the server after them', async () => {
    const { saving, change } = open()
    void change({ decisions: [quick] })
    void change({ children: [] })
    await saving.after(() => fetch('/api/sessions/one/cook', { method: 'POST', body: '{}' }))
    expect(came.at(-1)?.path).toBe('/api/sessions/one/cook')
    const all = came.slice(0, -1).flatMap((c) => c.body['changes'] as Sent[])
    expect(all).toEqual([
      { kind: 'decide', was: null, to: quick },
      { kind: 'child', id: 'a', here: false },
    ])
  })

  it.each([
    [
      'without a network',
      () => Promise.reject(new TypeError('Failed to fetch')),
      /^Not saved: The server does not/,
    ],
    [
      'where the server stumbles',
      async () => new Response(JSON.stringify({ error: { says: 'something broke' } }), { status: 500 }),
      /^Not saved: Something broke/,
    ],
  ] as const)(
    'are not saved %s, go by themselves when it is back, and stay on the screen',
    async (_, fails, says) => {
      const { saving, change } = open()
      answer = fails
      await change({ decisions: [quick] })
      expect(saving.fault.value).toMatch(says)
      // The session is opened again: what the server told last is older than what was decided here.
      expect(saving.over(session).decisions).toHaveLength(1)
      expect(saving.over({ ...session, id: 'another' }).decisions).toHaveLength(0)
      saving.seen()
      expect(saving.fault.value).not.toBe('')
      answer = ok
      await soon(() => expect(saving.fault.value).toBe(''))
      expect(saving.over(session).decisions).toHaveLength(0)
    },
  )

  it('that are refused are said once and not sent again', async () => {
    const { saving, change } = open()
    answer = async () =>
      new Response(JSON.stringify({ error: { says: 'date is missing', field: 'date' } }), { status: 400 })
    expect(await change({ date: '' })).toMatchObject({ status: 400, field: 'date' })
    expect(saving.fault.value).toBe('Not saved: Date is missing.')
    answer = ok
    await saving.after(() => Promise.resolve())
    expect(came).toHaveLength(1)
    saving.seen()
    expect(saving.fault.value).toBe('')
  })

  it('that meet somebody else’s are shown with both sides, and all others are saved', async () => {
    const { saving, told, stored } = open()
    const theirs = { kind: 'scooping', way: 'fair' } as const
    answer = conflict([{ change: { kind: 'decide', was: null, to: quick }, now: theirs }])
    const before = stored.value as StoredSession
    stored.value = { ...before, decisions: [quick], start: '10:30' }
    const saved = saving.save(before)
    await saved
    expect(sent()[0]).toEqual(['start', 'decide'])
    expect(saving.conflicts.value).toEqual([
      { change: { kind: 'decide', was: null, to: quick }, now: theirs },
    ])
    await soon(() => expect(told.length).toBeGreaterThan(0))
    // Mine, having seen theirs: made on what is there now.
    came = []
    const [met] = saving.conflicts.value
    await saving.settle(met as never, 'mine')
    expect(came[0]?.body['changes']).toEqual([{ kind: 'decide', was: theirs, to: quick }])
    expect(saving.conflicts.value).toEqual([])
  })

  it('of a conflict that is left to the others nothing is sent', async () => {
    const { saving, change } = open()
    answer = conflict([{ change: { kind: 'start', was: '10:00', to: '10:30' }, now: '11:00' }])
    void change({ start: '10:30' })
    await soon(() => expect(saving.conflicts.value).toHaveLength(1))
    const count = came.length
    await saving.settle(saving.conflicts.value[0] as never, 'theirs')
    expect(saving.conflicts.value).toEqual([])
    expect(came.slice(count).filter((c) => c.path.endsWith('/changes'))).toEqual([])
  })

  it('hold the page back while they are not saved', async () => {
    const { change } = open()
    const leave = () => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))
    expect(leave()).toBe(false)
    const saved = change({ start: '10:30' })
    expect(leave()).toBe(true)
    await saved
    expect(leave()).toBe(false)
  })
})
