/**
 * The server, then PostgreSQL, are killed (SIGKILL) in the middle of taps, again and again. A tap that was acknowledged is there after;
 * none is there twice; what was not acknowledged is sent again, as a device does.
 */
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { seeded } from '@lea/core/lab'
import { pause, serving, tap, tapper, type Serving, type Tapper } from './serving'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const AT_ONCE = 4
const STUCK_MS = 30_000

/** @returns whether everything held */
export async function benchKills(times = 100): Promise<boolean> {
  const server = await serving()
  try {
    const a = await round('server', times, server, () => server.kill().then(() => server.start()))
    const b = await round('PostgreSQL', times, server, killPostgres)
    return a && b
  } finally {
    await server.close()
  }
}

async function killPostgres(): Promise<void> {
  const base = process.env['LEA_BENCH_BASE'] ?? ''
  const pid = Number(readFileSync(`${base}/data/postmaster.pid`, 'utf8').split('\n')[0])
  process.kill(pid, 'SIGKILL')
  // Its children notice by themselves; started again it recovers from its log.
  await pause(50)
  const { status } = spawnSync('bash', [
    `${process.env['LEA_ROOT'] ?? '.'}/bin/bench-cluster.sh`,
    'start',
    base,
  ])
  if (status !== 0) throw new Error('PostgreSQL did not come back')
}

async function round(
  what: string,
  times: number,
  server: Serving,
  kill: () => Promise<void>,
): Promise<boolean> {
  const first = await tapper(server)
  const sessions = await first.get<{ id: string; state: string }[]>('/sessions')
  const session = sessions.find((s) => s.state === 'finished')?.id ?? ''
  const before = new Set((await events(first, session)).map((e) => e.id))
  const random = seeded(11)
  const acknowledged = new Set<string>()
  const waiting = new Map<string, ReturnType<typeof tap>>()
  let n = 100_000
  let over = false
  /** It has failed: nobody goes on tapping at what does not come back. */
  let failed = false
  let refused = 0
  let last = ''
  const hands = Array.from({ length: AT_ONCE }, async (_, h) => {
    let hand: Tapper | null = null
    while (!failed && (!over || [...waiting.values()].some((t) => t.device === `hand ${h}`))) {
      const again = [...waiting.values()].find((t) => t.device === `hand ${h}`)
      const one = again ?? tap(++n, `hand ${h}`)
      waiting.set(one.id, one)
      try {
        hand ??= await tapper(server)
        const status: number = await hand.post(`/sessions/${session}/events`, { events: [one] })
        if (status === 200) {
          acknowledged.add(one.id)
          waiting.delete(one.id)
        } else {
          refused += 1
          last = `status ${status}`
          hand = status === 401 ? null : hand
          await pause(20)
        }
      } catch (fault) {
        last = String(fault)
        await pause(20)
      }
    }
  })
  try {
    for (let k = 0; k < times; k++) {
      const goal = acknowledged.size + 1 + Math.floor(random() * 12)
      const since = performance.now()
      while (acknowledged.size < goal) {
        if (performance.now() - since > STUCK_MS)
          throw new Error(
            `no tap was taken for half a minute after ${what} was killed for the ${k + 1}th time: ${last}`,
          )
        await pause(2)
      }
      await kill()
    }
  } catch (fault) {
    failed = true
    throw fault
  }
  over = true
  await Promise.all(hands)
  const after = (await events(await tapper(server), session)).filter((e) => !before.has(e.id))
  const ids = after.map((e) => e.id)
  const lost = [...acknowledged].filter((id) => !ids.includes(id)).length
  const twice = ids.length - new Set(ids).size
  out(
    `${what} killed ${times} times in the middle of taps: ${acknowledged.size} acknowledged, ${lost} lost, ${twice} twice, ${ids.length - acknowledged.size} never told of; ${refused} refused meanwhile`,
  )
  return lost === 0 && twice === 0 && acknowledged.size >= times
}

const events = async (hand: Tapper, session: string): Promise<{ id: string }[]> =>
  (await hand.get<{ events: { id: string }[] }>(`/sessions/${session}/events`)).events
