/** A real server of its own for a measurement: started, killed, started again; and a visitor that taps. */
import { spawn, type ChildProcess } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

const MAIN = fileURLToPath(new URL('./main.js', import.meta.url))
export const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))

export interface Serving {
  address(): string
  pid(): number
  start(): Promise<void>
  /** As a power cut would. */
  kill(): Promise<void>
  close(): Promise<void>
}

/** On the database of the environment; the same port after each start. @param more variables of its own */
export async function serving(more: Record<string, string> = {}): Promise<Serving> {
  const folder = mkdtempSync(join(tmpdir(), 'lea-bench-'))
  const file = join(folder, 'address')
  let address = ''
  let child: ChildProcess | null = null
  const start = async (): Promise<void> => {
    rmSync(file, { force: true })
    child = spawn('node', [MAIN, '--demo'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: address ? new URL(address).port : '',
        LEA_SECRET: 'a secret of the bench',
        LEA_OUTBOX: join(folder, 'outbox'),
        LEA_ADDRESS_FILE: file,
        LEA_LOG: 'silent',
        // One hand taps for many here.
        LEA_WRITES: '1000000',
        LEA_PAPERS: '1000000',
        ...more,
      },
    })
    const gone = child
    for (let n = 0; n < 1200 && !existsSync(file); n++) {
      if (gone.exitCode !== null) throw new Error('the server did not start')
      await pause(25)
    }
    address = readFileSync(file, 'utf8').replace(/\/$/, '')
  }
  const kill = async (): Promise<void> => {
    const now = child
    if (!now || now.exitCode !== null || now.signalCode !== null) return
    const gone = new Promise((done) => now.once('exit', done))
    now.kill('SIGKILL')
    await gone
  }
  await start()
  return {
    address: () => address,
    pid: () => child?.pid ?? 0,
    start,
    kill,
    async close() {
      await kill()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

export interface Tapper {
  get<T>(path: string): Promise<T>
  post(path: string, body: object): Promise<number>
  cookie: string
}
/** Signs in, as an owner of the demo where nothing is said. @throws where the server does not answer */
export async function tapper(server: Serving, signIn = 'petra', password = 'saltmere-demo'): Promise<Tapper> {
  const origin = server.address()
  const ask = (path: string, init: RequestInit = {}): Promise<Response> => fetch(`${origin}/api${path}`, init)
  const headers = { 'content-type': 'application/json', origin }
  const answer = await ask('/sign-in', {
    method: 'POST',
    headers,
    body: JSON.stringify({ signIn, password }),
  })
  if (!answer.ok) throw new Error(`sign-in: ${answer.status}`)
  const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? ''
  return {
    cookie,
    get: async <T>(path: string) => (await (await ask(path, { headers: { cookie } })).json()) as T,
    post: async (path, body) =>
      (await ask(path, { method: 'POST', headers: { ...headers, cookie }, body: JSON.stringify(body) }))
        .status,
  }
}

export const tap = (n: number, device = 'bench') => ({
  id: randomUUID(),
  device,
  lamport: n,
  at: new Date().toISOString(),
  kind: 'note',
  body: { text: `tap ${n}` },
})

export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN
