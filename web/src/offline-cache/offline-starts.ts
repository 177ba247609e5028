/** Sessions that were begun on this device without a network: their plan goes to the server before their taps. */
import type { Plan, PlanRequest } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'
import { api } from '../shared/api'
import { cacheAnswer } from './answers'
import { base, type OfflineStart } from './database'

/** From now on this device works from this plan, after a reload as well. */
export async function startOffline(
  session: StoredSession,
  plan: Plan,
  /** What the plan was made from: the server makes it from that once more. */
  request: PlanRequest,
): Promise<void> {
  const at = new Date().toISOString()
  await (await base()).put('starts', { session: session.id, plan, request, at })
  await cacheAnswer(`/sessions/${session.id}`, { session: { ...session, state: 'cooking' }, plan })
}

export const startedOffline = async (session: string): Promise<OfflineStart | undefined> =>
  (await base().catch(() => null))?.get('starts', session)

export interface Joined {
  session: StoredSession
  plan: Plan
  /** What the server's own plan of this moment says against the one that was begun with. */
  against: string[]
}

/** Tells the server of a session that was begun here. @returns null where there was nothing to tell */
export async function joinServer(session: string): Promise<Joined | null> {
  const start = await startedOffline(session)
  if (!start) return null
  const { plan, request, at } = start
  const answer = await api<Joined>('POST', `/sessions/${session}/begun`, { request, digest: plan.digest, at })
  await (await base()).delete('starts', session)
  return answer
}
