import { parentPort } from 'node:worker_threads'
import { PlanError, type PlanRequest, compile } from '@lea/core/plan'

parentPort?.on('message', ({ id, request }: { id: number; request: PlanRequest }) => {
  try {
    parentPort?.postMessage({ id, plan: compile(request) })
  } catch (fault) {
    const says = fault instanceof Error ? fault.message : String(fault)
    parentPort?.postMessage({ id, error: { field: fault instanceof PlanError ? fault.field : null, says } })
  }
})
