/** Taps on their way to the server: none lost, none sent for good twice, and the number that is shown is the number that waits. */
import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TableEvent } from '@lea/core/session'
import { unsent } from '../src/offline-cache/outbox'
import { useTable } from '../src/stores/table/table'

/** A machine that is busy is no failure. */
const soon = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 5 })
type Answer = (events: TableEvent[]) => Response | Promise<Response>
const ok: Answer = () => new Response('{}', { status: 200 })
const says = (status: number, words: string) => () =>
  new Response(JSON.stringify({ error: { says: words } }), { status })

/** What the server has written down, in the order in which it came, each once by its id. */
let known: Map<string, TableEvent>
let messages: TableEvent[][]
let answer: Answer
let session = ''
let number = 0

function serve(): void {
  session = `session-${(number += 1)}`
  known = new Map()
  messages = []
  answer = ok
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    if (init.method === 'GET')
      return new Response(
        JSON.stringify({ events: [...known.values()], last: 0, now: new Date().toISOString() }),
      )
    if (path !== `/api/sessions/${session}/events`) throw new TypeError('of a page that is gone')
    const { events } = JSON.parse(String(init.body)) as { events: TableEvent[] }
    messages.push(events)
    const response = await answer(events)
    if (response.ok) for (const e of events) if (!known.has(e.id)) known.set(e.id, e)
    return response
  })
}

const tables: { close: () => void }[] = []
/** A fresh page at a table; the session is another one for each test. */
async function openTable(before = () => Promise.resolve(), use = useTable) {
  setActivePinia(createPinia())
  const table = use()
  tables.push(table)
  await table.open(session, () => undefined, before)
  return table
}
const note = (n: number) => ({ kind: 'step', body: { step: `s${n}` } }) as const
const stepsOf = (events: Iterable<TableEvent>): string[] =>
  [...events].map((e) => (e.kind === 'step' ? e.body.step : e.kind))

beforeEach(() => {
  vi.stubGlobal(
    'EventSource',
    class {
      close(): void {}
      addEventListener(): void {}
    },
  )
  serve()
})
afterEach(() => {
  for (const table of tables.splice(0)) table.close()
  vi.unstubAllGlobals()
})

describe('taps that wait', () => {
  it('are counted from the tap on, and no longer once the server has them', async () => {
    const table = await openTable()
    let release = (): void => undefined
    answer = () => new Promise((done) => (release = () => done(new Response('{}'))))
    const adding = table.add(note(1))
    // Not on the device yet: it counts, and is not said to be kept.
    expect([table.waiting, table.kept, table.words]).toEqual([1, 0, 'sending …'])
    await adding
    expect([table.waiting, table.kept, table.words]).toEqual([1, 1, '1 kept on this device, not sent yet'])
    await table.add(note(2))
    expect(table.waiting).toBe(2)
    await soon(() => expect(messages.length).toBe(1))
    answer = ok
    release()
    await soon(() => expect(table.waiting).toBe(0))
    expect(stepsOf(known.values())).toEqual(['s1', 's2'])
  })

  it('go by themselves where they came while the message before was just ending', async () => {
    // What the server has to know first takes a moment: a tap in that moment finds a list that was looked at as empty.
    let asked = 0
    const table = await openTable(async () => {
      asked += 1
      if (asked === 3) await table.add(note(2))
    })
    await table.add(note(1))
    await soon(() => expect(stepsOf(known.values())).toEqual(['s1', 's2']))
    await soon(() => expect(table.waiting).toBe(0))
  })

  it('are tried again when the network is away, and when the server fails', async () => {
    for (const [fail, after, words] of [
      [() => Promise.reject(new TypeError('Failed to fetch')), 2000, /does not answer/],
      [says(503, 'the database is away'), 2000, /database is away/],
      [says(500, 'something broke'), 10_000, /Something broke/],
      [says(429, 'too much at once'), 10_000, /Too much/],
    ] as const) {
      serve()
      const table = await openTable()
      answer = fail
      const timers = vi.spyOn(globalThis, 'setTimeout')
      await table.add(note(1))
      await soon(() => expect(table.fault).toMatch(words))
      expect(table.waiting).toBe(1)
      const call = timers.mock.calls.find(([, ms]) => ms === after)
      expect(call).toBeDefined()
      answer = ok
      ;(call?.[0] as () => void)()
      await soon(() => expect(table.waiting).toBe(0))
      expect(table.fault).toBe('')
      expect(known.size).toBe(1)
      timers.mockRestore()
    }
  })

  it('wait for somebody where nobody is signed in: they stay, and it is said', async () => {
    const table = await openTable()
    answer = says(401, 'sign in first')
    await table.add(note(1))
    await soon(() => expect(table.fault).toBe('Sign in first.'))
    expect(table.waiting).toBe(1)
    answer = ok
    await table.open(session)
    expect(table.waiting).toBe(0)
    expect(known.size).toBe(1)
  })

  it('are not lost with the page: the next one sends them', async () => {
    const table = await openTable()
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    await table.add(note(1))
    await table.add(note(2))
    await soon(() => expect(table.fault).not.toBe(''))
    answer = ok
    const later = await openTable()
    expect(later.state.step).toBe('s2')
    expect(later.waiting).toBe(0)
    expect(stepsOf(known.values())).toEqual(['s1', 's2'])
  })
})

