/** One fair-scoops problem at a time, solved as a mixed-integer model by HiGHS. */
import { parentPort } from 'node:worker_threads'
import type { FairProblem } from '@lea/core'
import highsLoader from 'highs'
import { modelOptimum, type Solver } from '../../../core/test/outside/fair-model'

const highs = (await highsLoader()) as Solver

parentPort?.on('message', (problem: FairProblem) => {
  const start = performance.now()
  const objective = modelOptimum(problem, highs)
  parentPort?.postMessage({ objective, took: performance.now() - start })
})
