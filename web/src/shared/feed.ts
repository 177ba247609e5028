/**
 * News of one table that cannot go deaf. A stream of events tells at once; it is opened again whenever it ends, whatever ended it (a
 * browser gives up for good on any answer but 200, and a sleeping device never hears that it was cut); and every half minute, and when
 * somebody comes back to the page, it is asked whether there is anything new all the same.
 */
import { onScopeDispose, ref } from 'vue'

/** Without a sign of life for so long a stream is taken for dead; the server gives one every 20 seconds. */
const SILENT_MS = 45_000
const ASK_EVERY_MS = 30_000
/** Until it is opened again: twice as long each time, and no longer than this. */
const SOONEST_MS = 1000
const LATEST_MS = 20_000

export interface Feed {
  /** Hears one stream; the one before is left. @param url of the stream @param news called with what is said, or `ask` */
  open: (url: string, news: (says: string) => void) => void
  close: () => void
  /** It is heard just now. */
  live: Readonly<ReturnType<typeof ref<boolean>>>
}

/** @param make opens a stream; the browser's own where it is not said */
export function useFeed(make: (url: string) => EventSource = (url) => new EventSource(url)): Feed {
  const live = ref(false)
  let stream: EventSource | null = null
  let at = ''
  let tell: (says: string) => void = () => undefined
  let tries = 0
  let again: ReturnType<typeof setTimeout> | undefined
  let silent: ReturnType<typeof setTimeout> | undefined
  let asking: ReturnType<typeof setInterval> | undefined

  function drop(): void {
    clearTimeout(again)
    clearTimeout(silent)
    stream?.close()
    stream = null
    live.value = false
  }
  function alive(): void {
    live.value = true
    tries = 0
    clearTimeout(silent)
    silent = setTimeout(later, SILENT_MS)
  }
  /** Opens it again after a while. */
  function later(): void {
    drop()
    if (at === '') return
    const wait = Math.min(LATEST_MS, SOONEST_MS * 2 ** tries) * (0.75 + Math.random() / 2)
    tries += 1
    again = setTimeout(connect, wait)
  }
  function connect(): void {
    drop()
    const mine = make(at)
    stream = mine
    silent = setTimeout(later, SILENT_MS)
    // What a stream says that was left meanwhile is of another table.
    const only = (then: () => void) => (): void => {
      if (stream === mine) then()
    }
    mine.onopen = only(() => {
      alive()
      tell('ask')
    })
    mine.onmessage = (event: MessageEvent<string>): void => {
      if (stream !== mine) return
      alive()
      tell(event.data)
    }
    mine.addEventListener('alive', only(alive))
    // Some errors mend themselves and some end the stream for good: it is ours to open it again either way.
    mine.onerror = only(later)
  }
  /** Somebody looks at this page again, or the network is back: what was missed is asked for at once. */
  function back(): void {
    if (at === '' || document.visibilityState === 'hidden') return
    tell('ask')
    if (!live.value) connect()
  }

  function open(url: string, news: (says: string) => void): void {
    close()
    at = url
    tell = news
    tries = 0
    connect()
    asking = setInterval(() => tell('ask'), ASK_EVERY_MS)
    document.addEventListener('visibilitychange', back)
    window.addEventListener('focus', back)
    window.addEventListener('online', back)
  }
  function close(): void {
    at = ''
    drop()
    clearInterval(asking)
    document.removeEventListener('visibilitychange', back)
    window.removeEventListener('focus', back)
    window.removeEventListener('online', back)
  }
  onScopeDispose(close, true)
  return { open, close, live }
}
