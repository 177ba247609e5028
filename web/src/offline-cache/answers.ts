/**
 * The last answers of the server, kept on this device for some hours, so that what was open goes on without a network: by the open page as they
 * are, and sealed where this device has a code to open them again (`device-lock.ts`).
 */
import { ref } from 'vue'
import { api, isOffline } from '../shared/api'
import { base } from './database'
import { hasCode, sealFor, unseal } from './device-lock'

/** Hours for which an answer is kept: a long day's work. */
export const KEPT_HOURS = 10
const KEPT_MS = KEPT_HOURS * 3600 * 1000

interface Kept {
  at: string
  answer: unknown
}
/** Of this page, by path. */
const ofPage = new Map<string, Kept>()

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
  // What the page goes on to change is not what was answered.
  const kept = { at: new Date().toISOString(), answer: JSON.parse(JSON.stringify(answer)) as unknown }
  ofPage.set(path, kept)
  await keepSealed(path, kept)
}

async function keepSealed(path: string, { at, answer }: Kept): Promise<void> {
  try {
    const sealed = hasCode.value ? await sealFor(answer) : null
    if (sealed) await (await base()).put('answers', { path, at, sealed })
  } catch {
    // A device without room or without IndexedDB works on with the network.
  }
}

/** A code was chosen: what the page holds already can be opened by it too. */
export async function keepForCode(): Promise<void> {
  for (const [path, kept] of ofPage) await keepSealed(path, kept)
}

const isFresh = (at: string): boolean => Date.now() - Date.parse(at) <= KEPT_MS

async function keptAnswer(path: string): Promise<Kept | null> {
  const here = ofPage.get(path)
  if (here && isFresh(here.at)) return here
  ofPage.delete(path)
  const db = await base().catch(() => null)
  const row = await db?.get('answers', path)
  if (!db || !row) return null
  if (!isFresh(row.at)) {
    await db.delete('answers', path)
    return null
  }
  const answer = await unseal(row.sealed)
  return answer === null ? null : { at: row.at, answer }
}

/** Answers older than that go, whether or not anybody asks for them. */
export async function sweepCache(): Promise<void> {
  for (const [path, { at }] of ofPage) if (!isFresh(at)) ofPage.delete(path)
  const db = await base().catch(() => null)
  for (const row of (await db?.getAll('answers')) ?? [])
    if (!isFresh(row.at)) await db?.delete('answers', row.path)
}

/** Nobody is signed in any more. */
export const forgetAnswers = (): void => ofPage.clear()
