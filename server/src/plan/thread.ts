/** Compiles plans off the main thread, so that a request never holds up the others. */
import { Worker } from 'node:worker_threads'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { Fault } from '../fault'

interface Answer {
  id: number
  plan?: Plan
  error?: { field: string | null; says: string }
}

export interface PlanThread {
  compile(request: PlanRequest): Promise<Plan>
  close(): Promise<void>
}

/** @param script the built worker (`compile-worker.js`) beside the server */
export function startPlanThread(script: URL): PlanThread {
  let worker: Worker | null = null
  let last = 0
  const waiting = new Map<number, { resolve: (plan: Plan) => void; reject: (fault: Error) => void }>()
  const start = (): Worker => {
    const fresh = new Worker(script)
    fresh.on('message', ({ id, plan, error }: Answer) => {
      const one = waiting.get(id)
      waiting.delete(id)
      if (plan) one?.resolve(plan)
      else
        one?.reject(
          error?.field ? new Fault(409, error.says, error.field) : new Error(error?.says ?? 'compile failed'),
        )
    })
    fresh.on('error', (fault) => {
      for (const one of waiting.values()) one.reject(fault)
      waiting.clear()
      worker = null
    })
    fresh.unref()
    return fresh
  }
  return {
    compile: (request) =>
      new Promise((resolve, reject) => {
        worker ??= start()
        last += 1
        waiting.set(last, { resolve, reject })
        worker.postMessage({ id: last, request })
      }),
    close: async () => {
      await worker?.terminate()
      worker = null
    },
  }
}
