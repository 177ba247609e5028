/**
 * Timers as they stand at an instant: how long until they ring, which ring now, and what has come round again ("turn every two
 * minutes"). They live in the log of events, so that every device shows the same and a reload loses none.
 */
import { isOvernight } from '../plan/model/session-recipe/sittings'
import type { Plan } from '../plan/model/plan'

export interface TimerState {
  id: string
  name: string
  /** ISO time of the start; it rings `seconds` later. */
  started: string
  seconds: number
  /** Rings each so many seconds until then. */
  every?: number
  /** Rounds that somebody has seen. */
  seen: number
}

export interface TimerView {
  id: string
  name: string
  /** Seconds until it rings; negative for how long it has been ringing. */
  left: number
  rings: boolean
  /** The round that rings, or that it waits for, from 1; `rounds` is 1 where it does not repeat. */
  round: number
  rounds: number
  /** `"04:30"`, or `"+00:12"` once it is overdue. */
  text: string
}

/** @returns how often it rings in all */
export const roundsOf = (t: Pick<TimerState, 'seconds' | 'every'>): number =>
  t.every ? Math.max(1, Math.ceil(t.seconds / t.every)) : 1

/**
 * Timers that were not seen to their end, those that ring first, then by what is due soonest.
 * @param now milliseconds since 1970, by the clock that the events were stamped with
 */
export function timersAt(timers: readonly TimerState[], now: number): TimerView[] {
  return timers
    .flatMap((t): TimerView[] => {
      const rounds = roundsOf(t)
      if (t.seen >= rounds) return []
      // eslint-disable-next-line no-restricted-globals -- reads a text, asks no clock
      const passed = (now - Date.parse(t.started)) / 1000
      const due = rounds === 1 ? Number(passed >= t.seconds) : Math.floor(passed / (t.every ?? t.seconds))
      const last = passed >= t.seconds ? rounds : Math.min(rounds - 1, Math.max(0, due))
      const rings = last > t.seen
      // A round that nobody saw before the next one came rings as the newer of the two.
      const round = rings ? last : last + 1
      const at = round >= rounds ? t.seconds : round * (t.every ?? t.seconds)
      const left = Math.ceil(at - passed)
      return [{ id: t.id, name: t.name, left, rings, round, rounds, text: clockText(left) }]
    })
    .sort((a, b) => Number(b.rings) - Number(a.rings) || a.left - b.left || (a.id < b.id ? -1 : 1))
}

/**
 * What is left of the timer that is due soonest, from 1 down to 0; null where none runs.
 * @param now milliseconds since 1970, by the clock that the events were stamped with
 */
export function waitLeft(timers: readonly TimerState[], now: number): number | null {
  const running = timersAt(timers, now).find((t) => t.left > 0)
  const timer = timers.find((t) => t.id === running?.id)
  return running && timer ? Math.min(1, running.left / Math.max(1, timer.every ?? timer.seconds)) : null
}

/** Seconds as a kitchen timer shows them: 270 -> `"04:30"`, -12 -> `"+00:12"`, an hour as `"1:00:00"`. */
export function clockText(seconds: number): string {
  const s = Math.abs(seconds)
  const two = (n: number): string => String(n).padStart(2, '0')
  const hours = Math.floor(s / 3600)
  const rest = `${two(Math.floor((s % 3600) / 60))}:${two(s % 60)}`
  return `${seconds < 0 ? '+' : ''}${hours > 0 ? `${hours}:` : ''}${rest}`
}

/** The timers that a step of the plan asks for: its waits, each named by the step, with what has to be done again and again. */
export const timersOf = (
  plan: Plan,
  step: string,
  bowl: string,
): { name: string; seconds: number; every?: number }[] => {
  const title = plan.schedule.find((s) => s.step === step)?.title ?? ''
  const waits = plan.tasks.filter(
    (t) => t.step === step && t.bowl === bowl && t.mode === 'WAIT' && !isOvernight(t.seconds),
  )
  return waits.map((t) => ({
    name: waits.length > 1 ? `${title}: ${t.name}` : title,
    seconds: t.seconds,
    ...(t.every && t.every < t.seconds && { every: t.every }),
  }))
}
