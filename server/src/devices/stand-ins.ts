/**
 * Stand-ins for a kitchen scale and a probe thermometer, on loopback ports of their own: they say lines as the real ones would, and can
 * be told to drift, to stick, to fall silent or to say nonsense.
 */
import type { DeviceMood } from '@lea/core/amount'
import { createServer, type Server, type Socket } from 'node:net'
import type { AddressInfo } from 'node:net'

export interface Play {
  /** What lies on the pan, grams. */
  load: number
  scale: DeviceMood
  /** What the probe is in is that warm, °C; it gets there slowly. */
  core: number
  probe: DeviceMood
}
export interface StandIns {
  addresses: { scale: string; probe: string }
  play: Play
  close(): Promise<void>
}

const EACH_MS = 500
/** A trembling that is the same for every run: a tenth of a gram up and down. */
const tremble = (n: number): number => Math.sin(n * 12.9898) * 0.08

export async function startStandIns(): Promise<StandIns> {
  const play: Play = { load: 0, scale: 'well', core: 20, probe: 'well' }
  let shown = 0
  let drift = 0
  let warm = 20
  let n = 0
  let stuckWeight = ''
  const weight = (): string => {
    if (play.scale === 'absurd') return 'weight 918273 still'
    if (play.scale === 'stuck' && stuckWeight) return stuckWeight
    const still = Math.abs(play.load - shown) < 1
    shown += (play.load - shown) * (still ? 1 : 0.6)
    drift = play.scale === 'drifting' ? drift + 0.6 : 0
    stuckWeight = `weight ${(shown + drift + tremble(n)).toFixed(2)} ${still ? 'still' : 'moving'}`
    return stuckWeight
  }
  let stuckCore = ''
  const core = (): string => {
    if (play.probe === 'absurd') return 'core 512.0'
    if (play.probe === 'stuck' && stuckCore) return stuckCore
    warm += (play.core - warm) * 0.5 + (play.probe === 'drifting' ? 0.3 : 0)
    stuckCore = `core ${(warm + tremble(n) / 2).toFixed(1)}`
    return stuckCore
  }
  const scale = await openPort(() => (play.scale === 'silent' ? null : weight()))
  const probe = await openPort(() => (play.probe === 'silent' ? null : core()))
  const ticking = setInterval(() => {
    n += 1
    scale.say()
    probe.say()
  }, EACH_MS)
  return {
    addresses: { scale: scale.address, probe: probe.address },
    play,
    async close() {
      clearInterval(ticking)
      await Promise.all([scale.close(), probe.close()])
    },
  }
}

async function openPort(line: () => string | null) {
  const sockets = new Set<Socket>()
  const server: Server = createServer((socket) => {
    sockets.add(socket)
    socket.on('error', () => undefined)
    socket.on('close', () => sockets.delete(socket))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  return {
    address: `127.0.0.1:${(server.address() as AddressInfo).port}`,
    say() {
      // The reading goes on whether or not anybody listens.
      const text = line()
      if (text !== null) for (const socket of sockets) socket.write(`${text}\n`)
    },
    async close() {
      for (const socket of sockets) socket.destroy()
      await new Promise((done) => server.close(done))
    },
  }
}
