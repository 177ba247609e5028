/** The reader of words, in a worker that is begun when it is first asked. */
import { wrap, type Remote } from 'comlink'
import type { CheckedKind, Reader } from './reader.worker'

let started: { worker: Worker; reader: Remote<Reader> } | undefined
function start(): { worker: Worker; reader: Remote<Reader> } {
  const worker = new Worker(new URL('./reader.worker.ts', import.meta.url), {
    type: 'module',
    name: 'reader',
  })
  return { worker, reader: wrap<Reader>(worker) }
}
export const reader = (): Remote<Reader> => (started ??= start()).reader

/** A long label on an old tablet takes two seconds. */
const PATIENCE_MS = 20_000
/**
 * What something waits for that is kept or signed: not for ever. A worker that does not answer (its script may never have come) is left, and
 * the next question begins another.
 * @throws Error in words
 */
export async function inTime<T>(answer: Promise<T>): Promise<T> {
  const asked = started
  let late: ReturnType<typeof setTimeout> | undefined
  const patience = new Promise<never>((_, give) => {
    late = setTimeout(() => {
      asked?.worker.terminate()
      if (started === asked) started = undefined
      give(new Error('the reader of words does not answer: the network may be away'))
    }, PATIENCE_MS)
  })
  try {
    return await Promise.race([answer, patience])
  } finally {
    clearTimeout(late)
  }
}

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
