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

/** The kitchens of all settings of this server. */
export interface Kitchens {
  /** Those of one setting, opened when they are first asked for; nobody else reads or moves them. */
  of(setting: string): Promise<Devices>
  close(): Promise<void>
}

/**
 * @param addresses of the real devices that this server reaches, if any
 * @param whose the setting in whose kitchen they are; null where that is not known: then they are in none
 */
export function openKitchens(
  addresses: { scale: string; probe: string },
  whose: () => Promise<string | null>,
): Kitchens {
  const open = new Map<string, Promise<Devices>>()
  const opened = async (setting: string): Promise<Devices> => {
    const here = (addresses.scale || addresses.probe) && (await whose()) === setting
    return openDevices(here ? addresses : { scale: '', probe: '' })
  }
  return {
    of(setting) {
      const known = open.get(setting)
      if (known) return known
      const fresh = opened(setting)
      open.set(setting, fresh)
      // Asked again after a fault.
      fresh.catch(() => open.delete(setting))
      return fresh
    },
    async close() {
      await Promise.all([...open.values()].map(async (devices) => (await devices.catch(() => null))?.close()))
    },
  }
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
