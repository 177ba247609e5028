/**
 * What was changed in a session on its way to the server: as operations, one message after another, and again once the network is back.
 * A change that meets somebody else's is shown beside it, and never settled here.
 */
import { ref, type Ref, shallowRef, type ShallowRef } from 'vue'
import {
  type SessionChange,
  type SessionConflict,
  type StoredSession,
  aboutOf,
  changesBetween,
  onTopOf,
  withChanges,
} from '@lea/core/setting'
import { api, ApiFault, inWords, isOffline } from '../../shared/api'

interface Waiting {
  session: string
  change: SessionChange
}
const AGAIN_MS = 3000
/** A message that nobody answers for so long is given up and sent again. */
const PATIENCE_MS = 15_000

/** Another session than that, whatever its version. */
const isOther = (a: StoredSession, b: StoredSession | null): boolean =>
  JSON.stringify({ ...a, version: 0 }) !== JSON.stringify({ ...b, version: 0 })

/** What was asked for before a change was saved, and came after it: the same session as it was. It says nothing new. */
export const isOlder = (a: StoredSession, than: StoredSession | null): boolean =>
  a.id === than?.id && (a.version ?? 0) < (than.version ?? 0)

export interface Saving {
  /** In words, why something is not saved; empty while all is. */
  fault: Ref<string>
  /** Changes of the open session that met somebody else's. */
  conflicts: ShallowRef<SessionConflict[]>
  /** Sends what has changed in the session since then. @returns what stood against it, or null */
  save: (since: StoredSession) => Promise<unknown>
  /** A conflict is settled by who has seen both sides. */
  settle: (conflict: SessionConflict, by: 'mine' | 'theirs') => Promise<unknown>
  /** Something that was changed here is not at the server yet. */
  pending: () => boolean
  /** A refusal that was read is said no longer. */
  seen: () => void
  /** A session as the server told it, with what is still on its way to it. */
  over: (session: StoredSession) => StoredSession
  /** The same, put on the screen. @returns whether it is another one than stood there */
  take: (session: StoredSession) => boolean
  /** Does something at the server once all that was changed before is there, or cannot be. */
  after: <T>(then: () => Promise<T>) => Promise<T>
}

/** Worth sending again by itself: nobody answered, or the server stumbled. */
const passes = (e: unknown): boolean =>
  isOffline(e) || !(e instanceof ApiFault) || e.status >= 500 || e.status === 408 || e.status === 429

/** @param told called with the session as the server has it now, others' changes among them */
export function savingOf(
  stored: ShallowRef<StoredSession | null>,
  told: (session: StoredSession) => void = () => undefined,
): Saving {
  const fault = ref('')
  const conflicts = shallowRef<SessionConflict[]>([])
  /** In the order in which they were made; what is overtaken before it was sent is never sent. */
  let unsaved: Waiting[] = []
  let sending: readonly Waiting[] = []
  let line: Promise<unknown> = Promise.resolve()
  let again: ReturnType<typeof setTimeout> | undefined

  function inLine<T>(then: () => Promise<T>): Promise<T> {
    const turn = line.then(then)
    line = turn.catch(() => undefined)
    return turn
  }

  function add(session: string, change: SessionChange): void {
    const about = aboutOf(change)
    const before = unsaved.find(
      (w) => w.session === session && aboutOf(w.change) === about && !sending.includes(w),
    )
    unsaved = unsaved.filter((w) => w !== before)
    // Seen as it was before the first of them; become what the last of them says.
    const whole =
      before && 'was' in before.change && 'was' in change
        ? ({ ...change, was: before.change.was } as SessionChange)
        : change
    unsaved.push({ session, change: whole })
  }

  function save(since: StoredSession): Promise<unknown> {
    const session = stored.value
    if (session?.id !== since.id) return Promise.resolve(null)
    for (const change of changesBetween(since, session)) add(session.id, change)
    return inLine(() => send(session.id))
  }

  async function send(session: string): Promise<unknown> {
    const list = unsaved.filter((w) => w.session === session)
    if (list.length === 0) return null
    sending = list
    const left = (these: readonly Waiting[]): void => {
      unsaved = unsaved.filter((w) => !these.includes(w))
    }
    try {
      const answer = await api<{ session: StoredSession }>(
        'POST',
        `/sessions/${session}/changes`,
        { changes: list.map((w) => w.change) },
        PATIENCE_MS,
      )
      left(list)
      if (unsaved.length === 0) fault.value = ''
      told(answer.session)
      return null
    } catch (e) {
      const met =
        e instanceof ApiFault && e.field === 'changes' ? (e.more['conflicts'] as SessionConflict[]) : []
      const about = new Set(met.map((c) => aboutOf(c.change)))
      if (list.some((w) => about.has(aboutOf(w.change)))) return await split(session, list, met, left)
      fault.value = `Not saved: ${inWords(e)}`
      if (passes(e)) {
        clearTimeout(again)
        again = setTimeout(() => void sendAll(), AGAIN_MS)
      } else left(list)
      return e
    } finally {
      sending = []
    }
  }

  /** What met nobody goes by itself; the rest is shown, and waits for somebody's word. */
  async function split(
    session: string,
    list: readonly Waiting[],
    met: readonly SessionConflict[],
    left: (these: readonly Waiting[]) => void,
  ): Promise<unknown> {
    const about = new Set(met.map((c) => aboutOf(c.change)))
    left(list.filter((w) => about.has(aboutOf(w.change))))
    if (stored.value?.id === session)
      conflicts.value = [...conflicts.value.filter((c) => !about.has(aboutOf(c.change))), ...met]
    sending = []
    const rest = await send(session)
    if (rest !== null) return rest
    // Nothing else was to be sent: what is there is asked for.
    try {
      told((await api<{ session: StoredSession }>('GET', `/sessions/${session}`)).session)
    } catch (e) {
      return e
    }
    return null
  }

  async function settle(conflict: SessionConflict, by: 'mine' | 'theirs'): Promise<unknown> {
    conflicts.value = conflicts.value.filter((c) => c !== conflict)
    const session = stored.value
    if (by === 'theirs' || !session) return null
    const change = onTopOf(conflict)
    add(session.id, change)
    stored.value = withChanges(session, [change]).session
    return inLine(() => send(session.id))
  }

  async function sendAll(): Promise<void> {
    for (const id of new Set(unsaved.map((w) => w.session))) await inLine(() => send(id))
  }

  // Who closes the page now is asked whether it may go.
  window.addEventListener('beforeunload', (e) => {
    if (unsaved.length > 0) e.preventDefault()
  })

  const over = (session: StoredSession): StoredSession =>
    withChanges(
      session,
      unsaved.filter((w) => w.session === session.id).map((w) => w.change),
    ).session
  return {
    fault,
    conflicts,
    save,
    settle,
    pending: () => unsaved.length > 0,
    seen: () => {
      if (unsaved.length === 0) fault.value = ''
      conflicts.value = []
    },
    over,
    take: (session) => {
      const known = over(session)
      const other = isOther(known, stored.value)
      stored.value = known
      return other
    },
    after: async (then) => {
      await sendAll()
      return inLine(then)
    },
  }
}
