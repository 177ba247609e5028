import { wrap, type Remote } from 'comlink'
import type { Alternatives, Plan, PlanRequest, Shorter } from '@lea/core'
import type { Compiled, Planner } from './compile.worker'

let remote: Remote<Planner> | null = null

const planner = (): Remote<Planner> =>
  (remote ??= wrap<Planner>(
    new Worker(new URL('./compile.worker.ts', import.meta.url), { type: 'module', name: 'planner' }),
  ))

/** Compiles in the web worker; the main thread, and so typing, never waits for it. */
export const compileInWorker = (request: PlanRequest): Promise<Compiled> => planner().compile(request)

/** Other ways to measure one task, worked out in the same worker. */
export const alternativesInWorker = (
  plan: Plan,
  request: PlanRequest,
  task: string,
): Promise<Alternatives | null> => planner().alternatives(plan, request, task)

/** What would make the session shorter, tried for real. */
export const shorterInWorker = (plan: Plan, request: PlanRequest): Promise<Shorter[]> =>
  planner().shorter(plan, request)
