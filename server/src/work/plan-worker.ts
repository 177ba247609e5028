/** One plan, in a worker of the pool; or what it costs. */
import { readFileSync } from 'node:fs'
import { compile, type Plan, type PlanRequest } from '@lea/core/plan'
import { type ToldBack, toldBack } from './told-back'

export default function compileOne(
  task: PlanRequest | { costOf: PlanRequest },
): Promise<ToldBack<Plan | number>> {
  return toldBack(() => {
    if (!('costOf' in task)) return compile(task)
    const before = spent()
    compile(task.costOf)
    return spent() - before
  })
}

/** Clock ticks of Linux, in ms (proc_pid_stat(5); from memory). */
const TICK_MS = 10
/** What this thread has had of a processor so far, ms; by the clock on the wall where the system does not say. */
function spent(): number {
  try {
    // After the name in brackets, which may hold blanks: state is the third field, time of the user the 14th, of the system the 15th.
    const fields = readFileSync('/proc/thread-self/stat', 'utf8').split(') ').at(-1)?.split(' ') ?? []
    return (Number(fields[11]) + Number(fields[12])) * TICK_MS
  } catch {
    return performance.now()
  }
}
