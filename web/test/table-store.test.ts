/** The table: nothing of one table stands at another, what is taken back is one's own, and what others tap is asked for. */
import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { TableEvent } from '@lea/core/session'
import { useTable } from '../src/stores/table/table'

/** What the server said of a table, being written down on this device: it waits here while it is held. */
let writing: ((id: string) => Promise<void>) | null = null
vi.mock('../src/offline-cache/outbox', async (whole) => {
  const real = await whole<typeof import('../src/offline-cache/outbox')>()
  return {
    ...real,
    keepHeard: async (id: string, events: TableEvent[]) => {
      await writing?.(id)
      return real.keepHeard(id, events)
    },
  }
})

const soon = (check: () => void) => vi.waitFor(check, { timeout: 15_000, interval: 5 })
let number = 0
const fresh = (): string => `table-${(number += 1)}`

const step = (n: number, device = 'other'): TableEvent => ({
  id: `${device}-${n}-${number}`,
  device,
  lamport: n,
  at: '2026-11-26T10:00:00.000Z',
  kind: 'step',
  body: { step: `s${n}` },
})

/** What the server has of each table; a number is the place in its log. */
let logs: Map<string, TableEvent[]>
let asked: string[]
const sessionIn = (path: string): string => /sessions\/([^/]+)\//.exec(path)?.[1] ?? ''

beforeEach(() => {
  logs = new Map()
  asked = []
  writing = null
  setActivePinia(createPinia())
  vi.stubGlobal(
    'EventSource',
    class {
      close(): void {}
      addEventListener(): void {}
    },
  )
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    const id = sessionIn(path)
    const log = logs.get(id) ?? []
    if (init.method === 'GET') {
      const after = Number(new URL(path, 'http://lea').searchParams.get('after'))
      asked.push(`${id} ${after}`)
      return new Response(
        JSON.stringify({ events: log.slice(after), last: log.length, now: new Date().toISOString() }),
      )
    }
    const { events } = JSON.parse(String(init.body)) as { events: TableEvent[] }
    for (const e of events) if (!log.some((k) => k.id === e.id)) log.push(e)
    logs.set(id, log)
    return new Response(JSON.stringify({ last: log.length }))
  })
})
afterEach(() => useTable().close())

describe('two tables on one device', () => {
  it('one that is opened while the answer of the other is still written down has all of its own', async () => {
    const [a, b] = [fresh(), fresh()]
    logs.set(
      a,
      Array.from({ length: 60 }, (_, n) => step(n)),
    )
    logs.set(
      b,
      Array.from({ length: 12 }, (_, n) => ({ ...step(100 + n), id: `b-${n}` })),
    )
    const table = useTable()
    let go: () => void = () => undefined
    const written = new Promise<void>((done) => (go = done))
    let isWriting = false
    writing = async (id) => {
      if (id !== a) return
      isWriting = true
      await written
    }
    void table.open(a)
    await soon(() => expect(isWriting).toBe(true))
    const opened = table.open(b)
    // The second is open before the first is written down.
    await new Promise((later) => setTimeout(later, 20))
    go()
    await opened
    await soon(() => expect(table.events.length).toBe(12))
    expect(table.events.every((e) => e.id.startsWith('b-'))).toBe(true)
    expect(asked.filter((q) => q.startsWith(b))[0]).toBe(`${b} 0`)
  })
  it('taps of the first wait for what its own session needs, not the second’s', async () => {
    const [a, b] = [fresh(), fresh()]
    const told: string[] = []
    const table = useTable()
    await table.open(a, undefined, async () => void told.push(a))
    const tap = table.add({ kind: 'step', body: { step: 's1' } })
    told.length = 0
    void table.open(b, undefined, async () => void told.push(b))
    await tap
    await soon(() => expect(logs.get(a)).toHaveLength(1))
    expect(told[0]).toBe(a)
  })
})

describe('a tap', () => {
  it('is taken back by the one who made it; the start, the end and others’ taps are not', async () => {
    const id = fresh()
    const table = useTable()
    await table.open(id)
    expect(table.canUndo).toBe(false)
    await table.add({ kind: 'begin', body: {} })
    expect(table.canUndo).toBe(false)
    await table.add({ kind: 'step', body: { step: 'one' } })
    await table.add({ kind: 'step', body: { step: 'two' } })
    expect(table.state.step).toBe('two')
    await table.undo()
    expect(table.state.step).toBe('one')
    await table.undo()
    expect(table.state.step).toBeNull()
    expect(table.canUndo).toBe(false)
  })
  it('that was alone is not asked for again; where somebody else tapped between, the rest is', async () => {
    const id = fresh()
    const table = useTable()
    await table.open(id)
    asked = []
    await table.add({ kind: 'step', body: { step: 'one' } })
    await soon(() => expect(table.waiting).toBe(0))
    expect(asked).toEqual([])
    logs.get(id)?.push(step(7))
    await table.add({ kind: 'step', body: { step: 'two' } })
    await soon(() => expect(table.events.some((e) => e.device === 'other')).toBe(true))
    expect(asked.length).toBeGreaterThan(0)
    expect(new Set(table.events.map((e) => e.id)).size).toBe(table.events.length)
  })
})
