import { wrap, type Remote } from 'comlink'
import type { Alternatives, Plan, PlanRequest, RestOffer, Rotation, Shorter } from '@lea/core/plan'
import type { SessionCard } from '@lea/core/session'
import type { CardAnswer, Compiled, Planner } from './compile.worker'

const started = new Map<string, Remote<Planner>>()

function planner(name: string): Remote<Planner> {
  let remote = started.get(name)
  if (!remote) {
    remote = wrap<Planner>(
      new Worker(new URL('./compile.worker.ts', import.meta.url), { type: 'module', name }),
    )
    started.set(name, remote)
  }
  return remote
}

/** Drafts, for what a person waits for; and long work beside it, so that no draft waits for that. */
const drafts = (): Remote<Planner> => planner('planner')
const beside = (): Remote<Planner> => planner('planner-beside')

/** Compiles in the web worker; the main thread, and so typing, never waits for it. */
export const compileInWorker = (request: PlanRequest): Promise<Compiled> => drafts().compile(request)

/** What stands before a session: of its request, or of the plan in force. Beside, so that the session on the screen comes first. */
export const cardInWorker = (request: PlanRequest): Promise<CardAnswer> => beside().card(request)
export const cardOfInWorker = (plan: Plan): Promise<SessionCard> => beside().cardOf(plan)

/** The same with more orders tried: takes longer, is never worse. */
export const refineInWorker = (request: PlanRequest): Promise<Compiled> =>
  beside().compile({ ...request, effort: 'refined' })

/** Other ways to measure one task, worked out in the same worker. */
export const alternativesInWorker = (
  plan: Plan,
  request: PlanRequest,
  task: string,
): Promise<Alternatives | null> => drafts().alternatives(plan, request, task)

/** What would make the session shorter, tried for real. */
export const shorterInWorker = (plan: Plan, request: PlanRequest): Promise<Shorter[]> =>
  beside().shorter(plan, request)

export const rotationInWorker = (request: PlanRequest, size: number): Promise<Rotation | { fault: string }> =>
  beside().rotation(request, size)

export const restOffersInWorker = (
  plan: Plan,
  request: PlanRequest,
  step: string,
  done: string[],
): Promise<RestOffer[]> => beside().restOffers(plan, request, step, done)
