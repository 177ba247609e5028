/** HiGHS as a yardstick, in a thread that is ended when it takes too long. */
import { Worker } from 'node:worker_threads'
import type { Job } from './highs-worker'

export interface SolverAnswer {
  objective: number[] | null
  /** Milliseconds, or null where it was ended. */
  took: number | null
}
const PATIENCE_MS = 60_000

export function startSolver(patience = PATIENCE_MS) {
  let worker: Worker | null = null
  const start = (): Worker => (worker ??= new Worker(new URL('./highs-worker.js', import.meta.url)))
  return {
    optimum: (job: Job): Promise<SolverAnswer> =>
      new Promise((done) => {
        const at = start()
        const late = setTimeout(() => {
          void at.terminate()
          worker = null
          done({ objective: null, took: null })
        }, patience)
        at.once('message', (answer: SolverAnswer) => {
          clearTimeout(late)
          done(answer)
        })
        at.postMessage(job)
      }),
    end: async (): Promise<void> => {
      await worker?.terminate()
    },
  }
}
