/** What a watch and an operator see of a server: metrics, numbers of faults, a full disk, a pooler that would mix people up. */
import { request } from 'node:http'
import pino from 'pino'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StoredSession } from '@lea/core/setting'
import { type DatabaseLine, poolerFault } from '../src/operator/direct'
import { DEMO_PASSWORD } from '../src/demo/people'
import { openMetrics, serveMetrics } from '../src/metrics'
import { openStopping } from '../src/stopping'
import { openTestServer, type TestServer, type Visitor } from './test-server'

let house: TestServer
let petra: Visitor
let log: string[]
beforeAll(async () => {
  log = []
  house = await openTestServer({
    demo: true,
    log: pino({ level: 'debug' }, { write: (line: string) => void log.push(line) }),
  })
  petra = house.visitor()
  await petra.signIn('petra', DEMO_PASSWORD)
})
afterAll(() => house.close())

const fetched = (url: string): Promise<{ status: number; type: string; text: string }> =>
  new Promise((done, fail) => {
    request(url, (res) => {
      let text = ''
      res.on('data', (piece: Buffer) => (text += piece.toString()))
      res.on('end', () =>
        done({ status: res.statusCode ?? 0, type: res.headers['content-type'] ?? '', text }),
      )
    })
      .on('error', fail)
      .end()
  })

describe('metrics', () => {
  it('are in the text format, count what is done, and hold nothing of a setting', async () => {
    const session = ((await petra.get('/api/sessions')).body as StoredSession[])[0]
    await petra.raw('GET', `/api/sessions/${session?.id ?? ''}/papers/run.pdf`)
    const text = await house.metrics.text()
    // Prometheus' text format: HELP, TYPE, and lines of name{labels} value (prometheus.io, 'Exposition formats'; from memory).
    for (const line of text.split('\n').filter(Boolean))
      expect(line).toMatch(
        /^(# (HELP|TYPE) \w+ .+|[a-z_:]\w*(\{(\w+="[^"\n]*",?)*\})? (-?[\d.e+-]+|Nan|NaN|\+?Inf))$/i,
      )
    const value = (name: string): number =>
      Number(new RegExp(`^${name} ([\\d.e+-]+)$`, 'm').exec(text)?.[1] ?? NaN)
    expect(value('lea_http_answers_total\\{kind="paper",status="2xx"\\}')).toBe(1)
    expect(value('lea_http_answer_seconds_count\\{kind="paper"\\}')).toBe(1)
    for (const name of [
      'lea_work_waiting',
      'lea_work_running',
      'lea_database_lines',
      'nodejs_eventloop_lag_seconds',
    ])
      expect(text).toContain(name)
    const me = (await petra.get('/api/me')).body.person as { settingId: string; name: string }
    for (const own of [me.settingId, me.name, session?.id ?? '?']) expect(text).not.toContain(own)
    // Few kinds, whatever is asked.
    for (let n = 0; n < 30; n++) await petra.get(`/api/nothing/${n}`)
    const kinds = new Set([...(await house.metrics.text()).matchAll(/kind="(\w+)"/g)].map((m) => m[1]))
    expect(kinds.size).toBeLessThan(12)
  })
  it('are served at an address of their own, and nothing else is', async () => {
    const own = openMetrics({ pool: house.pool, plans: house.plans, stopping: openStopping() })
    own.swept(false)
    own.swept(true)
    const server = await serveMetrics(own, '127.0.0.1:0')
    const address = server?.address()
    const at = `http://127.0.0.1:${typeof address === 'object' ? (address?.port ?? 0) : 0}`
    expect(await fetched(`${at}/metrics`)).toMatchObject({
      status: 200,
      type: expect.stringMatching(/^text\/plain/),
    })
    expect((await fetched(`${at}/metrics`)).text).toMatch(/lea_sweeps_total\{ended="badly"\} 1/)
    expect((await fetched(`${at}/api/children`)).status).toBe(404)
    server?.close()
    expect(await serveMetrics(own, '')).toBeNull()
    await expect(serveMetrics(own, 'everywhere')).rejects.toThrow(/LEA_METRICS is host:port/)
    expect((await petra.get('/metrics')).status).toBe(404)
  })
})

describe('a fault that nobody foresaw', () => {
  it('has a number, which stands in the log beside what happened; no id of anybody does', async () => {
    const me = (await petra.get('/api/me')).body.person as { settingId: string }
    const children = (await petra.get('/api/children')).body as { id: string; nickname: string }[]
    await house.sql('alter table cupboard rename to cupboard_away', me.settingId)
    const answer = await petra.get('/api/setting')
    await house.sql('alter table cupboard_away rename to cupboard', me.settingId)
    expect(answer.status).toBe(500)
    const number = /fault ([0-9a-f]{8})\)/.exec(answer.body.error.says as string)?.[1] ?? 'none'
    expect(answer.headers.get('x-request-id')).toMatch(new RegExp(`^${number}`))
    expect(log.some((line) => line.includes(number) && line.includes('cupboard'))).toBe(true)
    await petra.get(`/api/children/${children[0]?.id ?? ''}/export`)
    const all = log.join('')
    expect(all).toContain('/api/children/:id/export')
    for (const { id, nickname } of children) {
      expect(all).not.toContain(id)
      expect(all).not.toContain(`"${nickname}"`)
    }
    expect(all).not.toContain('petra')
  })
})

