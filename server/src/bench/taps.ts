/**
 * Taps over HTTP from twenty devices, beside single-row commits by pgbench on the same cluster in the same run: one by one, each waiting for its
 * answer; and as the pages send them (web/src/stores/table/sending.ts): one message at a time, with all that was tapped meanwhile.
 */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pause, percentile, serving, tap, tapper, type Serving } from './serving'
import { keepFigure } from './table'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const DEVICES = 20
const SECONDS = 6
/** As many taps go in one message of a page. */
const BATCH = 200
const GOAL = 0.25
/** A wave of timers: what is due since the last one is tapped. */
const EVERY_MS = 5

export async function benchTaps(): Promise<void> {
  const server = await serving({ LEA_SIGN_INS: '1000' })
  try {
    const hand = await tapper(server)
    const finished = (await hand.get<{ id: string; state: string }[]>('/sessions')).filter(
      (s) => s.state === 'finished',
    )
    const cookies: string[] = []
    for (let n = 0; n < DEVICES; n++) cookies.push((await tapper(server)).cookie)
    const devices = cookies.map((cookie, n) =>
      sender(server, cookie, finished[n % finished.length]?.id ?? '', `device ${n}`),
    )
    // Warm: what is compiled on the way is not measured.
    await oneByOne(devices, 2)
    // Twice: the better of the two is what a quarter is taken of.
    const rows = [pgbench(), pgbench()]
    const before = Math.max(...rows)
    const alone = await oneByOne(devices, SECONDS)
    const quiet = await asTapped(devices, 20)
    // A hundred tables of ten at their busiest, and some (docs/serving.md).
    const hundred = await asTapped(devices, 200)
    const tenth = await asTapped(devices, 0.1 * before)
    const busy = await asTapped(devices, GOAL * before)
    rows.push(pgbench())
    const commits = Math.max(...rows)
    out(
      `single-row commits by pgbench, ${DEVICES} at once: ${rows.map((r) => Math.round(r)).join(', ')} a second, twice before and once after`,
    )
    const line = (what: string, got: Got): void =>
      out(
        `${what}: ${Math.round(got.taps)} taps a second in ${Math.round(got.messages)} messages, ratio ${(got.taps / commits).toFixed(3)}; from tap to answer ${got.p50.toFixed(1)} ms (median), ${got.p99.toFixed(1)} ms (p99), ${got.most.toFixed(0)} ms at most`,
      )
    line('one by one, as fast as they go', alone)
    line('as pages send, one tap a second each', quiet)
    line('as pages send, ten tapped a second each', hundred)
    line(`as pages send, ${Math.round(0.1 * before)} tapped a second`, tenth)
    line(`as pages send, ${Math.round(GOAL * before)} tapped a second`, busy)
    keepFigure('taps', {
      what: '20 devices as pages send: taps a second in single-row commits of pgbench',
      value: busy.taps / commits,
      unit: '',
      goal: GOAL,
      atLeast: true,
      beside: { what: 'pgbench', value: commits, unit: 'commits a second' },
      why: 'devices, server and database share two processors',
    })
    keepFigure('taps', {
      what: 'from tap to answer at a table’s pace, p99',
      value: quiet.p99,
      unit: 'ms',
      goal: 50,
      why: 'devices, server and database share two processors',
    })
  } finally {
    await server.close()
  }
}

interface Got {
  /** Acknowledged a second. */
  taps: number
  messages: number
  /** ms from tap to answer. */
  p50: number
  p99: number
  most: number
}
interface Device {
  /** One message. @throws where it is not taken */
  send: (events: object[]) => Promise<void>
  name: string
}

function sender(server: Serving, cookie: string, session: string, name: string): Device {
  const agent = new Agent({ keepAlive: true, maxSockets: 1 })
  const origin = server.address()
  return {
    name,
    send: (events) =>
      new Promise((done, fail) => {
        const body = JSON.stringify({ events })
        const asked = request(
          `${origin}/api/sessions/${session}/events`,
          {
            agent,
            method: 'POST',
            headers: {
              origin,
              cookie,
              'content-type': 'application/json',
              'content-length': Buffer.byteLength(body),
            },
          },
          (res) => {
            res.resume()
            res.on('end', () => {
              if (res.statusCode === 200) done()
              else fail(new Error(`a message of taps: ${res.statusCode ?? 0}`))
            })
          },
        )
        asked.on('error', fail)
        asked.end(body)
      }),
  }
}

let n = 0
const got = (times: readonly number[], messages: number, seconds: number): Got => ({
  taps: times.length / seconds,
  messages: messages / seconds,
  p50: percentile(times, 0.5),
  p99: percentile(times, 0.99),
  most: percentile(times, 1),
})

async function oneByOne(devices: readonly Device[], seconds: number): Promise<Got> {
  const times: number[] = []
  const until = performance.now() + seconds * 1000
  await Promise.all(
    devices.map(async ({ send, name }) => {
      while (performance.now() < until) {
        const began = performance.now()
        await send([tap(++n, name)])
        times.push(performance.now() - began)
      }
    }),
  )
  return got(times, times.length, seconds)
}

/** @param rate taps a second, of all together; a second before it counts */
async function asTapped(devices: readonly Device[], rate: number): Promise<Got> {
  const times: number[] = []
  let messages = 0
  const began = performance.now()
  const counts = began + 1000
  const until = counts + SECONDS * 1000
  await Promise.all(
    devices.map(async ({ send, name }, k) => {
      const outbox: { at: number; event: object }[] = []
      let tapped = 0
      const timer = setInterval(() => {
        const now = performance.now()
        if (now > until) return
        const due = Math.floor(((now - began) * rate) / 1000 / devices.length + k / devices.length)
        for (; tapped < due; tapped++) outbox.push({ at: now, event: tap(++n, name) })
      }, EVERY_MS)
      while (performance.now() < until || outbox.length > 0) {
        const some = outbox.splice(0, BATCH)
        if (some.length === 0) {
          await pause(1)
          continue
        }
        await send(some.map((s) => s.event))
        const now = performance.now()
        if (now > counts && now <= until) {
          messages += 1
          times.push(...some.map((s) => now - s.at))
        }
      }
      clearInterval(timer)
    }),
  )
  return got(times, messages, SECONDS)
}

/** Rows committed one by one, a second. */
function pgbench(): number {
  const url = process.env['LEA_OWNER_URL'] ?? ''
  const bin = process.env['LEA_PG_BIN'] ?? ''
  const file = join(mkdtempSync(join(tmpdir(), 'lea-pgbench-')), 'row.sql')
  writeFileSync(file, `insert into pgbench_row (body) values ('{"text": "tap"}');\n`)
  const psql = (sql: string): void => void spawnSync(`${bin}/psql`, [url, '-q', '-c', sql])
  psql('create table if not exists pgbench_row (id bigserial primary key, body jsonb)')
  const { stdout } = spawnSync(
    `${bin}/pgbench`,
    ['-n', '-c', String(DEVICES), '-T', String(SECONDS), '-f', file, url],
    { encoding: 'utf8' },
  )
  psql('drop table pgbench_row')
  return Number(/tps = ([\d.]+)/.exec(stdout)?.[1] ?? NaN)
}
