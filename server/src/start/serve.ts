/** The whole server on a database that is up to date: pages, requests, workers, devices, and what is erased at night. */
import { renameSync, writeFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { fileURLToPath } from 'node:url'
import pino from 'pino'
import { makeApp } from '../app'
import { openPool } from '../db/pool'
import { sweepAll } from '../db/keeping'
import { anyDemo, anySetting, settingOf } from '../db/settings'
import { DEMO_SIGN_INS } from '../demo/people'
import { loadDemo, removeDemo } from '../demo/load'
import { openKitchens } from '../devices/devices'
import { takeOldLetters } from '../devices/mail-outbox'
import { openTableFeed } from '../live/table-feed'
import { builtScripts, startPools } from '../work/pools'
import { today } from '../clock'
import { openStopping } from '../stopping'
import { sweepTries } from '../limits/tries'
import { openMetrics, serveMetrics } from '../metrics'
import { hostFault, isLoopback } from '../who-is-served'
import { env, fail, need } from './start-words'

const KEEP_ALIVE_MS = 65_000
const DAY_MS = 24 * 3600 * 1000
const say = (text: string): void => void process.stdout.write(`${text}\n`)
const pages = fileURLToPath(new URL('../../web/dist', import.meta.url))

/** Listens; where no port was asked for, the next free one is taken. */
async function listen(server: Server, host: string, port: number, exact: boolean): Promise<number> {
  for (let at = port; at < port + 30; at++) {
    const fault = await new Promise<NodeJS.ErrnoException | null>((done) => {
      server.once('error', done)
      server.listen(at, host, () => {
        server.off('error', done)
        done(null)
      })
    })
    if (!fault) return at
    if (fault.code !== 'EADDRINUSE') fail(`cannot listen on ${host}:${at}: ${fault.message}`)
    if (exact) fail(`port ${at} is in use: choose another with PORT=, or leave PORT out`)
  }
  fail(`no free port from ${port} on`)
}

/** Serves until it is told to stop; with `--reset` the demo goes first, with `--no-serve` it ends before it listens. */
export async function serve(): Promise<void> {
  const log = pino({ level: env('LEA_LOG') || 'warn' })
  const pool = openPool(need('LEA_APP_URL'), {
    told: (fault) => log.warn(fault, 'a connection to the database was lost'),
  })
  if (process.argv.includes('--reset')) {
    const says = await removeDemo(pool)
    if (says) fail(says)
  }
  let hasDemo = false
  if (process.argv.includes('--demo')) {
    if (!(await anySetting(pool))) await loadDemo(pool, today())
    hasDemo = true
  }
  if (process.argv.includes('--no-serve')) {
    await pool.end()
    return
  }
  const host = env('HOST') || '127.0.0.1'
  const fault = hostFault({
    host,
    https: env('LEA_HTTPS') === '1',
    plain: env('LEA_PLAIN_HTTP') === '1',
    demo: !isLoopback(host) && (await anyDemo(pool)),
  })
  if (fault) fail(fault)
  const plans = startPools(builtScripts(new URL('./', import.meta.url)), need('LEA_APP_URL'))
  const live = openTableFeed(need('LEA_APP_URL'), (fault) =>
    log.warn(fault, 'the line for news of tables was lost'),
  )
  const kitchens = openKitchens({ scale: env('LEA_SCALE'), probe: env('LEA_PROBE') }, () =>
    settingOf(pool, env('LEA_DEVICES_OF')),
  )
  await takeOldLetters(pool, env('LEA_OUTBOX') || '.lea/outbox')
  const stopping = openStopping()
  const metrics = openMetrics({ pool, plans, stopping })
  const watch = await serveMetrics(metrics, env('LEA_METRICS')).catch((fault: unknown) =>
    fail((fault as Error).message),
  )
  const app = makeApp({
    stopping,
    kitchens,
    pool,
    plans,
    live,
    log,
    secrets: need('LEA_SECRET').split(',').filter(Boolean),
    metrics,
    proxy: env('LEA_PROXY') || 'loopback, uniquelocal',
    limits: {
      signIns: Number(env('LEA_SIGN_INS') || 20),
      writes: Number(env('LEA_WRITES') || 600),
      papers: Number(env('LEA_PAPERS') || 60),
    },
    https: env('LEA_HTTPS') === '1',
    pages,
  })
  const server = createServer(app)
  // Longer than proxies keep an idle connection: else a request meets one that is just being closed.
  server.keepAliveTimeout = KEEP_ALIVE_MS
  const port = await listen(server, host, Number(env('PORT') || 4680), env('PORT') !== '')
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}/`
  const told = env('LEA_ADDRESS_FILE')
  if (told) {
    // Whole or not there: whoever waits for it never reads an empty one.
    writeFileSync(`${told}.new`, address)
    renameSync(`${told}.new`, told)
  }
  say(`\nLea is at ${address}`)
  if (hasDemo) {
    say('Demo sign-ins (made up, known to all):')
    for (const [signIn, password, who] of DEMO_SIGN_INS) say(`  ${signIn.padEnd(10)} ${password}   ${who}`)
  }
  say('Ctrl-C stops it.')
  const sweep = (): void => {
    Promise.all([sweepAll(pool, today()), sweepTries(pool)]).then(
      () => metrics.swept(true),
      (fault: unknown) => {
        metrics.swept(false)
        log.error(fault, 'records that are too old could not be erased')
      },
    )
  }
  sweep()
  const nightly = setInterval(sweep, DAY_MS)
  const stop = async (): Promise<void> => {
    clearInterval(nightly)
    await stopping.end(server)
    watch?.close()
    await Promise.all([pool.end(), plans.close(), live.close(), kitchens.close()])
    process.exit(0)
  }
  process.once('SIGINT', () => void stop())
  process.once('SIGTERM', () => void stop())
}