describe('a disk that is full', () => {
  it('says so; what is on the device stays, and goes on when there is room', async () => {
    const me = (await petra.get('/api/me')).body.person as { settingId: string }
    const session = ((await petra.get('/api/sessions')).body as StoredSession[]).find(
      (s) => s.state === 'finished',
    )
    const tap = (id: string) => ({
      events: [
        { id, device: 'd', lamport: 5000, at: '2026-11-26T10:00:00Z', kind: 'note', body: { text: 'x' } },
      ],
    })
    const id = '0b1f2a3c-1111-4222-8333-444455556666'
    // As PostgreSQL says it (errcodes-appendix: 53100 disk_full).
    await house.sql(
      `create function no_room() returns trigger language plpgsql as $$ begin
         raise exception 'could not extend file: No space left on device' using errcode = 'disk_full';
       end $$;
       create trigger no_room before insert on events for each row execute function no_room()`,
      me.settingId,
    )
    const path = `/api/sessions/${session?.id ?? ''}/events`
    expect(await petra.send('POST', path, tap(id))).toMatchObject({
      status: 507,
      body: { error: { says: expect.stringMatching(/disk of the database is full/) } },
    })
    expect((await petra.get('/api/children')).status).toBe(200)
    await house.sql('drop trigger no_room on events; drop function no_room()', me.settingId)
    expect((await petra.send('POST', path, tap(id))).status).toBe(200)
    const { events } = (await petra.get(path)).body as { events: { id: string }[] }
    expect(events.filter((e) => e.id === id)).toHaveLength(1)
  })
})

describe('the address of the database', () => {
  /** Lines to one server; `shared` hands all of them the same, as a pooler does between transactions. */
  function lines({ shared, news }: { shared: boolean; news: boolean }): () => Promise<DatabaseLine> {
    const ears: ((n: { payload?: string }) => void)[] = []
    const settings: Record<string, string>[] = []
    let n = 0
    return () => {
      const mine = shared ? 0 : n++
      settings[mine] ??= {}
      const own = settings[mine]
      return Promise.resolve({
        query: (text: string, values: unknown[] = []) => {
          if (text.includes('set_config')) own['word'] = String(values[0])
          if (text.includes('pg_notify') && news) for (const ear of ears) ear({ payload: 'x' })
          return Promise.resolve({ rows: [{ said: own['word'] ?? null }] })
        },
        on: (_: 'notification', ear: (n: { payload?: string }) => void) => ears.push(ear),
        end: () => Promise.resolve(),
      })
    }
  }
  it('is taken where it leads to PostgreSQL itself', async () => {
    expect(await poolerFault(house.ownerUrl)).toBe('')
    expect(await poolerFault('', lines({ shared: false, news: true }))).toBe('')
  })
  it('is refused where lines are handed on after each transaction, or no news comes', async () => {
    expect(await poolerFault('', lines({ shared: true, news: true }))).toMatch(/pooler/)
    expect(await poolerFault('', lines({ shared: false, news: false }))).toMatch(/pooler/)
  }, 15_000)
})
