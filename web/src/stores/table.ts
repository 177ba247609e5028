import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { replay, type EventBody, type TableEvent } from '@lea/core'
import { api, isOffline, inWords } from '../api'
import * as outbox from '../table/outbox'

/** The live table of one session: the log of events, what is still to send, and the state they give. */
export const useTable = defineStore('table', () => {
  const session = ref('')
  const events = shallowRef<TableEvent[]>([])
  const waiting = ref(0)
  const fault = ref('')
  const opened = ref(false)
  const state = computed(() => replay(events.value))
  let last = 0
  let sending: Promise<void> | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  const merge = (more: readonly TableEvent[]): void => {
    const byId = new Map([...events.value, ...more].map((e) => [e.id, e]))
    events.value = [...byId.values()]
  }

  async function open(id: string): Promise<void> {
    if (session.value !== id) {
      session.value = id
      events.value = []
      last = 0
      opened.value = false
    }
    const kept = await outbox.waitingFor(id)
    waiting.value = kept.length
    merge(kept)
    await fetchNew()
    await send()
    opened.value = true
  }

  async function fetchNew(): Promise<void> {
    try {
      const answer = await api<{ events: TableEvent[]; last: number }>(
        'GET',
        `/sessions/${session.value}/events?after=${last}`,
      )
      merge(answer.events)
      last = answer.last
      fault.value = ''
    } catch (e) {
      fault.value = inWords(e)
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
      at: new Date().toISOString(),
      ...plain,
    }
    // The screen answers the tap at once; the device keeps it before anything is sent.
    merge([event])
    await outbox.keep(session.value, event)
    waiting.value += 1
    void send()
    return event.id
  }

  function send(): Promise<void> {
    sending ??= sendAll().finally(() => {
      sending = null
    })
    return sending
  }

  async function sendAll(): Promise<void> {
    clearTimeout(timer)
    const id = session.value
    for (;;) {
      const batch = (await outbox.waitingFor(id)).slice(0, 200)
      waiting.value = batch.length
      if (batch.length === 0) return
      try {
        await api('POST', `/sessions/${id}/events`, { events: batch })
        await outbox.drop(batch.map((e) => e.id))
        fault.value = ''
      } catch (e) {
        fault.value = inWords(e)
        if (isOffline(e)) timer = setTimeout(() => void send(), 2000)
        return
      }
    }
  }

  /** Takes the last tap back. A tap taken back is an event too. */
  async function undo(): Promise<void> {
    const event = state.value.order.at(-1)
    if (event) await add({ kind: 'undo', body: { event } })
  }

  return { session, events, waiting, fault, opened, state, open, add, undo, send }
})
