/**
 * When food is cooked through, by probe: the points that food agencies publish, and a reading held against them. Between two points the
 * lower one counts, so that nothing is called reached that no table names.
 * Sources: UK: Food Standards Agency (70 °C for 2 minutes or equal); Scotland: the same, reheated to 82 °C (Food Hygiene (Scotland)
 * Regulations 2006); Ireland: FSAI; US: Food Code 3-401.11 and USDA FSIS; Canada: Health Canada; Australia: FSANZ and the Food Safety
 * Information Council; New Zealand: MPI. From memory; of the last four the stricter figure where pages differ.
 */

import type { CoreRegion } from '../amount/nation/nations'

export const CORE_KINDS = ['poultry', 'mince', 'meat', 'fish', 'egg', 'reheat'] as const
export type CoreKind = (typeof CORE_KINDS)[number]

/** At least so warm in the core, for so long (seconds; 0 is at once). */
export interface CorePoint {
  celsius: number
  seconds: number
}

const UK: CorePoint[] = [
  { celsius: 60, seconds: 45 * 60 },
  { celsius: 65, seconds: 10 * 60 },
  { celsius: 70, seconds: 2 * 60 },
  { celsius: 75, seconds: 30 },
  { celsius: 80, seconds: 6 },
]
/** At home and for children the simple figures, which are not below the retail ones. */
const US: Record<CoreKind, CorePoint[]> = {
  poultry: [{ celsius: 74, seconds: 0 }],
  mince: [{ celsius: 71, seconds: 0 }],
  meat: [{ celsius: 71, seconds: 0 }],
  fish: [{ celsius: 63, seconds: 15 }],
  egg: [{ celsius: 71, seconds: 0 }],
  reheat: [{ celsius: 74, seconds: 15 }],
}

const ALL = (celsius: number, seconds = 0): Record<CoreKind, CorePoint[]> => {
  const points = [{ celsius, seconds }]
  return { poultry: points, mince: points, meat: points, fish: points, egg: points, reheat: points }
}
const CA: Record<CoreKind, CorePoint[]> = {
  poultry: [{ celsius: 74, seconds: 0 }],
  mince: [{ celsius: 71, seconds: 0 }],
  meat: [{ celsius: 71, seconds: 0 }],
  fish: [{ celsius: 70, seconds: 0 }],
  egg: [{ celsius: 74, seconds: 0 }],
  reheat: [{ celsius: 74, seconds: 0 }],
}
const NZ: CorePoint[] = [
  { celsius: 65, seconds: 10 * 60 },
  { celsius: 70, seconds: 3 * 60 },
  { celsius: 75, seconds: 0 },
]
const IE: CorePoint[] = [
  { celsius: 70, seconds: 2 * 60 },
  { celsius: 75, seconds: 0 },
]

/** Points that each alone are enough, the coolest first. */
export function corePoints(kind: CoreKind, country: CoreRegion): CorePoint[] {
  if (country === 'us') return US[kind]
  if (country === 'ca') return CA[kind]
  if (country === 'au') return kind === 'egg' ? [{ celsius: 72, seconds: 0 }] : ALL(75)[kind]
  if (country === 'nz') return NZ
  if (country === 'ie') return IE
  return country === 'scotland' && kind === 'reheat' ? ALL(82)[kind] : UK
}

const SOURCES: Record<CoreRegion, string> = {
  uk: 'FSA, from memory',
  scotland: 'Food Standards Scotland; Food Hygiene (Scotland) Regulations 2006, from memory',
  ie: 'FSAI, from memory',
  us: 'USDA FSIS; Food Code, from memory',
  ca: 'Health Canada, from memory',
  au: 'FSANZ; Food Safety Information Council, from memory',
  nz: 'MPI New Zealand, from memory',
}
/** Where the core temperatures of a country come from. */
export const coreSource = (country: CoreRegion): string => SOURCES[country]

/** "70 °C for 2 minutes, or 75 °C for 30 seconds": what is asked for, as a kitchen says it. */
export function coreWords(kind: CoreKind, country: CoreRegion): string {
  const all = corePoints(kind, country)
  const usual = all.length > 2 ? all.filter((p) => p.celsius >= 70 && p.celsius <= 75) : all
  const whole = country === 'ca' && kind === 'poultry' ? ' (a whole bird 82 °C)' : ''
  const words = usual
    .map((p) => `${p.celsius} °C${p.seconds > 0 ? ` for ${heldWords(p.seconds)}` : ''}`)
    .join(', or ')
  return `${words}${whole}`
}
const heldWords = (seconds: number): string =>
  seconds >= 60 ? `${seconds / 60} ${seconds === 60 ? 'minute' : 'minutes'}` : `${seconds} seconds`

/** A reading of a probe in the thickest part; `held` is for how many seconds it was at least as warm. */
export interface CoreReading {
  celsius: number
  held: number
}

export type CoreVerdict =
  | { verdict: 'reached'; by: CorePoint }
  /** So warm, not yet for long enough; `slow` where that takes longer than a kitchen waits with a probe in hand. */
  | { verdict: 'hold'; seconds: number; at: number; slow: boolean }
  | { verdict: 'low'; least: number }
  /** No reading of food: outside what a kitchen probe can show. */
  | { verdict: 'absurd' }

