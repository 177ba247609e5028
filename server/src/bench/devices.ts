/** Twenty devices at one table: from a tap on one to its being on each other. */
import { pause, percentile, serving, tap, tapper, type Serving, type Tapper } from './serving'

const out = (text: string): void => void process.stdout.write(`${text}\n`)
const DEVICES = 20
const TAPS = 60

export async function benchDevices(): Promise<void> {
  const server = await serving()
  try {
    const hand = await tapper(server)
    const sessions = await hand.get<{ id: string; state: string }[]>('/sessions')
    const session = sessions.find((s) => s.state === 'finished')?.id ?? ''
    await spread(server, hand, session)
  } finally {
    await server.close()
  }
}

async function spread(server: Serving, hand: Tapper, session: string): Promise<void> {
  const sent = new Map<string, number>()
  const times: number[] = []
  let last = (await hand.get<{ last: number }>(`/sessions/${session}/events`)).last
  const stop = new AbortController()
  const ears = Array.from({ length: DEVICES }, async () => {
    let at = last
    const seen = new Set<string>()
    const stream = await fetch(`${server.address()}/api/sessions/${session}/live`, {
      headers: { cookie: hand.cookie },
      signal: stop.signal,
    })
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader()
    for (;;) {
      const { value, done } = (await reader?.read().catch(() => null)) ?? { value: '', done: true }
      if (done) return
      if (!value.includes('data:')) continue
      const answer = await hand
        .get<{ events: { id: string }[]; last: number }>(`/sessions/${session}/events?after=${at}`)
        .catch(() => null)
      if (!answer) return
      at = answer.last
      for (const { id } of answer.events) {
        const began = sent.get(id)
        if (began === undefined || seen.has(id)) continue
        seen.add(id)
        times.push(performance.now() - began)
      }
    }
  })
  await pause(1000)
  for (let n = 0; n < TAPS; n++) {
    const one = tap(200_000 + n, `device ${n % DEVICES}`)
    sent.set(one.id, performance.now())
    await hand.post(`/sessions/${session}/events`, { events: [one] })
    await pause(100)
  }
  await pause(1000)
  stop.abort()
  await Promise.allSettled(ears)
  last = 0
  const ms = (share: number): string => `${Math.round(percentile(times, share))} ms`
  out(
    `${DEVICES} devices at one table, ${TAPS} taps: on the other screens after ${ms(0.5)} (median), ${ms(0.95)} (p95), ${ms(1)} at most; ${times.length} of ${DEVICES * TAPS} arrived`,
  )
}
