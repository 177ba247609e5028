/** The last answers of the server, kept on this device for a day, so that what was open goes on without a network. */
import { ref } from 'vue'
import { api, isOffline } from '../shared/api'
import { base } from './database'

const KEPT_MS = 24 * 3600 * 1000

/** ISO time of the oldest answer on the screen that this device kept; empty while the server answers. */
export const cachedSince = ref('')

/**
 * Asks the server; where it does not answer, what it said last.
 * @throws ApiFault where it does not answer and this device kept nothing
 */
export async function getCached<T>(path: string, signal?: AbortSignal): Promise<T> {
  try {
    const answer = await api<T>('GET', path)
    // Dropped meanwhile: a newer answer is on its way, and is the one to keep.
    signal?.throwIfAborted()
    cachedSince.value = ''
    void cacheAnswer(path, answer)
    return answer
  } catch (fault) {
    if (!isOffline(fault)) throw fault
    const kept = await keptAnswer(path)
    if (!kept) throw fault
    if (!cachedSince.value || kept.at < cachedSince.value) cachedSince.value = kept.at
    return kept.answer as T
  }
}

export async function cacheAnswer(path: string, answer: unknown): Promise<void> {
  try {
    await (await base()).put('answers', { path, at: new Date().toISOString(), answer })
  } catch {
    // A device without room or without IndexedDB works on with the network.
  }
}

async function keptAnswer(path: string): Promise<{ at: string; answer: unknown } | null> {
  const db = await base().catch(() => null)
  const row = await db?.get('answers', path)
  if (!db || !row) return null
  if (Date.now() - Date.parse(row.at) <= KEPT_MS) return { at: row.at, answer: row.answer }
  await db.delete('answers', path)
  return null
}

/** Answers older than a day go, whether or not anybody asks for them. */
export async function sweepCache(): Promise<void> {
  const db = await base().catch(() => null)
  const old = new Date(Date.now() - KEPT_MS).toISOString()
  for (const row of (await db?.getAll('answers')) ?? [])
    if (row.at < old) await db?.delete('answers', row.path)
}
