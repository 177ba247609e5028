/** The reader of words, in a worker that is begun when it is first asked. */
import { wrap, type Remote } from 'comlink'
import type { CheckedKind, Reader } from './reader.worker'

let started: Remote<Reader> | undefined
export const reader = (): Remote<Reader> =>
  (started ??= wrap<Reader>(
    new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module', name: 'reader' }),
  ))

/**
 * A value checked by its schema.
 * @param today `YYYY-MM-DD`
 * @throws Error with the first fault in words
 */
export async function checked<T extends object>(
  kind: CheckedKind,
  value: unknown,
  today: string,
): Promise<T> {
  const answer = await reader().check(kind, value, today)
  if ('faults' in answer) throw new Error(answer.faults[0]?.says ?? 'something is not as it should be')
  return answer.value as T
}

/** A schema for forms (vee-validate), checked in the worker: every fault at its field. */
export const formSchema = <T extends object>(kind: CheckedKind, today: string) => ({
  __type: 'VVTypedSchema' as const,
  async parse(values: T) {
    const answer = await reader().check(kind, JSON.parse(JSON.stringify(values)), today)
    if ('value' in answer) return { value: answer.value as T, errors: [] }
    return { errors: answer.faults.map((f) => ({ path: f.path, errors: [f.says] })) }
  },
})
