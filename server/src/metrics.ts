/**
 * What a watch is told of one server, in the usual text format (OpenMetrics, as Prometheus reads it). Nothing of a setting is in it. Served at
 * an address of its own (`LEA_METRICS`), never at the door that people come through.
 */
import { createServer, type Server } from 'node:http'
import type { RequestHandler } from 'express'
import type { Pool } from 'pg'
import { Counter, Gauge, Histogram, Registry, collectDefaultMetrics } from 'prom-client'
import { lines } from './db/pool'
import type { Stopping } from './stopping'
import { SERVER_VERSION } from './version'
import type { WorkerPools } from './work/pools'

/** Where an answer's time falls, s. */
const BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10, 30]

export interface Metrics {
  /** Before all routes: counts answers and their time. */
  watch: RequestHandler
  /** A sweep of old records has ended. */
  swept: (well: boolean) => void
  text: () => Promise<string>
  type: string
}

export function openMetrics(of: { pool: Pool; plans: WorkerPools; stopping: Stopping }): Metrics {
  const register = new Registry()
  // Loop delay, memory, processor, file handles, collections of garbage.
  collectDefaultMetrics({ register })
  const registers = [register]
  const answers = new Counter({
    name: 'lea_http_answers_total',
    help: 'Answers by kind of request and class of status',
    labelNames: ['kind', 'status'],
    registers,
  })
  const seconds = new Histogram({
    name: 'lea_http_answer_seconds',
    help: 'Time until the answer was out, streams apart',
    labelNames: ['kind'],
    buckets: BUCKETS,
    registers,
  })
  const sweeps = new Counter({
    name: 'lea_sweeps_total',
    help: 'Sweeps of records that are too old',
    labelNames: ['ended'],
    registers,
  })
  const lastSweep = new Gauge({
    name: 'lea_last_sweep_timestamp_seconds',
    help: 'When the last sweep ended well',
    registers,
  })
  new Gauge({
    name: 'lea_info',
    help: 'The version that runs',
    labelNames: ['version'],
    registers,
  }).set({ version: SERVER_VERSION }, 1)
  /** @param help of what is counted @param read by label */
  const gauge = (name: string, help: string, label: string, read: () => Record<string, number>): void => {
    new Gauge({
      name,
      help,
      labelNames: [label],
      registers,
      collect() {
        for (const [key, n] of Object.entries(read())) this.set({ [label]: key }, n)
      },
    })
  }
  const each = (what: 'waiting' | 'running') => (): Record<string, number> =>
    Object.fromEntries(Object.entries(of.plans.loads()).map(([hall, load]) => [hall, load[what]]))
  gauge('lea_work_waiting', 'Pieces of work that wait for a thread', 'hall', each('waiting'))
  gauge('lea_work_running', 'Pieces of work that are being done', 'hall', each('running'))
  gauge('lea_database_lines', 'Lines to the database', 'state', () => ({ ...lines(of.pool) }))
  gauge('lea_requests_open', 'Who waits for an answer; streams are none', 'kind', () => ({
    answer: of.stopping.waiting(),
  }))
  return {
    watch: (req, res, next) => {
      const began = performance.now()
      // Read now: routers cut it shorter as they go.
      const kind = kindOf(req.method, req.path)
      res.on('close', () => {
        answers.inc({ kind, status: `${Math.floor(res.statusCode / 100)}xx` })
        if (kind !== 'stream') seconds.observe({ kind }, (performance.now() - began) / 1000)
      })
      next()
    },
    swept: (well) => {
      sweeps.inc({ ended: well ? 'well' : 'badly' })
      if (well) lastSweep.setToCurrentTime()
    },
    text: () => register.metrics(),
    type: register.contentType,
  }
}

/** Few kinds, whatever is asked: each is a line of its own for ever. */
function kindOf(method: string, path: string): string {
  if (!path.startsWith('/api/')) return 'page'
  if (/\/(live|scale|probe)$/.test(path)) return 'stream'
  if (path.endsWith('/events')) return method === 'POST' ? 'tap' : 'read'
  if (path.includes('/papers/') || path.endsWith('/shopping.csv')) return 'paper'
  if (path.startsWith('/api/archive')) return 'archive'
  return method === 'GET' ? 'read' : 'write'
}

/** @param at `host:port` @returns the server, or null where nothing is to be told @throws Error in words where the address is none */
export async function serveMetrics(metrics: Metrics, at: string): Promise<Server | null> {
  if (at === '') return null
  const [, host, port] = /^\[?([^\]]+?)\]?:(\d{1,5})$/.exec(at) ?? []
  if (!host || !port) throw new Error(`LEA_METRICS is host:port, such as 127.0.0.1:9464, not '${at}'`)
  const server = createServer((req, res) => {
    if (req.method !== 'GET' || req.url?.split('?')[0] !== '/metrics') {
      res.writeHead(404).end()
      return
    }
    metrics.text().then(
      (text) => res.writeHead(200, { 'content-type': metrics.type }).end(text),
      () => res.writeHead(500).end(),
    )
  })
  await new Promise<void>((done, fail) => {
    server.once('error', (fault) => fail(new Error(`LEA_METRICS=${at}: ${fault.message}`)))
    server.listen(Number(port), host, done)
  })
  return server
}
