/** Drawn sessions for tests and bench: invented, seeded, of the four sizes of scheduling.md section 3. */
import { seeded } from '../../../../src/plan/clock/schedule/random'
import type { Instance, Op, OpMode, Resource } from '../../../../src/plan/clock/schedule/instance'

export const SIZES = {
  S: { children: 4, adults: 1, tasks: 10 },
  M: { children: 8, adults: 2, tasks: 16 },
  L: { children: 12, adults: 3, tasks: 24 },
  XL: { children: 30, adults: 5, tasks: 30 },
} as const
export type SizeName = keyof typeof SIZES

export function drawn(size: SizeName, seed: number, iterations = 800): Instance {
  const { children, adults, tasks } = SIZES[size]
  const random = seeded(seed * 7919 + children)
  const any = (n: number): number => Math.floor(random() * n)
  const pick = <T>(list: readonly T[]): T => list[any(list.length)] as T
  const everyone = Array.from({ length: children }, (_, i) => i)
  const ops: Op[] = []
  const taskCaps: Record<string, number> = {}
  const lastOf: string[][] = []
  for (let t = 0; t < tasks; t++) {
    const mode = pick<OpMode>(['EACH', 'EACH', 'TURNS', 'TURNS', 'STATION', 'ADULT', 'WAIT'])
    const task = `t${t}`
    const barred = random() < 0.3 ? 1 + any(Math.max(1, Math.floor(children / 4))) : 0
    const eligible = everyone.filter((c) => (c + t) % children >= barred)
    const preds =
      t === 0
        ? []
        : [...new Set([t - 1 - any(Math.min(3, t)), ...(random() < 0.3 ? [any(t)] : [])])].flatMap(
            (b) => lastOf[b] ?? [],
          )
    const overseen = random() < 0.5
    const own: string[] = []
    const add = (o: Omit<Op, 'id' | 'task' | 'mode' | 'preds' | 'eligible'>, k: number): void => {
      const id = `${task}.${k}`
      own.push(id)
      ops.push({ id, task, mode, preds, eligible: mode === 'ADULT' || mode === 'WAIT' ? [] : eligible, ...o })
    }
    if (mode === 'EACH') {
      const cap = Math.min(eligible.length, overseen ? 4 * adults : 2 * adults)
      const waves = Math.ceil(eligible.length / cap)
      const p = 2 + any(5)
      for (let w = 0; w < waves; w++) {
        const q = Math.floor((eligible.length + w) / waves)
        add(
          {
            duration: p,
            dur: p,
            raw: false,
            crew: q,
            slots: q,
            demand: { sup: overseen ? q : 4 * Math.ceil(q / 2) },
          },
          w,
        )
      }
    } else if (mode === 'TURNS') {
      const n = 2 + any(eligible.length)
      const raw = random() < 0.1
      taskCaps[task] = Math.ceil(n / eligible.length)
      add(
        {
          duration: n + (raw ? 2 : 0),
          dur: 1,
          raw,
          crew: raw ? Math.min(2, eligible.length) : 1,
          slots: n,
          demand: { sup: 1, bowl: 1 },
        },
        0,
      )
    } else if (mode === 'STATION') {
      const q = 1 + any(Math.min(3, eligible.length))
      const rounds = 1 + any(2)
      taskCaps[task] = Math.max(1, Math.ceil((q * rounds) / eligible.length))
      for (let r = 0; r < rounds; r++)
        add({ duration: 4 + any(4), dur: 0, raw: false, crew: q, slots: q, demand: { sup: q } }, r)
    } else if (mode === 'ADULT')
      add({ duration: 2 + any(6), dur: 0, raw: false, crew: 0, slots: 0, demand: { sup: 4, lead: 1 } }, 0)
    else add({ duration: 6 + any(12), dur: 0, raw: false, crew: 0, slots: 0, demand: {} }, 0)
    lastOf.push(own)
  }
  const resources: Resource[] = [
    { name: 'sup', cap: 4 * adults },
    { name: 'lead', cap: Math.max(1, adults - 1) },
    { name: 'bowl', cap: Math.max(1, Math.round(children / 4)) },
  ]
  return { children, ops, resources, taskCaps, seed, iterations }
}
