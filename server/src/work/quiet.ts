import { setPriority } from 'node:os'

const NICE = 10

/**
 * Called in a worker: where the server's own thread and this one want the same processor, the server goes first. Linux counts the priority of
 * each thread; elsewhere it would be the whole process that stands back, so there nothing is done.
 */
export function yieldToServer(): void {
  if (process.platform !== 'linux') return
  try {
    // 0 is the thread that asks.
    setPriority(0, NICE)
  } catch {
    // Not allowed here: it is as quick, and a little less fair.
  }
}
