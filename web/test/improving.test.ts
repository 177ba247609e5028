/** A shorter plan that was found beside: shown, but never under a hand that is at the jobs. */
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import type { Plan, PlanRequest } from '@lea/core/plan'

const planOf = (seconds: number): Plan =>
  ({ totals: { seconds, bound: { seconds: 100 } } }) as unknown as Plan

let found: ((answer: { plan: Plan }) => void) | null
vi.mock('../src/workers/planner', () => ({
  refineInWorker: () => new Promise((done) => (found = done)),
}))

const { improvingOf } = await import('../src/stores/session/improving')

function desk() {
  const plan = shallowRef<Plan | null>(planOf(600))
  const looking = improvingOf({
    plan,
    frozen: ref(false),
    request: () => ({}) as PlanRequest,
    show: (next) => (plan.value = next),
  })
  return { plan, looking }
}

beforeEach(() => {
  found = null
  vi.stubGlobal('window', globalThis)
})

describe('a shorter plan that was found', () => {
  it('is shown with what it saves', async () => {
    const { plan, looking } = desk()
    looking.improve()
    await vi.waitFor(() => expect(found).not.toBeNull())
    found?.({ plan: planOf(540) })
    await vi.waitFor(() => expect(looking.improving.value).toBe('done'))
    expect(plan.value?.totals.seconds).toBe(540)
    expect(looking.improvedBy.value).toBe(60)
  })

  it('waits while a hand is at the jobs, and comes when it has let go', async () => {
    const { plan, looking } = desk()
    looking.improve()
    await vi.waitFor(() => expect(found).not.toBeNull())
    looking.handAtJobs.value = true
    found?.({ plan: planOf(540) })
    for (let i = 0; i < 20; i += 1) await Promise.resolve()
    expect(plan.value?.totals.seconds).toBe(600)
    expect(looking.improving.value).toBe('looking')
    looking.handAtJobs.value = false
    await vi.waitFor(() => expect(plan.value?.totals.seconds).toBe(540))
  })

  it('is forgotten when something was decided meanwhile', async () => {
    const { plan, looking } = desk()
    looking.improve()
    await vi.waitFor(() => expect(found).not.toBeNull())
    looking.handAtJobs.value = true
    found?.({ plan: planOf(540) })
    await Promise.resolve()
    looking.stop()
    looking.handAtJobs.value = false
    for (let i = 0; i < 20; i += 1) await Promise.resolve()
    expect(plan.value?.totals.seconds).toBe(600)
  })
})
