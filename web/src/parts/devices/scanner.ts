/**
 * The packet scanner. What ships is a stand-in: it knows a handful of invented packets by their code. A real scanner takes
 * its place by giving the same shape; `simulated` is then false.
 */
import demo from '@lea/core/data/demo-packets.json'
import type { ScannedPacket } from '@lea/core/food'

export interface PacketScanner {
  /** What it says of itself on the screen. */
  name: string
  /** Codes to pick from, where the device can list them. */
  known(): { code: string; name: string }[]
  /** @returns the packet, or null where the code is not known */
  scan(code: string): Promise<ScannedPacket | null>
}

export const standIn: PacketScanner = {
  name: 'Scanner stand-in (simulated)',
  known: () => demo.packets.map(({ code, name }) => ({ code, name })),
  scan: (code) => {
    const found = demo.packets.find((p) => p.code === code.trim())
    return Promise.resolve(found ? { ...found, simulated: true } : null)
  },
}
