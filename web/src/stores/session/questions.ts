/** What a leader asks of a plan beside it: other ways, what would shorten it, small groups one after another. */
import type { ShallowRef } from 'vue'
import type { Alternatives, InsteadOf, Plan, PlanRequest, RestOffer, Rotation, Shorter } from '@lea/core/plan'
import type { RotationInput } from '@lea/core/schema'
import type { StoredSession } from '@lea/core/setting'
import { api, inWords } from '../../shared/api'
import {
  alternativesInWorker,
  insteadInWorker,
  restOffersInWorker,
  rotationInWorker,
  shorterInWorker,
} from '../../workers/planner'
import type { Saving } from './saving'

interface Parts {
  stored: ShallowRef<StoredSession | null>
  plan: ShallowRef<Plan | null>
  request: () => PlanRequest | null
  recompute: () => Promise<void>
  after: Saving['after']
}

export function questions({ stored, plan, request, recompute, after }: Parts) {
  /** Other ways to measure one task of the plan on the screen. */
  async function waysOf(task: string): Promise<Alternatives | null> {
    const wanted = request()
    return plan.value && wanted ? alternativesInWorker(plan.value, wanted, task) : null
  }

  /** Another food for a line of the recipe. */
  async function insteadOf(line: string): Promise<InsteadOf | null> {
    const wanted = request()
    return wanted ? insteadInWorker(wanted, line) : null
  }

  async function shorter(): Promise<Shorter[]> {
    const wanted = request()
    return plan.value && wanted ? shorterInWorker(plan.value, wanted) : []
  }

  /** What would shorten the rest, while cooking. */
  async function restShorter(step: string, done: string[]): Promise<RestOffer[]> {
    const wanted = request()
    return plan.value && wanted ? restOffersInWorker(plan.value, wanted, step, done) : []
  }

  async function inRotation(size: number): Promise<Rotation | { fault: string }> {
    const wanted = request()
    return wanted ? rotationInWorker(wanted, size) : { fault: 'There is no session.' }
  }

  /** Makes a session of each group. @returns what went wrong, or null */
  async function makeRotation(groups: RotationInput['groups']): Promise<string | null> {
    try {
      const path = `/sessions/${stored.value?.id ?? ''}/rotation`
      const made = await after(() => api<StoredSession[]>('POST', path, { groups }))
      stored.value = made[0] ?? stored.value
      await recompute()
      return null
    } catch (fault) {
      return inWords(fault)
    }
  }

  return { waysOf, insteadOf, shorter, restShorter, inRotation, makeRotation }
}
