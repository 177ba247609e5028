/** The woven patch: a plan as a small piece of cloth, its five threads over its steps; the face of a session. Nothing is computed after this. */
import { countText } from '../../amount/show'
import type { Plan } from '../model/plan'
import { type WeaveColumn, weave } from './weave'

/** The five threads of the weave, from the top of the cloth down. */
export const THREADS = ['hands', 'measure', 'count', 'say', 'watch'] as const
export type Thread = (typeof THREADS)[number]

/** A thread comes to the front over so many warps, then goes behind so many: each thread in a way of its own, so that it needs no colour. */
const BINDING: Record<Thread, { over: number; under: number }> = {
  hands: { over: 3, under: 1 },
  measure: { over: 1, under: 1 },
  count: { over: 1, under: 2 },
  say: { over: 2, under: 1 },
  watch: { over: 2, under: 2 },
}
/** Warps of a patch. */
export const PATCH_WARPS = 48

/** A stretch over which a thread lies in front. */
export interface PatchFloat {
  thread: Thread
  /** The warp it begins at, from 0, and over how many it lies. */
  at: number
  over: number
  /** How much of this thread the step has: 1 little, 3 much. */
  weight: 1 | 2 | 3
}
export interface WovenPatch {
  /** The warps at which a step begins, the first left out. */
  steps: number[]
  /** Stretches in which nobody works: the warp it begins at, and how many it takes. */
  waits: { at: number; over: number }[]
  floats: PatchFloat[]
  /** The same in words, for whoever cannot see it. */
  says: string
}

/** A night counts as an hour, so that what the children do is still seen beside it. */
const MOST_MINUTES = 60

/**
 * @param plan whatever its version
 * @returns every step has warps by its time, at least one; every thread that works in it comes to the front there, the more the stronger
 */
export function wovenPatch(plan: Plan): WovenPatch {
  const columns = weave(plan, plan.bowls[0]?.id ?? '').slice(0, PATCH_WARPS)
  const widths = shares(columns.map((c) => Math.min(MOST_MINUTES, Math.max(1, c.minutes))))
  let at = 0
  const places = columns.map((column, i) => {
    const over = widths[i] ?? 0
    at += over
    return { column, at: at - over, over }
  })
  const works = THREADS.map((thread) => ({
    thread,
    places: places.map((p) => ({ ...p, amount: amountOf(thread, p.column) })).filter((p) => p.amount > 0),
  }))
  return {
    steps: places.slice(1).map((p) => p.at),
    waits: places.filter((p) => p.column.passive).map(({ at, over }) => ({ at, over })),
    floats: works.flatMap(({ thread, places }) =>
      places.flatMap((p) => floatsOf(thread, p.at, p.over, p.amount)),
    ),
    says: patchText(
      columns.length,
      new Map(works.map(({ thread, places }) => [thread, places.length] as const)),
    ),
  }
}

/** All warps shared out by weights, at least one each; the largest remainders first. */
function shares(weights: readonly number[]): number[] {
  const all = weights.reduce((sum, w) => sum + w, 0) || 1
  const free = PATCH_WARPS - weights.length
  const exact = weights.map((w) => (free * w) / all)
  const whole = exact.map(Math.floor)
  const left = free - whole.reduce((sum, w) => sum + w, 0)
  const most = exact
    .map((e, i) => ({ i, rest: e - Math.floor(e) }))
    .sort((a, b) => b.rest - a.rest || a.i - b.i)
    .slice(0, weights.length === 0 ? 0 : left)
  const more = new Set(most.map((m) => m.i))
  return whole.map((w, i) => 1 + w + (more.has(i) ? 1 : 0))
}

function floatsOf(thread: Thread, from: number, warps: number, amount: number): PatchFloat[] {
  const { over, under } = BINDING[thread]
  const weight = amount === 1 ? 1 : amount < 4 ? 2 : 3
  const floats: PatchFloat[] = []
  for (let at = 0; at < warps; at += over + under)
    floats.push({ thread, at: from + at, over: Math.min(over, warps - at), weight })
  return floats
}

/** How much of a thread a step has. */
function amountOf(thread: Thread, column: WeaveColumn): number {
  switch (thread) {
    case 'hands':
      return new Set(column.hands.flatMap((h) => h.children)).size
    case 'measure':
      return column.measure.length
    case 'count':
      return column.count.length
    case 'say':
      return column.talk ? 1 + (column.talk.asks?.length ?? 0) : 0
    case 'watch':
      return column.watch.filter((w) => w.grade !== 'know').length
  }
}

const patchText = (steps: number, of: ReadonlyMap<Thread, number>): string =>
  `${countText(steps, 'step')}: hands at work in ${of.get('hands') ?? 0}, measuring in ${of.get('measure') ?? 0}, counting in ${of.get('count') ?? 0}, an adult watches in ${of.get('watch') ?? 0}.`
