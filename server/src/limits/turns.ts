/**
 * Whose work is next, where several settings ask one server: each has a queue of its own, and the queues are served in turn. However much
 * one asks for, another waits for no more than what is being done just now.
 */
import { Fault } from '../fault'

export interface Bounds {
  /** So many are done at once, of all settings together. */
  atOnce: number
  /** Of one setting at once: what is left is for the others. */
  atOnceEach: number
  /** So many may wait, of one setting and of all. */
  mostEach: number
  most: number
  /** Nobody waits longer than this for a turn, in ms. */
  patienceMs: number
}

interface Waiting {
  begin: () => void
  giveUp: (fault: unknown) => void
}

export interface Turns {
  /**
   * @param whose id of the setting
   * @param left is set off where nobody waits for the answer any more: it is taken out of its queue
   * @throws Fault 503 where too many wait, or the turn does not come in time
   */
  take<T>(whose: string, work: () => Promise<T>, left?: AbortSignal): Promise<T>
  waiting: () => number
  running: () => number
}

const TOO_MUCH = 'too much is asked of this server at once: try again in a minute'

export function openTurns(bounds: Bounds): Turns {
  /** In the order in which they are served: whoever was served goes to the end. */
  const queues = new Map<string, Waiting[]>()
  const busy = new Map<string, number>()
  let running = 0
  let waiting = 0

  const next = (): void => {
    while (running < bounds.atOnce) {
      const whose = [...queues.keys()].find((id) => (busy.get(id) ?? 0) < bounds.atOnceEach)
      if (whose === undefined) return
      const queue = queues.get(whose) ?? []
      const first = queue.shift()
      queues.delete(whose)
      if (queue.length > 0) queues.set(whose, queue)
      waiting -= 1
      running += 1
      busy.set(whose, (busy.get(whose) ?? 0) + 1)
      first?.begin()
    }
  }
  const done = (whose: string): void => {
    running -= 1
    const left = (busy.get(whose) ?? 1) - 1
    if (left > 0) busy.set(whose, left)
    else busy.delete(whose)
    next()
  }
  const turn = (whose: string, left?: AbortSignal): Promise<void> =>
    new Promise((begin, fail) => {
      const queue = queues.get(whose) ?? []
      if (left?.aborted || queue.length >= bounds.mostEach || waiting >= bounds.most) {
        fail(new Fault(503, TOO_MUCH))
        return
      }
      const leave = (): void => one.giveUp(new Fault(503, 'nobody waits for this any more'))
      const settled = (): void => {
        clearTimeout(tired)
        left?.removeEventListener('abort', leave)
      }
      const one: Waiting = {
        begin: () => {
          settled()
          begin()
        },
        giveUp: (fault) => {
          settled()
          const own = queues.get(whose) ?? []
          own.splice(own.indexOf(one), 1)
          if (own.length === 0) queues.delete(whose)
          waiting -= 1
          fail(fault instanceof Error ? fault : new Error(String(fault)))
        },
      }
      const tired = setTimeout(() => one.giveUp(new Fault(503, TOO_MUCH)), bounds.patienceMs)
      left?.addEventListener('abort', leave)
      queue.push(one)
      queues.set(whose, queue)
      waiting += 1
      next()
    })
  return {
    async take(whose, work, left) {
      await turn(whose, left)
      try {
        return await work()
      } finally {
        done(whose)
      }
    },
    waiting: () => waiting,
    running: () => running,
  }
}
