/** What waits on this device for the server: written down first, counted, sent in order, tried again until the server has it. */
import { computed, ref, shallowRef, type Ref } from 'vue'
import type { TableEvent } from '@lea/core/session'
import { api, ApiFault, inWords, isOffline } from '../../shared/api'
import * as outbox from '../../offline-cache/outbox'

const BATCH = 200
/** A message that nobody answers for so long is given up and sent again: the server knows an event by its id. */
export const PATIENCE_MS = 15_000
const SOON_MS = 2000
const LATER_MS = 10_000

/** Of no use to send again: it is wrong, it is not theirs to say, or its session is gone. */
const isRefused = (e: unknown): boolean => e instanceof ApiFault && [400, 403, 404].includes(e.status)

/** Milliseconds until it is worth trying again; null where somebody has to do something first. */
function worthAgain(e: unknown): number | null {
  if (isOffline(e)) return SOON_MS
  const passes = !(e instanceof ApiFault) || e.status >= 500 || e.status === 408 || e.status === 429
  return passes ? LATER_MS : null
}

/**
 * @param session whose taps are sent
 * @param first what the server has to know before it takes those of a session
 * @param parked called with a tap that the server does not take: it is part of no table
 * @param answered called with the number of the last tap the server has, and how many it was sent
 */
export function sendingOf(
  session: Ref<string>,
  first: (session: string) => Promise<void>,
  answered: (session: string, last: number, sent: number) => void = () => undefined,
  parked: (event: TableEvent) => void = () => undefined,
) {
  /** In words, why nothing goes through just now; empty while it does. */
  const fault = ref('')
  /** Why the server does not take a tap that waits here. */
  const refused = ref('')
  const written = shallowRef<ReadonlySet<string>>(new Set())
  const beingWritten = shallowRef<ReadonlySet<string>>(new Set())
  /** Every tap from its moment on. */
  const waiting = computed(() => new Set([...written.value, ...beingWritten.value]).size)
  /** Only what would be there after a power cut is said to be kept. */
  const kept = computed(() => written.value.size)
  const words = computed(() => {
    if (outbox.onlyInPage.value > 0) return `${waiting.value} in this page only, not sent yet`
    return kept.value === 0 ? 'sending …' : `${kept.value} kept on this device, not sent yet`
  })
  let sending: Promise<void> | null = null
  let again = false
  let timer: ReturnType<typeof setTimeout> | undefined

  /** What waits for a session, counted anew. */
  async function look(id: string): Promise<TableEvent[]> {
    const found = await outbox.waitingFor(id)
    if (session.value === id) written.value = new Set(found.map((e) => e.id))
    const apart = await outbox.parkedOf(id)
    if (session.value === id) refused.value = apart.at(-1)?.why ?? ''
    return found
  }

  /** Writes a tap down on this device; then it is sent. */
  async function keep(event: TableEvent): Promise<void> {
    const id = session.value
    beingWritten.value = new Set([...beingWritten.value, event.id])
    await outbox.keep(id, event)
    if (session.value === id) written.value = new Set([...written.value, event.id])
    beingWritten.value = new Set([...beingWritten.value].filter((e) => e !== event.id))
    // What was tapped as another table was opened goes to its own all the same.
    if (session.value === id) void send()
    else void sendAll(id)
  }

  /** One message at a time; what is written down meanwhile goes after it. */
  function send(): Promise<void> {
    if (sending) {
      again = true
      return sending
    }
    sending = sendAll(session.value).finally(() => {
      sending = null
      if (!again) return
      again = false
      void send()
    })
    return sending
  }

  async function sendAll(id: string): Promise<void> {
    clearTimeout(timer)
    try {
      for (;;) {
        const left = await look(id)
        // A session that was begun here comes before what was tapped in it.
        await first(id)
        if (left.length === 0) break
        await post(id, left.slice(0, BATCH))
        fault.value = ''
      }
    } catch (e) {
      const wait = worthAgain(e)
      if (session.value !== id) {
        // Of a table that is no longer open: tried again by itself, and nothing is said of it here.
        if (wait !== null) setTimeout(() => void sendAll(id), wait)
        return
      }
      fault.value = inWords(e)
      if (wait !== null) timer = setTimeout(() => void send(), wait)
    }
  }

  /** One tap that the server does not take holds up no other: halves go by themselves until it stands alone, and is said. */
  async function post(id: string, events: readonly TableEvent[]): Promise<void> {
    try {
      const { last } = await api<{ last: number }>('POST', `/sessions/${id}/events`, { events }, PATIENCE_MS)
      answered(id, last, events.length)
    } catch (e) {
      if (!isRefused(e)) throw e
      const [alone] = events
      if (alone && events.length === 1) {
        await outbox.park(id, alone, inWords(e))
        if (session.value === id) refused.value = inWords(e)
        parked(alone)
        return
      }
      const half = Math.ceil(events.length / 2)
      await post(id, events.slice(0, half))
      await post(id, events.slice(half))
      return
    }
    await outbox.acknowledged(id, events)
    const there = new Set(events.map((e) => e.id))
    written.value = new Set([...written.value].filter((e) => !there.has(e)))
  }

  return { fault, refused, waiting, kept, words, look, keep, send }
}
