/** Neighbours on one server: what one setting asks for at once, and what a tap of another takes meanwhile. */
import { readFileSync } from 'node:fs'
import { Agent, createServer, request } from 'node:http'
import type { AddressInfo } from 'node:net'
import { today } from '../clock'
import { gatherForBench } from './archive-of'
import { pause, percentile, serving, tap, tapper, type Serving, type Tapper } from './serving'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const ms = (n: number): string => `${n.toFixed(1)} ms`
/** What one setting asks for at once. */
const PLANS = 50
const PAPERS = 20
const QUIET_MS = 8_000
const EVERY_MS = 50

const agent = new Agent({ keepAlive: true, maxSockets: 200 })

/** @returns status and time in ms */
function ask(
  server: Serving,
  who: Tapper,
  method: string,
  path: string,
  body?: Buffer | object,
): Promise<{ status: number; took: number }> {
  const bytes = body === undefined || Buffer.isBuffer(body) ? body : Buffer.from(JSON.stringify(body))
  const began = performance.now()
  return new Promise((done, fail) => {
    const req = request(
      `${server.address()}/api${path}`,
      {
        agent,
        method,
        headers: {
          origin: server.address(),
          cookie: who.cookie,
          ...(bytes && {
            'content-type': Buffer.isBuffer(body) ? 'application/zip' : 'application/json',
            'content-length': bytes.length,
          }),
        },
      },
      (res) => {
        res.resume()
        res.on('end', () => done({ status: res.statusCode ?? 0, took: performance.now() - began }))
        res.on('error', fail)
      },
    )
    req.on('error', fail)
    req.end(bytes)
  })
}

/** Most memory of a process so far, MB; as the system counts it. */
const mostMemory = (pid: number): number =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024

export async function benchNeighbours(): Promise<void> {
  const watch = `127.0.0.1:${await freePort()}`
  const server = await serving({ LEA_METRICS: watch })
  /** The longest time for which the server's own loop was held up since this was last asked, ms. */
  const heldUp = async (): Promise<number> => {
    const text = await (await fetch(`http://${watch}/metrics`)).text()
    return Number(/^nodejs_eventloop_lag_max_seconds ([\d.e+-]+)$/m.exec(text)?.[1] ?? NaN) * 1000
  }
  try {
    const loud = await tapper(server)
    const calm = await tapper(server, 'tomasz')
    const session = await finishedOf(calm)
    let n = 0
    const tapOnce = () => ask(server, calm, 'POST', `/sessions/${session}/events`, { events: [tap(++n)] })
    const tapsWhile = async (going: () => boolean): Promise<number[]> => {
      const times: number[] = []
      while (going()) {
        const { status, took } = await tapOnce()
        if (status !== 200) throw new Error(`a tap was answered ${status}`)
        times.push(took)
        await pause(EVERY_MS)
      }
      return times
    }
    const warm = Date.now() + 2000
    await tapsWhile(() => Date.now() < warm)
    const end = Date.now() + QUIET_MS
    const quiet = await tapsWhile(() => Date.now() < end)
    const archive = await gatherForBench(server)
    await heldUp()
    const ahead = (await loud.get<{ id: string; state: string; date: string }[]>('/sessions')).filter(
      (s) => s.state === 'planned' && s.date >= today(),
    )
    const ids = ahead.map((s) => s.id)
    const at = (k: number): string => ids[k % ids.length] ?? ''
    const began = Date.now()
    const asked = [
      // Each is compiled, and refused: it is not the plan that was asked for.
      ...Array.from({ length: PLANS }, (_, k) =>
        ask(server, loud, 'POST', `/sessions/${at(k)}/cook`, { digest: 'another' }),
      ),
      ...Array.from({ length: PAPERS }, (_, k) =>
        ask(server, loud, 'GET', `/sessions/${at(k)}/papers/run.pdf`),
      ),
      ask(server, archive.owner, 'POST', '/archive', archive.bytes),
    ]
    let open = true
    const all = Promise.all(asked).finally(() => {
      open = false
    })
    const loudly = await tapsWhile(() => open)
    const answers = await all
    const count: Record<string, number> = {}
    for (const a of answers) count[a.status] = (count[a.status] ?? 0) + 1
    const longest = await heldUp()
    const [p95, p95Loud] = [percentile(quiet, 0.95), percentile(loudly, 0.95)]
    out(
      `neighbours: ${PLANS} plans, ${PAPERS} papers and an import of ${archive.sessions} sessions (${(archive.bytes.length / 1e6).toFixed(1)} MB) took ${((Date.now() - began) / 1000).toFixed(1)} s; answers ${JSON.stringify(count)}`,
    )
    out(
      `  another's tap: quiet p50 ${ms(percentile(quiet, 0.5))}, p95 ${ms(p95)} (${quiet.length}); meanwhile p50 ${ms(percentile(loudly, 0.5))}, p95 ${ms(p95Loud)}, max ${ms(Math.max(...loudly))} (${loudly.length}); ratio of p95 ${(p95Loud / p95).toFixed(2)} (goal 2)`,
    )
    out(`  the server's own loop: held up for ${ms(longest)} at most (goal 50)`)
    out(`  most memory of the server: ${mostMemory(server.pid()).toFixed(0)} MB (goal 600)`)
  } finally {
    agent.destroy()
    await server.close()
  }
}

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo
      server.close(() => done(port))
    })
  })

async function finishedOf(who: Tapper): Promise<string> {
  const all = await who.get<{ id: string; state: string }[]>('/sessions')
  const found = all.find((s) => s.state === 'finished')
  if (!found) throw new Error('no session that is over')
  return found.id
}
