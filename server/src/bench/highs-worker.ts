/** One problem at a time for HiGHS: fair scoops, or a time-indexed schedule, as a mixed-integer model. */
import { parentPort } from 'node:worker_threads'
import type { FairProblem } from '@lea/core/amount'
import type { DealProblem } from '@lea/core/plan'
import highsLoader from 'highs'
import { modelOptimum, type Solver } from '../../../core/test/outside/fair-model'
import { dealtByModel } from '../../../core/test/plan/turns/turn-model'

export type Job = { fair: FairProblem } | { deal: DealProblem } | { model: string }

interface Mip {
  solve: (model: string) => { Status: string; ObjectiveValue: number }
}
const highs: unknown = await highsLoader()

parentPort?.on('message', (job: Job) => {
  const start = performance.now()
  if ('fair' in job) {
    const objective = modelOptimum(job.fair, highs as Solver)
    parentPort?.postMessage({ objective, took: performance.now() - start })
    return
  }
  if ('deal' in job) {
    const objective = dealtByModel(job.deal, highs as Solver)
    parentPort?.postMessage({ objective, took: performance.now() - start })
    return
  }
  const { Status, ObjectiveValue } = (highs as Mip).solve(job.model)
  const objective = Status === 'Optimal' ? [Math.round(ObjectiveValue)] : null
  parentPort?.postMessage({ objective, took: performance.now() - start })
})
