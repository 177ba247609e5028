/** What changes a session while the table is at work: who comes, who goes, what breaks. */
import type { Ref, ShallowRef } from 'vue'
import type { Plan } from '@lea/core/plan'
import type { MendInput } from '@lea/core/schema'
import type { StoredGuest, StoredSession } from '@lea/core/setting'
import { api, inWords } from '../../shared/api'
import { cacheAnswer } from '../../offline-cache/answers'
import type { Saving } from './saving'

interface Parts {
  stored: ShallowRef<StoredSession | null>
  preview: Ref<Plan | null>
  show: (plan: Plan) => void
  recompute: () => Promise<void>
  after: Saving['after']
}

export function tableActions({ stored, preview, show, recompute, after }: Parts) {
  /** Somebody comes while the table is at work. @returns what went wrong, or null */
  async function arrive(guest: StoredGuest): Promise<string | null> {
    try {
      stored.value = await api<StoredSession>('POST', `/sessions/${stored.value?.id ?? ''}/arrivals`, guest)
      await recompute()
      return null
    } catch (fault) {
      return inWords(fault)
    }
  }
  /** The guest only looks on. */
  async function looksOn(guest: string): Promise<string | null> {
    try {
      stored.value = await api<StoredSession>(
        'DELETE',
        `/sessions/${stored.value?.id ?? ''}/arrivals/${guest}`,
      )
      preview.value = null
      await recompute()
      return null
    } catch (fault) {
      return inWords(fault)
    }
  }
  /** A change in the middle, mended by the server. @returns what changed, line by line, or what stands against it */
  async function mend(change: MendInput): Promise<{ says: string[] } | { refused: string }> {
    try {
      const answer = await api<{ session: StoredSession; plan: Plan; says: string[] }>(
        'POST',
        `/sessions/${stored.value?.id ?? ''}/mend`,
        change,
      )
      stored.value = answer.session
      show(answer.plan)
      void cacheAnswer(`/sessions/${answer.session.id}`, answer)
      return { says: answer.says }
    } catch (fault) {
      return { refused: inWords(fault) }
    }
  }
  /** Puts the plan that has seen everyone in force. */
  async function replan(): Promise<string | null> {
    try {
      const path = `/sessions/${stored.value?.id ?? ''}/replan`
      const answer = await after(() => api<{ session: StoredSession; plan: Plan }>('POST', path))
      stored.value = answer.session
      preview.value = null
      show(answer.plan)
      void cacheAnswer(`/sessions/${answer.session.id}`, { session: answer.session, plan: answer.plan })
      return null
    } catch (fault) {
      return inWords(fault)
    }
  }

  return { arrive, looksOn, mend, replan }
}
