/**
 * Events of the table on this device: kept in IndexedDB first, sent when the server answers. What the server has acknowledged, or told
 * of, stays here until the session is over, so that a reload without a network shows the table as it was.
 */
import type { TableEvent } from '@lea/core'
import { base } from './base'

export const keep = async (session: string, event: TableEvent): Promise<void> => {
  await (await base()).put('waiting', { session, event })
}
export const waitingFor = async (session: string): Promise<TableEvent[]> => {
  const rows = await (await base()).getAllFromIndex('waiting', 'session', session)
  return rows.map((r) => r.event).sort((a, b) => a.lamport - b.lamport)
}
/** The server has them: they wait no longer. */
export const acknowledged = async (session: string, events: readonly TableEvent[]): Promise<void> => {
  const tx = (await base()).transaction(['waiting', 'heard'], 'readwrite')
  const waiting = tx.objectStore('waiting')
  const heard = tx.objectStore('heard')
  await Promise.all([
    ...events.flatMap((event) => [heard.put({ session, event }), waiting.delete(event.id)]),
    tx.done,
  ])
}
export const keepHeard = async (session: string, events: readonly TableEvent[]): Promise<void> => {
  const tx = (await base()).transaction('heard', 'readwrite')
  await Promise.all([...events.map((event) => tx.store.put({ session, event })), tx.done])
}
export const heardOf = async (session: string): Promise<TableEvent[]> =>
  (await (await base()).getAllFromIndex('heard', 'session', session)).map((r) => r.event)

/** The session is over and all of it acknowledged: this device needs it no longer. */
export async function forget(session: string): Promise<void> {
  const db = await base()
  const tx = db.transaction('heard', 'readwrite')
  for (const key of await tx.store.index('session').getAllKeys(session)) await tx.store.delete(key)
  await tx.done
  await db.delete('answers', `/sessions/${session}`)
}

/** Sessions of which this device holds taps that the server has not acknowledged. */
export const unsent = async (): Promise<string[]> => {
  const rows = await (await base()).getAll('waiting')
  return [...new Set(rows.map((r) => r.session))]
}

/** This device's own name in the log: made once, kept in the browser. */
export function deviceName(): string {
  const known = localStorage.getItem('lea-device')
  if (known) return known
  const made = `device-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`
  localStorage.setItem('lea-device', made)
  return made
}

/** A version-4 uuid; `crypto.randomUUID` is missing on plain http off loopback. */
export function newId(): string {
  const b = crypto.getRandomValues(new Uint8Array(16))
  b[6] = ((b[6] ?? 0) & 0x0f) | 0x40
  b[8] = ((b[8] ?? 0) & 0x3f) | 0x80
  const hex = [...b].map((x) => x.toString(16).padStart(2, '0')).join('')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
}
