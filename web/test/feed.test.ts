/** A table's feed: whatever ends a stream, it is heard again; and what a stream does not tell is asked for. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { type Feed, useFeed } from '../src/shared/feed'

/** A stream as a browser gives it, driven by hand. */
class Stream {
  static all: Stream[] = []
  closed = false
  onopen: (() => void) | null = null
  onmessage: ((e: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  readonly named = new Map<string, () => void>()
  constructor() {
    Stream.all.push(this)
  }
  addEventListener(name: string, then: () => void): void {
    this.named.set(name, then)
  }
  close(): void {
    this.closed = true
  }
}
const last = (): Stream => Stream.all.at(-1) as Stream
const opened = (): Stream[] => Stream.all.filter((s) => !s.closed)

let heard: string[]
let feed: Feed
let scope: ReturnType<typeof effectScope>
beforeEach(() => {
  vi.useFakeTimers()
  Stream.all = []
  heard = []
  scope = effectScope()
  feed = scope.run(() => useFeed(() => new Stream() as unknown as EventSource)) as Feed
  feed.open('/api/sessions/a/live', (says) => heard.push(says))
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})

describe('a feed', () => {
  it('asks as it opens, and tells what is said', () => {
    last().onopen?.()
    last().onmessage?.({ data: 'events' })
    last().onmessage?.({ data: 'events' })
    expect(heard).toEqual(['ask', 'events', 'events'])
    expect(feed.live.value).toBe(true)
  })
  it.each([
    ['200 that ended', (s: Stream) => s.onerror?.()],
    ['502', (s: Stream) => s.onerror?.()],
    ['503', (s: Stream) => s.onerror?.()],
    ['a wrong content type', (s: Stream) => s.onerror?.()],
    ['a body that never says a word', () => vi.advanceTimersByTime(46_000)],
    [
      'a tablet that slept after it was heard',
      (s: Stream) => {
        s.onopen?.()
        vi.advanceTimersByTime(46_000)
      },
    ],
  ])('is heard again after %s, and again, and again', (_, cut) => {
    for (let i = 0; i < 12; i++) {
      const before = last()
      cut(before)
      expect(before.closed).toBe(true)
      expect(feed.live.value).toBe(false)
      // Within the longest wait there is another one, and only that.
      for (let ms = 0; ms < 26_000 && last() === before; ms += 100) vi.advanceTimersByTime(100)
      expect(last()).not.toBe(before)
      expect(opened()).toHaveLength(1)
    }
    last().onopen?.()
    expect(heard.at(-1)).toBe('ask')
    expect(feed.live.value).toBe(true)
  })
  it('does not storm a server that is away: longer each time, and never longer than half a minute', () => {
    const gaps: number[] = []
    for (let i = 0; i < 10; i++) {
      const before = Stream.all.length
      last().onerror?.()
      let waited = 0
      while (Stream.all.length === before) {
        vi.advanceTimersByTime(100)
        waited += 100
      }
      gaps.push(waited)
    }
    expect(gaps[0]).toBeLessThanOrEqual(1500)
    expect(Math.min(...gaps.slice(-3))).toBeGreaterThan(12_000)
    expect(Math.max(...gaps)).toBeLessThanOrEqual(26_000)
  })
  it('asks every half minute though the stream says nothing, and at once when somebody comes back', () => {
    last().onopen?.()
    heard = []
    vi.advanceTimersByTime(15_000)
    last().named.get('alive')?.()
    vi.advanceTimersByTime(16_000)
    expect(heard).toEqual(['ask'])
    window.dispatchEvent(new Event('focus'))
    window.dispatchEvent(new Event('online'))
    expect(heard).toEqual(['ask', 'ask', 'ask'])
  })
  it('of one table is never taken for another’s', () => {
    const first = last()
    first.onopen?.()
    const other: string[] = []
    feed.open('/api/sessions/b/live', (says) => other.push(says))
    heard = []
    first.onmessage?.({ data: 'session' })
    first.onopen?.()
    first.onerror?.()
    expect([heard, other]).toEqual([[], []])
    expect(last().closed).toBe(false)
    last().onmessage?.({ data: 'events' })
    expect([heard, other]).toEqual([[], ['events']])
  })
  it('ends with its page: no stream, no question after', () => {
    feed.close()
    vi.advanceTimersByTime(300_000)
    window.dispatchEvent(new Event('focus'))
    expect(opened()).toEqual([])
    expect(heard).toEqual([])
  })
})
