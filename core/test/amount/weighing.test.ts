/** What a scale says is a weight only where a scale can say it. The moods are those of the stand-in. */
import { describe, expect, it } from 'vitest'
import { type ScaleReading, scaleState, weighAgainst } from '../../src/amount/weighing'

const say = (grams: number[], still = true): ScaleReading[] =>
  grams.map((g, i) => ({ at: i * 500, grams: g, still }))
const now = (list: ScaleReading[]): number => list.at(-1)?.at ?? 0
const state = (list: ScaleReading[], tare = 0, later = 0) => scaleState(list, now(list) + later, tare)
/** A load cell trembles. */
const trembling = (grams: number, n: number): number[] =>
  Array.from({ length: n }, (_, i) => grams + Math.sin(i * 12.9898) * 0.08)

describe('a scale', () => {
  it('weighs to the gram, less what it was set to nought with', () => {
    expect(state(say(trembling(412.3, 30)))).toEqual({ is: 'weight', grams: 412, still: true })
    expect(state(say(trembling(412.3, 30)), 200)).toEqual({ is: 'weight', grams: 212, still: true })
  })
  it('that says nothing for three seconds is silent, from the start too', () => {
    expect(state(say([100.1]), 0, 3001).is).toBe('silent')
    expect(scaleState([], 0).is).toBe('silent')
    expect(state(say([100.1]), 0, 2900).is).toBe('weight')
  })
  it('that says what no kitchen scale weighs is absurd, and its figure is named', () => {
    for (const grams of [918273, -6000, NaN, Infinity]) expect(state(say([grams])).is).toBe('absurd')
    expect(state(say([918273]))).toMatchObject({ says: expect.stringContaining('918273 g') as string })
  })
  it('that says the very same for a while may be stuck; one that trembles is not', () => {
    expect(state(say(Array<number>(25).fill(250.04))).is).toBe('stuck')
    expect(state(say(Array<number>(24).fill(250.04))).is).toBe('weight')
  })
  it('that creeps at rest drifts; one that is filled does not', () => {
    const creeping = trembling(250, 25).map((g, i) => g + i * 0.6)
    expect(state(say(creeping)).is).toBe('drifts')
    expect(state(say(creeping, false)).is).toBe('weight')
    expect(state(say(trembling(250, 40))).is).toBe('weight')
  })
})

it('says how much is missing, and takes a gram for nothing', () => {
  expect(weighAgainst('180 g', 68)).toBe('112 g more')
  expect(weighAgainst('180 g', 178)).toBe('that is it')
  expect(weighAgainst('1.2 kg', 1300)).toBe('100 g too much')
  expect(weighAgainst('250 mL', 20)).toBe('')
})
