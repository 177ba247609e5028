/** Sessions that were begun on this device without a network: their plan goes to the server before their taps. */
import type { Plan, PlanRequest } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'
import { api } from '../shared/api'
import { cacheAnswer } from './answers'
import { base, type OfflineStart } from './database'
import { canSeal, sealFor, unseal } from './device-lock'

/** From now on this device works from this plan, after a reload as well. */
export async function startOffline(
  session: StoredSession,
  plan: Plan,
  /** What the plan was made from: the server makes it from that once more. */
  request: PlanRequest,
): Promise<void> {
  const at = new Date().toISOString()
  const start = { session: session.id, plan, request, at }
  const sealed = await sealFor(start)
  if (!sealed && canSeal()) throw new Error('nobody has opened this device')
  await (await base()).put('starts', sealed ? { session: session.id, at, sealed } : start)
  await cacheAnswer(`/sessions/${session.id}`, { session: { ...session, state: 'cooking' }, plan })
}

/** @throws where it is sealed and this device is not open: it is there all the same, and its taps wait for it */
export async function startedOffline(session: string): Promise<OfflineStart | undefined> {
  const row = await (await base().catch(() => null))?.get('starts', session)
  if (!row || !('sealed' in row)) return row
  const start = (await unseal(row.sealed)) as OfflineStart | null
  if (!start) throw new Error('what was begun on this device without a network cannot be opened yet: sign in')
  return start
}

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
