/** The Diary as a calendar file, by RFC 5545, read back by a second library (node-ical; the file is written with ical.js). */
import ical, { type VEvent } from 'node-ical'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { DEMO_PASSWORD } from '../src/demo/people'
import { calendarOf } from '../src/files/calendar'
import { isTimeZone } from '@lea/core/amount'
import { openTestServer, type TestServer } from './test-server'

const session = (more: Partial<StoredSession> = {}): StoredSession => ({
  id: '6f1c1a7e-7f2e-4b6b-9d56-0a6f3c6f1d11',
  date: '2026-11-26',
  start: '10:15',
  until: '11:30',
  recipe: 'r',
  children: ['a', 'b'],
  guests: [],
  adults: ['c'],
  seats: [],
  decisions: [],
  state: 'planned',
  ...more,
})
const STAMP = new Date('2026-11-25T10:00:00Z')
const file = (title: string, zone = 'Europe/London', more: Partial<StoredSession> = {}): string =>
  calendarOf('Curlew House; Heron, Room', [{ session: session(more), title }], zone, STAMP)
const eventsOf = (text: string): VEvent[] =>
  Object.values(ical.sync.parseICS(text)).filter((c): c is VEvent => c?.type === 'VEVENT')

describe('a calendar file', () => {
  it('lines end in CRLF and are folded at 75 octets (RFC 5545, 3.1)', () => {
    const text = file(
      'Suppe mit Möhren, Linsen und Buchstaben, und noch ein langer Titel dahinter — ganz lang',
    )
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true)
    for (const line of text.split('\r\n'))
      expect(Buffer.byteLength(line, 'utf8'), line).toBeLessThanOrEqual(75)
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
  })
  it('commas, semicolons and backslashes are escaped (3.3.11), and come back as they were', () => {
    const title = 'Dip; with, a \\ and “quotes”'
    const text = file(title)
    expect(text).toContain('SUMMARY:Dip\\; with\\, a \\\\ and')
    expect(text).toMatch(/NAME(;VALUE=TEXT)?:Curlew House\\; Heron\\, Room/)
    expect(eventsOf(text)[0]?.summary).toBe(title)
  })
  it('DTSTAMP is in UTC (3.8.7.2); the hours are of the zone, with its VTIMEZONE beside (3.6.5)', () => {
    const text = file('Soup')
    expect(text).toContain('DTSTAMP:20261125T100000Z')
    expect(text).toContain('DTSTART;TZID=Europe/London:20261126T101500')
    expect(text).toContain('BEGIN:VTIMEZONE\r\nTZID:Europe/London')
  })
  it('a second library reads the same moment in each zone, in summer and in winter', () => {
    const at = (zone: string, date: string): string | undefined =>
      eventsOf(file('x', zone, { date }))[0]?.start.toISOString()
    expect(at('Europe/London', '2026-11-26')).toBe('2026-11-26T10:15:00.000Z')
    expect(at('Europe/London', '2026-07-02')).toBe('2026-07-02T09:15:00.000Z')
    expect(at('America/New_York', '2026-11-26')).toBe('2026-11-26T15:15:00.000Z')
    expect(at('Asia/Kolkata', '2026-11-26')).toBe('2026-11-26T04:45:00.000Z')
  })
  it('without an end it takes an hour; the same session keeps its id', () => {
    const [event] = eventsOf(file('x', 'Europe/London', { until: undefined }))
    expect(Number(event?.end) - Number(event?.start)).toBe(3_600_000)
    expect(event?.uid).toBe(`${session().id}@lea`)
  })
  it('knows zones from words', () => {
    expect(isTimeZone('Europe/London')).toBe(true)
    expect(isTimeZone('Saltmere/Quay')).toBe(false)
  })
})

describe('the Diary of a setting', () => {
  let house: TestServer
  beforeAll(async () => {
    house = await openTestServer({ demo: true })
  })
  afterAll(() => house.close())
  it('has every session once, without a child’s name', async () => {
    const petra = house.visitor()
    await petra.signIn('petra', DEMO_PASSWORD)
    const answer = await petra.get('/api/calendar.ics?zone=Europe/London')
    expect(answer.headers.get('content-type')).toContain('text/calendar')
    const sessions = (await petra.get('/api/sessions')).body as StoredSession[]
    const events = eventsOf(String(answer.body))
    expect(events.map((e) => e.uid).sort()).toEqual(sessions.map((s) => `${s.id}@lea`).sort())
    for (const name of ['Wren', 'Zuri', 'Otis', 'Bodhi']) expect(answer.body).not.toContain(name)
    expect((await petra.get('/api/calendar.ics?zone=Nowhere')).status).toBe(400)
  })
  it('a helper has none', async () => {
    const gwenda = house.visitor()
    await gwenda.signIn('gwenda', DEMO_PASSWORD)
    expect((await gwenda.get('/api/calendar.ics')).status).toBe(403)
  })
})
