/**
 * What a kitchen scale says, held against what a scale can say: silent, absurd, stuck, drifting. A reading that cannot be trusted is
 * never shown as a weight.
 * Source: common practice; kitchen scales carry up to about 5 kg, large ones 15 kg, and show whole grams.
 */

export interface ScaleReading {
  /** Milliseconds, by the clock of the reader. */
  at: number
  grams: number
  /** The scale says that it has come to rest. */
  still: boolean
}

export type ScaleState =
  | { is: 'weight'; grams: number; still: boolean }
  | { is: 'silent' | 'absurd' | 'stuck' | 'drifts'; says: string }

const SILENT_MS = 3000
const MOST_GRAMS = 15_000
const LEAST_GRAMS = -5000
/** A load cell never says the same to the hundredth of a gram for so long: it trembles. */
const STUCK_READINGS = 25
/** At rest, and yet so much more or less than this long ago, always in one direction. */
const DRIFT_GRAMS = 3
const DRIFT_READINGS = 20

/**
 * @param readings in the order of their time, the newest last
 * @param tare grams that were on the pan when it was set to nought
 */
export function scaleState(readings: readonly ScaleReading[], now: number, tare = 0): ScaleState {
  const last = readings.at(-1)
  if (!last || now - last.at > SILENT_MS)
    return { is: 'silent', says: 'The scale is silent: is it switched on, and in reach?' }
  if (!Number.isFinite(last.grams) || last.grams > MOST_GRAMS || last.grams < LEAST_GRAMS)
    return {
      is: 'absurd',
      says: `The scale says ${Number.isFinite(last.grams) ? `${Math.round(last.grams)} g` : 'no number'}: no kitchen scale weighs that. Empty the pan and switch it off and on.`,
    }
  const tail = readings.slice(-STUCK_READINGS)
  if (tail.length === STUCK_READINGS && tail.every((r) => r.grams === last.grams))
    return {
      is: 'stuck',
      says: 'The scale has said the very same for a while: lift the bowl. If the figure stays, it is stuck.',
    }
  const rest = readings.slice(-DRIFT_READINGS)
  const first = rest[0]
  if (rest.length === DRIFT_READINGS && first && rest.every((r) => r.still)) {
    const moved = last.grams - first.grams
    const oneWay = rest.every(
      (r, i) => i === 0 || Math.sign(moved) * (r.grams - (rest[i - 1]?.grams ?? 0)) >= -0.2,
    )
    if (Math.abs(moved) >= DRIFT_GRAMS && oneWay)
      return {
        is: 'drifts',
        says: 'The scale drifts though nothing is added: set it on a firm table, away from a draught, and tare again.',
      }
  }
  return { is: 'weight', grams: Math.round(last.grams - tare), still: last.still }
}

/** Off by so little nobody tastes it, and the figure of a kitchen scale jumps so much. Source: common practice. */
const NEAR = 0.02
const NEAR_GRAMS = 2

/**
 * How far the pan is from what is wanted: "112 g more", "that is it", "14 g too much".
 * @param wanted an amount by weight as the plan says it: "180 g", "1.2 kg"
 * @returns empty where it is none
 */
export function weighAgainst(wanted: string, grams: number): string {
  const found = /^(?:about )?(\d+(?:[.,]\d+)?) (g|kg)\b/.exec(wanted)
  if (!found) return ''
  const target = Number((found[1] ?? '').replace(',', '.')) * (found[2] === 'kg' ? 1000 : 1)
  const missing = Math.round(target - grams)
  if (Math.abs(missing) <= Math.max(NEAR_GRAMS, target * NEAR)) return 'that is it'
  return missing > 0 ? `${missing} g more` : `${-missing} g too much`
}

/** How a simulated device may be: what the judgements above are there for. */
export const DEVICE_MOODS = ['well', 'drifting', 'stuck', 'silent', 'absurd'] as const
export type DeviceMood = (typeof DEVICE_MOODS)[number]
