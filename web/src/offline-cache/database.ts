/**
 * What this device keeps in IndexedDB: taps until they are sent, the last answers of the server so that a table goes on without a
 * network, and sessions that were begun without one. All of it goes at sign-out; answers go after some hours. Answers and begun sessions hold
 * cards and are sealed (`device-lock.ts`); taps hold ids and what was written beside them, and are not, so that they can always be sent.
 */
import type { DBSchema, IDBPDatabase } from 'idb'
import type { Plan, PlanRequest } from '@lea/core/plan'
import type { TableEvent } from '@lea/core/session'

/** A value that only the key of this device opens. */
export interface Sealed {
  iv: Uint8Array<ArrayBuffer>
  bytes: ArrayBuffer
}
export interface OfflineStart {
  session: string
  plan: Plan
  /** What the plan was made from; a session that was begun with an earlier version kept none. */
  request: PlanRequest
  /** ISO time by this device's clock. */
  at: string
}
interface Tables extends DBSchema {
  waiting: { key: string; value: { session: string; event: TableEvent }; indexes: { session: string } }
  /** What the server has: taps of all devices of a table that is open here. */
  heard: { key: string; value: { session: string; event: TableEvent }; indexes: { session: string } }
  /** Taps that the server did not take, with its reason: apart from all that waits, to be looked at. */
  parked: {
    key: string
    value: { session: string; event: TableEvent; why: string }
    indexes: { session: string }
  }
  answers: { key: string; value: { path: string; at: string; sealed: Sealed } }
  /** As it is only where this browser can seal nothing, or an earlier version wrote it. */
  starts: { key: string; value: OfflineStart | { session: string; at: string; sealed: Sealed } }
  lock: {
    key: string
    value: {
      id: 'code'
      /** Whose code it is. */
      by: string
      /** By what the wrapped key is known. */
      of: string
      salt: Uint8Array<ArrayBuffer>
      iv: Uint8Array<ArrayBuffer>
      wrapped: ArrayBuffer
      /** Wrong codes since the last right one. */
      tries: number
    }
  }
}

let opened: Promise<IDBPDatabase<Tables>> | null = null
/** @throws where the browser lets this page keep nothing */
export const base = (): Promise<IDBPDatabase<Tables>> => {
  opened ??= open().catch((e: unknown) => {
    opened = null
    throw e
  })
  return opened
}
const open = async (): Promise<IDBPDatabase<Tables>> => {
  // Not among the first of a page.
  const { openDB } = await import('idb')
  return openDB<Tables>('lea-table', 4, {
    upgrade: (db, old, _to, tx) => {
      if (old < 1) db.createObjectStore('waiting', { keyPath: 'event.id' }).createIndex('session', 'session')
      if (old < 2) {
        db.createObjectStore('heard', { keyPath: 'event.id' }).createIndex('session', 'session')
        db.createObjectStore('answers', { keyPath: 'path' })
        db.createObjectStore('starts', { keyPath: 'session' })
      }
      if (old < 3) db.createObjectStore('parked', { keyPath: 'event.id' }).createIndex('session', 'session')
      if (old < 4) {
        db.createObjectStore('lock', { keyPath: 'id' })
        // They were not sealed.
        if (old >= 2) void tx.objectStore('answers').clear()
      }
    },
    // Another tab has a newer Lea: let it change the tables.
    blocking: (_old, _new, event) => {
      ;(event.target as IDBDatabase).close()
      opened = null
    },
  })
}

/** Nobody is signed in any more: lists and plans go; what is not sent yet waits for the next sign-in. */
export async function forgetLists(): Promise<void> {
  const db = await base().catch(() => null)
  await Promise.all([db?.clear('heard'), db?.clear('answers'), db?.clear('parked')])
}

/** At sign-out a device keeps nothing. */
export async function forgetAll(): Promise<void> {
  const db = await base().catch(() => null)
  const all = ['waiting', 'heard', 'answers', 'starts', 'parked', 'lock'] as const
  if (db) await Promise.all(all.map((store) => db.clear(store)))
}
