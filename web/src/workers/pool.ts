/**
 * The few workers that hold core. `front` answers what a person waits for; `beside` takes what is long, so that no draft waits for it; a device with
 * more processors has others, for the shelf only. Each is begun when it is first asked.
 */
import { wrap, type Remote } from 'comlink'
import type { CoreWorker } from './core.worker'

const MOST = 4
interface Member {
  core: Remote<CoreWorker>
  /** Long answers that are waited for. */
  long: number
}
const members = new Map<string, Member>()

function member(name: string): Member {
  let m = members.get(name)
  if (!m) {
    const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module', name })
    m = { core: wrap<CoreWorker>(worker), long: 0 }
    members.set(name, m)
  }
  return m
}

/** Asks one of them for what is soon done. */
export const ask = <T>(name: string, what: (core: Remote<CoreWorker>) => Promise<T>): Promise<T> =>
  what(member(name).core)

/** Asks `beside` for what may take seconds. */
export async function askLong<T>(what: (core: Remote<CoreWorker>) => Promise<T>): Promise<T> {
  const m = member('beside')
  m.long += 1
  try {
    return await what(m.core)
  } finally {
    m.long -= 1
  }
}

/** Whether it is not at something that may take seconds. */
export const isFree = (name: string): boolean => (members.get(name)?.long ?? 0) === 0

/** Names of all that this device may have; what is long comes first, so that `front` is left for drafts where there are enough. */
export function poolNames(): string[] {
  const count = Math.max(2, Math.min(MOST, navigator.hardwareConcurrency || 2))
  return ['beside', 'front', ...Array.from({ length: count - 2 }, (_, n) => `more-${n + 1}`)]
}

/** These, or all of them, read their code before anything is asked. */
export const startPool = (names = poolNames()): void => names.forEach(member)
