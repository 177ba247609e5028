/**
 * Twenty devices at one table: from a tap on one to its being on each other; and events appended one by one against single-row commits
 * by pgbench on the same cluster, in one run.
 */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TableEvent } from '@lea/core/session'
import { inSetting, openPool } from '../db/pool'
import { appendEvents, getSession } from '../db/sessions'
import { pause, percentile, serving, tap, tapper, type Serving, type Tapper } from './serving'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const DEVICES = 20
const TAPS = 60
const SECONDS = 5

export async function benchDevices(): Promise<void> {
  const server = await serving()
  try {
    const hand = await tapper(server)
    const sessions = await hand.get<{ id: string; state: string }[]>('/sessions')
    const session = sessions.find((s) => s.state === 'finished')?.id ?? ''
    await spread(server, hand, session)
    await appends(hand, session)
  } finally {
    await server.close()
  }
}

async function spread(server: Serving, hand: Tapper, session: string): Promise<void> {
  const sent = new Map<string, number>()
  const times: number[] = []
  let last = (await hand.get<{ last: number }>(`/sessions/${session}/events`)).last
  const stop = new AbortController()
  const ears = Array.from({ length: DEVICES }, async () => {
    let at = last
    const seen = new Set<string>()
    const stream = await fetch(`${server.address()}/api/sessions/${session}/live`, {
      headers: { cookie: hand.cookie },
      signal: stop.signal,
    })
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader()
    for (;;) {
      const { value, done } = (await reader?.read().catch(() => null)) ?? { value: '', done: true }
      if (done) return
      if (!value.includes('data:')) continue
      const answer = await hand
        .get<{ events: { id: string }[]; last: number }>(`/sessions/${session}/events?after=${at}`)
        .catch(() => null)
      if (!answer) return
      at = answer.last
      for (const { id } of answer.events) {
        const began = sent.get(id)
        if (began === undefined || seen.has(id)) continue
        seen.add(id)
        times.push(performance.now() - began)
      }
    }
  })
  await pause(1000)
  for (let n = 0; n < TAPS; n++) {
    const one = tap(200_000 + n, `device ${n % DEVICES}`)
    sent.set(one.id, performance.now())
    await hand.post(`/sessions/${session}/events`, { events: [one] })
    await pause(100)
  }
  await pause(1000)
  stop.abort()
  await Promise.allSettled(ears)
  last = 0
  const ms = (share: number): string => `${Math.round(percentile(times, share))} ms`
  out(
    `${DEVICES} devices at one table, ${TAPS} taps: on the other screens after ${ms(0.5)} (median), ${ms(0.95)} (p95), ${ms(1)} at most; ${times.length} of ${DEVICES * TAPS} arrived`,
  )
}

const CLIENTS = 4
/** How often a second, with so many at once. */
async function aSecond(work: () => Promise<boolean>): Promise<number> {
  let done = 0
  const until = performance.now() + SECONDS * 1000
  await Promise.all(
    Array.from({ length: CLIENTS }, async () => {
      while (performance.now() < until) if (await work()) done += 1
    }),
  )
  return done / SECONDS
}

/** Over http, and as the server does it without: all into one session, under its lock. pgbench commits one row a transaction, no lock. */
async function appends(hand: Tapper, session: string): Promise<void> {
  let n = 300_000
  const asked = await aSecond(async () => (await hand.get<{ person?: object }>('/me')).person !== undefined)
  const ours = await aSecond(
    async () => (await hand.post(`/sessions/${session}/events`, { events: [tap(++n)] })) === 200,
  )
  const { person } = await hand.get<{ person: { id: string; settingId: string } }>('/me')
  const pool = openPool(process.env['LEA_APP_URL'] ?? '')
  const inside = await aSecond(() =>
    inSetting(pool, person.settingId, async (db) => {
      await getSession(db, session, true)
      return (await appendEvents(db, person.settingId, session, person.id, [tap(++n) as TableEvent])) > 0
    }),
  )
  await pool.end()
  const url = process.env['LEA_OWNER_URL'] ?? ''
  const bin = process.env['LEA_PG_BIN'] ?? ''
  const file = join(mkdtempSync(join(tmpdir(), 'lea-pgbench-')), 'row.sql')
  writeFileSync(file, `insert into pgbench_row (body) values ('{"text": "tap"}');\n`)
  spawnSync(`${bin}/psql`, [
    url,
    '-q',
    '-c',
    'create table if not exists pgbench_row (id bigserial primary key, body jsonb)',
  ])
  const bench = spawnSync(
    `${bin}/pgbench`,
    ['-n', '-c', String(CLIENTS), '-T', String(SECONDS), '-f', file, url],
    { encoding: 'utf8' },
  )
  spawnSync(`${bin}/psql`, [url, '-q', '-c', 'drop table pgbench_row'])
  const rows = Number(/tps = ([\d.]+)/.exec(bench.stdout)?.[1] ?? NaN)
  const ratio = (of: number): string => `${Math.round(of)} a second, ratio ${(of / rows).toFixed(2)}`
  out(`single-row commits by pgbench, ${CLIENTS} at once: ${Math.round(rows)} a second`)
  out(`events appended one by one into one session, without http: ${ratio(inside)}`)
  out(`events appended one by one over http: ${ratio(ours)}`)
  out(`requests over http that write nothing, by the same client: ${Math.round(asked)} a second`)
}
