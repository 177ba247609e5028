/** A session without a network: begun by the plan of this device, and joined to the server's once it answers. */
import { ref, type Ref, type ShallowRef } from 'vue'
import type { Finding, Plan, PlanRequest } from '@lea/core/plan'
import type { StoredSession } from '@lea/core/setting'
import { cacheAnswer } from '../../offline-cache/answers'
import { startOffline, joinServer } from '../../offline-cache/offline-starts'
import type { Saving } from './saving'

interface Parts {
  stored: ShallowRef<StoredSession | null>
  plan: ShallowRef<Plan | null>
  stops: Ref<readonly Finding[]>
  effort: Ref<'draft' | 'refined'>
  show: (plan: Plan) => void
  request: () => PlanRequest | null
  after: Saving['after']
}

export function offlineSession({ stored, plan, stops, effort, show, request, after }: Parts) {
  /** What the server says against the plan that was begun with. */
  const against = ref<string[]>([])
  /** Begun here, and the server does not know yet: since when. */
  const startedOffline = ref('')

  /** Without a network the last plan of this device is the one to cook by; where it has none, the printed sheet is. */
  async function cookOffline(session: StoredSession): Promise<string | null> {
    const from = request()
    if (!plan.value || !from)
      return 'No network, and no plan is kept on this device: cook from the printed run sheet, or come back with a network.'
    if (stops.value.length > 0)
      return `No network, and ${stops.value.length} still to settle: a stop is never passed over.`
    try {
      await startOffline(JSON.parse(JSON.stringify(session)) as StoredSession, plan.value, {
        ...from,
        effort: effort.value,
      })
    } catch {
      return 'No network, and this device can keep nothing: cook from the printed run sheet.'
    }
    startedOffline.value = new Date().toISOString()
    stored.value = { ...session, state: 'cooking' }
    return null
  }

  /** The network is back: the server hears of a session that was begun here. Refusals are said; taps wait behind it. */
  async function join(): Promise<void> {
    const id = stored.value?.id
    const answer = id && startedOffline.value ? await after(() => joinServer(id)) : null
    if (!answer || stored.value?.id !== id) return
    stored.value = answer.session
    void cacheAnswer(`/sessions/${id}`, { session: answer.session, plan: answer.plan })
    if (answer.plan.digest !== plan.value?.digest) show(answer.plan)
    against.value = answer.against
    startedOffline.value = ''
  }

  return { against, startedOffline, cookOffline, join }
}
