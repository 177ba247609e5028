/** Small things that decide something: keys of the table, seats, labels under a strip, the way to the server. */
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { seatsFor } from '../src/parts/mats/seating'
import { roomFor } from '../src/parts/mats/marks'
import { api, ApiFault, inWords, isOffline, lastWrite } from '../src/shared/api'
import { dayText, timeText, todayText } from '../src/shared/dates'
import { useTableKeys } from '../src/table/useTableKeys'

describe('keys of the table', () => {
  const names = ['next', 'forward', 'back', 'timer', 'simpler', 'harder', 'note', 'help'] as const
  let done: string[]
  const scope = effectScope()
  const { on } = scope.run(() =>
    useTableKeys(
      Object.fromEntries(names.map((n) => [n, () => void done.push(n)])) as Record<
        (typeof names)[number],
        () => void
      >,
    ),
  ) as ReturnType<typeof useTableKeys>
  const press = (key: string, more: KeyboardEventInit = {}, on: Element = document.body): void => {
    on.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
  }
  beforeEach(() => {
    done = []
    on.value = true
    document.body.innerHTML = ''
  })
  it.each([
    [' ', 'next'],
    ['n', 'forward'],
    ['B', 'back'],
    ['t', 'timer'],
    ['s', 'simpler'],
    ['h', 'harder'],
    ['m', 'note'],
    ['?', 'help'],
  ])('%j is %s', (key, name) => {
    press(key)
    expect(done).toEqual([name])
  })
  it('are quiet in a field, on a button, in a dialog, with a modifier, and where they are switched off', () => {
    document.body.innerHTML = '<input id="i"><button id="b"></button><div role="dialog"><p id="p"></p></div>'
    for (const id of ['i', 'b', 'p']) press('n', {}, document.getElementById(id) as Element)
    press('n', { ctrlKey: true })
    press('n', { metaKey: true })
    press('n', { altKey: true })
    press('x')
    on.value = false
    press('n')
    expect(done).toEqual([])
  })
})

describe('seats round the tables', () => {
  it('everybody has one, at most twelve to a table, none on another', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), (count) => {
        const { seats, tables } = seatsFor(count)
        expect(seats.map((s) => s.index)).toEqual(Array.from({ length: count }, (_, i) => i))
        for (let t = 0; t < tables; t++)
          expect(seats.filter((s) => s.table === t).length).toBeLessThanOrEqual(12)
        const places = new Set(seats.map((s) => `${s.table} ${s.left.toFixed(2)} ${s.top.toFixed(2)}`))
        expect(places.size).toBe(count)
        // A mat is 56 px, and the smallest table that two of them stand beside each other at 225.
        for (const a of seats)
          for (const b of seats)
            if (a.index < b.index && a.table === b.table)
              expect(Math.max(Math.abs(a.left - b.left), Math.abs(a.top - b.top))).toBeGreaterThan(25)
        for (const s of seats) {
          expect(Math.min(s.left, s.top)).toBeGreaterThanOrEqual(11)
          expect(Math.max(s.left, s.top)).toBeLessThanOrEqual(89)
        }
      }),
    )
  })
})

describe('labels under a strip', () => {
  it('the first and the last always stand, and no two stand on each other', () => {
    const parts = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(parts, (sizes) => {
        const sum = sizes.reduce((a, b) => a + b, 0)
        const widths = sizes.map((s) => (100 * s) / sum)
        const marks = ['0', ...sizes.map((_, i) => String(i + 1))]
        const shown = roomFor(marks, widths, 12)
        expect(shown[0]?.text).toBe('0')
        expect(shown.at(-1)?.text).toBe(String(sizes.length))
        shown
          .slice(1, -1)
          .forEach((m, i) => expect(m.left - (shown[i]?.left ?? 0)).toBeGreaterThanOrEqual(12))
      }),
    )
  })
  it('a long label takes the room of its signs', () => {
    // A strip of a narrow column: 1 cup, then five teaspoons.
    const marks = ['0', '1/3 cup', '2/3 cup', '1 cup', '1 cup + 1 tsp', '1 cup + 2 tsp']
    const shown = roomFor(marks, [28, 28, 28, 8, 8], 24).map((m) => m.text)
    expect(shown).toEqual(['0', '1/3 cup', '1 cup + 2 tsp'])
  })
})

describe('the way to the server', () => {
  afterEach(() => vi.unstubAllGlobals())
  const answers = (status: number, body: string | null) =>
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(body, { status })))
  it.each([
    [400, '{"error":{"says":"nickname is missing","field":"nickname"}}', 'Nickname is missing.', 'nickname'],
    [409, '{"error":{"says":"the plan has changed","stops":3}}', 'The plan has changed.', undefined],
    [502, '<html>Bad gateway</html>', 'The server answered 502.', undefined],
  ])('a refusal %i is said in words', async (status, body, words, field) => {
    answers(status, body)
    const fault = await api('GET', '/x').catch((e: unknown) => e)
    expect(fault).toBeInstanceOf(ApiFault)
    expect([inWords(fault), (fault as ApiFault).field, (fault as ApiFault).status]).toEqual([
      words,
      field,
      status,
    ])
  })
  it('no answer at all is offline, and so is a server without its database', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
    expect(isOffline(await api('GET', '/x').catch((e: unknown) => e))).toBe(true)
    answers(503, '{}')
    expect(isOffline(await api('GET', '/x').catch((e: unknown) => e))).toBe(true)
    answers(500, '{}')
    expect(isOffline(await api('GET', '/x').catch((e: unknown) => e))).toBe(false)
  })
  it('remembers when something was sent, and reading is no sending', async () => {
    answers(200, '{}')
    const before = lastWrite()
    await api('GET', '/x')
    expect(lastWrite()).toBe(before)
    await api('PUT', '/x', {})
    expect(lastWrite()).toBeGreaterThan(before)
  })
  it('an answer without content is none', async () => {
    answers(204, null)
    expect(await api('DELETE', '/x')).toBeUndefined()
  })
})

describe('days and times as people read them', () => {
  it.each([
    ['2026-11-26', 'Thursday 26 November'],
    ['2028-02-29', 'Tuesday 29 February'],
  ])('%s is %s', (day, words) => expect(dayText(day)).toBe(words))
  it('today is today', () => expect(dayText(todayText())).toBe('today'))
  it('months and times', () => {
    expect(timeText(new Date(2026, 10, 26, 9, 5).toISOString())).toBe('09:05')
  })
})
