/**
 * Events of the table on this device: kept in IndexedDB first, sent when the server answers. What the server has acknowledged, or told
 * of, stays here until the session is over, so that a reload without a network shows the table as it was.
 */
import { ref } from 'vue'
import type { TableEvent } from '@lea/core/session'
import { base } from './database'

/** Taps that could not be written down, where a device is full or lets a page keep nothing: sent like the others, lost with the page. */
const unwritten = new Map<string, { session: string; event: TableEvent }>()
/** How many those are. */
export const onlyInPage = ref(0)
/** Acknowledged, though the device could not write that down. */
const sent = new Set<string>()

export const keep = async (session: string, event: TableEvent): Promise<void> => {
  try {
    // A tablet whose battery ends keeps it too: browsers else write when it suits them.
    const tx = (await base()).transaction('waiting', 'readwrite', { durability: 'strict' })
    await Promise.all([tx.store.put({ session, event }), tx.done])
  } catch {
    unwritten.set(event.id, { session, event })
    onlyInPage.value = unwritten.size
  }
}
export const waitingFor = async (session: string): Promise<TableEvent[]> => {
  const rows = await base()
    .then((db) => db.getAllFromIndex('waiting', 'session', session))
    .catch(() => [])
  return [...rows, ...[...unwritten.values()].filter((r) => r.session === session)]
    .map((r) => r.event)
    .filter((e) => !sent.has(e.id))
    .sort((a, b) => a.lamport - b.lamport)
}
/** The server has them: they wait no longer. */
export const acknowledged = async (session: string, events: readonly TableEvent[]): Promise<void> => {
  for (const event of events) unwritten.delete(event.id)
  onlyInPage.value = unwritten.size
  try {
    const tx = (await base()).transaction(['waiting', 'heard'], 'readwrite')
    const waiting = tx.objectStore('waiting')
    const heard = tx.objectStore('heard')
    await Promise.all([
      ...events.flatMap((event) => [heard.put({ session, event }), waiting.delete(event.id)]),
      tx.done,
    ])
  } catch {
    for (const event of events) sent.add(event.id)
  }
}
/** The server does not take it: it waits no longer, holds up nothing, and is kept apart with the reason. */
export const park = async (session: string, event: TableEvent, why: string): Promise<void> => {
  unwritten.delete(event.id)
  onlyInPage.value = unwritten.size
  try {
    const tx = (await base()).transaction(['waiting', 'parked'], 'readwrite')
    await Promise.all([
      tx.objectStore('parked').put({ session, event, why }),
      tx.objectStore('waiting').delete(event.id),
      tx.done,
    ])
  } catch {
    sent.add(event.id)
  }
}
/** Taps of a session that the server did not take, with its reasons. */
export const parkedOf = async (session: string): Promise<{ event: TableEvent; why: string }[]> =>
  base()
    .then((db) => db.getAllFromIndex('parked', 'session', session))
    .catch(() => [])

export const keepHeard = async (session: string, events: readonly TableEvent[]): Promise<void> => {
  try {
    const tx = (await base()).transaction('heard', 'readwrite')
    await Promise.all([...events.map((event) => tx.store.put({ session, event })), tx.done])
  } catch {
    // What the server has told is asked for again after a reload.
  }
}
export const heardOf = async (session: string): Promise<TableEvent[]> =>
  base()
    .then((db) => db.getAllFromIndex('heard', 'session', session))
    .then((rows) => rows.map((r) => r.event))
    .catch(() => [])

/** The session is over and all of it acknowledged: this device needs it no longer. */
export async function forget(session: string): Promise<void> {
  const db = await base().catch(() => null)
  if (!db) return
  const tx = db.transaction('heard', 'readwrite')
  for (const key of await tx.store.index('session').getAllKeys(session)) await tx.store.delete(key)
  await tx.done
  await db.delete('answers', `/sessions/${session}`)
}

/** Sessions of which this device holds taps that the server has not acknowledged. */
export const unsent = async (): Promise<string[]> => {
  const rows = await base()
    .then((db) => db.getAll('waiting'))
    .catch(() => [])
  return [...new Set([...rows, ...unwritten.values()].map((r) => r.session))]
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
