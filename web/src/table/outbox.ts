/**
 * Events of the table on this device: kept in IndexedDB first, sent when the server answers. An event leaves the device
 * only when the server has acknowledged it.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { TableEvent } from '@lea/core'

interface Tables extends DBSchema {
  waiting: { key: string; value: { session: string; event: TableEvent }; indexes: { session: string } }
}

let opened: Promise<IDBPDatabase<Tables>> | null = null
const db = (): Promise<IDBPDatabase<Tables>> => {
  opened ??= openDB<Tables>('lea-table', 1, {
    upgrade: (base) => {
      base.createObjectStore('waiting', { keyPath: 'event.id' }).createIndex('session', 'session')
    },
  })
  return opened
}

export const keep = async (session: string, event: TableEvent): Promise<void> => {
  await (await db()).put('waiting', { session, event })
}
export const waitingFor = async (session: string): Promise<TableEvent[]> => {
  const rows = await (await db()).getAllFromIndex('waiting', 'session', session)
  return rows.map((r) => r.event).sort((a, b) => a.lamport - b.lamport)
}
export const drop = async (ids: readonly string[]): Promise<void> => {
  const tx = (await db()).transaction('waiting', 'readwrite')
  await Promise.all([...ids.map((id) => tx.store.delete(id)), tx.done])
}

/** At sign-out a device keeps nothing. */
export async function forgetTables(): Promise<void> {
  await (await db()).clear('waiting')
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
