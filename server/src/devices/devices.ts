/** The devices of this kitchen: where they are, and how their lines are read. Without an address of its own a stand-in takes the place. */
import { lineDevice, type LineDevice } from './line-device'
import { startStandIns, type StandIns } from './stand-ins'

export interface Weighed {
  grams: number
  still: boolean
}
export interface ProbeReading {
  celsius: number
}
export interface Devices {
  scale: LineDevice<Weighed>
  probe: LineDevice<ProbeReading>
  /** The simulated ones, to play with; null where real ones are there. */
  standIns: StandIns | null
  close(): Promise<void>
}

/** `weight 412.3 still`, `weight 412.9 moving`; a number that is none is handed on as NaN, so that it is said to be absurd. */
export function readWeight(line: string): Weighed | null {
  const found = /^weight (\S+) (still|moving)$/.exec(line)
  return found ? { grams: Number(found[1]), still: found[2] === 'still' } : null
}
/** `core 71.4` */
export function readCore(line: string): ProbeReading | null {
  const found = /^core (\S+)$/.exec(line)
  return found ? { celsius: Number(found[1]) } : null
}

/** @param addresses `host:port` of a real scale and a real probe; empty for a stand-in */
export async function openDevices(addresses: { scale: string; probe: string }): Promise<Devices> {
  const standIns = addresses.scale && addresses.probe ? null : await startStandIns()
  const scale = lineDevice(addresses.scale || (standIns?.addresses.scale ?? ''), readWeight)
  const probe = lineDevice(addresses.probe || (standIns?.addresses.probe ?? ''), readCore)
  return {
    scale,
    probe,
    standIns,
    async close() {
      scale.close()
      probe.close()
      await standIns?.close()
    },
  }
}
