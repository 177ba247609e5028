import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { type EventBody, type TableEvent, replayer } from '@lea/core/session'
import { api, inWords } from '../../shared/api'
import * as outbox from '../../offline-cache/outbox'
import { useFeed } from '../../shared/feed'
import { PAGE_ID } from '../../shared/page-id'
import { PATIENCE_MS, sendingOf } from './sending'

const isOwnTap = (e: TableEvent): boolean =>
  e.device === outbox.deviceName() && e.kind !== 'begin' && e.kind !== 'finish'

/** The live table of one session: the log of events, what is still to send, and the state they give. */
export const useTable = defineStore('table', () => {
  const session = ref('')
  const events = shallowRef<TableEvent[]>([])
  const opened = ref(false)
  const replayed = replayer()
  const state = computed(() => replayed(events.value))
  let last = 0
  /** What the server has to know of a session before it takes its events. */
  const firsts = new Map<string, () => Promise<void>>()
  const sending = sendingOf(
    session,
    (id) => firsts.get(id)?.() ?? Promise.resolve(),
    answered,
    // It never was: the table is as if it had not been tapped.
    ({ id }) => (events.value = events.value.filter((e) => e.id !== id)),
  )
  const { fault, refused, waiting, kept, words, look, keep, send } = sending
  /** When the server last said how things are, by `performance.now()`. */
  const newsAt = ref(performance.now())
  /** The server has taken so many taps. Where nobody else tapped between, nothing is to be asked for. */
  function answered(id: string, upTo: number, taken: number): void {
    if (session.value !== id) return
    newsAt.value = performance.now()
    if (upTo === last + taken) last = upTo
    else if (upTo > last) void fetchNew()
  }
  const feed = useFeed()
  let fetching: Promise<void> | null = null
  let fetchAgain = false
  /** Milliseconds by which this device's clock is behind the server's. */
  const behind = ref(0)
  /** When something of another device came last, by `performance.now()`. */
  let heard = -Infinity
  const clock = (): number => Date.now() + behind.value

  /** News of what is known already changes nothing on the screen. */
  const merge = (more: readonly TableEvent[]): void => {
    const known = new Set(events.value.map((e) => e.id))
    const fresh = more.filter((e) => !known.has(e.id))
    if (opened.value && fresh.some((e) => e.device !== outbox.deviceName())) heard = performance.now()
    if (fresh.length > 0) events.value = [...events.value, ...fresh]
  }

  /**
   * @param changed called when the plan or who is here was changed on another device
   * @param before what the server has to know before it takes events
   */
  async function open(
    id: string,
    changed: () => void = () => undefined,
    before: () => Promise<void> = () => Promise.resolve(),
  ): Promise<void> {
    firsts.set(id, before)
    if (session.value !== id) {
      session.value = id
      events.value = []
      last = 0
      opened.value = false
    }
    const here = await look(id)
    merge([...(await outbox.heardOf(id)), ...here])
    await fetchNew()
    await send()
    opened.value = true
    hear(id, changed)
  }

  /** Other devices at this table: what they tap is here within a moment. */
  function hear(id: string, changed: () => void): void {
    let before = false
    feed.open(`/api/sessions/${id}/live?page=${PAGE_ID}`, (says) => {
      if (session.value !== id || says === 'setting') return
      void fetchNew()
      // After a break as well: whatever came meanwhile is asked for, and what waits here is sent.
      if (says === 'ask') void send()
      if (says === 'session' || (says === 'ask' && before)) changed()
      before = true
    })
  }
  const close = feed.close

  /** One at a time; what is told meanwhile is fetched after it. */
  function fetchNew(): Promise<void> {
    if (fetching) {
      fetchAgain = true
      return fetching
    }
    fetching = fetchOnce().finally(() => {
      fetching = null
      if (!fetchAgain) return
      fetchAgain = false
      void fetchNew()
    })
    return fetching
  }

  async function fetchOnce(): Promise<void> {
    const id = session.value
    try {
      const asked = Date.now()
      const answer = await api<{ events: TableEvent[]; last: number; now: string }>(
        'GET',
        `/sessions/${id}/events?after=${last}`,
        undefined,
        PATIENCE_MS,
      )
      if (session.value !== id) return
      behind.value = Date.parse(answer.now) - (asked + Date.now()) / 2
      merge(answer.events)
      await outbox.keepHeard(id, answer.events)
      // Another table may have been opened meanwhile: its log is counted from its own beginning.
      if (session.value !== id) return
      if (state.value.finished && waiting.value === 0) await outbox.forget(id)
      if (session.value !== id) return
      last = Math.max(last, answer.last)
      newsAt.value = performance.now()
      fault.value = ''
    } catch (e) {
      if (session.value === id) fault.value = inWords(e)
    }
  }

  /** Appends an event on this device first; then it is sent. */
  async function add(body: EventBody): Promise<string> {
    // A body may hold lists that the page watches; what is kept is plain JSON.
    const plain = JSON.parse(JSON.stringify(body)) as EventBody
    const event: TableEvent = {
      id: outbox.newId(),
      device: outbox.deviceName(),
      lamport: state.value.lamport + 1,
      at: new Date(clock()).toISOString(),
      ...plain,
    }
    // The screen answers the tap at once; the device keeps it before anything is sent.
    merge([event])
    await keep(event)
    return event.id
  }

  /** The last tap of this device that still counts; the start and the end of a session are none. */
  const lastTap = computed(() => {
    const own = new Map(events.value.filter(isOwnTap).map((e) => [e.id, e]))
    return state.value.order.filter((id) => own.has(id)).at(-1)
  })
  /** Takes it back. A tap taken back is an event too. */
  async function undo(): Promise<void> {
    const event = lastTap.value
    if (event) await add({ kind: 'undo', body: { event } })
  }

  const canUndo = computed(() => lastTap.value !== undefined)

  return {
    canUndo,
    session,
    events,
    waiting,
    kept,
    words,
    fault,
    refused,
    opened,
    state,
    behind,
    heardAt: () => heard,
    newsAt,
    live: feed.live,
    open,
    close,
    add,
    undo,
    send,
  }
})
