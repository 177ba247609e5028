/** What was changed in a session on its way to the server: one after another, and again once the network is back. */
import { ref, type Ref, type ShallowRef } from 'vue'
import type { Decision } from '@lea/core/plan'
import { type SessionInputs, type StoredSession, inputsOf } from '@lea/core/setting'
import { api, inWords, isOffline } from '../../shared/api'

type What = 'inputs' | 'decisions'
interface Change {
  session: string
  path: string
  body: Partial<SessionInputs> & { decisions?: Decision[] }
}
const AGAIN_MS = 3000
/** A message that nobody answers for so long is given up and sent again. */
const PATIENCE_MS = 15_000

export interface Saving {
  /** In words, why something is not saved; empty while all is. */
  fault: Ref<string>
  /** Sends the session's inputs or its decisions as they are now. @returns what stood against it, or null */
  save: (what: What) => Promise<unknown>
  /** A refusal that was read is said no longer. */
  seen: () => void
  /** A session as the server told it, with what is still on its way to it. */
  over: (session: StoredSession) => StoredSession
  /** Does something at the server once all that was changed before is there, or cannot be. */
  after: <T>(then: () => Promise<T>) => Promise<T>
}

export function savingOf(stored: ShallowRef<StoredSession | null>): Saving {
  const fault = ref('')
  /** The latest of each kind; one that is overtaken is never sent. */
  const unsaved = new Map<string, Change>()
  let line: Promise<unknown> = Promise.resolve()
  let again: ReturnType<typeof setTimeout> | undefined

  function inLine<T>(then: () => Promise<T>): Promise<T> {
    const turn = line.then(then)
    line = turn.catch(() => undefined)
    return turn
  }

  function save(what: What): Promise<unknown> {
    const session = stored.value
    if (!session) return Promise.resolve(null)
    const path = `/sessions/${session.id}${what === 'decisions' ? '/decisions' : ''}`
    unsaved.set(path, {
      session: session.id,
      path,
      body: what === 'decisions' ? { decisions: session.decisions } : inputsOf(session),
    })
    return inLine(() => send(path))
  }

  async function send(path: string): Promise<unknown> {
    const change = unsaved.get(path)
    if (!change) return null
    try {
      await api('PUT', change.path, change.body, PATIENCE_MS)
      if (unsaved.get(path) === change) unsaved.delete(path)
      if (unsaved.size === 0) fault.value = ''
      return null
    } catch (e) {
      fault.value = `Not saved: ${inWords(e)}`
      if (!isOffline(e)) unsaved.delete(path)
      else {
        clearTimeout(again)
        again = setTimeout(() => void sendAll(), AGAIN_MS)
      }
      return e
    }
  }

  async function sendAll(): Promise<void> {
    for (const path of [...unsaved.keys()]) await inLine(() => send(path))
  }

  // Who closes the page now is asked whether it may go.
  window.addEventListener('beforeunload', (e) => {
    if (unsaved.size > 0) e.preventDefault()
  })

  return {
    fault,
    save,
    seen: () => {
      if (unsaved.size === 0) fault.value = ''
    },
    over: (session) =>
      [...unsaved.values()]
        .filter((change) => change.session === session.id)
        .reduce((now, change) => ({ ...now, ...change.body }), session),
    after: async (then) => {
      await sendAll()
      return inLine(then)
    },
  }
}
