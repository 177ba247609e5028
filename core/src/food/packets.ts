/**
 * The packet register: one real package each, with its own words. A reading holds for the words that were read; it is out
 * of date as soon as they change, and for cooking only today's reading counts.
 */
import { readLabel, type LabelReading } from './label/read'

export interface StoredPacket {
  id: string
  food: string
  name: string
  code: string | null
  label: string
  /** Made by the scanner stand-in. */
  simulated: boolean
  changedAt: string
  reading: { readBy: string[]; at: string; digest: string } | null
}

export type PacketStanding = 'unread' | 'changed' | 'earlier' | 'today'

/**
 * @param digestOf digest of a text (the register's own)
 * @param today `YYYY-MM-DD` on this device
 */
export function packetStanding(
  packet: StoredPacket,
  digestOf: (text: string) => string,
  today: string,
): PacketStanding {
  if (!packet.reading) return 'unread'
  if (packet.reading.digest !== digestOf(packet.label)) return 'changed'
  return packet.reading.at.slice(0, 10) === today ? 'today' : 'earlier'
}

/** What a reading of a packet's words means for the food rules: lists, warnings, and the words still to ask about. */
export function packetWords(label: string): {
  lists: string[]
  may: string[]
  open: string[]
  reading: LabelReading
} {
  const reading = readLabel(label)
  return {
    lists: [...reading.contains, ...reading.extras],
    may: [...reading.mayContain, ...reading.mayExtras],
    open: [...new Set([...reading.ask, ...reading.unknown])],
    reading,
  }
}

/** A packet as a scanner gives it. A real scanner stands behind the same shape. */
export interface ScannedPacket {
  code: string
  name: string
  food: string
  label: string
  simulated: boolean
}
