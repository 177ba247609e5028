/** The door of every worker: it stands back behind the server's own thread before anything else of it is even read. */
import { setPriority } from 'node:os'
import { workerData } from 'piscina'
import type { WorkerData } from './tasks'

/**
 * Where the server's own thread and this one want the same processor, the server goes first. Linux counts the priority of each thread;
 * elsewhere it would be the whole process that stands back, so there nothing is done.
 */
const { nice, script } = workerData as WorkerData
if (process.platform === 'linux')
  try {
    // 0 is the thread that asks.
    setPriority(0, nice)
  } catch {
    // Not allowed here: it is as quick, and a little less fair.
  }

const { default: work } = (await import(script)) as {
  default: (task: unknown) => unknown
}
export default work
