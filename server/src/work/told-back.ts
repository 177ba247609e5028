/** How a worker answers: what it made, or a fault in words. Classes do not cross threads, so a fault goes as plain data. */
import { PlanError } from '@lea/core/plan'
import { Fault } from '../fault'

export type ToldBack<T> = { made: T } | { fault: PlainFault }
interface PlainFault {
  /** 0 where nobody foresaw it. */
  status: number
  says: string
  field?: string | undefined
  more?: Record<string, unknown>
}

/** In the worker. */
export async function toldBack<T>(work: () => T | Promise<T>): Promise<ToldBack<T>> {
  try {
    return { made: await work() }
  } catch (fault) {
    if (fault instanceof Fault)
      return { fault: { status: fault.status, says: fault.message, field: fault.field, more: fault.more } }
    if (fault instanceof PlanError) return { fault: { status: 409, says: fault.message, field: fault.field } }
    if (!(fault instanceof Error)) return { fault: { status: 0, says: String(fault) } }
    // As the database says it.
    const { code, constraint, detail } = fault as unknown as Record<string, string | undefined>
    const says = fault.stack ?? fault.message
    return { fault: { status: 0, says, more: { code, constraint, detail } } }
  }
}

/** Where it was asked for. @throws Fault, or an error that nobody foresaw, with the code of the database where it has one */
export function taken<T>(answer: ToldBack<T>): T {
  if ('made' in answer) return answer.made
  const { status, says, field, more } = answer.fault
  if (status > 0) throw new Fault(status, says, field, more)
  throw Object.assign(new Error(says), more)
}
