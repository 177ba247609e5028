/** What is asked for before the page is there: taken once, and never when it may be out of date. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { api, askEarly, isOffline } from '../src/shared/api'

let asked: string[]
let away = false
beforeEach(() => {
  vi.useFakeTimers()
  asked = []
  away = false
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
    asked.push(`${init?.method ?? 'GET'} ${path}`)
    return away
      ? Promise.reject(new TypeError('no network'))
      : Promise.resolve(new Response(JSON.stringify({ n: asked.length }), { status: 200 }))
  })
})
afterEach(() => {
  vi.advanceTimersByTime(60_000)
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('asked early', () => {
  it('is taken once; the next who asks gets a new answer', async () => {
    askEarly(['/children', '/recipes'])
    expect(asked).toEqual(['GET /api/children', 'GET /api/recipes'])
    expect(await api('GET', '/children')).toEqual({ n: 1 })
    expect(await api('GET', '/children')).toEqual({ n: 3 })
    expect(await api('GET', '/recipes')).toEqual({ n: 2 })
  })
  it('is not taken after something was sent, nor after a while', async () => {
    askEarly(['/children'])
    await api('PUT', '/children/a', {})
    expect(await api('GET', '/children')).toEqual({ n: 3 })
    askEarly(['/children'])
    vi.advanceTimersByTime(10_001)
    expect(await api('GET', '/children')).toEqual({ n: 5 })
  })
  it('without a network it is said as ever, and nothing is left unhandled', async () => {
    away = true
    askEarly(['/children', '/packets'])
    const fault = await api('GET', '/children').catch((e: unknown) => e)
    expect(isOffline(fault)).toBe(true)
  })
})
