/** A shorter plan is looked for beside, once nothing has changed for a moment. */
import { until } from '@vueuse/core'
import { ref, type Ref, type ShallowRef } from 'vue'
import type { Plan, PlanRequest } from '@lea/core/plan'
import { inWords } from '../../shared/api'
import { refineInWorker } from '../../workers/planner'

const SOON_MS = 400

interface Parts {
  plan: ShallowRef<Plan | null>
  frozen: Ref<boolean>
  request: () => PlanRequest | null
  show: (plan: Plan) => void
}

export function improvingOf({ plan, frozen, request, show }: Parts) {
  const improving = ref<'no' | 'looking' | 'done'>('no')
  const improvedBy = ref(0)
  /** Why none could be looked for; empty where it was. The plan on the screen holds either way. */
  const improveFault = ref('')
  /** Which effort the plan on the screen took. */
  const effort = ref<'draft' | 'refined'>('draft')
  /** A hand is at the jobs: a plan that nobody asked for waits, so that nothing moves under it. */
  const handAtJobs = ref(false)
  let soon = 0
  let asked = 0

  /** What was looked for is of another plan now. */
  function stop(): void {
    asked += 1
    window.clearTimeout(soon)
    improving.value = 'no'
    improvedBy.value = 0
    effort.value = 'draft'
    improveFault.value = ''
  }

  async function look(wanted: PlanRequest, seconds: number): Promise<void> {
    const mine = asked
    let says = ''
    const answer = await refineInWorker(wanted).catch((fault: unknown) => {
      says = inWords(fault)
      return null
    })
    await until(handAtJobs).toBe(false)
    if (mine !== asked || frozen.value) return
    improving.value = 'done'
    improveFault.value = answer && 'error' in answer ? answer.error.says : says
    if (answer && 'plan' in answer && answer.plan.totals.seconds < seconds) {
      effort.value = 'refined'
      improvedBy.value = seconds - answer.plan.totals.seconds
      show(answer.plan)
    }
  }

  function improve(): void {
    stop()
    const wanted = request()
    const { bound, seconds = 0 } = plan.value?.totals ?? {}
    if (!plan.value || !wanted || frozen.value || seconds <= (bound?.seconds ?? 0)) return
    improving.value = 'looking'
    soon = window.setTimeout(() => void look(wanted, seconds), SOON_MS)
  }

  return { improving, improvedBy, improveFault, effort, handAtJobs, improve, stop }
}