/** Lea takes no reading outside of this for one of food. */
const LEAST_CELSIUS = -30
const MOST_CELSIUS = 130

/** @returns whether the food is cooked through by the published points, or what is missing */
export function judgeCore(reading: CoreReading, kind: CoreKind, country: CoreRegion): CoreVerdict {
  const { celsius, held } = reading
  if (!Number.isFinite(celsius) || celsius < LEAST_CELSIUS || celsius > MOST_CELSIUS || !(held >= 0))
    return { verdict: 'absurd' }
  const points = corePoints(kind, country)
  const warm = points.filter((p) => celsius >= p.celsius)
  const met = warm.find((p) => held >= p.seconds)
  if (met) return { verdict: 'reached', by: met }
  const next = warm.at(-1)
  if (next)
    return {
      verdict: 'hold',
      seconds: Math.ceil(next.seconds - held),
      at: next.celsius,
      slow: next.seconds > AIM_SECONDS,
    }
  return { verdict: 'low', least: aim(points) }
}
/** What a kitchen aims at: two minutes at most. */
const AIM_SECONDS = 120
const aim = (points: readonly CorePoint[]): number =>
  Math.min(...points.filter((p) => p.seconds <= AIM_SECONDS).map((p) => p.celsius))

/**
 * For how long the last readings were at least so warm.
 * @param readings in the order of their time, `at` in milliseconds; a gap of over five seconds begins anew
 * @returns the reading by which the most is reached: the last temperature's own, held as long as the published points see it
 */
export function heldReading(
  readings: readonly { at: number; celsius: number }[],
  kind: CoreKind,
  country: CoreRegion,
): CoreReading | null {
  const last = readings.at(-1)
  if (!last) return null
  const held = (least: number): number => {
    let since = last.at
    for (let i = readings.length - 1; i >= 0; i--) {
      const r = readings[i]
      if (!r || r.celsius < least || since - r.at > GAP_MS) break
      since = r.at
    }
    return (last.at - since) / 1000
  }
  // Every point is asked for itself: 75 °C may have been held for a minute, 80 °C for a second.
  const all = corePoints(kind, country)
    .filter((p) => last.celsius >= p.celsius)
    .map((p): CoreReading => ({ celsius: p.celsius, held: held(p.celsius) }))
  const met = all.find((r) => judgeCore(r, kind, country).verdict === 'reached')
  return met ? { celsius: met.celsius, held: met.held } : (all.at(-1) ?? { celsius: last.celsius, held: 0 })
}
const GAP_MS = 5000

/** What has to be measured: one raw food of a plan. */
export interface Probe {
  food: string
  name: string
  kind: CoreKind
  country: CoreRegion
  /** The last step with heat: after it the reading has to be there. */
  after: string
}

/** The verdict in words, for the person with the probe. */
export function coreSays(v: CoreVerdict): string {
  if (v.verdict === 'reached') return 'Cooked through, by this reading.'
  if (v.verdict === 'hold')
    return v.slow
      ? `Not cooked through: back to the heat, or keep it at ${v.at} °C or more for another ${heldWordsLong(v.seconds)}.`
      : `Warm enough: keep it at ${v.at} °C or more for another ${heldWordsLong(v.seconds)}.`
  if (v.verdict === 'low')
    return `Not cooked through: it has to reach ${v.least} °C. Back to the heat, then measure again in the thickest part.`
  return 'No reading of food: is the probe in, and does it work?'
}
const heldWordsLong = (seconds: number): string =>
  seconds < 120 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`

const PROBE_SILENT_MS = 4000
/** @returns what is wrong with the probe itself, or empty: silent, or a figure that no food has */
export function probeFault(readings: readonly { at: number; celsius: number }[], now: number): string {
  const last = readings.at(-1)
  if (!last || now - last.at > PROBE_SILENT_MS) return 'The probe is silent: is it switched on, and in reach?'
  return judgeCore({ celsius: last.celsius, held: 0 }, 'meat', 'uk').verdict === 'absurd'
    ? `The probe says ${Number.isFinite(last.celsius) ? `${last.celsius} °C` : 'no number'}: no food is so. Check it in iced water (0 °C) before it is believed.`
    : ''
}

/** What is kept of a reading: tenths of a degree and whole seconds, never rounded up, so that 73.96 °C is not kept as 74. */
export const keptReading = ({ celsius, held }: CoreReading): CoreReading => ({
  celsius: Math.floor(celsius * 10) / 10,
  held: Math.max(0, Math.floor(held)),
})

const MOST_HELD = 36_000
/**
 * A reading written by hand: `74,5` and `30`; without seconds it was held for none.
 * @returns null where it is no reading of food: it is not kept
 */
export function readTyped(celsius: string, held: string): CoreReading | null {
  if (!/^-?\d+([.,]\d+)?$/.test(celsius.trim()) || !/^\d*$/.test(held.trim())) return null
  const reading = keptReading({ celsius: Number(celsius.replace(',', '.')), held: Number(held || 0) })
  const absurd = judgeCore(reading, 'meat', 'uk').verdict === 'absurd' || reading.held > MOST_HELD
  return absurd ? null : reading
}