describe('a tap that the server does not take', () => {
  it.each([
    [400, 'seconds must be at least 1'],
    [403, 'only the owner may say that it was read'],
    [404, 'this session is not there (any more)'],
  ])('is kept apart, is said, is not counted, and holds up no other (%i)', async (status, words) => {
    const table = await openTable()
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    for (let n = 1; n <= 7; n++) await table.add(note(n))
    await soon(() => expect(table.waiting).toBe(7))
    answer = (events) =>
      stepsOf(events).includes('s3') ? says(status, words)() : new Response('{}', { status: 200 })
    await table.send()
    await soon(() => expect([known.size, table.waiting]).toEqual([6, 0]))
    expect(table.refused.toLowerCase()).toBe(`${words}.`)
    expect(stepsOf(known.values())).toEqual(['s1', 's2', 's4', 's5', 's6', 's7'])
    // Those that come later go too.
    await table.add(note(8))
    await soon(() => expect([known.size, table.waiting]).toEqual([7, 0]))
    // It is no part of this table, and nobody has to wait with signing out for it; what it was is still said after a reload.
    expect(table.state.stepsSeen).not.toContain('s3')
    expect(await unsent()).not.toContain(session)
    const later = await openTable()
    expect(later.state.stepsSeen).not.toContain('s3')
    expect(later.refused.toLowerCase()).toBe(`${words}.`)
  })
})

describe('a device that can write nothing down', () => {
  it('sends its taps all the same, says so, and does not send them for ever', async () => {
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new DOMException('no room', 'QuotaExceededError')
      },
    })
    vi.resetModules()
    const { onlyInPage } = await import('../src/offline-cache/outbox')
    const table = await openTable(undefined, (await import('../src/stores/table/table')).useTable)
    answer = () => Promise.reject(new TypeError('Failed to fetch'))
    await table.add(note(1))
    await soon(() => expect(table.fault).not.toBe(''))
    expect([table.waiting, onlyInPage.value]).toEqual([1, 1])
    expect(table.words).toBe('1 in this page only, not sent yet')
    answer = ok
    await table.send()
    await soon(() => expect(table.waiting).toBe(0))
    expect(onlyInPage.value).toBe(0)
    expect(messages.filter((m) => m.length > 0).length).toBeLessThanOrEqual(3)
  })
})

describe('whatever the network does', () => {
  // Nobody has to wait for the next try here; that it comes by itself is the point.
  const later = setTimeout
  beforeEach(() =>
    vi.stubGlobal('setTimeout', (then: () => void, ms = 0) => later(then, ms >= 2000 ? 0 : ms)),
  )
  it('every tap arrives once, in its order, and nothing is left waiting', async () => {
    // Each number is what becomes of one message: through, lost on the way there, lost on the way back, or a server that fails.
    const weather = fc.array(fc.constantFrom('through', 'lost', 'unheard', 'broken'), { maxLength: 12 })
    await fc.assert(
      fc.asyncProperty(
        weather,
        fc.array(fc.nat(3), { minLength: 1, maxLength: 12 }),
        async (becomes, pauses) => {
          vi.resetModules()
          vi.stubGlobal('indexedDB', new IDBFactory())
          serve()
          const table = await openTable()
          const left = [...becomes]
          answer = (events) => {
            const fate = left.shift() ?? 'through'
            if (fate === 'through') return new Response('{}')
            if (fate === 'broken') return says(500, 'broken')()
            if (fate === 'unheard') for (const e of events) if (!known.has(e.id)) known.set(e.id, e)
            throw new TypeError('Failed to fetch')
          }
          for (const [n, pause] of pauses.entries()) {
            await table.add(note(n))
            for (let p = 0; p < pause; p++) await new Promise((done) => setTimeout(done, 0))
          }
          expect(table.waiting).toBeLessThanOrEqual(pauses.length)
          await vi.waitFor(
            async () => {
              await table.send()
              expect(table.waiting).toBe(0)
            },
            { timeout: 15_000, interval: 5 },
          )
          expect(stepsOf(known.values())).toEqual(pauses.map((_, n) => `s${n}`))
        },
      ),
      { numRuns: 60 },
    )
  })
})
