/** Timers of the table: one at a time, several, repeating, overdue, seen on another device. */
import { describe, expect, it } from 'vitest'
import type { TableEvent } from '../../src/session/event'
import { replay } from '../../src/session/replay'
import { type TimerState, clockText, timersAt } from '../../src/session/timers'

const START = Date.parse('2026-11-26T10:15:00Z')
const at = (seconds: number): number => START + seconds * 1000
const timer = (more: Partial<TimerState> = {}): TimerState => ({
  id: 't1',
  name: 'Bake',
  started: new Date(START).toISOString(),
  seconds: 600,
  seen: 0,
  ...more,
})
const one = (t: TimerState, seconds: number) => timersAt([t], at(seconds))[0]

describe('a timer', () => {
  it('counts down, rings when it is over, and goes on ringing until it is seen', () => {
    expect(one(timer(), 0)).toMatchObject({ left: 600, rings: false, text: '10:00' })
    expect(one(timer(), 599.4)).toMatchObject({ left: 1, rings: false })
    expect(one(timer(), 600)).toMatchObject({ left: 0, rings: true, text: '00:00' })
    expect(one(timer(), 3725)).toMatchObject({ left: -3125, rings: true, text: '+52:05' })
    expect(timersAt([timer({ seen: 1 })], at(700))).toEqual([])
  })
  it('that repeats rings each time until that round is seen, the last time at its end', () => {
    const turning = timer({ seconds: 480, every: 120 })
    expect(one(turning, 119)).toMatchObject({ round: 1, rounds: 4, rings: false, left: 1 })
    expect(one(turning, 121)).toMatchObject({ round: 1, rings: true, left: -1 })
    // Seen: it waits for the next.
    expect(one({ ...turning, seen: 1 }, 130)).toMatchObject({ round: 2, rings: false, left: 110 })
    // Nobody saw the first: the second rings in its place.
    expect(one(turning, 245)).toMatchObject({ round: 2, rings: true, left: -5 })
    expect(one({ ...turning, seen: 3 }, 479)).toMatchObject({ round: 4, rings: false, left: 1 })
    expect(one({ ...turning, seen: 3 }, 481)).toMatchObject({ round: 4, rings: true })
    expect(timersAt([{ ...turning, seen: 4 }], at(500))).toEqual([])
  })
  it('with a last stretch shorter than the others ends when the work ends', () => {
    const turning = timer({ seconds: 300, every: 120 })
    expect(one({ ...turning, seen: 2 }, 290)).toMatchObject({ round: 3, rounds: 3, rings: false, left: 10 })
    expect(one(turning, 300)).toMatchObject({ round: 3, rings: true, left: 0 })
  })
  it('of several the ringing ones stand first, then what is due soonest', () => {
    const list = timersAt(
      [
        timer({ id: 'long' }),
        timer({ id: 'soon', seconds: 200 }),
        timer({ id: 'rings', seconds: 60, name: 'Simmer' }),
      ],
      at(100),
    )
    expect(list.map((t) => t.id)).toEqual(['rings', 'soon', 'long'])
  })
  it('that began by a clock ahead of this one waits, and does not break', () => {
    expect(one(timer({ every: 120, seconds: 480 }), -30)).toMatchObject({ round: 1, left: 150, rings: false })
  })
})

it('says a time as a kitchen timer does', () => {
  expect([0, 5, 65, 3600, 3725, -12].map(clockText)).toEqual([
    '00:00',
    '00:05',
    '01:05',
    '1:00:00',
    '1:02:05',
    '+00:12',
  ])
})

describe('in the log', () => {
  const event = (n: number, kind: string, body: object): TableEvent =>
    ({ id: `e${n}`, device: 'd', lamport: n, at: new Date(at(n)).toISOString(), kind, body }) as TableEvent
  it('a round that was seen twice counts once; taken back it rings again; an old event sees all of it', () => {
    const began = event(1, 'timer', { name: 'Turn', seconds: 480, every: 120 })
    const first = event(2, 'timer-seen', { timer: 'e1', round: 1 })
    const again = event(3, 'timer-seen', { timer: 'e1', round: 1 })
    expect(replay([began, first, again]).timers[0]?.seen).toBe(1)
    expect(replay([began, first, event(4, 'undo', { event: 'e2' })]).timers[0]?.seen).toBe(0)
    expect(replay([began, event(5, 'timer-seen', { timer: 'e1' })]).timers[0]?.seen).toBe(4)
  })
})
