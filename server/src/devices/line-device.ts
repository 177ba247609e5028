/**
 * A device in the kitchen that says a line of text for each reading, over TCP: what a serial adapter or a small gateway offers. The line
 * is opened anew whenever it breaks, and only while somebody listens.
 */
import { createConnection, type Socket } from 'node:net'

export interface LineDevice<T> {
  /** @returns how to leave */
  listen(ear: (reading: T) => void): () => void
  close(): void
}

const AGAIN_MS = 1000
const LONGEST_LINE = 200

/**
 * @param address `host:port`
 * @param read a line in its own words; null where it is no reading
 */
export function lineDevice<T>(address: string, read: (line: string) => T | null): LineDevice<T> {
  const at = address.lastIndexOf(':')
  const host = address.slice(0, at)
  const port = Number(address.slice(at + 1))
  const ears = new Set<(reading: T) => void>()
  let socket: Socket | null = null
  let again: ReturnType<typeof setTimeout> | undefined

  function connect(): void {
    if (socket || ears.size === 0) return
    const next = createConnection({ host, port })
    socket = next
    let rest = ''
    next.setEncoding('utf8')
    next.on('data', (text: string) => {
      const lines = (rest + text).split('\n')
      rest = (lines.pop() ?? '').slice(-LONGEST_LINE)
      for (const line of lines) {
        const reading = read(line.trim())
        if (reading !== null) for (const ear of ears) ear(reading)
      }
    })
    next.on('error', () => undefined)
    next.on('close', () => {
      socket = null
      clearTimeout(again)
      if (ears.size > 0) again = setTimeout(connect, AGAIN_MS)
    })
  }
  function leaveLine(): void {
    clearTimeout(again)
    socket?.destroy()
    socket = null
  }
  return {
    listen(ear) {
      ears.add(ear)
      connect()
      return () => {
        ears.delete(ear)
        if (ears.size === 0) leaveLine()
      }
    },
    close() {
      ears.clear()
      leaveLine()
    },
  }
}
