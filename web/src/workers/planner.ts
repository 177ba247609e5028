import type { Alternatives, InsteadOf, Plan, PlanRequest, RestOffer, Rotation, Shorter } from '@lea/core/plan'
import type { SessionCard } from '@lea/core/session'
import type { CardAnswer, Compiled } from './core.worker'
import { ask, askLong } from './pool'

/** Compiles in the web worker; the main thread, and so typing, never waits for it. */
export const compileInWorker = (request: PlanRequest): Promise<Compiled> =>
  ask('front', async (core) => await core.compile(request))

/** What stands before a session: of its request, or of the plan in force. Beside, so that the session on the screen comes first. */
export const cardInWorker = (request: PlanRequest): Promise<CardAnswer> =>
  ask('beside', async (core) => await core.card(request))
export const cardOfInWorker = (plan: Plan): Promise<SessionCard> => ask('beside', (core) => core.cardOf(plan))

/** The same with more orders tried: takes longer, is never worse. */
export const refineInWorker = (request: PlanRequest): Promise<Compiled> =>
  askLong(async (core) => await core.compile({ ...request, effort: 'refined' }))

/** Other ways to measure one task, worked out in the same worker. */
export const alternativesInWorker = (
  plan: Plan,
  request: PlanRequest,
  task: string,
): Promise<Alternatives | null> => ask('front', (core) => core.alternatives(plan, request, task))

/** Another food for a line, each looked at with this group. */
export const insteadInWorker = (request: PlanRequest, line: string): Promise<InsteadOf | null> =>
  ask('front', (core) => core.instead(request, line))

/** What would make the session shorter, tried for real. */
export const shorterInWorker = (plan: Plan, request: PlanRequest): Promise<Shorter[]> =>
  askLong((core) => core.shorter(plan, request))

export const rotationInWorker = (request: PlanRequest, size: number): Promise<Rotation | { fault: string }> =>
  askLong(async (core) => await core.rotation(request, size))

export const restOffersInWorker = (
  plan: Plan,
  request: PlanRequest,
  step: string,
  done: string[],
): Promise<RestOffer[]> => askLong((core) => core.restOffers(plan, request, step, done))
