/** Cooking starts: the server compiles once more, and freezes the plan that it agrees on with this page. */
import type { Ref, ShallowRef } from 'vue'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { type StoredSession, requestParts } from '@lea/core/setting'
import { cacheAnswer } from '../../offline-cache/answers'
import { api, ApiFault, inWords, isOffline } from '../../shared/api'
import type { Saving } from './saving'

interface Parts {
  stored: ShallowRef<StoredSession | null>
  plan: ShallowRef<Plan | null>
  effort: Ref<'draft' | 'refined'>
  request: () => PlanRequest | null
  show: (plan: Plan) => void
  recompute: () => Promise<void>
  after: Saving['after']
  /** Once the plan that knows the last change is on the screen. */
  settled: () => Promise<void>
  cookOffline: (session: StoredSession) => Promise<string | null>
}

/** @returns an act that says what stands against it, or null */
export const startCooking =
  ({ stored, plan, effort, request, show, recompute, after, settled, cookOffline }: Parts) =>
  async (): Promise<string | null> => {
    const session = stored.value
    if (!session) return 'There is no session.'
    try {
      // What was changed a moment ago is there before the server plans by it, and its plan is the one that is named.
      const answer = await after(async () => {
        await settled()
        const from = request()
        return api<{ session: StoredSession; plan: Plan }>('POST', `/sessions/${session.id}/cook`, {
          digest: plan.value?.digest,
          effort: effort.value,
          ...(from && { parts: requestParts({ ...from, effort: effort.value }) }),
        })
      })
      stored.value = answer.session
      show(answer.plan)
      void cacheAnswer(`/sessions/${session.id}`, answer)
      return null
    } catch (fault) {
      if (fault instanceof ApiFault && fault.field === 'digest') show(fault.more['plan'] as Plan)
      if (!isOffline(fault)) return inWords(fault)
      // Whatever was changed a moment ago is in the plan that is begun with.
      await recompute()
      return cookOffline(stored.value ?? session)
    }
  }
