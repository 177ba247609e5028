/**
 * When food is cooked through, against published points.
 * Sources: Food Standards Agency, "Cooking your food": 70 °C for 2 minutes, or 60 °C for 45 minutes, 65 °C for 10 minutes, 75 °C for 30
 * seconds, 80 °C for 6 seconds. US Food Code 3-401.11 and USDA FSIS minimum internal temperatures: poultry 165 °F, ground meat 160 °F,
 * fish 145 °F, reheated 165 °F. Values from memory.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  CORE_KINDS,
  corePoints,
  coreSays,
  coreWords,
  heldReading,
  judgeCore,
  keptReading,
  readTyped,
} from '../../src/food/core-temperature'

const fahrenheit = (f: number): number => ((f - 32) * 5) / 9

describe('the Food Standards Agency', () => {
  it.each([
    [60, 45 * 60],
    [65, 600],
    [70, 120],
    [75, 30],
    [80, 6],
  ])('%d °C for %d seconds is cooked through; a second less is not', (celsius, held) => {
    expect(judgeCore({ celsius, held }, 'poultry', 'uk').verdict).toBe('reached')
    expect(judgeCore({ celsius, held: held - 1 }, 'poultry', 'uk')).toMatchObject({
      verdict: 'hold',
      seconds: 1,
    })
    expect(judgeCore({ celsius: celsius - 0.1, held }, 'poultry', 'uk').verdict).not.toBe('reached')
  })
  it('chicken at 66 °C for a moment is refused, and is told what it needs', () => {
    const cold = judgeCore({ celsius: 66, held: 0 }, 'poultry', 'uk')
    expect(cold).toEqual({ verdict: 'hold', seconds: 600, at: 65, slow: true })
    expect(coreSays(cold)).toMatch(/Not cooked through: back to the heat/)
    expect(judgeCore({ celsius: 45, held: 9999 }, 'poultry', 'uk')).toEqual({ verdict: 'low', least: 70 })
    expect(coreSays({ verdict: 'low', least: 70 })).toMatch(/Not cooked through: it has to reach 70 °C/)
  })
  it('soup that is reheated to 75 °C for half a minute is through', () =>
    expect(judgeCore({ celsius: 75, held: 30 }, 'reheat', 'uk').verdict).toBe('reached'))
  it('is said as a kitchen says it', () =>
    expect(coreWords('meat', 'uk')).toBe('70 °C for 2 minutes, or 75 °C for 30 seconds'))
})

describe('US figures', () => {
  it.each([
    ['poultry', 165, 0],
    ['mince', 160, 0],
    ['egg', 160, 0],
    ['fish', 145, 15],
    ['reheat', 165, 15],
  ] as const)('%s to %d °F', (kind, f, held) => {
    const [point] = corePoints(kind, 'us')
    // Whole degrees of Celsius: never below the published Fahrenheit by more than half a degree.
    expect(Math.abs((point?.celsius ?? 0) - fahrenheit(f))).toBeLessThanOrEqual(0.5)
    expect(judgeCore({ celsius: point?.celsius ?? 0, held }, kind, 'us').verdict).toBe('reached')
    expect(judgeCore({ celsius: (point?.celsius ?? 0) - 1, held: 600 }, kind, 'us').verdict).toBe('low')
  })
})

describe('any reading', () => {
  it('that is hotter or held longer is never worse', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 110, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.nat(4000),
        fc.nat(600),
        fc.constantFrom(...CORE_KINDS),
        fc.constantFrom('uk' as const, 'us' as const),
        (celsius, more, held, longer, kind, country) => {
          if (judgeCore({ celsius, held }, kind, country).verdict !== 'reached') return
          expect(judgeCore({ celsius: celsius + more, held: held + longer }, kind, country).verdict).toBe(
            'reached',
          )
        },
      ),
    ))
  it('that no kitchen probe shows is none of food', () => {
    for (const celsius of [NaN, -60, 400, Infinity])
      expect(judgeCore({ celsius, held: 600 }, 'fish', 'uk').verdict).toBe('absurd')
  })
})

describe('a reading that is kept', () => {
  it('is never rounded up to where it was not', () => {
    expect(keptReading({ celsius: 73.96, held: 29.9 })).toEqual({ celsius: 73.9, held: 29 })
    expect(judgeCore(keptReading({ celsius: 73.96, held: 0 }), 'poultry', 'us').verdict).toBe('low')
  })
  it('by hand is one of food, or none', () => {
    expect(readTyped('74,5', '30')).toEqual({ celsius: 74.5, held: 30 })
    expect(readTyped('75', '')).toEqual({ celsius: 75, held: 0 })
    for (const [c, h] of [
      ['hot', '1'],
      ['4000', '1'],
      ['', '1'],
      ['75', '-3'],
      ['75', '1.5'],
      ['75', '99999'],
    ] as const)
      expect(readTyped(c, h)).toBeNull()
  })
})

describe('a probe that is left in', () => {
  const each = (list: number[], every = 1000) => list.map((celsius, i) => ({ at: i * every, celsius }))
  const judged = (list: { at: number; celsius: number }[]) => {
    const r = heldReading(list, 'poultry', 'uk')
    return r && judgeCore(r, 'poultry', 'uk').verdict
  }
  it('counts the time at each published warmth by itself', () => {
    expect(judged(each([...Array<number>(31).fill(75.2), 80.1]))).toBe('reached')
    expect(judged(each([60, 76, 76, 76]))).toBe('hold')
    // A dip begins the time anew.
    expect(judged(each([...Array<number>(100).fill(71), 69, ...Array<number>(60).fill(71)]))).toBe('hold')
    expect(judged(each(Array<number>(121).fill(70)))).toBe('reached')
  })
  it('does not count a gap in which nobody knows how warm it was', () =>
    expect(judged([...each(Array<number>(100).fill(72)), { at: 160_000, celsius: 72 }])).toBe('hold'))
  it('of no readings says nothing', () => expect(heldReading([], 'fish', 'us')).toBeNull())
})
