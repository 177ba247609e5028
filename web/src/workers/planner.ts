import { wrap, type Remote } from 'comlink'
import type { PlanRequest } from '@lea/core'
import type { Compiled, Planner } from './compile.worker'

let remote: Remote<Planner> | null = null

/** Compiles in the web worker; the main thread, and so typing, never waits for it. */
export function compileInWorker(request: PlanRequest): Promise<Compiled> {
  remote ??= wrap<Planner>(
    new Worker(new URL('./compile.worker.ts', import.meta.url), { type: 'module', name: 'planner' }),
  )
  return remote.compile(request)
}
