/** A whole server for a test: its own database on the test cluster, the real application on a port of its own. */
import { randomBytes } from 'node:crypto'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { fileURLToPath } from 'node:url'
import pg from 'pg'
import { type StoredSession, changesBetween } from '@lea/core/setting'
import pino, { type Logger } from 'pino'
import { makeApp } from '../src/app'
import type { Limits } from '../src/context'
import { openStopping } from '../src/stopping'
import { migrate } from '../src/db/migrate'
import { openPool } from '../src/db/pool'
import { openKitchens } from '../src/devices/devices'
import { openMetrics } from '../src/metrics'
import { openTableFeed } from '../src/live/table-feed'
import { builtScripts, startPools } from '../src/work/pools'

const OWNER = process.env['LEA_OWNER_URL'] ?? ''
const APP = process.env['LEA_APP_URL'] ?? ''
const DEMO = process.env['LEA_DEMO_DATABASE'] ?? ''
export const MIGRATIONS = fileURLToPath(new URL('../migrations', import.meta.url))

const toDatabase = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`)

export interface Answer {
  status: number
  // Bodies are read as the test expects them.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  body: any
  headers: Headers
}

export interface Visitor {
  get(path: string): Promise<Answer>
  send(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>
  signIn(name: string, password: string): Promise<Answer>
  /** What a page sends where somebody has changed a session to this: the differences from what is there. */
  change(session: string, to: Partial<StoredSession> | Record<string, unknown>): Promise<Answer>
  /** The stream of a table; ended by `leave`. */
  hear(session: string): Promise<{ news: string[]; leave: () => void; over: Promise<void> }>
  /** What it sends as its cookie. */
  cookie(): string
  /** Bytes in, bytes out. */
  raw(method: string, path: string, body?: Buffer): Promise<{ status: number; body: Buffer }>
}

/** One web server on a database: there may be several on the same. */
async function serve(appUrl: string, limits: Partial<Limits>, log: Logger) {
  const pool = openPool(appUrl)
  const live = openTableFeed(appUrl, () => undefined)
  const plans = startPools(builtScripts(new URL('../dist/', import.meta.url)), appUrl)
  const kitchens = openKitchens({ scale: '', probe: '' }, () => Promise.resolve(null))
  const stopping = openStopping()
  const metrics = openMetrics({ pool, plans, stopping })
  const app = makeApp({
    stopping,
    kitchens,
    pool,
    plans,
    live,
    log,
    secrets: ['a secret of the tests'],
    metrics,
    proxy: 'loopback',
    limits: { signIns: 100, writes: 100_000, papers: 10_000, ...limits },
    https: false,
    pages: null,
  })
  const server = createServer(app)
  // The tests compute in the same process: while they do, no idle connection may end under the next request.
  server.keepAliveTimeout = 0
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  return {
    pool,
    plans,
    metrics,
    stopping,
    stop: (patience?: number) => stopping.end(server, patience),
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    async close() {
      server.closeAllConnections()
      await new Promise((done) => server.close(done))
      await plans.close()
      await live.close()
      await kitchens.close()
      // Some tests have ended it themselves.
      if (!pool.ending) await pool.end()
    },
  }
}

/** @param options.demo begins with a copy of the demo that `./lea test` loaded */
export async function openTestServer(
  options: { limits?: Partial<Limits>; demo?: boolean; log?: Logger } = {},
) {
  if (!OWNER || !DEMO) throw new Error('start these tests with ./lea test')
  const name = `test_${randomBytes(6).toString('hex')}`
  const admin = new pg.Client({ connectionString: OWNER })
  await admin.connect()
  await admin.query(`create database ${name}${options.demo ? ` template ${DEMO}` : ''}`)
  const ownerUrl = toDatabase(OWNER, name)
  await migrate(ownerUrl, MIGRATIONS)
  const appUrl = toDatabase(APP, name)
  const allowed = options.limits ?? {}
  const log = options.log ?? pino({ level: 'silent' })
  const first = await serve(appUrl, allowed, log)
  const { pool, plans, metrics, base } = first
  const others: Awaited<ReturnType<typeof serve>>[] = []
  return {
    pool,
    plans,
    metrics,
    ownerUrl,
    base,
    visitor: () => visitor(base),
    /** As the owner of the database, within a setting: to set up what the application would not, or to look at all that is kept. @returns its rows */
    async sql(text: string, setting: string) {
      const client = new pg.Client({ connectionString: ownerUrl })
      await client.connect()
      await client.query("select set_config('app.setting_id', $1, false)", [setting])
      const { rows } = await client.query<Record<string, string>>(text)
      await client.end()
      return rows
    },
    /** Another web server on the same database. */
    async second() {
      const more = await serve(appUrl, allowed, log)
      others.push(more)
      return { ...more, visitor: () => visitor(more.base) }
    },
    async close() {
      for (const one of [first, ...others]) await one.close()
      await admin.query(`drop database ${name} with (force)`)
      await admin.end()
    },
  }
}
export type TestServer = Awaited<ReturnType<typeof openTestServer>>

/** A browser without pages: keeps its cookie, sends its origin. */
function visitor(base: string): Visitor {
  let cookie = ''
  const ask = async (
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> => {
    const response = await fetch(`${base}${path}`, {
      method,
      headers: {
        ...(method === 'GET' ? {} : { origin: base }),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(cookie ? { cookie } : {}),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const set = response.headers.getSetCookie().find((c) => c.startsWith('lea='))
    if (set) cookie = set.split(';')[0] ?? ''
    const text = await response.text()
    let data: unknown = text
    try {
      data = JSON.parse(text)
    } catch {
      // Not JSON: kept as text.
    }
    return { status: response.status, body: data, headers: response.headers }
  }
  return {
    get: (path) => ask('GET', path),
    send: ask,
    signIn: (signIn, password) => ask('POST', '/api/sign-in', { signIn, password }),
    change: async (session, to) => {
      const before = (await ask('GET', `/api/sessions/${session}`)).body.session as StoredSession
      const changes = changesBetween(before, { ...before, ...to })
      return ask('POST', `/api/sessions/${session}/changes`, { changes })
    },
    hear: async (session) => {
      const ended = new AbortController()
      const response = await fetch(`${base}/api/sessions/${session}/live`, {
        headers: { ...(cookie && { cookie }) },
        signal: ended.signal,
      })
      if (response.status !== 200) throw new Error(String(response.status))
      const news: string[] = []
      const read = async (): Promise<void> => {
        const text = new TextDecoder()
        for await (const chunk of response.body ?? [])
          news.push(...[...text.decode(chunk).matchAll(/^data: (.*)$/gm)].map((m) => m[1] ?? ''))
      }
      const over = read().catch(() => undefined)
      return { news, leave: () => ended.abort(), over }
    },
    cookie: () => cookie,
    raw: async (method, path, body) => {
      const response = await fetch(`${base}${path}`, {
        method,
        headers: { origin: base, 'content-type': 'application/zip', ...(cookie && { cookie }) },
        ...(body && { body: new Uint8Array(body) }),
      })
      return { status: response.status, body: Buffer.from(await response.arrayBuffer()) }
    },
  }
}

export const FIRST = {
  setting: 'Number 9, Ropewalk',
  kind: 'home',
  country: 'uk',
  owner: 'Alder Finch',
  signIn: 'alder',
  password: 'a long password',
  recipes: true,
}
