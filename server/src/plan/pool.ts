/** Compiles plans and sets papers off the main thread, so that a request never holds up the others. */
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { Fault } from '../fault'
import type { PdfTask } from '../papers/pdf-worker'
import type { CompiledOrFault } from './compile-worker'

/** Nobody waits longer for a plan or a paper; a refined plan for thirty takes two seconds. */
const PATIENCE_MS = 30_000
/** So many may wait: beyond that it is better said at once. */
const MOST_WAITING = 60

export interface WorkerPools {
  compile(request: PlanRequest): Promise<Plan>
  pdf(page: PdfTask['page'], size: PdfTask['size']): Promise<Buffer>
  close(): Promise<void>
}

/** @param scripts the built workers beside the server */
export function startPools(scripts: { compile: URL; pdf: URL }): WorkerPools {
  const pool = (script: URL, maxThreads: number): Piscina =>
    new Piscina({
      filename: fileURLToPath(script),
      minThreads: 0,
      maxThreads,
      maxQueue: MOST_WAITING,
      idleTimeout: 60_000,
    })
  const plans = pool(scripts.compile, 2)
  const papers = pool(scripts.pdf, 1)
  /** @throws Fault 503 where too many wait, or it takes too long */
  const run = async <T>(of: Piscina, task: unknown): Promise<T> => {
    if (of.queueSize >= MOST_WAITING)
      throw new Fault(503, 'too much is asked of this server at once: try again')
    const signal = AbortSignal.timeout(PATIENCE_MS)
    try {
      return (await of.run(task, { signal })) as T
    } catch (fault) {
      if (signal.aborted) throw new Fault(503, 'this took too long on this server: try again')
      throw fault
    }
  }
  return {
    async compile(request) {
      const answer = await run<CompiledOrFault>(plans, request)
      if ('plan' in answer) return answer.plan
      if (answer.field !== null) throw new Fault(409, answer.says, answer.field)
      throw new Error(answer.says)
    },
    pdf: async (page, size) => Buffer.from(await run<Uint8Array>(papers, { page, size })),
    async close() {
      await Promise.all([plans.destroy(), papers.destroy()])
    },
  }
}
