/** The one way to the server: JSON in, JSON out; a refusal becomes an `ApiFault` in plain words. */
import { PAGE_ID } from './page-id'

export class ApiFault extends Error {
  readonly status: number
  readonly field: string | undefined
  readonly more: Record<string, unknown>
  constructor(status: number, says: string, field?: string, more: Record<string, unknown> = {}) {
    super(says)
    this.status = status
    this.field = field
    this.more = more
  }
}

/** No answer at all: the network or the server is away. */
export const isOffline = (fault: unknown): boolean =>
  fault instanceof ApiFault && (fault.status === 0 || fault.status === 503)

/** When this page last sent something, by `performance.now()`: what was asked for before may be out of date. */
let wroteAt = -Infinity
export const lastWrite = (): number => wroteAt

/** Asked while the page's own code is still being read; whoever asks first gets it. */
const early = new Map<string, Promise<Response>>()
/** What nobody took by then may be out of date. */
const EARLY_MS = 10_000
export function askEarly(paths: readonly string[]): void {
  for (const path of paths) {
    const answer = fetch(`/api${path}`, { headers: { 'x-lea-page': PAGE_ID } })
    // Whoever takes it hears of the fault.
    answer.catch(() => undefined)
    early.set(path, answer)
  }
  setTimeout(() => early.clear(), EARLY_MS)
}
function takeEarly(path: string): Promise<Response> | undefined {
  const answer = early.get(path)
  early.delete(path)
  return answer
}

export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  /** Milliseconds after which nobody waits for an answer any longer. */
  patience?: number,
): Promise<T> {
  const text = body === undefined ? undefined : JSON.stringify(body)
  let response: Response
  try {
    const asked = method === 'GET' ? takeEarly(path) : undefined
    response = await (asked ??
      fetch(`/api${path}`, {
        method,
        headers: { 'x-lea-page': PAGE_ID, ...(body !== undefined && { 'content-type': 'application/json' }) },
        ...(text !== undefined && { body: text }),
        // A write on its way survives a reload; browsers allow that for small bodies only (64 KiB).
        keepalive: text !== undefined && text.length < 16_000,
        ...(patience !== undefined && 'timeout' in AbortSignal && { signal: AbortSignal.timeout(patience) }),
      }))
  } catch {
    throw new ApiFault(0, 'the server does not answer: what you did is kept here and sent when it does')
  }
  if (method !== 'GET') {
    wroteAt = performance.now()
    early.clear()
  }
  return answerOf<T>(response)
}

/** A file as it is, for what is no JSON. */
export async function apiBytes<T>(path: string, file: Blob): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: file,
    })
  } catch {
    throw new ApiFault(0, 'the server does not answer: nothing was changed')
  }
  wroteAt = performance.now()
  return answerOf<T>(response)
}

async function answerOf<T>(response: Response): Promise<T> {
  if (response.status === 204) return undefined as T
  const data: unknown = await response.json().catch(() => null)
  if (response.ok) return data as T
  const error = (data as { error?: { says?: string; field?: string } } | null)?.error
  const { says, field, ...more } = error ?? {}
  throw new ApiFault(response.status, says ?? `the server answered ${response.status}`, field, more)
}

export const inWords = (fault: unknown): string => {
  const text = fault instanceof Error ? fault.message : String(fault)
  return `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}.`
}
